// The bin: what was put there, until when it stays, and the way back.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useInfiniteQuery } from '@tanstack/react-query'
import { binEndsAt } from '@valise/core/bin'
import type { BinnedThing } from '@valise/core/bin'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Thumbnail, useEvidenceWords } from '../evidence/base/index.ts'
import { uiByKind, useThingWords } from '../things/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { binQueries, useBin } from './queries.ts'
import styles from './BinScreen.module.css'

export function BinScreen() {
  const { t } = useTranslation(['evidence', 'app'])
  const list = useInfiniteQuery(binQueries.list())
  const [leaving, setLeaving] = useState<BinnedThing | null>(null)
  const bin = useBin()
  const things = list.data?.pages.flatMap((page) => page.items) ?? []
  return (
    <Screen
      place={t('app:places.bin')}
      sentence={
        list.data ? t('bin.sentence', { count: list.data.pages[0]?.count ?? 0 }) : t('app:places.bin')
      }
      lead={t('bin.lead')}
    >
      <Refusal error={bin.error} />
      <Fetched query={list}>
        {() =>
          things.length === 0 ? (
            <Empty>{t('bin.empty')}</Empty>
          ) : (
            <>
              <ul className={styles.list}>
                {things.map((thing) => (
                  <BinRow
                    key={thing.id}
                    thing={thing}
                    onTakeOut={() => bin.mutate({ id: thing.id, act: 'out' })}
                    onRemove={() => setLeaving(thing)}
                  />
                ))}
              </ul>
              <MoreButton query={list} />
            </>
          )
        }
      </Fetched>
      {leaving ? <RemoveDialog thing={leaving} onClose={() => setLeaving(null)} /> : null}
    </Screen>
  )
}

interface BinRowProps {
  readonly thing: BinnedThing
  readonly onTakeOut: () => void
  readonly onRemove: () => void
}

function BinRow({ thing, onTakeOut, onRemove }: BinRowProps) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const { title, line } = useNames()(thing)
  const { icon: ThingIcon } = uiByKind[thing.kind]
  return (
    <li>
      <span className={styles.picture}>
        {thing.item ? (
          <Thumbnail item={thing.item} />
        ) : (
          <ThingIcon size={28} stroke={1.4} aria-hidden="true" />
        )}
      </span>
      <span className={styles.words}>
        <b>{title}</b>
        <small>{line}</small>
        <small>{t('bin.until', { date: when.date(binEndsAt(thing.binnedAt)) })}</small>
      </span>
      <span className={styles.verbs}>
        <Button size="small" aria-label={t('bin.takeOutOf', { title })} onClick={onTakeOut}>
          {t('bin.takeOut')}
        </Button>
        <Button size="small" variant="text" aria-label={t('bin.removeOf', { title })} onClick={onRemove}>
          {t('bin.remove')}
        </Button>
      </span>
    </li>
  )
}

/** What a thing is called, and what it is. */
function useNames(): (thing: BinnedThing) => { readonly title: string; readonly line: string } {
  const words = useThingWords()
  const evidenceWords = useEvidenceWords()
  return (thing) =>
    thing.item
      ? { title: evidenceWords.title(thing.item), line: evidenceWords.line(thing.item) }
      : { title: words.title(thing), line: words.of(thing.kind).name }
}

interface RemoveDialogProps {
  readonly thing: BinnedThing
  readonly onClose: () => void
}

function RemoveDialog({ thing, onClose }: RemoveDialogProps) {
  const { t } = useTranslation(['evidence', 'app'])
  const words = useThingWords()
  const { title } = useNames()(thing)
  const bin = useBin()
  return (
    <Dialog open onClose={onClose} aria-labelledby="remove-title">
      <DialogTitle id="remove-title" variant="h2">
        {t('bin.removeTitle', { title })}
      </DialogTitle>
      <DialogContent>
        <p>{words.of(thing.kind).removed}</p>
        <Refusal error={bin.error} />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
        <Button
          color="error"
          loading={bin.isPending}
          onClick={() => bin.mutate({ id: thing.id, act: 'remove' }, { onSuccess: onClose })}
        >
          {t('bin.remove')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
