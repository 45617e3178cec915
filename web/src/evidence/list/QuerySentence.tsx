// The search as a sentence of what is asked, and nothing else: underlined words open menus, boxed ones can be removed.
import type { ComponentType } from 'react'
import type { EvidenceCounts, EvidenceQuery } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useRefocus } from '../../ui/useRefocus.ts'
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

/** A clause of the sentence, with the punctuation that stays with it wherever the line breaks. */
export interface ClauseProps extends QueryClauseProps {
  readonly end: string
}

export function QuerySentence(props: QueryClauseProps) {
  const { t } = useTranslation('evidence')
  const { query } = props
  const clauses: readonly (readonly [isThere: boolean, Clause: ComponentType<ClauseProps>])[] = [
    [true, KindClause],
    [query.words !== '', WordsClause],
    [query.tags.length > 0, TagClause],
    [query.classId !== null, ClassClause],
    [query.from !== null || query.until !== null, TimeClause],
  ]
  const present = clauses.filter(([isThere]) => isThere)
  // A clause that is removed takes the focused button with it.
  const sentence = useRefocus<HTMLSpanElement>(`${present.length} ${query.tags.length}`)
  const [start = '', comma = ''] = t('query.sentence').split(/<clauses\/>|<order\/>/)
  return (
    <span ref={sentence} tabIndex={-1} className={styles.sentence}>
      {start}
      {present.map(([, Clause], n) => (
        <Clause key={n} {...props} end={n === present.length - 1 ? comma.trimEnd() : ''} />
      ))}{' '}
      <OrderClause {...props} />
    </span>
  )
}

function WordsClause({ query: { words }, onChange, end }: ClauseProps) {
  const { t } = useTranslation('evidence')
  return (
    <>
      {` ${t('query.withWords')} `}
      <RemovableClause
        label={t('query.takeWordsOff', { words })}
        end={end}
        onRemove={() => onChange({ words: '' })}
      >
        {t('query.quoted', { words })}
      </RemovableClause>
    </>
  )
}
