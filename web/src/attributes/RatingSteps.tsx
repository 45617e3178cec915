// The steps of an attribute, the lowest first, each with what it looks like; one of them is chosen.
import type { QuestionOf } from '@valise/core/pages'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import styles from './Attributes.module.css'

type Step = QuestionOf<'rating'>['steps'][number]

interface RatingStepsProps {
  readonly steps: readonly Step[]
  readonly chosenId: string | null
  /** The ids of the elements that name and explain it. */
  readonly labelledBy: string
  readonly describedBy?: string
  readonly onChoose: (step: Step) => void
}

export function RatingSteps({ steps, chosenId, labelledBy, describedBy, onChoose }: RatingStepsProps) {
  const { i18n } = useTranslation()
  return (
    <fieldset className={styles.steps} aria-labelledby={labelledBy} aria-describedby={describedBy}>
      {steps.map((step, n) => (
        <label key={step.id} data-chosen={step.id === chosenId}>
          <input
            type="radio"
            name={labelledBy}
            checked={step.id === chosenId}
            onChange={() => onChoose(step)}
          />
          <span className={styles.rise} aria-hidden="true">
            <i style={{ height: `${heightOf(n, steps.length)}px` }} />
          </span>
          <span>
            <b>{textIn(step.label, i18n.language)}</b>
            <small>{textIn(step.looks, i18n.language)}</small>
          </span>
        </label>
      ))}
    </fieldset>
  )
}

const LOWEST = 6
const HIGHEST = 24

/** Steps rise evenly, as notches do everywhere. */
function heightOf(n: number, count: number): number {
  return count < 2 ? LOWEST : Math.round(LOWEST + ((HIGHEST - LOWEST) * n) / (count - 1))
}
