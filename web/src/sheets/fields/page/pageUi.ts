// A question that is answered by pages.
import { IconFileText } from '@tabler/icons-react'
import { BesideAnswer } from '../BesideAnswer.tsx'
import type { FieldUi } from '../FieldUi.ts'

export const pageUi: FieldUi<'page'> = { icon: IconFileText, Answer: BesideAnswer, Settings: null }
