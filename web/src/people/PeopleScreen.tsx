// People of the school, for administrators: found by name, year group and class.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import TextField from '@mui/material/TextField'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import type { PersonRow } from '@valise/core/people'
import { useDeferredValue } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useSearchParams } from 'react-router'
import { classQueries } from '../classes/index.ts'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { DataTable } from '../ui/DataTable.tsx'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Screen } from '../ui/Screen.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { peopleQueries } from './queries.ts'
import styles from './PeopleScreen.module.css'

const states = ['present', 'ended', 'all'] as const
type State = (typeof states)[number]

export function PeopleScreen() {
  const { t } = useTranslation(['people', 'things', 'app'])
  const filter = useFilter()
  const people = useInfiniteQuery(peopleQueries.list(useDeferredValue(filter.values)))
  const count = people.data?.pages[0]?.count
  return (
    <Screen
      place={t('app:places.people')}
      sentence={count === undefined ? t('app:places.people') : t('list.title', { count })}
      lead={t('list.lead')}
      act={
        <Button variant="contained" color="primary" component={RouterLink} to="/people/new">
          {t('list.add')}
        </Button>
      }
    >
      <Filters filter={filter} />
      <Fetched query={people}>
        {({ pages }) => {
          const rows = pages.flatMap((page) => page.items)
          return rows.length === 0 ? (
            <Empty action={<Button onClick={filter.clear}>{t('list.clear')}</Button>}>
              {t('list.empty')}
            </Empty>
          ) : (
            <PeopleTable rows={rows} />
          )
        }}
      </Fetched>
      <MoreButton query={people} />
    </Screen>
  )
}

type Filter = ReturnType<typeof useFilter>

/** The filter is in the address, so that it can be saved, sent and returned to. */
function useFilter() {
  const [params, setParams] = useSearchParams()
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before)
        if (value === '') next.delete(name)
        else next.set(name, value)
        return next
      },
      { replace: true },
    )
  const text = params.get('text') ?? ''
  const yearGroupId = params.get('yearGroupId') ?? ''
  const classId = params.get('classId') ?? ''
  const state: State = states.find((one) => one === params.get('state')) ?? 'present'
  const values = {
    state,
    ...(text && { text }),
    ...(yearGroupId && { yearGroupId }),
    ...(classId && { classId }),
  }
  return { text, yearGroupId, classId, state, values, set, clear: () => setParams({}, { replace: true }) }
}

function Filters({ filter }: { readonly filter: Filter }) {
  const { t } = useTranslation(['people', 'things'])
  const yearGroups = useQuery(peopleQueries.yearGroups())
  const classes = useQuery(classQueries.mine())
  const named = (any: string, list: readonly { id: string; name: string }[] | undefined) => [
    ['', any] as const,
    ...(list ?? []).map(({ id, name }) => [id, name] as const),
  ]
  return (
    <search className={styles.filters}>
      <TextField
        size="small"
        type="search"
        label={t('list.find')}
        value={filter.text}
        onChange={(event) => filter.set('text', event.target.value)}
        slotProps={{ htmlInput: { maxLength: 120 } }}
      />
      <SelectField
        label={t('list.yearGroup')}
        value={filter.yearGroupId}
        choices={named(t('list.anyYearGroup'), yearGroups.data)}
        onChange={(value) => filter.set('yearGroupId', value)}
      />
      <SelectField
        label={t('list.class')}
        value={filter.classId}
        choices={named(t('list.anyClass'), classes.data)}
        onChange={(value) => filter.set('classId', value)}
      />
      <ChoiceBar
        label={t('list.state')}
        value={filter.state}
        choices={states.map((state) => [state, t(`list.${state}`)] as const)}
        onChange={(value) => filter.set('state', value === 'present' ? '' : value)}
      />
    </search>
  )
}

function PeopleTable({ rows }: { readonly rows: readonly PersonRow[] }) {
  const { t } = useTranslation(['people', 'things'])
  const yearGroups = useQuery(peopleQueries.yearGroups())
  const nameOf = (id: string | null) =>
    id === null ? t('list.noYearGroup') : yearGroups.data?.find((one) => one.id === id)?.name
  return (
    <DataTable
      label={t('list.name')}
      rows={rows}
      keyOf={(person) => person.id}
      columns={[
        { key: 'name', head: t('list.name'), width: '32%', cell: (person) => <NameCell person={person} /> },
        {
          key: 'yearGroup',
          head: t('list.yearGroup'),
          width: '16%',
          cell: (person) => nameOf(person.yearGroupId),
        },
        { key: 'shown', head: t('list.shownAs'), width: '24%', cell: (person) => person.shownName },
        { key: 'classes', head: t('list.classes'), cell: (person) => <ClassesCell person={person} /> },
      ]}
    />
  )
}

function NameCell({ person }: { readonly person: PersonRow }) {
  const { t } = useTranslation(['people', 'things'])
  const when = useWhen()
  const marks = [
    person.administrator ? t('list.administrator') : null,
    person.endedAt === null ? null : t('list.endedMark', { day: when.day(person.endedAt) }),
    person.hasPassword ? null : t('list.noPassword'),
  ].filter((mark) => mark !== null)
  return (
    <span className={styles.name}>
      <Link component={RouterLink} to={`/people/${person.id}`}>
        {person.fullName}
      </Link>
      <small>{[person.signInName, ...marks].join(', ')}</small>
    </span>
  )
}

function ClassesCell({ person }: { readonly person: PersonRow }) {
  const { t } = useTranslation(['people', 'things'])
  if (person.memberships.length === 0) return <span className={styles.quiet}>{t('list.noClass')}</span>
  return person.memberships.map(({ id, className, role }) => (
    <span key={id} className={styles.membership}>
      {className} <small>{t(`things:roles.${role}`)}</small>
    </span>
  ))
}
