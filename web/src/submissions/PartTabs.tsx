// The parts of a sealed copy, one of them open.
import type { SealedPartRow } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import styles from './PartTabs.module.css'

interface PartTabsProps {
  readonly parts: readonly SealedPartRow[]
  readonly open: number
  readonly onOpen: (n: number) => void
}

export function PartTabs({ parts, open, onOpen }: PartTabsProps) {
  const { t } = useTranslation('submissions')
  if (parts.length < 2) return null
  return (
    <nav className={styles.tabs} aria-label={t('parts.title')}>
      {parts.map(({ n, title }) => (
        <button
          key={n}
          type="button"
          aria-current={n === open ? 'true' : undefined}
          onClick={() => onOpen(n)}
        >
          {title || t('untitled')}
        </button>
      ))}
    </nav>
  )
}
