// Which copy of a page is sealed, and the other way wherever there is one.
import Link from '@mui/material/Link'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { useWhen } from '../../ui/useWhen.ts'
import { usePublishPart } from '../acts.ts'
import styles from '../Submit.module.css'
import type { AboutPartProps } from './PartUi.ts'

export function PageCopy({ part, assignmentId, onCopy }: AboutPartProps) {
  const { t } = useTranslation('submissions')
  const when = useWhen()
  const publish = usePublishPart(assignmentId)
  const { id, draftRevision, publishedAt, changes, copy } = part
  const onPublish = () =>
    publish.mutate({ id, revision: draftRevision ?? 0 }, { onSuccess: () => onCopy('published') })
  const verbs = (words: string) => (
    <>
      <Link component="button" type="button" disabled={publish.isPending} onClick={onPublish}>
        {words}
      </Link>{' '}
      {copy === 'draft' ? null : (
        <>
          <span data-print="off">{t('parts.or')}</span>{' '}
          <Link component="button" type="button" onClick={() => onCopy('draft')}>
            {t('parts.sealDraft')}
          </Link>
        </>
      )}
      <Refusal error={publish.error} />
    </>
  )
  const pieces = t('parts.pieces', { count: part.pieces })
  if (part.pieces === 0 && (copy === 'draft' || publishedAt !== null)) return <p>{t('parts.emptyPage')}</p>
  if (publishedAt === null)
    return (
      <>
        <p>{copy === 'draft' ? t('parts.draftNever', { pieces }) : t('parts.never')}</p>
        <div className={styles.copy}>{verbs(t('parts.publish'))}</div>
      </>
    )
  const date = when.date(publishedAt)
  if (changes === 0 && copy === 'published') return <p>{t('parts.same', { date, pieces })}</p>
  return (
    <>
      <p>{t('parts.page', { pieces })}</p>
      <div className={styles.copy}>
        <b>{copy === 'draft' ? t('parts.draftSealed') : t('parts.publishedSealed', { date })}</b>{' '}
        {copy === 'draft' ? (
          <>
            {t('parts.draftNewer', { count: changes, date })}{' '}
            <Link component="button" type="button" onClick={() => onCopy('published')}>
              {t('parts.sealPublished')}
            </Link>
            {changes > 0 ? (
              <>
                {' '}
                <span data-print="off">{t('parts.or')}</span> {verbs(t('parts.publishFirst'))}
              </>
            ) : null}
          </>
        ) : (
          <>
            {t('parts.newer', { count: changes })} {verbs(t('parts.publishFirst'))}
          </>
        )}
      </div>
    </>
  )
}
