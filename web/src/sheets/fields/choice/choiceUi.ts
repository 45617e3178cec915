// A question that is answered by choosing.
import { IconCheckbox } from '@tabler/icons-react'
import type { FieldUi } from '../FieldUi.ts'
import { ChoiceAnswer } from './ChoiceAnswer.tsx'
import { ChoiceSettings } from './ChoiceSettings.tsx'

export const choiceUi: FieldUi<'choice'> = {
  icon: IconCheckbox,
  Answer: ChoiceAnswer,
  Settings: ChoiceSettings,
}
