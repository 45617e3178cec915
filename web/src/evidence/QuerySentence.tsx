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
  // A comma stays with the word before it, wherever the line breaks.
  const pieces = t('query.sentence').split(/(<\w+\/>,?)/)
  return (
    <span className={styles.sentence}>
      {pieces.map((piece, n) => {
        const [, name, comma] = /^<(\w+)\/>(,?)$/.exec(piece) ?? []
        if (name === undefined) return <Fragment key={n}>{piece}</Fragment>
        if (comma === '') return <Fragment key={n}>{parts[name]}</Fragment>
        return (
          <span key={n} className={styles.joined}>
            {parts[name]},
          </span>
        )
      })}
    </span>
  )
}
