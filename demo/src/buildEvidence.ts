// Puts the sample evidence into the world, by the same way in as any upload once its bytes are there.
import { ownerActor } from '@valise/core/people'
import { readFile } from 'node:fs/promises'
import type { PersonActor } from '@valise/core/people'
import { addDays } from '@valise/core/time'
import type { Instant, LocalDay } from '@valise/core/time'
import {
  inTransaction,
  saveFile,
  savePoster,
  listPresentPeople,
  streamOf,
  putIntoBin,
  putIntoTray,
  shiftedClock,
  updateEvidence,
} from '@valise/server'
import type { Services } from '@valise/server'
import { v7 as uuidv7 } from 'uuid'
import { buildCollage } from './buildCollage.ts'
import { buildOutside } from './buildOutside.ts'
import { cast } from './cast.ts'
import { drawPicture } from './drawPicture.ts'
import {
  evidenceOfJuno,
  evidenceOfMore,
  evidenceOfNell,
  evidenceOfOdalys,
  evidenceOfRufus,
  evidenceOfTomasz,
} from './evidenceOfOthers.ts'
import { evidenceOfWren } from './evidenceOfWren.ts'
import type { SampleItem } from './evidenceOfWren.ts'
import type { SceneName } from './scenes/index.ts'
import { fieldNotes, fieldReport, marshSound, tideTable, turbidityTable } from './writtenFiles.ts'

/** Nobody was here earlier than this; what was made before came in on the first day. */
const FIRST_DAY_AGO = 78
const DRAWN_AT_ONCE = 4

const shelves = [
  [cast.wren.signInName, evidenceOfWren],
  [cast.tomasz.signInName, evidenceOfTomasz],
  [cast.juno.signInName, evidenceOfJuno],
  [cast.nell.signInName, evidenceOfNell],
  [cast.odalys.signInName, evidenceOfOdalys],
  [cast.rufus.signInName, evidenceOfRufus],
  ...Object.entries(evidenceOfMore),
] as const

interface DrawnItem {
  readonly item: SampleItem
  readonly ownerName: string
  readonly content: Buffer
  /** A moment of a film. */
  readonly moment: Buffer | null
}

/**
 * Draws and saves everybody's evidence around `today`, with renditions.
 *
 * Wren's items are labelled with the class `classId`.
 */
export async function buildEvidence(services: Services, today: LocalDay, classId: string): Promise<void> {
  // All is drawn before the first is examined: examining shuts the reader of drawings in this process.
  const drawn = await drawAll(today)
  const people = await listPresentPeople(services.database.reader())
  for (const one of drawn) {
    const person = people.find(({ signInName }) => signInName === one.ownerName)
    if (!person) throw new Error(`${one.ownerName} is not in the world`)
    const isWren = one.ownerName === cast.wren.signInName
    await save(services, ownerActor(person.id), { ...one, classId: isWren ? classId : null }, today)
  }
  const wren = people.find(({ signInName }) => signInName === cast.wren.signInName)
  if (wren) {
    await buildOutside(services, ownerActor(wren.id), today)
    await buildCollage(services, ownerActor(wren.id), today)
  }
  // Two hands, as the server has.
  await Promise.all([services.jobs.drain(), services.jobs.drain()])
}

async function drawAll(today: LocalDay): Promise<DrawnItem[]> {
  const wanted = shelves
    .flatMap(([ownerName, items]) => items.map((item) => ({ ownerName, item })))
    .sort((a, b) => momentOf(a.item, today).localeCompare(momentOf(b.item, today)))
  const drawn: DrawnItem[] = []
  for (let at = 0; at < wanted.length; at += DRAWN_AT_ONCE) {
    const some = wanted.slice(at, at + DRAWN_AT_ONCE)
    const contents = await Promise.all(some.map(({ item }) => contentOf(item, today)))
    const moments = await Promise.all(some.map(({ item }) => momentOfFilm(item)))
    drawn.push(
      ...some.map((one, n) => ({
        ...one,
        content: contents[n] ?? Buffer.alloc(0),
        moment: moments[n] ?? null,
      })),
    )
  }
  return drawn
}

async function save(
  services: Services,
  owner: PersonActor,
  { item, content, moment, classId }: DrawnItem & { readonly classId: string | null },
  today: LocalDay,
) {
  const cameIn = { ...item, daysAgo: Math.min(item.daysAgo, FIRST_DAY_AGO) }
  const database = { ...services.database, clock: shiftedClock(momentOf(cameIn, today)) }
  const stored = await services.files.put(streamOf(content))
  const examined = await services.workers.run(
    'examine',
    { ...stored, fileName: item.fileName },
    { lane: 'jobs', personId: owner.personId },
  )
  const { title, tags, rights, fileName } = item
  const id = uuidv7({ msecs: Date.parse(database.clock.now()) })
  const file = { id, stored, examined, fileName, replaces: null, classId, rights }
  await inTransaction(database, (trx) => saveFile(trx, services.jobs, owner, file))
  const said = item.transcript === undefined ? {} : { transcript: item.transcript }
  const described = { title, tags: [...tags], alternativeText: showsOf(item), ...said }
  await updateEvidence(database, owner, id, 2, described)
  if (moment) {
    await savePoster(services, owner, { id, n: 1 }, streamOf(moment))
  }
  if (item.inTray) await putIntoTray(database, owner, id)
  if (item.binned) await putIntoBin(lately(services, today), owner, id)
}

async function momentOfFilm({ content }: SampleItem): Promise<Buffer | null> {
  const isFilm = 'file' in content && content.file === 'film'
  return isFilm ? drawPicture({ scene: 'transectLine', seed: 9, shape: 'wide' }, 640) : null
}

function contentOf({ title, content, ...item }: SampleItem, today: LocalDay): Promise<Buffer> {
  const moment = momentOf(item, today)
  if ('scene' in content) {
    const { camera, ...wish } = content
    return drawPicture(camera ? { ...wish, takenAt: moment.slice(0, 16) } : wish)
  }
  switch (content.file) {
    case 'turbidity':
      return Promise.resolve(turbidityTable(content.seed))
    case 'tides':
      return Promise.resolve(tideTable())
    case 'report':
      return fieldReport(title, new Date(moment))
    case 'notes':
      return fieldNotes(title, new Date(moment))
    case 'sound':
      return Promise.resolve(marshSound(content.seed, 12))
    case 'film':
      // Where the source lies and where the built program lies, this leads to the same file.
      return readFile(new URL('../../demo/assets/walking-transect.webm', import.meta.url))
  }
}

/** What a picture shows, as its student would say it. */
function showsOf({ content, shows }: SampleItem): string {
  return shows ?? ('scene' in content ? sceneWords[content.scene] : '')
}

const sceneWords: Readonly<Record<SceneName, string>> = {
  marsh: 'A creek that winds through salt marsh.',
  bird: 'A wading bird at the edge of the water.',
  bank: 'A creek bank with woven brushwood.',
  stake: 'A numbered stake in front of the bank.',
  crew: 'People seen from afar, bent over the mud.',
  transectLine: 'Ranging poles along a line through the marsh.',
  quadrat: 'A wire square on the ground, seen from above.',
  pool: 'A rock pool with weed and snails.',
  strandline: 'Weed and shells along the line of the last tide.',
  sketch: 'A pencil drawing with notes beside it.',
  notedSheet: 'A notebook page with a drawing of a plant, a table and notes.',
  tallyCard: 'A tally card with strokes in rows.',
  map: 'A map with a dotted line across the marsh.',
  plot: 'A plot with two lines that cross.',
}

/** A moment after which the bin's days are not over yet. */
function lately(services: Services, today: LocalDay) {
  return { ...services.database, clock: shiftedClock(momentOf({ daysAgo: 3, hour: 16 }, today)) }
}

function momentOf({ daysAgo, hour }: Pick<SampleItem, 'daysAgo' | 'hour'>, today: LocalDay): Instant {
  const minute = String((daysAgo * 7) % 60).padStart(2, '0')
  return `${addDays(today, -daysAgo)}T${String(hour).padStart(2, '0')}:${minute}:00.000Z`
}
