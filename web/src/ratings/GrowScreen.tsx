// How do I see myself, and how did that change? One set of attributes at a time: a sentence, a plot, and the same as a table.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { IconSeedling } from '@tabler/icons-react'
import { textIn } from '@valise/core/people'
import type { Localized } from '@valise/core/people'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useSearchParams } from 'react-router'
import { attributeSetApi } from '../attributes/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { Growth } from './Growth.tsx'
import { ratingQueries } from './queries.ts'

export function GrowScreen() {
  const { t } = useTranslation(['ratings', 'app'])
  const rated = useQuery(ratingQueries.sets())
  const offered = useQuery(attributeSetApi.queries.list())
  const [params, setParams] = useSearchParams()
  if (!rated.data || !offered.data)
    return (
      <Screen place={t('place')} parent={t('app:stops.grow')} sentence={t('sentence')}>
        {rated.data ? (
          <Fetched query={offered}>{() => null}</Fetched>
        ) : (
          <Fetched query={rated}>{() => null}</Fetched>
        )}
      </Screen>
    )
  const usable = offered.data.filter(({ n }) => n > 0)
  // What may still be used is called as it is now, else as it was when one rated oneself.
  const sets = [
    ...rated.data.map((one) => usable.find(({ id }) => id === one.id) ?? one),
    ...usable.filter(({ id }) => !rated.data.some((one) => one.id === id)),
  ]
  const chosen = sets.find(({ id }) => id === params.get('set')) ?? sets[0]
  if (!chosen)
    return (
      <Screen place={t('place')} parent={t('app:stops.grow')} sentence={t('sentence')}>
        <Empty>{t('noSets')}</Empty>
      </Screen>
    )
  const choose = (id: string) => setParams({ set: id }, { replace: true })
  return (
    <SetGrowth
      key={chosen.id}
      setId={chosen.id}
      title={chosen.title}
      isUsable={usable.some(({ id }) => id === chosen.id)}
      choice={sets.length > 1 ? <SetChoice sets={sets} value={chosen.id} onChoose={choose} /> : null}
    />
  )
}

interface SetChoiceProps {
  readonly sets: readonly { readonly id: string; readonly title: Localized }[]
  readonly value: string
  readonly onChoose: (id: string) => void
}

function SetChoice({ sets, value, onChoose }: SetChoiceProps) {
  const { t, i18n } = useTranslation('ratings')
  return (
    <SelectField
      label={t('set')}
      value={value}
      choices={sets.map(({ id, title }) => [id, textIn(title, i18n.language) || t('untitled')] as const)}
      onChange={onChoose}
      sx={{ minWidth: 220, maxWidth: 360 }}
    />
  )
}

interface SetGrowthProps {
  readonly setId: string
  readonly title: Localized
  /** Whether one may still rate oneself by it. */
  readonly isUsable: boolean
  /** Which set is looked at, where there are several. */
  readonly choice: ReactNode
}

function SetGrowth({ setId, title, isUsable, choice }: SetGrowthProps) {
  const { t, i18n } = useTranslation(['ratings', 'app'])
  const ratings = useQuery(ratingQueries.ofSet(setId))
  const set = useQuery({ ...attributeSetApi.queries.newest(setId), enabled: isUsable })
  const act = isUsable ? (
    <Button
      component={Link}
      to={`/entries/new?rate=${setId}`}
      variant="contained"
      color="primary"
      startIcon={<IconSeedling size={18} stroke={1.7} />}
    >
      {t('rate')}
    </Button>
  ) : null
  const name = textIn(title, i18n.language) || t('untitled')
  const frame = { place: t('place'), parent: t('app:stops.grow'), act, choice, title: name }
  const isReady = ratings.data !== undefined && (!isUsable || set.data !== undefined)
  if (isReady && ratings.data.length > 0)
    return <Growth ratings={ratings.data} set={set.data?.content ?? null} {...frame} />
  return (
    <Screen place={frame.place} parent={frame.parent} act={act} sentence={t('sentence')} lead={t('lead')}>
      {choice}
      {isReady ? <Empty>{t('empty')}</Empty> : null}
      {ratings.data ? null : <Fetched query={ratings}>{() => null}</Fetched>}
      {ratings.data && !isReady ? <Fetched query={set}>{() => null}</Fetched> : null}
    </Screen>
  )
}
