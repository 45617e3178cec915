// On Today: what others said last about one's work, each with the way to it.
import Button from '@mui/material/Button'
import type { LatestFeedback as Said } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import Link from '@mui/material/Link'
import { StateMark, useSubmissionWords } from '../submissions/index.ts'
import { Avatar } from '../ui/Avatar.tsx'
import { useWhen } from '../ui/useWhen.ts'
import styles from './LatestFeedback.module.css'

export function LatestFeedback({ items }: { readonly items: readonly Said[] }) {
  const { t } = useTranslation('work')
  const when = useWhen()
  const words = useSubmissionWords()
  return (
    <section className={styles.latest} aria-labelledby="latest-feedback">
      <h2 id="latest-feedback">{t('feedback.latest')}</h2>
      <ol>
        {items.map((item) => (
          <li key={item.id}>
            <div className={styles.who}>
              <Avatar name={item.authorName} kind="staff" />
              <p>
                <b>{item.authorName}</b> {t('feedback.about')}{' '}
                <Link component={RouterLink} to={`/submissions/${item.submissionId}`}>
                  {words.title(item.assignment)}
                </Link>
                <small>
                  {when.dayTime(item.at)}, {t(item.isOpen ? 'feedback.openSmall' : 'feedback.privateSmall')}
                </small>
              </p>
            </div>
            <blockquote>{item.text}</blockquote>
            <p className={styles.foot}>
              {item.isRequest ? <StateMark row={{ state: 'changes-asked', openedAt: null }} /> : <span />}
              <Button
                component={RouterLink}
                to={`/submissions/${item.submissionId}`}
                size="small"
                aria-label={t('feedback.replyTo', { name: item.authorName })}
              >
                {t('feedback.reply')}
              </Button>
            </p>
          </li>
        ))}
      </ol>
    </section>
  )
}
