// A question that is answered in paragraphs.
import { IconAlignLeft } from '@tabler/icons-react'
import { WordsSettings } from '../WordsSettings.tsx'
import type { FieldUi } from '../FieldUi.ts'
import { LongAnswer } from './LongAnswer.tsx'

export const longUi: FieldUi<'long'> = { icon: IconAlignLeft, Answer: LongAnswer, Settings: WordsSettings }
