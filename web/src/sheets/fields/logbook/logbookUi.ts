// A question that is answered by a logbook.
import { IconBook2 } from '@tabler/icons-react'
import { BesideAnswer } from '../BesideAnswer.tsx'
import type { FieldUi } from '../FieldUi.ts'

export const logbookUi: FieldUi<'logbook'> = { icon: IconBook2, Answer: BesideAnswer, Settings: null }
