// Puts guides into the world, with students in every state, by the same use cases as the screens.
import { ratingQuestion } from '@valise/core/attributes'
import { everything } from '@valise/core/evidence'
import { questionsOf } from '@valise/core/guides'
import type { GuideContent } from '@valise/core/guides'
import {
  isAnswerPiece,
  newEntryPiece,
  newEvidencePiece,
  newLogbookPiece,
  placedPieces,
} from '@valise/core/pages'
import type { AnswerPiece, FieldKind, Operation, Piece, Question } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import {
  answer,
  attributeSetRoom,
  copyRoom,
  createGuideEntry,
  findItems,
  getCopy,
  getHandIn,
  giveFeedback,
  guideJobs,
  guideRoom,
  handInWhenDue,
  listOwnShared,
  listPresentPeople,
  openCopy,
  saveEdit,
  seal,
  shiftedClock,
  startCopy,
} from '@valise/server'
import type { Services } from '@valise/server'
import { v7 as uuidv7 } from 'uuid'
import { answering } from './answering.ts'
import { cast, moreInSaturdayCrew, moreInShoreMethods } from './cast.ts'
import { fiveVisits, shellWalk } from './guidesOfAssessors.ts'
import type { ItemOf } from './guidesOfAssessors.ts'
import { memberActor } from './memberActor.ts'

interface Building {
  readonly services: Services
  readonly today: LocalDay
}

const SET_DAYS_AGO = 24
/** When it was due first; then Odalys gave the class more time. */
const FIRST_DUE_DAYS_AGO = 6
const DUE_IN_DAYS = 6

export async function buildGuides(services: Services, today: LocalDay): Promise<void> {
  const building = { services, today }
  await buildFiveVisits(building)
  await buildShellWalk(building)
}

async function buildFiveVisits(building: Building): Promise<void> {
  const { services, today } = building
  const odalys = await member(building, cast.odalys.signInName)
  const itemOf = await itemsOf(building, odalys)
  const rating = await ratingOf(building, odalys)
  const content = (due: number) => fiveVisits(today, due, itemOf, rating)
  const guideId = await setGuide(building, odalys, content(-FIRST_DUE_DAYS_AGO))
  const [bram, dov, ines, lio, nell, pia] = moreInShoreMethods
  const before = [
    [bram, 5, 20],
    [dov, 5, 19],
    [ines, 2, 18],
    [lio, 3, 16],
    [nell, 1, 15],
  ] as const
  for (const [name, stages, daysAgo] of before)
    await workThrough(building, { name, guideId, stages, daysAgo })
  // Nell's could not be handed in, and waits for her.
  const due = `${addDays(today, -FIRST_DUE_DAYS_AGO)}T17:00:00.000Z`
  for (const name of [bram, dov, ines, lio]) await handInByItself(building, name, guideId, due)
  await failToHandIn(building, nell, guideId, due)
  const own = await guideRoom.getOwn(services.database.reader(), odalys, guideId)
  await publish(building, odalys, { id: guideId, revision: own.revision }, content(DUE_IN_DAYS))
  await workThrough(building, { name: pia, guideId, stages: 1, daysAgo: 9 })
  await workThrough(building, { name: cast.tomasz.fullName, guideId, stages: 1, daysAgo: 4 })
  await workThroughAsWren(building, guideId)
}

interface Work {
  readonly name: string
  readonly guideId: string
  /** How many stages are done. */
  readonly stages: number
  readonly daysAgo: number
}

/** Starts a guide and answers its first stages, one a day. */
async function workThrough(building: Building, { name, guideId, stages, daysAgo }: Work): Promise<string> {
  const student = await member(building, name)
  const { id } = await startCopy(at(building, daysAgo, 10), student, guideId)
  for (let n = 0; n < stages; n += 1) {
    const on = at(building, Math.max(0, daysAgo - n), 11)
    const copy = await getCopy(on.reader(), student, id)
    const stage = copy.content.stages[n]
    for (const question of stage ? questionsOf(stage) : [])
      await answerQuestion(building, student, { id, question, on })
  }
  return id
}

const said: Readonly<Record<string, string>> = {
  where: 'North bank, stake 14',
  why: 'The spring tide came over the top of the bank and took the loose mud with it. Behind the stake it lies still, so it stayed there and made a tail.',
  order: 'The gate was frozen\nThe water came over\nThe tail grew behind the stake',
  advice:
    'Go twice before you write anything. The second time you see what you did not look for the first time.',
  best: 'The pink one with a hole',
  back: 'all',
}

interface Asked {
  readonly id: string
  readonly question: Question
  readonly on: ReturnType<typeof at>
}

type Answering = (building: Building, student: PersonActor, asked: Asked) => Promise<void>

/** How others answer what words do not: with an entry, the newest thing that they saved, a page of theirs. */
const answerings: Partial<Record<FieldKind, Answering>> = {
  entry: async (_, student, { id, question, on }) => {
    const day = on.clock.now().slice(0, 10)
    await createGuideEntry(on, student, id, { questionId: question.id, day })
  },
  evidence: async ({ services }, student, { id, question, on }) => {
    const wish = { cursor: undefined, limit: 1 }
    const { items } = await findItems(services.database.reader(), student, everything, wish)
    const pieces = items.map((item) => newEvidencePiece(uuidv7(), item, 6))
    await put(student, { id, on }, question.id, pieces)
  },
  page: async ({ services }, student, { id, question, on }) => {
    const pages = await listOwnShared(services.database.reader(), student)
    const chosen = pages.filter(({ kind }) => kind === 'page').slice(0, 1)
    const answered = { pages: chosen.map((page) => ({ id: page.id, title: page.title })) }
    await change(student, { id, on }, question.id, (piece) => [
      { op: 'set-piece', piece: { ...piece, given: { ...piece.given, answer: answered } } as AnswerPiece },
    ])
  },
}

async function answerQuestion(building: Building, student: PersonActor, asked: Asked): Promise<void> {
  const { id, question, on } = asked
  const words = said[question.id]
  if (words === undefined) return answerings[question.kind]?.(building, student, asked)
  await change(student, { id, on }, question.id, (piece) => [
    { op: 'set-piece', piece: answering(piece, words) },
  ])
}

/** Wren is in the third stage; what she wrote for it stands in her logbook as well. */
async function workThroughAsWren(building: Building, guideId: string): Promise<void> {
  const wren = await member(building, cast.wren.signInName)
  const { id } = await startCopy(at(building, 5, 9), wren, guideId)
  const on = at(building, 3, 18)
  const reader = building.services.database.reader()
  const own = async (kind: string, title: string) =>
    (await reader.sql('things').where({ ownerId: wren.personId, kind, title, isBinned: 0 }).first('id'))
      ?.id ?? ''
  const wish = { id, on }
  await change(wren, wish, 'where', (piece) => [
    { op: 'set-piece', piece: answering(piece, 'North bank, stake 7') },
  ])
  const { items } = await findItems(
    reader,
    wren,
    { ...everything, words: 'stake', kinds: ['picture'] },
    {
      cursor: undefined,
      limit: 2,
    },
  )
  await put(
    wren,
    wish,
    'first',
    items.slice(0, 1).map((item) => newEvidencePiece(uuidv7(), item, 6)),
  )
  await put(wren, wish, 'visit1', [newEntryPiece(uuidv7(), await own('entry', 'Visit 1'))])
  await put(wren, wish, 'visit2', [newEntryPiece(uuidv7(), await own('entry', 'Visit 3, after the storm'))])
  await put(wren, wish, 'book', [newLogbookPiece(uuidv7(), await own('logbook', 'One stake'))])
}

async function handInByItself(
  building: Building,
  name: string,
  guideId: string,
  dueAt: string,
): Promise<void> {
  const { services } = building
  const student = await member(building, name)
  const [assignment] = await services.database.reader().sql('assignments').where({ guideId }).select('id')
  const on = at(building, FIRST_DUE_DAYS_AGO, 17)
  await handInWhenDue(on, services.jobs, student, { assignmentId: assignment?.id ?? '', at: dueAt })
  const { latest } = await getHandIn(on.reader(), student, assignment?.id ?? '')
  if (!latest) throw new Error(`${name} handed in nothing`)
  await seal({ ...services, database: on }, latest.id)
  const odalys = await member(building, cast.odalys.signInName)
  const { revision, gaps } = await openCopy(at(building, FIRST_DUE_DAYS_AGO - 1, 9), odalys, latest.id)
  const levelId = gaps === 0 ? 'complete' : 'begun'
  await answer(at(building, FIRST_DUE_DAYS_AGO - 1, 10), odalys, latest.id, {
    revision,
    outcome: { act: 'accept', levelId },
  })
}

async function failToHandIn(building: Building, name: string, guideId: string, dueAt: string): Promise<void> {
  const { services } = building
  const student = await member(building, name)
  const on = at(building, FIRST_DUE_DAYS_AGO, 17)
  const reader = services.database.reader()
  const copy = await reader.sql('guideCopies').where({ guideId, ownerId: student.personId }).first('id')
  const [assignment] = await reader.sql('assignments').where({ guideId }).select('id')
  const handler = guideJobs({ ...services, database: on })['hand-in-guide-copy']
  const payload = {
    copyId: copy?.id ?? '',
    ownerId: student.personId,
    assignmentId: assignment?.id ?? '',
    at: dueAt,
  }
  await handler?.giveUp?.(payload, new Error('the disk was full'))
}

async function buildShellWalk(building: Building): Promise<void> {
  const rufus = await member(building, cast.rufus.signInName)
  const guideId = await setGuide(building, rufus, shellWalk(await itemsOf(building, rufus)))
  const [abel, bea, cosmo] = moreInSaturdayCrew
  const nell = await workThrough(building, { name: cast.nell.signInName, guideId, stages: 1, daysAgo: 2 })
  for (const [name, stages, daysAgo] of [
    [abel, 2, 12],
    [bea, 1, 11],
    [cosmo, 2, 2],
  ] as const)
    await workThrough(building, { name, guideId, stages, daysAgo })
  await giveFeedback(at(building, 1, 12), rufus, nell, {
    ...{ stageId: 'find', pieceId: null },
    text: 'Three good ones. Look at the inside of the second: what lived there?',
  })
}

async function setGuide(building: Building, actor: PersonActor, content: GuideContent): Promise<string> {
  const on = at(building, SET_DAYS_AGO, 8)
  const { id, revision } = await guideRoom.create(on, actor, { title: content.title })
  const published = await publish(building, actor, { id, revision }, content)
  const led = actor.memberships.filter(({ role }) => role !== 'student')
  // Rufus assesses both classes, and leads one of them.
  const classIds = led.filter(({ role }) => role === 'lead' || led.length === 1).map(({ classId }) => classId)
  await guideRoom.offer(on, actor, { id, revision: published, to: { classIds } })
  return id
}

/** @returns its revision */
async function publish(
  building: Building,
  actor: PersonActor,
  { id, revision }: { readonly id: string; readonly revision: number },
  content: GuideContent,
): Promise<number> {
  const on = at(building, revision === 1 ? SET_DAYS_AGO : FIRST_DUE_DAYS_AGO - 2, 8)
  const saved = await guideRoom.save(on, actor, { id, revision, to: content })
  return (await guideRoom.publish(on, actor, { id, revision: saved.revision })).revision
}

/** One attribute of the school, as a question. */
async function ratingOf({ services }: Building, actor: PersonActor): Promise<Question> {
  const reader = services.database.reader()
  const sets = await attributeSetRoom.list(reader, actor)
  const set = sets.find(({ title }) => title.en === 'Field Attributes')
  const version = set && (await attributeSetRoom.findNewest(reader, actor, set.id))
  const question = version && ratingQuestion(version, 'noticing')
  if (!question) throw new Error('the school keeps no attributes')
  return question
}

async function itemsOf({ services }: Building, actor: PersonActor): Promise<ItemOf> {
  const wish = { cursor: undefined, limit: 20 }
  const { items } = await findItems(services.database.reader(), actor, everything, wish)
  return (title) => {
    const item = items.find((one) => one.title === title)
    if (!item) throw new Error(`there is no evidence ${title}`)
    return { id: item.id, kind: 'picture' }
  }
}

/** Puts things beside a question. */
function put(
  student: PersonActor,
  wish: Omit<Asked, 'question'>,
  questionId: string,
  pieces: readonly Piece[],
): Promise<void> {
  return change(student, wish, questionId, ({ id }) =>
    pieces.map((piece) => ({ op: 'insert-piece' as const, rowId: id, piece, after: id })),
  )
}

async function change(
  student: PersonActor,
  { id, on }: Omit<Asked, 'question'>,
  questionId: string,
  toOperations: (piece: Parameters<typeof answering>[0]) => Operation[],
): Promise<void> {
  const { draft } = await getCopy(on.reader(), student, id)
  const asked = placedPieces(draft.document).flatMap(({ piece }) => (isAnswerPiece(piece) ? [piece] : []))
  const piece = asked.find(({ given }) => given.question.id === questionId)
  const operations = piece ? toOperations(piece) : []
  if (operations.length === 0) return
  const edit = { base: draft.revision, editId: uuidv7(), windowId: uuidv7(), operations }
  await saveEdit(on, copyRoom, { actor: student, id, edit })
}

async function member({ services }: Building, name: string): Promise<PersonActor> {
  const people = await listPresentPeople(services.database.reader())
  const person = people.find(({ signInName, fullName }) => signInName === name || fullName === name)
  if (!person) throw new Error(`${name} is not in the world`)
  return memberActor(services, person.id)
}

/** The database at an hour of a day so many days ago. */
function at({ services, today }: Building, daysAgo: number, hour: number) {
  const moment = `${addDays(today, -daysAgo)}T${String(hour).padStart(2, '0')}:20:00.000Z`
  const clock = shiftedClock(moment)
  return { ...services.database, clock, reader: () => ({ ...services.database.reader(), now: clock.now() }) }
}
