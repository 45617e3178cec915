// Builds the sample world into an empty database: Marram Bay Field College and its people.
import { personNamed, systemActor } from '@valise/core/people'
import type { ClassRole, PersonInput } from '@valise/core/people'
import { addDays, dayOf } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import {
  createClass,
  createMembership,
  createPerson,
  inTransaction,
  savePassword,
  setUpSchool,
  shiftedClock,
  usualYearGroups,
} from '@valise/server'
import type { Services, Trx } from '@valise/server'
import { buildLargeWorld } from './buildLargeWorld.ts'
import { buildEvidence } from './buildEvidence.ts'
import { buildGuides } from './buildGuides.ts'
import { buildPages } from './buildPages.ts'
import { buildSharing } from './buildSharing.ts'
import { buildSubmissions } from './buildSubmissions.ts'
import { cast, moreInSaturdayCrew, moreInShoreMethods } from './cast.ts'

/** The password of every person of the sample world. */
export const SAMPLE_PASSWORD = 'low water at seven'

const ZONE = 'Europe/Lisbon'
const actor = systemActor('sample world')

interface Building {
  readonly trx: Trx
  readonly today: string
  readonly passwordHash: string
  readonly classIds: { readonly methods: string; readonly crew: string; readonly autumn: string }
  readonly yearGroupIds: ReadonlyMap<string, string>
}

/**
 * Builds the sample world for the day of the database's clock.
 *
 * Dates are laid out around that day, so that memberships are past, running and to come.
 */
export async function buildWorld(services: Services): Promise<{ readonly classId: string }> {
  const passwordHash = await services.passwords.hash(SAMPLE_PASSWORD)
  const today = dayOf(services.database.clock.now(), ZONE)
  // The school was set up in late summer, and its people have heard of it: their news are dated then.
  const database = { ...services.database, clock: shiftedClock(morningOf(addDays(today, -80))) }
  const building = await inTransaction(database, async (trx): Promise<Omit<Building, 'trx'>> => {
    const { administratorId, yearGroupIds } = await setUpSchool(trx, {
      school: { name: 'Marram Bay Field College', timeZone: ZONE, language: 'en' },
      yearGroups: usualYearGroups,
      administrator: personNamed(cast.mireille.fullName, { administrator: true }),
    })
    await savePassword(trx, administratorId, passwordHash)
    const classIds = {
      methods: (await createClass(trx, actor, { name: 'Shore Methods', code: 'FLD-204' })).id,
      crew: (await createClass(trx, actor, { name: 'Saturday Crew', code: 'SAT-9' })).id,
      autumn: (await createClass(trx, actor, { name: 'Autumn Tides', code: 'FLD-110' })).id,
    }
    const built = { today, passwordHash, classIds, yearGroupIds }
    await addStaff({ ...built, trx })
    await addStudents({ ...built, trx })
    return built
  })
  const lately = { ...services.database, clock: shiftedClock(morningOf(addDays(today, -2))) }
  await inTransaction(lately, (trx) => addLatecomers({ ...building, trx }))
  await buildEvidence(services, today, building.classIds.methods)
  await buildPages(services, today)
  await buildSharing(services, today, building.classIds.methods)
  await buildSubmissions(services, today, building.classIds.methods)
  await buildGuides(services, today)
  return { classId: building.classIds.methods }
}

/** Adds the large world to a sample world that was just built. */
export async function enlargeWorld(
  services: Services,
  classId: string,
  onStep: (words: string) => void,
): Promise<void> {
  const passwordHash = await services.passwords.hash(SAMPLE_PASSWORD)
  const today = dayOf(services.database.clock.now(), ZONE)
  await buildLargeWorld(services, { classId, passwordHash, today, onStep })
}

async function addStaff(on: Building): Promise<void> {
  const { methods, crew } = on.classIds
  const odalys = await addPerson(on, cast.odalys.fullName, { email: 'odalys.fenn@marram-bay.example' })
  await join(on, odalys, methods, 'assessor')
  const rufus = await addPerson(on, cast.rufus.fullName, {
    email: 'rufus@marram-bay.example',
    language: 'es',
  })
  await join(on, rufus, methods, 'assessor')
  await join(on, rufus, crew, 'lead')
}

async function addStudents(on: Building): Promise<void> {
  const { methods, crew, autumn } = on.classIds
  const yearGroupId = (name: string) => on.yearGroupIds.get(name) ?? null
  const certificate = { yearGroupId: yearGroupId('Certificate') }
  for (const { fullName, signInName } of [cast.wren, cast.tomasz]) {
    const email = `${signInName}@students.marram-bay.example`
    await join(on, await addPerson(on, fullName, { ...certificate, email }), methods, 'student')
  }
  const juno = await addPerson(on, cast.juno.fullName, { yearGroupId: yearGroupId('Foundation') })
  await join(on, juno, methods, 'student')
  await join(on, juno, autumn, 'student', {
    firstDay: addDays(on.today, -80),
    lastDay: addDays(on.today, -20),
  })
  for (const fullName of moreInShoreMethods) {
    await join(on, await addPerson(on, fullName, certificate), methods, 'student')
  }
  for (const fullName of [cast.nell.fullName, ...moreInSaturdayCrew]) {
    const signInName = fullName === cast.nell.fullName ? { signInName: cast.nell.signInName } : {}
    const person = await addPerson(on, fullName, { yearGroupId: yearGroupId('Junior'), ...signInName })
    await join(on, person, crew, 'student', {
      firstDay: addDays(on.today, -60),
      lastDay: addDays(on.today, 200),
    })
  }
}

/** Sefa has just begun, and a supervisor from outside comes in two weeks. */
async function addLatecomers(on: Building): Promise<void> {
  const { methods } = on.classIds
  const yearGroupId = on.yearGroupIds.get('Certificate') ?? null
  const sefa = await addPerson(on, cast.sefa.fullName, { yearGroupId })
  await join(on, sefa, methods, 'student', { firstDay: addDays(on.today, -2), lastDay: null })
  const outside = await createPerson(on.trx, actor, personNamed('Imre Halloway-Stone'))
  await join(on, outside.person.id, methods, 'assessor', {
    firstDay: addDays(on.today, 14),
    lastDay: addDays(on.today, 120),
  })
}

async function addPerson(on: Building, fullName: string, more: Partial<PersonInput>): Promise<string> {
  const { person } = await createPerson(on.trx, actor, personNamed(fullName, more))
  await savePassword(on.trx, person.id, on.passwordHash)
  return person.id
}

async function join(
  on: Building,
  personId: string,
  classId: string,
  role: ClassRole,
  days: { firstDay: string; lastDay: string | null } = { firstDay: addDays(on.today, -80), lastDay: null },
): Promise<void> {
  await createMembership(on.trx, actor, personId, { classId, role, ...days })
}

function morningOf(day: string): Instant {
  return `${day}T08:15:00.000Z`
}
