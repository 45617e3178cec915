// What was said of a copy, where it was said: by whom, and when.
import type { FeedbackOnCopy } from '@valise/core/guides'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../ui/useWhen.ts'
import styles from './Guides.module.css'

export function FeedbackList({ feedback }: { readonly feedback: readonly FeedbackOnCopy[] }) {
  const { t } = useTranslation('guides')
  const when = useWhen()
  if (feedback.length === 0) return null
  return (
    <ul className={styles.feedback} aria-label={t('feedback.label')}>
      {feedback.map(({ id, text, at, authorName, isMine }) => (
        <li key={id}>
          <p>{text}</p>
          <small>
            {isMine ? t('feedback.mine') : authorName}, {when.dayTime(at)}
          </small>
        </li>
      ))}
    </ul>
  )
}
