// The pages of a collection in the order in which they are read, each a link.
import type { OutlineLine } from '@valise/core/collections'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import styles from './ReadingList.module.css'

interface ReadingListProps {
  /** The collection that is read. */
  readonly id: string
  readonly lines: readonly OutlineLine[]
  /** The page that is open. */
  readonly current: string | null
  readonly onGo?: () => void
}

export function ReadingList({ id, lines, current, onGo }: ReadingListProps) {
  const { t } = useTranslation('app')
  return (
    <ol className={styles.list}>
      {lines.map((line) => (
        <li key={`${line.kind} ${line.id}`} data-kind={line.kind} data-depth={Math.min(line.depth, 4)}>
          {line.kind === 'page' ? (
            <Link
              to={`/pages/${line.id}?in=${id}`}
              aria-current={line.id === current ? 'page' : undefined}
              {...(onGo && { onClick: onGo })}
            >
              {line.title || t('states.untitled')}
            </Link>
          ) : (
            <span>{line.title || t('states.untitled')}</span>
          )}
        </li>
      ))}
    </ol>
  )
}
