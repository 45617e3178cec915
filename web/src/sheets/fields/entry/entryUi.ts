// A question that is answered by entries of a logbook.
import { IconPencil } from '@tabler/icons-react'
import { BesideAnswer } from '../BesideAnswer.tsx'
import type { FieldUi } from '../FieldUi.ts'
import { EntrySettings } from './EntrySettings.tsx'

export const entryUi: FieldUi<'entry'> = { icon: IconPencil, Answer: BesideAnswer, Settings: EntrySettings }
