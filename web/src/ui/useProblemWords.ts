// What went wrong, as a sentence in the language of the screen.
import { fillSentence } from '@valise/core/problems'
import type { ReasonParams } from '@valise/core/problems'
import { useTranslation } from 'react-i18next'
import { ApiProblem } from '../api/index.ts'

export interface ProblemWords {
  /** What happened and what to do. */
  sentence(error: unknown): string
  /** What is wrong with one field, or null; `path` is its name. */
  field(error: unknown, path: string): string | null
}

export function useProblemWords(): ProblemWords {
  const { t, i18n } = useTranslation(['problems', 'app'])
  // Reasons come from the server as text; one that this build does not know keeps the server's own sentence.
  const words = (group: 'reasons' | 'fields', reason: string, params: ReasonParams | undefined) => {
    const sentence: unknown = i18n.getResource(i18n.language, 'problems', `${group}.${reason}`)
    return typeof sentence === 'string' ? fillSentence(sentence, params) : null
  }
  return {
    sentence: (error) => {
      if (!(error instanceof ApiProblem)) return t('reasons.unexpected')
      if (error.reason === 'unreachable') return t('app:states.unreachable')
      return words('reasons', error.reason, error.params) ?? error.message
    },
    field: (error, path) => {
      const found =
        error instanceof ApiProblem
          ? error.fields.find((field) => `${field.path}/`.startsWith(`/${path}/`))
          : undefined
      if (!found) return null
      const { reason, params } = found
      return words('fields', reason, params) ?? words('reasons', reason, params) ?? t('fields.malformed')
    },
  }
}

/** Returns the sentence of a reason that a rule gave before any refusal. */
export function useReasonWords(): (reason: string, params: ReasonParams) => string {
  const { i18n } = useTranslation('problems')
  return (reason, params) => {
    const sentence: unknown = i18n.getResource(i18n.language, 'problems', `reasons.${reason}`)
    return typeof sentence === 'string' ? fillSentence(sentence, params) : ''
  }
}
