// Who assesses a class at the moment: whoever reads what is handed in there.
import { resolveShownName } from '@valise/core/people'
import type { Names, ShownNameRule } from '@valise/core/people'
import { presentMembers } from '../access/index.ts'
import type { Reader } from '../database/index.ts'
import { peopleNow } from '../people/index.ts'

interface AssessorRow extends Names {
  readonly id: string
  readonly shownNameRule: ShownNameRule | null
}

export async function listAssessors(
  reader: Reader,
  classId: string,
): Promise<{ readonly id: string; readonly name: string }[]> {
  const members = presentMembers(reader).where({ classId }).whereNot('role', 'student').select('personId')
  const rows: AssessorRow[] = await peopleNow(reader)
    .whereIn('people.id', members)
    .whereNull('people.endedAt')
    .orderBy(['people.sortName', 'people.id'])
    .select('people.id', 'people.fullName', 'people.firstName', 'people.chosenName')
    .select('yearGroup.shownNameRule')
  return rows.map((row) => ({ id: row.id, name: resolveShownName(row, row.shownNameRule) }))
}

export async function listAssessorNames(reader: Reader, classId: string): Promise<string[]> {
  return (await listAssessors(reader, classId)).map(({ name }) => name)
}
