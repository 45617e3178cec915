// The large world: 2,000 students and 100,000 items, one of them with 10,000, to see how costs grow. Written straight
// into the tables: by the usual ways in it would take an hour.
import { ownerActor } from '@valise/core/people'
import { personNamed, systemActor } from '@valise/core/people'
import { everything } from '@valise/core/evidence'
import { addDays, mondayOf, toMilliseconds } from '@valise/core/time'
import type { Instant, LocalDay } from '@valise/core/time'
import {
  changeCollection,
  createCollection,
  createEntry,
  createLogbook,
  createMembership,
  createPage,
  createPerson,
  findItems,
  indexEverything,
  inTransaction,
  savePassword,
} from '@valise/server'
import type { Services, Trx } from '@valise/server'
import { makeDice } from './scenes/index.ts'

interface LargeSize {
  readonly students: number
  readonly items: number
  /** How many of the items are of the first student. */
  readonly itemsOfOne: number
  /** Of the first student, as are the pages. */
  readonly entries: number
  readonly pages: number
}

const LARGE: LargeSize = { students: 2000, items: 100_000, itemsOfOne: 10_000, entries: 2000, pages: 500 }

const AT_ONCE = 250
const DAYS = 800
const TEMPLATES = 12

/** The student with the 10,000 items. */
const LARGE_STUDENT = 'Marlo Ashdown-Reyes'

interface LargeOptions {
  readonly classId: string
  readonly passwordHash: string
  readonly today: LocalDay
  /** How large; a test is content with less. */
  readonly size?: LargeSize
  /** Told now and then how far it is. */
  readonly onStep?: (words: string) => void
}

export async function buildLargeWorld(services: Services, options: LargeOptions): Promise<void> {
  const { onStep = () => undefined, size = LARGE } = options
  const templates = await findTemplates(services)
  onStep(`${size.students} students`)
  const owners = await addStudents(services, size.students, options)
  const [first = ''] = owners
  const rest = size.items - size.itemsOfOne
  const others = owners.length - 1
  onStep(`${size.items} items`)
  let n = 0
  for (const [place, ownerId] of owners.entries()) {
    const share = Math.floor(rest / others) + (place <= rest % others ? 1 : 0)
    const count = place === 0 ? size.itemsOfOne : share
    await inTransaction(services.database, async (trx) => {
      for (let from = 0; from < count; from += AT_ONCE) {
        const some = Math.min(AT_ONCE, count - from)
        await insertItems(trx, { ...options, ownerId, from: n + from, count: some, templates })
      }
    })
    n += count
  }
  onStep('the index of their words')
  await indexEverything(services)
  onStep(`${size.entries} entries and a collection of ${size.pages} pages`)
  await writeMuch(services, first, size, options)
}

interface Rendition {
  readonly kind: string
  readonly fileSha256: string
  readonly mime: string
  readonly bytes: number
  readonly width: number | null
  readonly height: number | null
}

interface Template {
  readonly file: { readonly sha256: string; readonly bytes: number }
  readonly renditions: readonly Rendition[]
}

/** A few pictures of the sample world that all items share: their bytes are not what is measured. */
async function findTemplates(services: Services): Promise<Template[]> {
  const { sql } = services.database.reader()
  const files: { id: string; fileSha256: string; bytes: number }[] = await sql('evidence')
    .join('evidenceVersions as version', 'version.evidenceId', 'evidence.id')
    .where({ kind: 'picture', n: 1, preview: 'there' })
    .orderBy('evidence.id')
    .select('evidence.id', 'version.fileSha256', 'version.bytes')
    .limit(TEMPLATES)
  return Promise.all(
    files.map(async ({ id, fileSha256, bytes }) => ({
      file: { sha256: fileSha256, bytes },
      renditions: await sql('renditions')
        .where({ evidenceId: id, n: 1 })
        .select('kind', 'fileSha256', 'mime', 'bytes', 'width', 'height'),
    })),
  )
}

async function addStudents(
  services: Services,
  count: number,
  { classId, passwordHash }: LargeOptions,
): Promise<string[]> {
  const actor = systemActor('large world')
  return inTransaction(services.database, async (trx) => {
    const ids: string[] = []
    for (let n = 0; n < count; n += 1) {
      const name = n === 0 ? LARGE_STUDENT : `Student ${n} of the Large Year`
      const { person } = await createPerson(
        trx,
        actor,
        personNamed(name, { signInName: n === 0 ? 'marlo' : `large${n}` }),
      )
      await createMembership(trx, actor, person.id, {
        classId,
        role: 'student',
        firstDay: null,
        lastDay: null,
      })
      if (n === 0) await savePassword(trx, person.id, passwordHash)
      ids.push(person.id)
    }
    return ids
  })
}

const common = ['marsh', 'creek', 'silt', 'bank', 'visit', 'low', 'water', 'storm', 'quadrat', 'line']
const rare = ['godwit', 'samphire', 'bladderwrack', 'sandhopper', 'saltpan']
const tags = ['Transect', 'Water', 'Birds', 'Season', 'Bank repair', 'Field notes', 'Pools', 'Glasswort']
const kinds = [
  'picture',
  'picture',
  'picture',
  'picture',
  'video',
  'audio',
  'data-table',
  'file',
  'note',
] as const

interface Chunk extends LargeOptions {
  readonly ownerId: string
  readonly from: number
  readonly count: number
  readonly templates: readonly Template[]
}

async function insertItems(trx: Trx, chunk: Chunk): Promise<void> {
  const dice = makeDice(chunk.from)
  const roll = (below: number) => Math.floor(dice() * below)
  const pick = <T>(choices: readonly T[]): T => choices[roll(choices.length)] as T
  const items = Array.from({ length: chunk.count }, (_, n) => {
    const kind = pick(kinds)
    const word = (chunk.from + n) % 997 === 0 ? pick(rare) : pick(common)
    const day = addDays(chunk.today, -roll(DAYS))
    return {
      id: trx.newId(),
      title: `${word} ${pick(common)} ${chunk.from + n}`,
      kind,
      day,
      madeAt: `${day}T${String(7 + roll(12)).padStart(2, '0')}:00:00.000Z`,
      isUnused: roll(4) === 0 ? 0 : 1,
      isMissing: roll(12) === 0,
      isSilent: kind === 'picture' && roll(5) === 0,
      template: pick(chunk.templates),
      tags: tags.filter(() => roll(6) === 0),
    }
  })
  await trx.sql('things').insert(items.map((item) => thingRow(item, chunk.ownerId, trx.now)))
  await trx.sql('evidence').insert(items.map((item) => evidenceRow(item, chunk, trx.now)))
  await trx.sql('evidenceVersions').insert(items.map((item) => versionRow(item, chunk.ownerId, trx.now)))
  await trx.sql('renditions').insert(items.flatMap((item) => renditionRows(item, chunk.ownerId, trx.now)))
  const tagged = items.flatMap(({ id, tags: own }) =>
    own.map((tag, position) => ({
      ...{ evidenceId: id, tagKey: tag.toLowerCase(), ownerId: chunk.ownerId, tag, position },
    })),
  )
  if (tagged.length > 0) await trx.sql('evidenceTags').insert(tagged)
}

interface LargeItem {
  readonly id: string
  readonly title: string
  readonly kind: (typeof kinds)[number]
  readonly day: LocalDay
  readonly madeAt: Instant
  readonly isUnused: number
  readonly isMissing: boolean
  readonly isSilent: boolean
  readonly template: Template
}

function thingRow({ id, title }: LargeItem, ownerId: string, now: Instant) {
  return {
    ...{ id, kind: 'evidence', ownerId, title, changedAt: now, revision: 1 },
    ...{ binnedAt: null, isBinned: 0 },
  }
}

function evidenceRow(item: LargeItem, { ownerId, classId }: Chunk, now: Instant) {
  const { id, title, kind, madeAt, isUnused, isMissing, isSilent } = item
  return {
    ...{ id, ownerId, kind, titleKey: title, classId, assignmentId: null, madeAt, isUnused },
    rights: JSON.stringify({ state: isMissing ? 'missing' : 'mine' }),
    lacksRights: isMissing ? 1 : 0,
    alternativeText: kind === 'picture' && !isSilent ? 'What it shows' : '',
    lacksAlternative: isSilent ? 1 : 0,
    madeWeek: mondayOf(item.day),
    ...{ madeAtKnown: 1, looksAlike: 0, searchRow: 0, currentVersion: 1, statement: '', transcript: '' },
    ...{ isBinned: 0, createdAt: now },
  }
}

function versionRow({ id, kind, template }: LargeItem, ownerId: string, now: Instant) {
  const { sha256, bytes } = template.file
  return {
    ...{
      evidenceId: id,
      n: 1,
      ownerId,
      fileSha256: sha256,
      fileName: 'IMG_1.jpg',
      mime: 'image/jpeg',
      bytes,
    },
    ...{ width: 640, height: 480, latitude: null, longitude: null, previewProblem: null },
    preview: kind === 'picture' || kind === 'video' ? 'there' : 'none',
    ...{ document: null, durationMs: null, pages: null, encoding: null, hash: null, textState: 'none' },
    createdAt: now,
  }
}

function renditionRows({ id, template }: LargeItem, ownerId: string, now: Instant) {
  return template.renditions.map((rendition) => ({
    ...{ evidenceId: id, n: 1, recipeRevision: 0, concealRevision: 0, makerVersion: 1, ownerId },
    ...rendition,
    createdAt: now,
  }))
}

async function writeMuch(
  services: Services,
  ownerId: string,
  size: LargeSize,
  { today }: LargeOptions,
): Promise<void> {
  const owner = ownerActor(ownerId)
  const { database } = services
  const { items } = await findItems(database.reader(), owner, everything, { cursor: undefined, limit: 1 })
  if (items.length === 0) throw new Error('the large world holds no items')
  const logbook = await createLogbook(database, owner, 'Every day')
  for (let n = 0; n < size.entries; n += 1)
    await createEntry(database, owner, logbook.id, {
      day: addDays(today, -(n % DAYS)),
      title: `Day ${n}`,
      lang: 'en',
    })
  const collection = await createCollection(database, owner, 'All pages')
  let revision = collection.revision
  for (let n = 0; n < size.pages; n += 1) {
    const page = await createPage(database, owner, { title: `Page ${n}`, lang: 'en' })
    const item = {
      id: database.newId(toMilliseconds(database.clock.now())),
      kind: 'thing' as const,
      thingId: page.id,
      isHidden: false,
    }
    const operations = [{ op: 'insert' as const, item, after: null }]
    revision = (await changeCollection(database, owner, collection.id, { revision, operations })).revision
  }
}
