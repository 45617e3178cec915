// A question that is answered by a step of a scale.
import { IconStairs } from '@tabler/icons-react'
import type { FieldUi } from '../FieldUi.ts'
import { ScaleAnswer } from './ScaleAnswer.tsx'
import { ScaleSettings } from './ScaleSettings.tsx'

export const scaleUi: FieldUi<'scale'> = { icon: IconStairs, Answer: ScaleAnswer, Settings: ScaleSettings }
