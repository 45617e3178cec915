// Puts question sheets and Wren's logbooks into the world, by the same use cases as the screens.
import { newRecordingPiece } from '@valise/core/pages'
import type { Operation, PageDocument } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { answersOf, speakInto } from '@valise/core/reflections'
import { addDays } from '@valise/core/time'
import {
  changeEntry,
  changeLogbook,
  createEntry,
  createLogbook,
  entryRoom,
  listPresentPeople,
  saveEdit,
  sheetRoom,
} from '@valise/server'
import { v7 as uuidv7 } from 'uuid'
import { answering } from './answering.ts'
import { at, toThing } from './pageBuilding.ts'
import type { PageBuilding } from './pageBuilding.ts'
import { cast } from './cast.ts'
import { logbooksOfWren, shippedSheetIds } from './logbooksOfWren.ts'
import type { SampleEntry, SampleSheet } from './logbooksOfWren.ts'
import { memberActor } from './memberActor.ts'
import { richTextOf } from './sampleBlocks.ts'
import { stakeSheet } from './sheetOfOdalys.ts'

type SheetIds = Readonly<Record<SampleSheet, string>>

export async function buildLogbooks(building: PageBuilding): Promise<void> {
  const { actor } = building
  const sheetIds = { ...shippedSheetIds, stake: await buildSheet(building) }
  const [member] = actor.memberships
  for (const { title, summary, cover, usualSheet, isForClass, entries } of logbooksOfWren) {
    const on = at(building, Math.max(...entries.map(({ daysAgo }) => daysAgo)), 9)
    const { id, revision } = await createLogbook(on, actor, title)
    building.logbooks.set(title, id)
    const change = {
      summary,
      coverId: cover === null ? null : (building.things.get(cover)?.id ?? null),
      usualSheetId: usualSheet && sheetIds[usualSheet],
      classId: isForClass ? (member?.classId ?? null) : null,
    }
    await changeLogbook(on, actor, id, { revision, change })
    for (const entry of entries) await buildEntry(building, id, entry, sheetIds)
  }
}

/** The sheet that Odalys offers to Shore Methods. */
async function buildSheet(building: PageBuilding): Promise<string> {
  const people = await listPresentPeople(building.services.database.reader())
  const odalys = people.find(({ signInName }) => signInName === cast.odalys.signInName)
  if (!odalys) throw new Error('Odalys is not in the world')
  const actor: PersonActor = await memberActor(building.services, odalys.id)
  const on = at(building, 64, 8)
  const begun = await sheetRoom.create(on, actor, { title: stakeSheet.title })
  const saved = await sheetRoom.save(on, actor, { id: begun.id, revision: begun.revision, to: stakeSheet })
  const published = await sheetRoom.publish(on, actor, { id: begun.id, revision: saved.revision })
  const classIds = actor.memberships.map(({ classId }) => classId)
  await sheetRoom.offer(on, actor, { id: begun.id, revision: published.revision, to: { classIds } })
  return begun.id
}

async function buildEntry(
  building: PageBuilding,
  logbookId: string,
  sample: SampleEntry,
  sheetIds: SheetIds,
): Promise<void> {
  const { actor, today } = building
  const on = at(building, sample.daysAgo, 17)
  const evidence = (sample.beside ?? []).map((thing) => toThing(building, thing, ''))
  const content = { text: richTextOf(sample.words), evidence }
  const sheetId = sample.along ? sheetIds[sample.along] : null
  const wish = { title: sample.title, day: addDays(today, -sample.daysAgo), lang: 'en' as const, sheetId }
  const { id, revision, draft } = await createEntry(on, actor, logbookId, wish, content)
  building.entries.set(sample.title, id)
  const operations = [
    ...answersTo(building, draft.document, sample.answers ?? {}),
    ...(sample.spoken ? spokenIn(building, draft.document, sample.spoken) : []),
  ]
  const ids = { editId: uuidv7(), windowId: uuidv7() }
  if (operations.length > 0)
    await saveEdit(on, entryRoom, { actor, id, edit: { base: draft.revision, ...ids, operations } })
  if (sample.tags) await changeEntry(on, actor, id, { revision, change: { tags: [...sample.tags] } })
}

/** The operations that answer the questions of an entry, by their ids. */
function answersTo(
  building: PageBuilding,
  document: PageDocument,
  answers: Readonly<Record<string, string>>,
): Operation[] {
  return answersOf(document).flatMap(({ piece }): Operation[] => {
    const given = answers[piece.given.question.id]
    if (given === undefined) return []
    if (building.things.has(given))
      return [{ op: 'insert-piece', rowId: piece.id, piece: toThing(building, given, ''), after: piece.id }]
    return [{ op: 'set-piece', piece: answering(piece, given) }]
  })
}

function spokenIn(
  { things }: PageBuilding,
  document: PageDocument,
  { thing, moments }: NonNullable<SampleEntry['spoken']>,
): Operation[] {
  const item = things.get(thing)
  if (!item) throw new Error(`there is no recording ${thing}`)
  return speakInto(document, newRecordingPiece(uuidv7(), item, moments))
}
