// One chosen part: whether it goes in, which copy of it is sealed, and what can be done where something newer exists.
import Checkbox from '@mui/material/Checkbox'
import Link from '@mui/material/Link'
import { IconFileText, IconNeedleThread, IconPencil, IconPhoto, IconX } from '@tabler/icons-react'
import type { ChosenPart, ListedPart, PartCopy } from '@valise/core/submissions'
import { useId } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { usePublishPart } from './queries.ts'
import styles from './Submit.module.css'

interface PartRowProps {
  readonly part: ListedPart
  readonly assignmentId: string
  readonly onChange: (change: (parts: readonly ChosenPart[]) => readonly ChosenPart[]) => void
}

const rooms = { page: 'pages', entry: 'entries', evidence: 'evidence' } as const

export function PartRow({ part, assignmentId, onChange }: PartRowProps) {
  const { t } = useTranslation('submissions')
  const title = part.title || t('untitled')
  const isDraft = part.kind === 'page' && (part.copy === 'draft' || part.publishedAt === null)
  const PartIcon =
    part.kind === 'evidence'
      ? IconPhoto
      : part.kind === 'entry'
        ? IconPencil
        : isDraft
          ? IconNeedleThread
          : IconFileText
  const aboutId = useId()
  // A page that was never published, an empty one, one in the bin: the line says why.
  const canGo = part.pieces > 0
  const change = (changed: Partial<ChosenPart>) =>
    onChange((parts) => parts.map((one) => (one.id === part.id ? { ...one, ...changed } : one)))
  return (
    <li className={styles.part}>
      <Checkbox
        size="small"
        checked={part.isIn && canGo}
        disabled={!canGo}
        slotProps={{
          input: {
            'aria-label': t('parts.include', { title }),
            ...(canGo ? {} : { 'aria-describedby': aboutId }),
          },
        }}
        onChange={() => change({ isIn: !part.isIn })}
      />
      <PartIcon size={18} stroke={1.7} aria-hidden="true" />
      <div id={aboutId}>
        <p className={styles.name}>
          <Link
            component={RouterLink}
            to={`/${rooms[part.kind]}/${part.id}`}
            color="inherit"
            underline="hover"
          >
            {title}
          </Link>
        </p>
        {part.isBinned ? (
          <p className={styles.care}>{t('parts.binned')}</p>
        ) : part.kind === 'page' ? (
          <PageCopy part={part} assignmentId={assignmentId} onCopy={(copy) => change({ copy, isIn: true })} />
        ) : (
          <p>{t(part.kind === 'entry' ? 'parts.entry' : 'parts.evidence')}</p>
        )}
      </div>
      <button
        type="button"
        className={styles.takeOut}
        aria-label={t('parts.takeOut', { title })}
        onClick={() => onChange((parts) => parts.filter(({ id }) => id !== part.id))}
      >
        <IconX size={16} stroke={1.7} aria-hidden="true" />
      </button>
    </li>
  )
}

interface PageCopyProps {
  readonly part: ListedPart
  readonly assignmentId: string
  readonly onCopy: (copy: PartCopy) => void
}

/** Says which copy is sealed, and offers the other way wherever there is one. */
function PageCopy({ part, assignmentId, onCopy }: PageCopyProps) {
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
