// Puts sets of attributes into the world, and Wren's self-ratings, by the same use cases as the screens.
import type { AttributeSetContent } from '@valise/core/attributes'
import { isRatingPiece } from '@valise/core/pages'
import type { ChosenStep, Operation, PageDocument } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { answersOf } from '@valise/core/reflections'
import { addDays } from '@valise/core/time'
import { attributeSetRoom, createEntry, entryRoom, listPresentPeople, saveEdit } from '@valise/server'
import { v7 as uuidv7 } from 'uuid'
import { crewAttributes, fieldAttributes } from './attributeSets.ts'
import { cast } from './cast.ts'
import type { CastMember } from './cast.ts'
import { memberActor } from './memberActor.ts'
import { at, toThing } from './pageBuilding.ts'
import type { PageBuilding } from './pageBuilding.ts'
import { ratedEntriesOfWren } from './ratingsOfWren.ts'
import type { RatedEntry, SampleRating } from './ratingsOfWren.ts'

/** The school is not older than that; what is told of earlier days was written then. */
const SCHOOL_DAYS = 75
const LOGBOOK = 'Odds and ends'

export async function buildRatings(building: PageBuilding): Promise<void> {
  const setId = await buildSet(building, cast.mireille, fieldAttributes)
  await buildSet(building, cast.rufus, crewAttributes)
  for (const entry of ratedEntriesOfWren) await buildRatedEntry(building, setId, entry)
}

/** Offered to the classes that its author leads, or by an administrator to the school. */
async function buildSet(
  building: PageBuilding,
  { signInName }: CastMember,
  content: AttributeSetContent,
): Promise<string> {
  const on = at(building, SCHOOL_DAYS, 8)
  const people = await listPresentPeople(building.services.database.reader())
  const person = people.find((one) => one.signInName === signInName)
  if (!person) throw new Error(`${signInName} is not in the world`)
  const administrator = signInName === cast.mireille.signInName
  const actor: PersonActor = { ...(await memberActor(building.services, person.id)), administrator }
  const { id, revision } = await attributeSetRoom.create(on, actor, { title: content.title })
  const saved = await attributeSetRoom.save(on, actor, { id, revision, to: content })
  const published = await attributeSetRoom.publish(on, actor, { id, revision: saved.revision })
  const led = actor.memberships.filter(({ role }) => role === 'lead')
  await attributeSetRoom.offer(on, actor, {
    ...{ id, revision: published.revision },
    to: { classIds: led.map(({ classId }) => classId), isForSchool: administrator },
  })
  return id
}

async function buildRatedEntry(
  building: PageBuilding,
  setId: string,
  { title, daysAgo, ratings }: RatedEntry,
): Promise<void> {
  const { actor, today, logbooks } = building
  const on = at(building, Math.min(daysAgo, SCHOOL_DAYS - 1), 18)
  const rates = { setId, attributeIds: Object.keys(ratings) }
  const wish = { title, day: addDays(today, -daysAgo), lang: 'en' as const, rates }
  const { id, draft } = await createEntry(on, actor, logbooks.get(LOGBOOK) ?? '', wish)
  building.entries.set(title, id)
  const operations = ratingOperations(building, draft.document, ratings)
  const edit = { base: draft.revision, editId: uuidv7(), windowId: uuidv7(), operations }
  await saveEdit(on, entryRoom, { actor, id, edit })
}

function ratingOperations(
  building: PageBuilding,
  document: PageDocument,
  ratings: RatedEntry['ratings'],
): Operation[] {
  return answersOf(document).flatMap(({ piece }): Operation[] => {
    if (!isRatingPiece(piece)) return []
    const { given } = piece
    const rating = ratings[given.question.attribute?.id ?? '']
    if (!rating) return []
    const [place, reason, shows] = rating
    const answer = { step: stepOf(given.question.steps, place), reason }
    const beside = shows === undefined ? [] : [toThing(building, shows, '')]
    return [
      { op: 'set-piece', piece: { ...piece, given: { ...given, answer } } },
      ...beside.map((shown) => ({
        op: 'insert-piece' as const,
        rowId: piece.id,
        piece: shown,
        after: piece.id,
      })),
    ]
  })
}

function stepOf(
  steps: readonly Pick<ChosenStep, 'id' | 'label'>[],
  place: SampleRating[0],
): ChosenStep | null {
  const step = steps[place - 1]
  return step ? { id: step.id, label: step.label, place, of: steps.length } : null
}
