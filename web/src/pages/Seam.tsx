// The seam between what others see and what only the author sees, with one tick for each change.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconEye, IconPencil } from '@tabler/icons-react'
import { differencePages } from '@valise/core/pages'
import { useDeferredValue, useId, useMemo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useSeers } from '../access/index.ts'
import { useRefocus } from '../ui/useRefocus.ts'
import { useWhen } from '../ui/useWhen.ts'
import { ChangesDialog } from './ChangesDialog.tsx'
import { usePage } from './usePageEditor.ts'
import styles from './Seam.module.css'

const MOST_TICKS = 14

interface SeamProps {
  readonly isPreviewing: boolean
  readonly onPreview: () => void
}

export function Seam({ isPreviewing, onPreview }: SeamProps) {
  const { t } = useTranslation('pages')
  const when = useWhen()
  const { page, draft, shown } = usePage()
  const [isOpen, setIsOpen] = useState(false)
  const stateId = useId()
  // Typing goes first; the ticks follow.
  const document = useDeferredValue(draft.document)
  const changes = useMemo(
    () => differencePages(page.published, { document, shown }),
    [page.published, document, shown],
  )
  const count = changes.length
  const isEmpty = draft.document.rows.every(({ pieces }) => pieces.length === 0)
  const published = page.published
  const canPublish = !isEmpty && (count > 0 || published === null)
  // What was published has no button any more, at once or when the answer is here: where it stands now is read instead.
  const seam = useRefocus<HTMLElement>(`${isOpen} ${canPublish}`)
  return (
    <section
      ref={seam}
      tabIndex={-1}
      data-print="off"
      className={styles.seam}
      aria-label={t('seam.label')}
      data-published={published !== null}
    >
      <div className={styles.line} aria-hidden="true">
        {published ? <span className={styles.solid} /> : null}
        <span className={styles.knot} />
        <span className={styles.stitched}>
          {changes.slice(0, MOST_TICKS).map((change, n) => (
            <i
              key={`${n}-${change.what}`}
              style={{ left: `${((n + 0.7) / Math.min(count, MOST_TICKS)) * 94}%` }}
            />
          ))}
        </span>
      </div>
      <div className={styles.words}>
        <p>
          <b>{published ? t('seam.published', { time: when.dayTime(published.at) }) : t('seam.never')}</b>
          <small>{published ? <SeenBy id={page.id} /> : t('seam.neverHint')}</small>
        </p>
        <p id={stateId} className={styles.draft}>
          <b>
            {isEmpty && !published
              ? t('seam.empty')
              : count === 0 && published
                ? t('seam.same')
                : published
                  ? t('seam.draft', { count })
                  : t('seam.draftNew')}
          </b>{' '}
          {count > 0 && published ? (
            <Link component="button" type="button" onClick={() => setIsOpen(true)}>
              {t('seam.difference')}
            </Link>
          ) : null}
          <small>{t('seam.onlyYou')}</small>
        </p>
      </div>
      <div className={styles.acts}>
        <Button
          startIcon={
            isPreviewing ? <IconPencil size={18} stroke={1.7} /> : <IconEye size={18} stroke={1.7} />
          }
          onClick={onPreview}
        >
          {isPreviewing ? t('seam.edit') : t('seam.preview')}
        </Button>
        <Button
          variant="contained"
          color="primary"
          disabled={!canPublish}
          aria-describedby={stateId}
          onClick={() => setIsOpen(true)}
        >
          {published && count > 0 ? t('seam.publishChanges', { count }) : t('seam.publish')}
        </Button>
      </div>
      {isOpen ? <ChangesDialog changes={changes} onClose={() => setIsOpen(false)} /> : null}
    </section>
  )
}

function SeenBy({ id }: { readonly id: string }) {
  const { t } = useTranslation('pages')
  const seers = useSeers(id)
  return (
    <Link component={RouterLink} to={`/sharing?thing=${id}`} title={t('seam.share')}>
      {seers.isSeen ? t('seam.seenByThem', { seers: seers.words }) : t('seam.seenBy')}
    </Link>
  )
}
