// The query as a sentence: its underlined words open menus, and the rest can be read.
import { Fragment } from 'react'
import type { ReactNode } from 'react'
import type { EvidenceCounts, EvidenceQuery } from '@valise/core/evidence'
import { IconX } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { ClassPart } from './ClassPart.tsx'
import { KindPart } from './KindPart.tsx'
import { OrderPart } from './OrderPart.tsx'
import { TagPart } from './TagPart.tsx'
import { TimePart } from './TimePart.tsx'
import styles from './QuerySentence.module.css'

export interface QueryPartProps {
  readonly query: EvidenceQuery
  readonly counts: EvidenceCounts | undefined
  readonly onChange: (change: Partial<EvidenceQuery>) => void
}

export function QuerySentence(props: QueryPartProps) {
  const { t } = useTranslation('evidence')
  const { query, onChange } = props
  const parts: Readonly<Record<string, ReactNode>> = {
    words:
      query.words === '' ? null : (
        <>
          {' '}
          <button
            type="button"
            className={styles.words}
            onClick={() => onChange({ words: '' })}
            aria-label={t('query.takeWordsOff', { words: query.words })}
          >
            “{query.words}”
            <IconX size={16} stroke={1.7} aria-hidden="true" />
          </button>
        </>
      ),
    tags: <TagPart {...props} />,
    kind: <KindPart {...props} />,
    time: <TimePart {...props} />,
    class: <ClassPart {...props} />,
    order: <OrderPart {...props} />,
  }
  return (
    <span className={styles.sentence}>
      {t('query.sentence')
        .split(/(<\w+\/>)/)
        .map((piece, n) => (
          <Fragment key={n}>{parts[/^<(\w+)\/>$/.exec(piece)?.[1] ?? ''] ?? withoutMarks(piece)}</Fragment>
        ))}
    </span>
  )
}

/** A part that says nothing now leaves its mark behind, which nobody should read. */
function withoutMarks(piece: string): string {
  return /^<\w+\/>$/.test(piece) ? '' : piece
}
