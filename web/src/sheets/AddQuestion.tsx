// Adding a question: what sort of answer is wanted?
import { fieldKinds } from '@valise/core/pages'
import type { FieldKind } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { fieldUiOf } from './fields/uiByKind.ts'
import styles from './Sheets.module.css'

export function AddQuestion({ onAdd }: { readonly onAdd: (kind: FieldKind) => void }) {
  const { t } = useTranslation('sheets')
  return (
    <section className={styles.add}>
      <h2>{t('build.add')}</h2>
      <StitchedBox>
        <ul>
          {fieldKinds.map((kind) => {
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
