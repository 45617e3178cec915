// What a step is called, and what it does in a few words.
import type { PictureRecipe, RecipeStep, StepKind } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import type { Question } from './tools.ts'

export interface StepWords {
  name(kind: StepKind): string
  line(step: RecipeStep): string
  /** The answer to a question so far. */
  answer(question: Question, recipe: PictureRecipe): { readonly words: string; readonly isDone: boolean }
}

export function useStepWords(): StepWords {
  const { t } = useTranslation('bench')
  const line = (step: RecipeStep): string => {
    if (!step.on) return t('recipe.off')
    switch (step.kind) {
      case 'turn':
        return turnWords(step)
      case 'square':
        return step.byHand === 0 ? t('square.found') : t('square.byHand', { count: step.byHand })
      case 'crop':
        return t(`crop.shapes.${step.shape}`)
      case 'even':
        return step.levels === 'found'
          ? t('even.line', { strength: step.strength })
          : t('even.ownLine', { strength: step.strength })
      case 'light':
        return lightWords(step)
      case 'conceal':
        return t('conceal.parts', { count: step.parts.length })
      case 'mark':
        return t('mark.marks', { count: step.marks.length })
    }
  }
  const turnWords = ({ quarters, degrees, mirrored }: Extract<RecipeStep, { kind: 'turn' }>) =>
    [
      quarters === 0 ? '' : t('turn.quarters', { degrees: quarters * 90 }),
      degrees === 0 ? '' : t('turn.degrees', { degrees }),
      mirrored ? t('turn.mirrored') : '',
    ]
      .filter((words) => words !== '')
      .join(', ') || t('recipe.nothing')
  const lightWords = (step: Extract<RecipeStep, { kind: 'light' }>) =>
    (['brightness', 'contrast', 'warmth', 'sharpness'] as const)
      .filter((value) => step[value] !== 0)
      .map((value) => t('light.line', { what: t(`light.${value}`), value: step[value] }))
      .join(', ') || t('recipe.nothing')
  return {
    name: (kind) => t(`tools.${kind}`),
    line,
    answer: (question, { steps }) => {
      const on = steps.filter((step) => step.on)
      const has = (kind: StepKind) => on.find((step) => step.kind === kind)
      if (question === 'straight') {
        if (has('square')) return { words: t('answers.squared'), isDone: true }
        return has('turn') || has('crop')
          ? { words: t('answers.turned'), isDone: true }
          : { words: t('answers.asTaken'), isDone: false }
      }
      if (question === 'light') {
        if (has('even')) return { words: t('answers.evened'), isDone: true }
        return has('light')
          ? { words: t('answers.lit'), isDone: true }
          : { words: t('answers.asTaken'), isDone: false }
      }
      if (question === 'notice') {
        const mark = has('mark')
        return mark?.kind === 'mark'
          ? { words: t('mark.marks', { count: mark.marks.length }), isDone: true }
          : { words: t('answers.nothingMarked'), isDone: false }
      }
      const conceal = has('conceal')
      const count = conceal?.kind === 'conceal' ? conceal.parts.length : 0
      return count > 0
        ? { words: t('answers.concealed', { count }), isDone: true }
        : { words: t('answers.nothingConcealed'), isDone: false }
    },
  }
}
