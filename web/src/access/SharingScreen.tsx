// Sharing: who can see what, and until when? Things with their passes as rows, and looking at them as anybody.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { IconTicket } from '@tabler/icons-react'
import type { Audiences, Sharing } from '@valise/core/access'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { GivePassDialog } from './GivePassDialog.tsx'
import { LookAsPanel } from './LookAsPanel.tsx'
import { PassDialog } from './PassDialog.tsx'
import { accessQueries } from './queries.ts'
import { SharingRows } from './SharingRows.tsx'
import { useSharing } from './useSharing.ts'

export function SharingScreen() {
  const { t } = useTranslation(['access', 'app'])
  const sharing = useQuery(accessQueries.sharing())
  const audiences = useQuery(accessQueries.audiences())
  if (sharing.data && audiences.data) return <Opened sharing={sharing.data} audiences={audiences.data} />
  return (
    <Screen place={t('app:places.sharing')} parent={t('app:stops.show')} sentence={t('sharing.sentence')}>
      <Fetched query={sharing}>{() => <Fetched query={audiences}>{() => null}</Fetched>}</Fetched>
    </Screen>
  )
}

export interface OpenedProps {
  readonly sharing: Sharing
  readonly audiences: Audiences
}

function Opened({ sharing, audiences }: OpenedProps) {
  const { t } = useTranslation(['access', 'app'])
  const {
    shared,
    alone,
    words,
    looker,
    setLooker,
    at,
    setAt,
    setManaged,
    isGiving,
    setIsGiving,
    lookAs,
    chosen,
    onGive,
    name,
    rows,
    pass,
  } = useSharing({ sharing, audiences })
  return (
    <Screen
      place={t('app:places.sharing')}
      parent={t('app:stops.show')}
      sentence={t('sharing.sentence')}
      act={
        chosen ? (
          <Button
            variant="contained"
            color="primary"
            startIcon={<IconTicket size={18} stroke={1.7} />}
            onClick={() => setIsGiving(true)}
            aria-label={t('sharing.giveFor', { title: words.title(chosen) })}
          >
            {t('sharing.give')}
          </Button>
        ) : undefined
      }
      panelLabel={t('look.title')}
      panel={
        chosen ? (
          <LookAsPanel
            {...{ sharing, audiences, looker, at, chosen, name, onGive }}
            lookAs={lookAs}
            onLooker={setLooker}
            onAt={setAt}
          />
        ) : undefined
      }
    >
      {chosen === null ? (
        <Empty
          action={
            <Button component={RouterLink} to="/pages">
              {t('sharing.toPages')}
            </Button>
          }
        >
          {t('sharing.empty')}
        </Empty>
      ) : null}
      {chosen && shared.length === 0 ? <Empty>{t('sharing.nobody')}</Empty> : null}
      <SharingRows groups={shared} label={t('sharing.label')} {...rows} />
      {alone.length > 0 ? (
        <SharingRows
          groups={alone}
          label={t('sharing.alone', { count: alone.flat().length })}
          isFolded={shared.length > 0 && !alone.flat().some((row) => row.thing.id === chosen?.id)}
          {...rows}
        />
      ) : null}
      {isGiving && chosen ? (
        <GivePassDialog thing={chosen} audiences={audiences} onClose={() => setIsGiving(false)} />
      ) : null}
      {pass ? (
        <PassDialog key={pass.id} pass={pass} sharing={sharing} onClose={() => setManaged(null)} />
      ) : null}
    </Screen>
  )
}
