// A school of a handful of people for tests: one of each role, in two classes.
import { personNamed, systemActor } from '@valise/core/people'
import type { ClassRole } from '@valise/core/people'
import { createClass } from '../classes/index.ts'
import { inTransaction } from '../database/index.ts'
import type { Trx } from '../database/index.ts'
import {
  createMembership,
  createPerson,
  savePassword,
  setUpSchool,
  usualYearGroups,
} from '../people/index.ts'
import type { Services } from '../services.ts'
import { TEST_PASSWORD } from './site.ts'

export interface SmallSchool {
  readonly classes: { readonly methods: string; readonly crew: string }
  readonly yearGroups: ReadonlyMap<string, string>
  /** Ids by first name in lower case: wren and tomasz study, odalys assesses, kit is a junior, mireille administers. */
  readonly people: Readonly<Record<'wren' | 'tomasz' | 'odalys' | 'kit' | 'mireille', string>>
}

const actor = systemActor('test')

export async function makeSmallSchool(services: Services): Promise<SmallSchool> {
  const hash = await services.passwords.hash(TEST_PASSWORD)
  return inTransaction(services.database, async (trx) => {
    const { administratorId, yearGroupIds } = await setUpSchool(trx, {
      school: { name: 'Marram Bay Field College', timeZone: 'Europe/Lisbon', language: 'en' },
      yearGroups: usualYearGroups,
      administrator: personNamed('Mireille Sund', { administrator: true }),
    })
    await savePassword(trx, administratorId, hash)
    const methods = (await createClass(trx, actor, { name: 'Shore Methods', code: 'FLD-204' })).id
    const crew = (await createClass(trx, actor, { name: 'Saturday Crew', code: 'SAT' })).id
    const certificate = yearGroupIds.get('Certificate') ?? null
    const junior = yearGroupIds.get('Junior') ?? null
    const add = (name: string, role: ClassRole, classId: string, yearGroupId: string | null) =>
      addMember(trx, hash, { name, role, classId, yearGroupId })
    return {
      classes: { methods, crew },
      yearGroups: yearGroupIds,
      people: {
        wren: await add('Wren Adeyemi-Holt', 'student', methods, certificate),
        tomasz: await add('Tomasz Ilves-Barr', 'student', methods, certificate),
        odalys: await add('Odalys Fenn', 'assessor', methods, null),
        kit: await add('Kit Sorrel', 'student', crew, junior),
        mireille: administratorId,
      },
    }
  })
}

interface Member {
  readonly name: string
  readonly role: ClassRole
  readonly classId: string
  readonly yearGroupId: string | null
}

async function addMember(
  trx: Trx,
  hash: string,
  { name, role, classId, yearGroupId }: Member,
): Promise<string> {
  const { person } = await createPerson(trx, actor, personNamed(name, { yearGroupId }))
  await savePassword(trx, person.id, hash)
  await createMembership(trx, actor, person.id, { classId, role, firstDay: '2026-09-01', lastDay: null })
  return person.id
}
