// A question that is answered by names.
import { IconUsersGroup } from '@tabler/icons-react'
import type { FieldUi } from '../FieldUi.ts'
import { PeopleAnswer } from './PeopleAnswer.tsx'

export const peopleUi: FieldUi<'people'> = { icon: IconUsersGroup, Answer: PeopleAnswer, Settings: null }
