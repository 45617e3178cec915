// The names that others see of people, by the rules of their year groups of the moment.
import { resolveShownName } from '@valise/core/people'
import type { Names, ShownNameRule } from '@valise/core/people'
import { isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { peopleNow } from './presenceStore.ts'

interface NameRow extends Names {
  readonly id: string
  readonly shownNameRule: ShownNameRule | null
}

export async function listShownNames(
  reader: Reader,
  ids: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  const rows: NameRow[] = await peopleNow(reader)
    .modify(isOneOf, 'people.id', ids)
    .select('people.id', 'people.fullName', 'people.firstName', 'people.chosenName')
    .select('yearGroup.shownNameRule')
  return new Map(rows.map((row) => [row.id, resolveShownName(row, row.shownNameRule)]))
}

/** Finds the name and language of a person, for a device that they lend. */
export async function findNameAndLanguage(
  reader: Reader,
  personId: string,
): Promise<{ readonly firstName: string; readonly language: string }> {
  const row = await reader.sql('people').where({ id: personId }).first('firstName', 'language')
  return row ?? { firstName: '', language: 'en' }
}
