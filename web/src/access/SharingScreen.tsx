// Sharing: who can see what, and until when? Things with their passes as rows, and looking at them as anybody.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { IconTicket } from '@tabler/icons-react'
import { sharingRows } from '@valise/core/access'
import type { Audiences, Pass, Sharing } from '@valise/core/access'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useSearchParams } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { GivePassDialog } from './GivePassDialog.tsx'
import { LookAsPanel } from './LookAsPanel.tsx'
import { PassDialog } from './PassDialog.tsx'
import { accessQueries } from './queries.ts'
import type { Looker } from './queries.ts'
import { SharingRows } from './SharingRows.tsx'
import { useAccessWords } from './useAccessWords.ts'

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

interface OpenedProps {
  readonly sharing: Sharing
  readonly audiences: Audiences
}

function Opened({ sharing, audiences }: OpenedProps) {
  const { t } = useTranslation(['access', 'app'])
  const [search, setSearch] = useSearchParams()
  const { shared, alone } = sharingRows(sharing)
  const words = useAccessWords()
  const [looker, setLooker] = useState<Looker>(() => firstLooker(audiences))
  const [at, setAt] = useState<string | null>(null)
  const [managed, setManaged] = useState<Pass | null>(null)
  const [isGiving, setIsGiving] = useState(false)
  const lookAs = useQuery(accessQueries.lookAs(looker, at))
  const first = (shared[0] ?? alone[0])?.[0]?.thing
  const chosen = sharing.things.find(({ id }) => id === search.get('thing')) ?? first ?? null
  const choose = (id: string) => setSearch({ thing: id }, { replace: true })
  const onGive = (id: string) => {
    choose(id)
    setIsGiving(true)
  }
  const name = words.looker(looker, audiences, sharing.passes)
  const rows = {
    sharing,
    answers: lookAs.data?.answers ?? [],
    name,
    chosen,
    onChoose: choose,
    onManage: setManaged,
  }
  // What the dialog shows is the pass as it is now, also after it was changed.
  const pass = sharing.passes.find(({ id }) => id === managed?.id) ?? null
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
      {managed && pass ? (
        <PassDialog key={pass.id} pass={pass} sharing={sharing} onClose={() => setManaged(null)} />
      ) : null}
    </Screen>
  )
}

/** Whoever assesses comes first: that they can see it is asked most. */
function firstLooker({ people }: Audiences): Looker {
  const someone = people.find(({ isAssessor }) => isAssessor) ?? people[0]
  return someone ? { kind: 'person', personId: someone.id } : { kind: 'stranger' }
}
