// The search as a sentence of what is asked, and nothing else: underlined words open menus, boxed ones can be removed.
import { Fragment } from 'react'
import type { ReactNode } from 'react'
import type { EvidenceCounts, EvidenceQuery } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { ClassClause } from './ClassClause.tsx'
import { KindClause } from './KindClause.tsx'
import { OrderClause } from './OrderClause.tsx'
import { RemovableClause } from './RemovableClause.tsx'
import { TagClause } from './TagClause.tsx'
import { TimeClause } from './TimeClause.tsx'
import styles from './QuerySentence.module.css'

export interface QueryClauseProps {
  readonly query: EvidenceQuery
  readonly counts: EvidenceCounts | undefined
  readonly onChange: (change: Partial<EvidenceQuery>) => void
}

export function QuerySentence(props: QueryClauseProps) {
  const { t } = useTranslation('evidence')
  const { query, onChange } = props
  const clauses: Readonly<Record<string, ReactNode>> = {
    kind: <KindClause {...props} />,
    words:
      query.words === '' ? null : (
        <>
          {` ${t('query.withWords')} `}
          <RemovableClause
            label={t('query.takeWordsOff', { words: query.words })}
            onRemove={() => onChange({ words: '' })}
          >
            “{query.words}”
          </RemovableClause>
        </>
      ),
    tags: <TagClause {...props} />,
    class: <ClassClause {...props} />,
    time: <TimeClause {...props} />,
    order: <OrderClause {...props} />,
  }
  // A comma stays with the word before it, wherever the line breaks.
  const pieces = t('query.sentence').split(/(<\w+\/>,?)/)
  return (
    <span className={styles.sentence}>
      {pieces.map((piece, n) => {
        const [, name, comma] = /^<(\w+)\/>(,?)$/.exec(piece) ?? []
        if (name === undefined) return <Fragment key={n}>{piece}</Fragment>
        if (comma === '') return <Fragment key={n}>{clauses[name]}</Fragment>
        return (
          <span key={n} className={styles.joined}>
            {clauses[name]},
          </span>
        )
      })}
    </span>
  )
}
