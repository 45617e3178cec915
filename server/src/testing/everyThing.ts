// One thing of every kind, so that what holds for all things is tested of a new kind without being told.
import { textOf } from '@valise/core/pages'
import { personNamed, systemActor } from '@valise/core/people'
import { valuesOf } from '@valise/core/testing'
import { thingDefinitionOf, thingKinds } from '@valise/core/things'
import type { ThingKind } from '@valise/core/things'
import fc from 'fast-check'
import { productRoutes } from '../app.ts'
import { createClass } from '../classes/index.ts'
import { inTransaction } from '../database/index.ts'
import { createMembership, createPerson, savePassword } from '../people/index.ts'
import { setGuide, startGuide, twoVisits } from './sampleGuides.ts'
import { TEST_PASSWORD } from './site.ts'
import type { TestBrowser, TestSite } from './site.ts'

export type ThingOfEachKind = Readonly<Record<ThingKind, string>>
type Begin = (owner: TestBrowser, title: string, taught: Taught) => Promise<string>

/** A class of the owner's, and its assessor. */
interface Taught {
  readonly classId: string
  readonly assessor: TestBrowser
}

/** How things begin that are not made by a POST to their list. */
const specially: Partial<Record<ThingKind, Begin>> = {
  entry: async (owner, title) => {
    const logbook = await create(owner, '/api/logbooks', { title: `Logbook of ${title}` })
    return create(owner, `/api/logbooks/${logbook}/entries`, { day: '2026-11-20', title, lang: 'en' })
  },
  sheet: (owner, title) => create(owner, '/api/sheets', { title: { en: title } }),
  guide: (owner, title) => create(owner, '/api/guides', { title: { en: title } }),
  guideCopy: async (owner, title, { classId, assessor }) =>
    startGuide(owner, await setGuide(assessor, [classId], { ...twoVisits, title: { en: title } })),
  attributeSet: (owner, title) => create(owner, '/api/attribute-sets', { title: { en: title } }),
  evidence: async (owner, title) => {
    const id = await create(owner, '/api/notes', { text: textOf('Mud at the third stake'), landing: {} })
    const { revision } = (await owner.get(`/api/evidence/${id}`)).body
    await owner.patch(`/api/evidence/${id}`, { title }, revision)
    return id
  },
}

/** Makes a thing of each kind; its title is its kind. */
export async function makeEveryThing(site: TestSite, owner: TestBrowser): Promise<ThingOfEachKind> {
  const { personId } = (await owner.get('/api/session')).body
  await teachAlone(site, personId)
  const made = new Map<ThingKind, string>()
  const taught = await teachByAnother(site, personId)
  for (const kind of thingKinds)
    made.set(kind, await (specially[kind] ?? byItsRoute(kind))(owner, kind, taught))
  // One of each was made, which a map does not say.
  return Object.fromEntries(made) as ThingOfEachKind
}

/** Makes somebody the assessor of a class that nobody is in, since some things only assessors make. */
async function teachAlone({ services }: TestSite, personId: string): Promise<void> {
  await inTransaction(services.database, async (trx) => {
    const actor = systemActor('test')
    const { id: classId } = await createClass(trx, actor, { name: 'Tide Watch', code: 'TIDES' })
    const days = { firstDay: null, lastDay: null }
    await createMembership(trx, actor, personId, { classId, role: 'assessor', ...days })
  })
}

/** Makes somebody a student of a class with an assessor of its own, since some things are set for students. */
async function teachByAnother(site: TestSite, personId: string): Promise<Taught> {
  const hash = await site.services.passwords.hash(TEST_PASSWORD)
  const classId = await inTransaction(site.services.database, async (trx) => {
    const actor = systemActor('test')
    const { id } = await createClass(trx, actor, { name: 'Spit Watch', code: 'SPIT' })
    const { person } = await createPerson(trx, actor, personNamed('Ines Calder'))
    await savePassword(trx, person.id, hash)
    const days = { firstDay: null, lastDay: null }
    await createMembership(trx, actor, person.id, { classId: id, role: 'assessor', ...days })
    await createMembership(trx, actor, personId, { classId: id, role: 'student', ...days })
    return id
  })
  const assessor = site.browser()
  await assessor.signIn('ines')
  return { classId, assessor }
}

/** By whatever its route takes. */
function byItsRoute(kind: ThingKind): Begin {
  const path = `/api/${thingDefinitionOf(kind).path}`
  const schema = productRoutes.find(({ spec }) => spec.method === 'post' && spec.path === path)?.spec.body
  if (!schema) throw new Error(`there is no POST ${path}: say in everyThing.ts how a ${kind} begins`)
  const [body] = fc.sample(valuesOf(schema), { seed: 3, numRuns: 1 })
  return (owner, title) => create(owner, path, { ...(body as object), title })
}

async function create(owner: TestBrowser, path: string, body: object): Promise<string> {
  const answer = await owner.post(path, body)
  expect([path, answer.status]).toEqual([path, 201])
  return answer.body.id
}
