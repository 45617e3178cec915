// How many words are asked for.
import { MOST_ANSWER_WORDS } from '@valise/core/pages'
import type { WordLimits } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { NumberField } from './NumberField.tsx'
import styles from '../Sheets.module.css'

interface WordsSettingsProps<Q> {
  readonly question: Q
  readonly onChange: (question: Q) => void
}

export function WordsSettings<Q extends { readonly words: WordLimits }>({
  question,
  onChange,
}: WordsSettingsProps<Q>) {
  const { t } = useTranslation('sheets')
  const { words } = question
  return (
    <div className={styles.limits}>
      <NumberField
        label={t('build.leastWords')}
        value={words.least}
        most={MOST_ANSWER_WORDS}
        onChange={(least) => onChange({ ...question, words: { ...words, least: least ?? 0 } })}
      />
      <NumberField
        label={t('build.mostWords')}
        value={words.most}
        most={MOST_ANSWER_WORDS}
        onChange={(most) => onChange({ ...question, words: { ...words, most } })}
      />
    </div>
  )
}
