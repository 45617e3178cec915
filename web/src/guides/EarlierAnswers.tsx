// Answers to questions that the guide no longer asks: they stay with whoever gave them.
import { useTranslation } from 'react-i18next'
import { Asked } from './StageColumn.tsx'
import type { GuideCopyEditor } from './useGuideCopy.ts'
import styles from './Guides.module.css'

export function EarlierAnswers({ editor }: { readonly editor: GuideCopyEditor }) {
  const { t } = useTranslation('guides')
  const earlier = editor.answers.filter(({ isAsked }) => !isAsked)
  if (earlier.length === 0) return null
  return (
    <section className={styles.stage} aria-labelledby="earlier">
      <h2 id="earlier">{t('copy.earlier')}</h2>
      <p>{t('copy.earlierHint')}</p>
      {earlier.map((answer) => (
        <Asked key={answer.piece.id} editor={editor} answer={answer} />
      ))}
    </section>
  )
}
