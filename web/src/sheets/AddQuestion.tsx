// Adding a question: what sort of answer is wanted?
import type { Icon } from '@tabler/icons-react'
import type { FieldKind } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { fieldUiOf } from './fields/uiByKind.ts'
import styles from './Sheets.module.css'

interface AddQuestionProps {
  /** Those that are offered. */
  readonly kinds: readonly FieldKind[]
  readonly onAdd: (kind: FieldKind) => void
  /** What else may be added, before them. */
  readonly before?: {
    readonly icon: Icon
    readonly name: string
    readonly hint: string
    readonly onAdd: () => void
  }
}

export function AddQuestion({ kinds, onAdd, before }: AddQuestionProps) {
  const { t } = useTranslation('sheets')
  return (
    <section className={styles.add}>
      <h2>{t('build.add')}</h2>
      <StitchedBox>
        <ul>
          {before ? (
            <li>
              <button type="button" onClick={before.onAdd}>
                <before.icon size={18} stroke={1.7} aria-hidden="true" />
                <span>
                  {before.name}
                  <small>{before.hint}</small>
                </span>
              </button>
            </li>
          ) : null}
          {kinds.map((kind) => {
            const KindIcon = fieldUiOf({ kind }).icon
            return (
              <li key={kind}>
                <button type="button" onClick={() => onAdd(kind)}>
                  <KindIcon size={18} stroke={1.7} aria-hidden="true" />
                  <span>
                    {t(`kinds.${kind}`)}
                    <small>{t(`kindHints.${kind}`)}</small>
                  </span>
                </button>
              </li>
            )
          })}
        </ul>
      </StitchedBox>
    </section>
  )
}
