// A question that is answered by a day.
import { IconCalendar } from '@tabler/icons-react'
import type { FieldUi } from '../FieldUi.ts'
import { DateAnswer } from './DateAnswer.tsx'

export const dateUi: FieldUi<'date'> = { icon: IconCalendar, Answer: DateAnswer, Settings: null }
