// A question that is answered step after step.
import { IconListNumbers } from '@tabler/icons-react'
import { WordsSettings } from '../WordsSettings.tsx'
import type { FieldUi } from '../FieldUi.ts'
import { StepsAnswer } from './StepsAnswer.tsx'

export const stepsUi: FieldUi<'steps'> = {
  icon: IconListNumbers,
  Answer: StepsAnswer,
  Settings: WordsSettings,
}
