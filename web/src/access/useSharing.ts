// What is shared on the screen of passes: the thing that is chosen, and whom one looks as.
import { sharingRows } from '@valise/core/access'
import { useQuery } from '@tanstack/react-query'
import type { Audiences, Pass } from '@valise/core/access'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { useAccessWords } from './useAccessWords.ts'
import { accessQueries } from './queries.ts'
import type { Looker } from './queries.ts'
import type { OpenedProps } from './SharingScreen.tsx'

export function useSharing({ sharing, audiences }: OpenedProps) {
  const { shared, alone } = sharingRows(sharing)
  const words = useAccessWords()
  const [search, setSearch] = useSearchParams()
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
  return {
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
  }
}

/** Whoever assesses comes first: that they can see it is asked most. */
function firstLooker({ people }: Audiences): Looker {
  const someone = people.find(({ isAssessor }) => isAssessor) ?? people[0]
  return someone ? { kind: 'person', personId: someone.id } : { kind: 'stranger' }
}
