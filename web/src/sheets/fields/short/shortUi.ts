// A question that is answered in a line.
import { IconForms } from '@tabler/icons-react'
import { WordsSettings } from '../WordsSettings.tsx'
import type { FieldUi } from '../FieldUi.ts'
import { ShortAnswer } from './ShortAnswer.tsx'

export const shortUi: FieldUi<'short'> = { icon: IconForms, Answer: ShortAnswer, Settings: WordsSettings }
