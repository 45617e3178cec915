// Puts assignments, hand-ins and their answers into the world, by the same use cases as the screens.
import { ownerActor } from '@valise/core/people'
import { everything } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { gapsOf } from '@valise/core/submissions'
import type { ChosenPart } from '@valise/core/submissions'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import {
  addFeedback,
  answer,
  changeChoice,
  getHandIn,
  handIn,
  inTransaction,
  findItems,
  listNews,
  listPresentPeople,
  listOwnShared,
  markNewsSeen,
  openCopy,
  seal,
  setAssignment,
  shiftedClock,
  takeBack,
} from '@valise/server'
import type { Services } from '@valise/server'
import {
  addedAfterChanges,
  assignmentsOfOdalys,
  handInsOfWren,
  pagesHandedIn,
} from './assignmentsOfOdalys.ts'
import type { AssignmentName, SampleAnswer, SampleHandIn } from './assignmentsOfOdalys.ts'
import { buildPage } from './buildPages.ts'
import { cast, moreInShoreMethods } from './cast.ts'
import { text } from './sampleBlocks.ts'

interface Building {
  readonly services: Services
  readonly today: LocalDay
  readonly odalys: PersonActor
  readonly assignments: ReadonlyMap<AssignmentName, string>
  /** Ids by sign-in names, and by full names. */
  readonly people: ReadonlyMap<string, string>
}

/** How many of the others hand in for each, and of how many nobody has read it yet. */
const queues = [
  ['transect', 13, 10],
  ['storm', 12, 8],
  ['glasswort', 4, 4],
] as const

export async function buildSubmissions(services: Services, today: LocalDay, classId: string): Promise<void> {
  const present = await listPresentPeople(services.database.reader())
  const people = new Map(
    present.flatMap(({ signInName, fullName, id }) => [
      [signInName, id],
      [fullName, id],
    ]),
  )
  const assessor = {
    ...ownerActor(people.get(cast.odalys.signInName) ?? ''),
    memberships: [{ classId, role: 'assessor' as const }],
  }
  const assignments = new Map<AssignmentName, string>()
  for (const { name, setDaysAgo, due, input } of assignmentsOfOdalys) {
    const dueLocal = `${addDays(today, due.inDays)}T${due.time}`
    const on = shifted(services, today, setDaysAgo, 9)
    const { id } = await setAssignment(on.database, assessor, { classId, ...input, dueLocal })
    assignments.set(name, id)
  }
  const building: Building = { services, today, odalys: assessor, assignments, people }
  const wish = [...handInsOfWren, ...(await buildOthers(building))]
  for (const one of wish.sort((a, b) => b.daysAgo - a.daysAgo)) await buildHandIn(building, one)
  await buildChoices(building)
  await readNews(building)
  // What was sealed above leaves its jobs behind; they find nothing to do.
  await services.jobs.drain()
}

/** Pages of the class for the review desk, and what is handed in with them. */
async function buildOthers(building: Building): Promise<SampleHandIn[]> {
  const { services, today, people } = building
  const students = [...moreInShoreMethods, cast.juno.fullName]
  const wishes: SampleHandIn[] = []
  for (const [to, count, unread] of queues) {
    const { titles, words } = pagesHandedIn.find((one) => one.to === to) ?? { titles: [], words: [] }
    for (const [n, by] of students.slice(0, count).entries()) {
      const page = titles[n % titles.length] ?? ''
      const daysAgo = 3 + (n % 5) + (to === 'storm' ? 4 : 0)
      const rows = words.slice(n % 2).map((paragraph) => [text(paragraph)])
      const wentOn = to === 'transect' && n % 5 === 2
      await buildPage(
        {
          services,
          today,
          actor: ownerActor(people.get(by) ?? ''),
          things: new Map(),
          logbooks: new Map(),
          entries: new Map(),
        },
        {
          ...{ title: page, daysAgo: daysAgo + 2, publishedDaysAgo: daysAgo + 1, rows },
          ...(wentOn && { later: { rows: [[text(addedAfterChanges)]] } }),
        },
      )
      const isRead = n >= unread
      if (wentOn && !isRead) {
        wishes.push(
          {
            ...{ by, to, page, daysAgo, hour: 9 + (n % 8), answeredDaysAgo: daysAgo - 1 },
            answer: { act: 'ask', words: 'Say how many throws you made, and where the third one fell.' },
          },
          { by, to, page, daysAgo: 1, hour: 9 + (n % 8), copy: 'draft' },
        )
        continue
      }
      const level = n % 2 === 0 ? 'on-my-own' : 'with-help'
      wishes.push({
        ...{ by, to, page, daysAgo, hour: 9 + (n % 8) },
        ...(isRead && { answer: { act: 'accept' as const, level }, answeredDaysAgo: 1 }),
      })
    }
  }
  return wishes
}

async function buildHandIn(building: Building, wish: SampleHandIn): Promise<void> {
  const { services, today, people, assignments } = building
  const student = ownerActor(people.get(wish.by) ?? '')
  const assignmentId = assignments.get(wish.to) ?? ''
  const on = shifted(services, today, wish.daysAgo, wish.hour ?? 16)
  const pages = await listOwnShared(services.database.reader(), student)
  const page = pages.find(({ kind, title }) => kind === 'page' && title === wish.page)
  if (!page) throw new Error(`${wish.by} has no page ${wish.page}`)
  const part: ChosenPart = { kind: 'page', id: page.id, isIn: true, copy: wish.copy ?? 'published' }
  const chosen = await changeChoice(on.database, student, assignmentId, {
    revision: await revisionOf(building, student, assignmentId),
    parts: [part],
  })
  const seen = {
    gaps: gapsOf(chosen.readiness).map(({ requirement }) => requirement.id),
    terms: chosen.assignment.terms.length,
  }
  const { id } = await handIn(on.database, services.jobs, student, assignmentId, {
    revision: chosen.revision,
    seen,
  })
  await seal(on, id)
  if (wish.answer)
    await buildAnswer(building, student, { id, answer: wish.answer, daysAgo: wish.answeredDaysAgo ?? 0 })
}

async function buildAnswer(
  { services, today, odalys }: Building,
  student: PersonActor,
  {
    id,
    answer: given,
    daysAgo,
  }: { readonly id: string; readonly answer: SampleAnswer; readonly daysAgo: number },
): Promise<void> {
  const { database } = shifted(services, today, daysAgo, 17)
  if (given.act === 'take-back') return void (await takeBack(database, student, id))
  const { revision } = await openCopy(database, odalys, id)
  if (given.act === 'open') return
  if (given.said !== undefined) {
    const isOpen = given.act === 'accept' && given.isOpen === true
    await addFeedback(database, odalys, id, { part: 1, isOpen, text: given.said })
  }
  const outcome =
    given.act === 'accept'
      ? ({ act: 'accept', levelId: given.level } as const)
      : ({ act: 'ask-for-changes', words: given.words } as const)
  await answer(database, odalys, id, { revision, outcome })
}

/** What Wren and Tomasz have chosen for the portfolio that is due next; both still miss something. */
async function buildChoices(building: Building): Promise<void> {
  const { services, today, people, assignments } = building
  const assignmentId = assignments.get('transect') ?? ''
  const { database } = shifted(services, today, 1, 10)
  const reader = services.database.reader()
  const choices = [
    [cast.wren.signInName, 'What the creek does to its bank', ['Turbidity, 400 rows']],
    [cast.tomasz.signInName, 'Quadrats, a first try', ['']],
  ] as const
  for (const [by, pageTitle, itemTitles] of choices) {
    const student = ownerActor(people.get(by) ?? '')
    const page = (await listOwnShared(reader, student)).find(({ title }) => title === pageTitle)
    const { items } = await findItems(reader, student, everything, { cursor: undefined, limit: 200 })
    const chosen = itemTitles.map((title) => items.find((item) => item.title === title)?.id)
    const parts = [
      { kind: 'page' as const, id: page?.id ?? '', isIn: true, copy: 'published' as const },
      ...chosen.flatMap((id) =>
        id === undefined ? [] : [{ kind: 'evidence' as const, id, isIn: true, copy: 'published' as const }],
      ),
    ]
    await changeChoice(database, student, assignmentId, { revision: 0, parts })
  }
}

/** Wren has looked at the news until the day before yesterday. */
async function readNews({ services, today, people }: Building): Promise<void> {
  const wren = people.get(cast.wren.signInName) ?? ''
  const { items } = await listNews(services.database.reader(), wren, undefined)
  const looked = `${addDays(today, -2)}T18:00:00.000Z`
  const last = items.find(({ at }) => at < looked)
  if (!last) return
  const database = { ...services.database, clock: shiftedClock(looked) }
  await inTransaction(database, (trx) => markNewsSeen(trx, wren, last.id))
}

async function revisionOf(
  { services }: Building,
  student: PersonActor,
  assignmentId: string,
): Promise<number> {
  return (await getHandIn(services.database.reader(), student, assignmentId)).revision
}

function shifted(services: Services, today: LocalDay, daysAgo: number, hour: number): Services {
  const moment = `${addDays(today, -daysAgo)}T${String(hour).padStart(2, '0')}:25:00.000Z`
  return { ...services, database: { ...services.database, clock: shiftedClock(moment) } }
}
