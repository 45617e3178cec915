// A chosen step in words, with where it stood in its scale.
import type { ChosenStep } from '@valise/core/pages'
import { textIn } from '@valise/core/people'
import { useCallback } from 'react'
import { useTranslation } from 'react-i18next'

export function useStepWords(): (step: ChosenStep) => string {
  const { t, i18n } = useTranslation('ratings')
  return useCallback(
    ({ label, place, of }) => t('stepOf', { label: textIn(label, i18n.language), place, of }),
    [t, i18n.language],
  )
}
