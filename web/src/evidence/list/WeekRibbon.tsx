// When things were made, week by week, with two handles that narrow the query to a stretch of it.
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import { useRef } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../../ui/useWhen.ts'
import { localeOf } from '../../ui/localeOf.ts'
import { chosenStretch, moveEdge, weekAt } from './weekStretch.ts'
import type { Stretch, WeekCount } from './weekStretch.ts'
import styles from './WeekRibbon.module.css'

interface WeekRibbonProps {
  readonly weeks: readonly WeekCount[]
  readonly from: LocalDay | null
  readonly until: LocalDay | null
  readonly onChange: (days: { from: LocalDay | null; until: LocalDay | null }) => void
}

/** A year and a half; what is older is reached by the sentence. */
const MOST_WEEKS = 78

export function WeekRibbon({ weeks: all, from, until, onChange }: WeekRibbonProps) {
  const { t } = useTranslation('evidence')
  const weeks = all.slice(-MOST_WEEKS)
  const ribbon = useRef<HTMLDivElement>(null)
  if (weeks.length < 2) return null
  const chosen = chosenStretch(weeks, from, until)
  const most = Math.max(...weeks.map(({ count }) => count), 1)
  const choose = ({ first, last }: Stretch) => {
    const isFirst = first === 0
    const isLast = last === weeks.length - 1
    onChange({
      from: isFirst ? null : (weeks[first]?.week ?? null),
      until: isLast ? null : addDays(weeks[last]?.week ?? '', 6),
    })
  }
  const dragTo = (edge: 'first' | 'last', x: number) => {
    const box = ribbon.current?.getBoundingClientRect()
    if (box) choose(moveEdge(chosen, edge, weekAt(x - box.left, box.width, weeks.length), weeks.length))
  }
  return (
    <div className={styles.box}>
      <div ref={ribbon} className={styles.ribbon}>
        {weeks.map(({ week, count }, n) => (
          <Bar
            key={week}
            week={week}
            count={count}
            height={count / most}
            isChosen={n >= chosen.first && n <= chosen.last}
            onChoose={() => choose({ first: n, last: n })}
          />
        ))}
        {(['first', 'last'] as const).map((edge) => (
          <Handle
            key={edge}
            label={t(edge === 'first' ? 'ribbon.first' : 'ribbon.last')}
            at={chosen[edge]}
            weeks={weeks}
            edge={edge}
            onMove={(to) => choose(moveEdge(chosen, edge, to, weeks.length))}
            onDrag={(x) => dragTo(edge, x)}
          />
        ))}
      </div>
      <Months weeks={weeks} />
    </div>
  )
}

interface BarProps extends WeekCount {
  readonly height: number
  readonly isChosen: boolean
  readonly onChoose: () => void
}

/** By pointer a week can be chosen at once; by keyboard the handles do the same with fewer stops. */
function Bar({ week, count, height, isChosen, onChoose }: BarProps) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const words = t('ribbon.week', { day: when.localDay(week), count })
  return (
    <button
      type="button"
      tabIndex={-1}
      className={styles.week}
      data-chosen={isChosen}
      title={words}
      aria-label={words}
      onClick={onChoose}
    >
      <span style={{ height: `${count === 0 ? 0 : Math.max(8, height * 100)}%` }} />
    </button>
  )
}

interface HandleProps {
  readonly label: string
  readonly at: number
  readonly weeks: readonly WeekCount[]
  readonly edge: 'first' | 'last'
  readonly onMove: (to: number) => void
  readonly onDrag: (x: number) => void
}

function Handle({ label, at, weeks, edge, onMove, onDrag }: HandleProps) {
  const when = useWhen()
  const day = weeks[at]?.week ?? ''
  const steps: Readonly<Record<string, number>> = {
    ArrowLeft: at - 1,
    ArrowDown: at - 1,
    ArrowRight: at + 1,
    ArrowUp: at + 1,
    PageDown: at - 4,
    PageUp: at + 4,
    Home: 0,
    End: weeks.length - 1,
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const to = steps[event.key]
    if (to === undefined) return
    event.preventDefault()
    onMove(to)
  }
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    event.preventDefault()
    event.currentTarget.focus()
  }
  return (
    <span
      role="slider"
      tabIndex={0}
      className={styles.handle}
      style={{ left: `${((edge === 'first' ? at : at + 1) / weeks.length) * 100}%` }}
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={weeks.length - 1}
      aria-valuenow={at}
      aria-valuetext={when.localDay(edge === 'first' ? day : addDays(day, 6))}
      onKeyDown={onKeyDown}
      onPointerDown={onPointerDown}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) onDrag(event.clientX)
      }}
    />
  )
}

/** The name of a month under its first week. */
function Months({ weeks }: { readonly weeks: readonly WeekCount[] }) {
  const { i18n } = useTranslation()
  const name = new Intl.DateTimeFormat(localeOf(i18n.language), {
    month: weeks.length > 40 ? 'short' : 'long',
    timeZone: 'UTC',
  })
  const firsts = weeks
    .map(({ week }, n) => ({ week, n }))
    .filter(({ week, n }) => n === 0 || week.slice(0, 7) !== weeks[n - 1]?.week.slice(0, 7))
  return (
    <div className={styles.months} aria-hidden="true">
      {firsts.map(({ week, n }) => (
        <span key={week} style={{ left: `${(n / weeks.length) * 100}%` }}>
          {name.format(new Date(`${week}T00:00:00Z`))}
        </span>
      ))}
    </div>
  )
}
