// The ratings of one set over time, as somebody looks at them: all attributes or one, and one rating closely.
import type { AttributeSetContent } from '@valise/core/attributes'
import { textIn } from '@valise/core/people'
import type { Localized } from '@valise/core/people'
import { byDay, changeOf, greatestChange, growthOf, scaleOf } from '@valise/core/ratings'
import type { GrowthChange, GrowthLine, Rating } from '@valise/core/ratings'
import { useMemo, useState } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { DataTable } from '../ui/DataTable.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { AttributeToggles } from './AttributeToggles.tsx'
import { CloserLook } from './CloserLook.tsx'
import { GrowthPlot } from './GrowthPlot.tsx'
import { useStepWords } from './useStepWords.ts'
import styles from './Ratings.module.css'

interface GrowthProps {
  readonly ratings: readonly Rating[]
  /** The set as it is now; null for one that one may no longer use. */
  readonly set: AttributeSetContent | null
  readonly place: string
  readonly parent: string
  readonly title: string
  readonly act: ReactNode
  readonly choice: ReactNode
}

export function Growth({ ratings, set, place, parent, title, act, choice }: GrowthProps) {
  const { t } = useTranslation('ratings')
  const lines = useMemo(() => growthOf(ratings, set), [ratings, set])
  const scale = useMemo(() => scaleOf(ratings, set), [ratings, set])
  const [onlyId, setOnlyId] = useState<string | null>(null)
  const shown = lines.filter(({ attributeId }) => onlyId === null || attributeId === onlyId)
  const newestFirst = shown
    .flatMap((line) => line.points.map(({ rating }) => rating))
    .sort(byDay)
    .reverse()
  const [lookedAtId, setLookedAtId] = useState<string | null>(null)
  const lookedAt = newestFirst.find(({ id }) => id === lookedAtId) ?? newestFirst[0] ?? null
  const sentence = useSentence(lines, shown)
  const hasFormer = lines.some(({ points }) => points.some(({ isFormer }) => isFormer))
  return (
    <Screen
      place={place}
      parent={parent}
      title={title}
      sentence={sentence}
      lead={t('lead')}
      act={act}
      panel={lookedAt ? <CloserLook rating={lookedAt} isWanted={lookedAt.id === lookedAtId} /> : null}
      panelLabel={t('open')}
    >
      <div className={styles.choices}>
        {choice}
        <AttributeToggles lines={lines} value={onlyId} onChange={setOnlyId} />
      </div>
      <Plot lines={lines} onlyId={onlyId} scale={scale} onChoose={setLookedAtId} />
      {hasFormer ? <p className={styles.former}>{t('former')}</p> : null}
      <h2 className={styles.tableHead}>{t('table')}</h2>
      <RatingsTable ratings={newestFirst} onLook={setLookedAtId} />
    </Screen>
  )
}

interface PlotProps {
  readonly lines: readonly GrowthLine[]
  /** The only attribute that is looked at; null for all. */
  readonly onlyId: string | null
  /** The names of the steps. */
  readonly scale: readonly Localized[]
  readonly onChoose: (ratingId: string) => void
}

function Plot({ lines, onlyId, scale, onChoose }: PlotProps) {
  const { i18n } = useTranslation()
  const when = useWhen()
  const toStep = useStepWords()
  // Drawn anew only where something changed: the library does not do so by itself.
  const wish = useMemo(() => {
    const plotted = lines.map((line, n) => ({ line, n, name: textIn(line.name, i18n.language) }))
    const all = lines.flatMap(({ points }) => points)
    return {
      lines: plotted.filter(({ line }) => onlyId === null || line.attributeId === onlyId),
      count: lines.length,
      steps: scale.map((label, n) => textIn(label, i18n.language) || String(n + 1)),
      dayInWords: when.localDay,
      tellOf: (id: string) => {
        const rating = all.find((point) => point.rating.id === id)?.rating
        return rating
          ? `${textIn(rating.name, i18n.language)}, ${when.localDay(rating.day)}: ${toStep(rating.step)}`
          : ''
      },
      onChoose,
    }
  }, [lines, onlyId, scale, i18n.language, when, toStep, onChoose])
  return <GrowthPlot wish={wish} />
}

interface RatingsTableProps {
  readonly ratings: readonly Rating[]
  readonly onLook: (ratingId: string) => void
}

function RatingsTable({ ratings, onLook }: RatingsTableProps) {
  const { t, i18n } = useTranslation('ratings')
  const when = useWhen()
  const toStep = useStepWords()
  const nameOf = ({ name }: Rating) => textIn(name, i18n.language)
  return (
    <DataTable
      label={t('table')}
      rows={ratings}
      keyOf={({ id }) => id}
      columns={[
        { key: 'day', head: t('day'), width: '15%', cell: ({ day }) => when.localDay(day) },
        {
          key: 'attribute',
          head: t('attribute'),
          width: '24%',
          cell: (rating) => (
            <button
              type="button"
              className={styles.look}
              aria-label={t('openOf', { name: nameOf(rating), day: when.localDay(rating.day) })}
              onClick={() => onLook(rating.id)}
            >
              {nameOf(rating)}
            </button>
          ),
        },
        { key: 'step', head: t('step'), width: '24%', cell: ({ step }) => toStep(step) },
        {
          key: 'reason',
          head: t('reason'),
          cell: ({ reason, evidenceIds }) => (
            <>
              {reason || t('noReason')}
              {evidenceIds.length > 0 ? (
                <small className={styles.things}>{t('things', { count: evidenceIds.length })}</small>
              ) : null}
            </>
          ),
        },
      ]}
    />
  )
}

/** What the ratings tell in one sentence: of the attribute that is looked at, or the greatest change of all. */
function useSentence(lines: readonly GrowthLine[], shown: readonly GrowthLine[]): string {
  const { t, i18n } = useTranslation('ratings')
  const when = useWhen()
  const [only] = shown.length === 1 ? shown : []
  const change: GrowthChange | null = only ? changeOf(only) : greatestChange(lines)
  if (!change) {
    const count = shown.reduce((sum, { points }) => sum + points.length, 0)
    return t('once', { count })
  }
  const told = { name: textIn(change.line.name, i18n.language), day: when.localDay(change.since) }
  if (change.steps === 0) return t('same', told)
  return t(change.steps > 0 ? 'up' : 'down', { ...told, count: Math.abs(change.steps) })
}
