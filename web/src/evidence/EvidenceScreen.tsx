// Evidence: what have I got? All of it, what was made last first; one thing opens in its drawer.
import Button from '@mui/material/Button'
import Snackbar from '@mui/material/Snackbar'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { IconPlus } from '@tabler/icons-react'
import type { Evidence } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate, useParams } from 'react-router'
import { ApiProblem } from '../api/index.ts'
import { MissingScreen } from '../app/MissingScreen.tsx'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Screen } from '../ui/Screen.tsx'
import { chooseFiles } from './chooseFiles.ts'
import { EvidenceDrawer } from './EvidenceDrawer.tsx'
import { EvidenceGrid } from './EvidenceGrid.tsx'

import { evidenceQueries, useBin } from './queries.ts'
import { UploadList } from './UploadList.tsx'
import { addFiles } from './addFiles.ts'
import { useClassInView } from './useClassInView.ts'
import { useEvidenceWords } from './useEvidenceWords.ts'

const UNDO_MS = 8000

export function EvidenceScreen() {
  const { t } = useTranslation(['evidence', 'app'])
  const { id: openId = null } = useParams()
  const navigate = useNavigate()
  const list = useInfiniteQuery(evidenceQueries.list('evidence'))
  const opened = useQuery({ ...evidenceQueries.one(openId ?? ''), enabled: openId !== null })
  const [binned, setBinned] = useState<Evidence | null>(null)
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const count = list.data?.pages[0]?.count ?? 0
  const place = { place: t('app:places.evidence'), parent: t('app:stops.gather') }

  const close = () => {
    const tile = openId === null ? null : document.querySelector<HTMLElement>(`[data-tile="${openId}"]`)
    void navigate('/evidence', { replace: true })
    tile?.focus()
  }
  const toggle = (id: string) =>
    id === openId ? close() : void navigate(`/evidence/${id}`, { replace: openId !== null })
  const onBinned = (item: Evidence) => {
    setBinned(item)
    close()
  }
  const drawer = (pointerAt: number | null) =>
    openId === null ? null : (
      <EvidenceDrawer key={openId} id={openId} pointerAt={pointerAt} onClose={close} onBinned={onBinned} />
    )

  if (opened.error instanceof ApiProblem && opened.error.code === 'not-found') {
    return <MissingScreen />
  }
  const isAway = openId !== null && !items.some(({ id }) => id === openId)
  return (
    <Screen
      {...place}
      sentence={list.data ? t('sentence', { count }) : t('app:places.evidence')}
      act={<AddButton />}
    >
      <UploadList />
      {isAway && list.data ? drawer(null) : null}
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Empty>{t('empty')}</Empty>
          ) : (
            <>
              <EvidenceGrid
                label={t('gridLabel')}
                items={items}
                openId={openId}
                onToggle={toggle}
                drawer={drawer}
              />
              <MoreButton query={list} />
            </>
          )
        }
      </Fetched>
      <BinnedNote key={binned?.id} item={binned} onGone={() => setBinned(null)} />
    </Screen>
  )
}

function AddButton() {
  const { t } = useTranslation('things')
  const classId = useClassInView()
  const onAdd = async () => {
    const files = await chooseFiles({ several: true })
    if (files.length > 0) void addFiles(files, { classId })
  }
  return (
    <Button
      variant="contained"
      color="primary"
      startIcon={<IconPlus size={18} stroke={1.7} />}
      sx={{ flex: 'none' }}
      onClick={() => void onAdd()}
    >
      {t('add.button')}
    </Button>
  )
}

/** What was just put into the bin, with the way back. */
function BinnedNote({ item, onGone }: { readonly item: Evidence | null; readonly onGone: () => void }) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const bin = useBin()
  if (!item) return null
  return (
    <Snackbar
      open
      autoHideDuration={UNDO_MS}
      onClose={(_event, reason) => reason !== 'clickaway' && onGone()}
      message={t('bin.done', { title: words.title(item) })}
      action={
        <Button
          size="small"
          variant="text"
          sx={{ color: 'var(--stitch-base)' }}
          onClick={() => bin.mutate({ id: item.id, into: false }, { onSuccess: onGone })}
        >
          {t('bin.undo')}
        </Button>
      }
    />
  )
}
