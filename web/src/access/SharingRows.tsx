// Things as rows: what it is, whether whoever looks can see it, and its passes with their times.
import { IconEye, IconEyeOff, IconNeedleThread } from '@tabler/icons-react'
import type { Pass, Sharing, SharingRow, ThingAnswer } from '@valise/core/access'
import { isDraft } from '@valise/core/collections'
import { useTranslation } from 'react-i18next'
import { uiByKind, useThingWords } from '../things/index.ts'
import { useWhen } from '../ui/useWhen.ts'
import { nestByDepth } from '../ui/nestByDepth.ts'
import type { Nested } from '../ui/nestByDepth.ts'
import { PassLines } from './PassLines.tsx'
import { useAccessWords } from './useAccessWords.ts'
import styles from './Sharing.module.css'

interface RowActs {
  readonly sharing: Sharing
  readonly answers: readonly ThingAnswer[]
  /** Who looks. */
  readonly name: string
  readonly chosen: { readonly id: string } | null
  readonly onChoose: (id: string) => void
  readonly onManage: (pass: Pass) => void
}

interface SharingRowsProps extends RowActs {
  readonly groups: readonly SharingRow[][]
  readonly label: string
  /** Whether the rows stand behind their label, to be opened. */
  readonly isFolded?: boolean
}

export function SharingRows({ groups, label, isFolded, ...acts }: SharingRowsProps) {
  const { t } = useTranslation('access')
  if (groups.length === 0) return null
  const list = (
    <ul className={styles.rows} aria-label={label}>
      <Rows nested={nestByDepth(groups.flat(), ({ depth }) => depth)} {...acts} />
    </ul>
  )
  if (isFolded === undefined)
    return (
      <>
        <h2 className="only-heard">{label}</h2>
        <div className={styles.heads} aria-hidden="true">
          <span>{t('sharing.heads.thing')}</span>
          <span>{acts.name}</span>
          <span>{t('sharing.heads.passes')}</span>
        </div>
        {list}
      </>
    )
  return (
    <details className={styles.alone} open={!isFolded}>
      <summary>{label}</summary>
      {list}
    </details>
  )
}

/** What lies in a collection is a list within its row. */
function Rows({ nested, ...acts }: RowActs & { readonly nested: readonly Nested<SharingRow>[] }) {
  const words = useAccessWords()
  return nested.map(({ item: row, within }) => (
    <li key={`${row.containerId ?? ''} ${row.thing.id}`}>
      <Row row={row} {...acts} />
      {within.length > 0 ? (
        <ul className={styles.rows} aria-label={words.title(row.thing)}>
          <Rows nested={within} {...acts} />
        </ul>
      ) : null}
    </li>
  ))
}

function Row({
  row,
  sharing,
  answers,
  name,
  chosen,
  onChoose,
  onManage,
}: RowActs & { readonly row: SharingRow }) {
  const { t } = useTranslation('access')
  const words = useAccessWords()
  const { thing, depth, isHidden } = row
  const isChosen = chosen?.id === thing.id
  const answer = answers.find(({ thingId }) => thingId === thing.id)
  const ThingIcon = isHidden ? IconEyeOff : isDraft(thing) ? IconNeedleThread : uiByKind[thing.kind].icon
  const title = words.title(thing)
  return (
    <div className={styles.row} data-depth={Math.min(depth, 3)} data-chosen={isChosen}>
      <div className={styles.thing}>
        <ThingIcon size={18} stroke={1.7} aria-hidden="true" />
        <div>
          <button
            type="button"
            data-print="on"
            aria-pressed={isChosen}
            title={t('sharing.choose', { title })}
            onClick={() => onChoose(thing.id)}
          >
            {title}
          </button>
          <small>
            <ThingState row={row} />
          </small>
        </div>
      </div>
      <p className={styles.answer} data-allowed={answer?.allowed}>
        {answer ? (
          <>
            {answer.allowed ? (
              <IconEye size={15} stroke={1.9} aria-hidden="true" />
            ) : (
              <IconEyeOff size={15} stroke={1.9} aria-hidden="true" />
            )}
            <span className="only-heard">{name} </span>
            {t(answer.allowed ? 'sharing.looks' : 'sharing.cannot')}
          </>
        ) : null}
      </p>
      <PassLines row={row} sharing={sharing} onManage={onManage} />
    </div>
  )
}

function ThingState({ row: { thing } }: { readonly row: SharingRow }) {
  const { t } = useTranslation('access')
  const when = useWhen()
  const words = useThingWords()
  if (isDraft(thing)) return t('sharing.draft')
  if (thing.publishedAt === null) return words.of(thing.kind).name
  const date = when.date(thing.publishedAt)
  return t(thing.isNewer ? 'sharing.newer' : 'sharing.published', { date })
}
