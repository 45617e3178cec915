// A part of a sealed copy, as it was sealed: double-edged paper, and what changed before and since.
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import { IconReplace } from '@tabler/icons-react'
import type { SealedPart } from '@valise/core/submissions'
import { lazy, Suspense, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { PaperToRead } from '../access/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { needWords } from '../words/i18n.ts'
import { submissionQueries } from './queries.ts'
import styles from './SealedPaper.module.css'
import '@valise/core/pages/paper.css'

/** It speaks the words of pages, which the screens of submissions do without. */
const SinceDialog = lazy(async () => {
  await needWords('pages')
  return { default: (await import('./SinceDialog.tsx')).SinceDialog }
})

interface SealedPaperProps {
  readonly id: string
  readonly n: number
  readonly isMine: boolean
}

export function SealedPaper({ id, n, isMine }: SealedPaperProps) {
  const part = useQuery(submissionQueries.part(id, n))
  return <Fetched query={part}>{(sealed) => <Paper part={sealed} isMine={isMine} />}</Fetched>
}

function Paper({ part, isMine }: { readonly part: SealedPart; readonly isMine: boolean }) {
  const { t } = useTranslation('submissions')
  const [open, setOpen] = useState<'before' | 'since' | null>(null)
  const before = part.fromPrevious ?? []
  return (
    <>
      <p className={styles.since}>
        {part.fromPrevious === null ? null : before.length === 0 ? (
          <span>{t('since.sameAsBefore')}</span>
        ) : (
          <span className={styles.changed}>
            <IconReplace size={16} stroke={1.7} aria-hidden="true" />
            <Link component="button" type="button" onClick={() => setOpen('before')}>
              {t('since.fromPrevious', { count: before.length })}
            </Link>
          </span>
        )}
        {part.since === 'changed' ? (
          <Link component="button" type="button" onClick={() => setOpen('since')}>
            {t(isMine ? 'since.changedMine' : 'since.changed', { count: part.changes.length })}
          </Link>
        ) : (
          <span>{t(isMine ? `since.mine.${part.since}` : `since.theirs.${part.since}`)}</span>
        )}
      </p>
      <div className={styles.paper}>
        {/* These are the bytes that were sealed. */}
        <PaperToRead html={withMarks(part)} />
      </div>
      {open === null ? null : (
        <Suspense fallback={null}>
          <SinceDialog
            title={t(open === 'before' ? 'since.titleBefore' : 'since.titleSince')}
            changes={open === 'before' ? before : part.changes}
            onClose={() => setOpen(null)}
          />
        </Suspense>
      )}
    </>
  )
}

/** Marks the pieces that are new or other than in the hand-in before. */
function withMarks({ html, fromPrevious }: SealedPart): string {
  const ids = (fromPrevious ?? []).flatMap((change) =>
    'pieceId' in change && change.what !== 'removed' ? [change.pieceId] : [],
  )
  return ids.reduce((text, id) => text.replace(`id="piece-${id}"`, `id="piece-${id}" data-changed`), html)
}
