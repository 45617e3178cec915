// A question by which one rates oneself on an attribute.
import { IconSeedling } from '@tabler/icons-react'
import type { FieldUi } from '../FieldUi.ts'
import { RatingAnswer } from './RatingAnswer.tsx'
import { RatingSettings } from './RatingSettings.tsx'

export const ratingUi: FieldUi<'rating'> = {
  icon: IconSeedling,
  Answer: RatingAnswer,
  Settings: RatingSettings,
  isAskedElsewhere: true,
}
