// Which kinds of things: any, or some of them, each with how many there are.
import Checkbox from '@mui/material/Checkbox'
import { evidenceKinds } from '@valise/core/evidence'
import type { EvidenceKind } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useListWords } from '../../ui/useListWords.ts'
import { QueryMenu } from './QueryMenu.tsx'
import type { ClauseProps } from './QuerySentence.tsx'
import styles from './QuerySentence.module.css'

export function KindClause({ query, counts, onChange, end }: ClauseProps) {
  const { t } = useTranslation('evidence')
  const list = useListWords()
  const { kinds } = query
  const named = kinds.map((kind) => t(`kindsOf.${kind}`))
  return (
    <span className={styles.joined}>
      <QueryMenu words={kinds.length === 0 ? t('query.anyKind') : list.any(named)} label={t('query.kind')}>
        {() => (
          <KindChoices kinds={kinds} counts={counts?.kinds} onChange={(next) => onChange({ kinds: next })} />
        )}
      </QueryMenu>
      {end}
    </span>
  )
}

interface KindChoicesProps {
  readonly kinds: readonly EvidenceKind[]
  readonly counts: readonly { readonly kind: EvidenceKind; readonly count: number }[] | undefined
  readonly onChange: (kinds: EvidenceKind[]) => void
}

/** Checkboxes for all kinds, also those with no items. */
export function KindChoices({ kinds, counts, onChange }: KindChoicesProps) {
  const { t } = useTranslation('things')
  const countOf = (kind: EvidenceKind) => counts?.find((one) => one.kind === kind)?.count ?? 0
  return (
    <ul className={styles.choices}>
      {evidenceKinds.map((kind) => (
        <li key={kind}>
          <label>
            <Checkbox
              size="small"
              checked={kinds.includes(kind)}
              onChange={(_event, isOn) =>
                onChange(evidenceKinds.filter((one) => (one === kind ? isOn : kinds.includes(one))))
              }
            />
            {t(`kinds.${kind}`)}
            {counts ? <span className={styles.count}>{countOf(kind)}</span> : null}
          </label>
        </li>
      ))}
    </ul>
  )
}
