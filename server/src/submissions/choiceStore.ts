// A student's choice of parts for an assignment in the database, and the words about items that go in.
import { partKinds } from '@valise/core/things'
import type { ChosenPart } from '@valise/core/submissions'
import type { Rights } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { listOwnThings } from '../things/index.ts'
import { refreshUnused } from '../uses/index.ts'

export interface Choice {
  readonly id: string
  readonly assignmentId: string
  readonly revision: number
  readonly parts: readonly ChosenPart[]
}

/** Lists a person's choices for these assignments; none where nothing was chosen. */
export async function listChoices(
  reader: Reader,
  { personId }: PersonActor,
  assignmentIds: readonly string[],
): Promise<Choice[]> {
  const choices: Omit<Choice, 'parts'>[] = await reader
    .sql('partChoices')
    .where({ ownerId: personId })
    .modify(isOneOf, 'assignmentId', assignmentIds)
    .select('id', 'assignmentId', 'revision')
    .orderBy('id')
  const rows: PartRecord[] = await reader
    .sql('chosenParts')
    .join('things', 'things.id', 'chosenParts.thingId')
    .modify(
      isOneOf,
      'choiceId',
      choices.map(({ id }) => id),
    )
    .orderBy(['choiceId', 'position', 'thingId'])
    .select('choiceId', 'thingId', 'isIn', 'copy', 'things.kind')
  return choices.map((choice) => ({
    ...choice,
    parts: rows.filter(({ choiceId }) => choiceId === choice.id).map(toPart),
  }))
}

export async function insertChoice(
  trx: Trx,
  { personId }: PersonActor,
  assignmentId: string,
): Promise<Choice> {
  const id = trx.newId()
  await trx
    .sql('partChoices')
    .insert({ id, assignmentId, ownerId: personId, changedAt: trx.now, revision: 1 })
  return { id, assignmentId, revision: 1, parts: [] }
}

/** Replaces the chosen parts. @returns false when the revision has changed */
export async function replaceParts(
  trx: Trx,
  { id, revision }: Pick<Choice, 'id' | 'revision'>,
  parts: readonly ChosenPart[],
): Promise<boolean> {
  const changed = await trx
    .sql('partChoices')
    .where({ id, revision })
    .update({ changedAt: trx.now, revision: revision + 1 })
  if (changed !== 1) return false
  const before = await trx.sql('chosenParts').where({ choiceId: id }).pluck<string[]>('thingId')
  await trx.sql('chosenParts').where({ choiceId: id }).delete()
  const rows = parts.map(({ id: thingId, isIn, copy }, position) => ({
    ...{ choiceId: id, position, thingId, copy },
    isIn: Number(isIn),
  }))
  if (rows.length > 0) await trx.sql('chosenParts').insert(rows)
  await refreshUnused(trx, [...before, ...rows.map(({ thingId }) => thingId)])
  return true
}

/** Counts which of these parts are the person's own, binned or not. */
export async function countOwnParts(
  reader: Reader,
  actor: PersonActor,
  parts: readonly ChosenPart[],
): Promise<number> {
  const ids = parts.map(({ id }) => id)
  const things = await listOwnThings(reader, actor, partKinds, ids)
  return parts.filter(({ id, kind }) => things.some((one) => one.id === id && one.kind === kind)).length
}

export interface ItemRow {
  readonly id: string
  readonly kind: string
  readonly title: string
  readonly statement: string
  readonly rights: Rights
}

/** Lists one's own items with their statements. */
export async function listItems(
  reader: Reader,
  { personId }: PersonActor,
  ids: readonly string[],
): Promise<ItemRow[]> {
  const rows: (Omit<ItemRow, 'rights'> & { rights: string })[] = await reader
    .sql('evidence')
    .join('things', 'things.id', 'evidence.id')
    .where({ 'evidence.ownerId': personId })
    .modify(isOneOf, 'evidence.id', ids)
    .orderBy('evidence.id')
    .select('evidence.id', 'evidence.kind', 'things.title', 'statement', 'rights')
  return rows.map(({ rights, ...row }) => ({ ...row, rights: JSON.parse(rights) }))
}

interface PartRecord {
  readonly choiceId: string
  readonly kind: ChosenPart['kind']
  readonly thingId: string
  readonly isIn: number
  readonly copy: ChosenPart['copy']
}

function toPart({ kind, thingId, isIn, copy }: PartRecord): ChosenPart {
  return { kind, id: thingId, isIn: isIn === 1, copy }
}
