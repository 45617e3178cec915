// The tools under the questions that they answer, each question with its answer so far.
import { IconCheck } from '@tabler/icons-react'
import type { PictureRecipe } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { questions, tools } from './tools.ts'
import type { ToolKind } from './tools.ts'
import { useStepWords } from './useStepWords.ts'
import styles from './Bench.module.css'

interface ToolListProps {
  readonly recipe: PictureRecipe
  readonly chosen: ToolKind | null
  readonly onChoose: (kind: ToolKind) => void
}

export function ToolList({ recipe, chosen, onChoose }: ToolListProps) {
  const { t } = useTranslation('bench')
  const words = useStepWords()
  return (
    <div className={styles.tools} role="group" aria-label={t('tools.label')}>
      {questions.map((question) => {
        const answer = words.answer(question, recipe)
        return (
          <section key={question} aria-label={t(`questions.${question}`)}>
            <h2>{t(`questions.${question}`)}</h2>
            <p className={styles.answer} data-done={answer.isDone}>
              {answer.isDone ? <IconCheck size={15} stroke={2} aria-hidden /> : null}
              {answer.words}
            </p>
            <div className={styles.buttons}>
              {tools
                .filter((tool) => tool.question === question)
                .map(({ kind, icon: ToolIcon }) => (
                  <button
                    key={kind}
                    type="button"
                    className={styles.tool}
                    aria-pressed={kind === chosen}
                    onClick={() => onChoose(kind)}
                  >
                    <ToolIcon size={18} stroke={1.7} aria-hidden />
                    {t(`tools.${kind}`)}
                  </button>
                ))}
            </div>
          </section>
        )
      })}
    </div>
  )
}
