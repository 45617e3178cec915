// The pages of a collection in the order in which they are read: lists under their headings, lists in lists.
import type { OutlineLine } from '@valise/core/collections'
import { screenOf, thingDefinitionOf } from '@valise/core/things'
import type { SharedKind } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { nestByDepth } from '../ui/nestByDepth.ts'
import type { Nested } from '../ui/nestByDepth.ts'
import styles from './ReadingList.module.css'

interface ReadingListProps {
  /** The collection that is read. */
  readonly id: string
  readonly lines: readonly OutlineLine[]
  /** The page that is open. */
  readonly current: string | null
  /** The level of the headings in it: one below what stands above the list. */
  readonly level?: 2 | 3
  readonly onGo?: () => void
}

export function ReadingList({ lines, level = 2, ...acts }: ReadingListProps) {
  // Pages stand under the heading before them, as far as the collection goes that both lie in.
  const isUnder = new Map<OutlineLine, boolean>()
  const headed = new Set<number>()
  for (const line of lines) {
    for (const depth of headed) if (depth > line.depth) headed.delete(depth)
    if (line.kind === 'divider') headed.add(line.depth)
    else isUnder.set(line, headed.has(line.depth))
  }
  const depthOf = (line: OutlineLine) => line.depth * 2 + (isUnder.get(line) ? 1 : 0)
  return <Lines nested={nestByDepth(lines, depthOf)} level={level} {...acts} />
}

interface LinesProps extends Pick<ReadingListProps, 'id' | 'current' | 'onGo'> {
  readonly nested: readonly Nested<OutlineLine>[]
  readonly level: number
}

function Lines({ nested, level, ...acts }: LinesProps) {
  const { t } = useTranslation('app')
  const { id, current, onGo } = acts
  return (
    <ol className={styles.list}>
      {nested.map(({ item: line, within }) => {
        const title = line.title || t('states.untitled')
        return (
          <li key={`${line.kind} ${line.id}`} data-kind={line.kind}>
            {isRead(line) ? (
              <Link
                to={`${screenOf(line.kind, line.id)}?in=${id}`}
                aria-current={line.id === current ? 'page' : undefined}
                {...(onGo && { onClick: onGo })}
              >
                {title}
              </Link>
            ) : (
              <div className={styles.heading} role="heading" aria-level={level}>
                {title}
              </div>
            )}
            {within.length > 0 ? (
              <Lines nested={within} level={isRead(line) ? level : level + 1} {...acts} />
            ) : null}
          </li>
        )
      })}
    </ol>
  )
}

type Read = OutlineLine & { readonly kind: SharedKind }

/** Whether a line is something to read, and not a heading or a collection of such things. */
function isRead(line: OutlineLine): line is Read {
  return line.kind !== 'divider' && !thingDefinitionOf(line.kind).isContainer
}
