// A text in another language than its page.
import { IconLanguage } from '@tabler/icons-react'
import type { PieceOf } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { useLanguageChoices } from '../../../text/index.ts'
import { usePageActs } from '../../usePageEditor.ts'
import styles from '../../PieceBar.module.css'

export function TextLanguage({ piece }: { readonly piece: PieceOf<'text'> }) {
  const { t } = useTranslation('pages')
  const { setPiece } = usePageActs()
  const choices = useLanguageChoices()
  return (
    <label className={styles.span}>
      <IconLanguage size={15} stroke={1.7} aria-hidden="true" />
      <span className="only-heard">{t('bar.language')}</span>
      <select
        value={piece.lang ?? ''}
        onChange={(event) =>
          setPiece({ ...piece, lang: choices.find(([lang]) => lang === event.target.value)?.[0] ?? null })
        }
      >
        <option value="">{t('bar.languageOfPage')}</option>
        {choices.map(([lang, name]) => (
          <option key={lang} value={lang}>
            {name}
          </option>
        ))}
      </select>
    </label>
  )
}
