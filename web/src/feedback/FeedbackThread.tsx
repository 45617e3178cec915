// What was said on something, the oldest first: each with who reads it.
import { IconLock, IconMessageReply, IconUsers } from '@tabler/icons-react'
import type { Feedback } from '@valise/core/feedback'
import { useTranslation } from 'react-i18next'
import { Avatar } from '../ui/Avatar.tsx'
import { useWhen } from '../ui/useWhen.ts'
import styles from './FeedbackThread.module.css'

interface FeedbackThreadProps {
  readonly items: readonly Feedback[]
  /** What a part is called. */
  readonly nameOfPart: (n: number) => string
  readonly empty?: string
  /** Whose work it is about; left out where the reader is that student. */
  readonly studentName?: string
}

export function FeedbackThread({ items, nameOfPart, empty, studentName }: FeedbackThreadProps) {
  const { t } = useTranslation(['submissions', 'work'])
  const when = useWhen()
  if (items.length === 0) return empty === undefined ? null : <p className={styles.empty}>{empty}</p>
  return (
    <ol className={styles.thread}>
      {items.map((item) => (
        <li key={item.id}>
          <Avatar name={item.authorName} kind="staff" />
          <div>
            <p className={styles.who}>
              <b>{item.isMine ? t('feedback.you') : item.authorName}</b>
              {item.part === null ? null : <span>{t('feedback.on', { part: nameOfPart(item.part) })}</span>}
              <small>
                {when.dayTime(item.at)}
                {item.isOpen ? (
                  <IconUsers size={14} stroke={1.7} aria-hidden="true" />
                ) : (
                  <IconLock size={14} stroke={1.7} aria-hidden="true" />
                )}
                {item.isOpen
                  ? t('feedback.open')
                  : studentName === undefined
                    ? t('feedback.private')
                    : t('feedback.privateTo', { name: studentName })}
              </small>
            </p>
            <p className={styles.text}>{item.text}</p>
            {item.isRequest ? (
              <p className={styles.request}>
                <IconMessageReply size={15} stroke={1.7} aria-hidden="true" />
                {t('work:states.changes-asked')}
              </p>
            ) : null}
          </div>
        </li>
      ))}
    </ol>
  )
}
