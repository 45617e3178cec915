// People and their memberships: adding, changing, ending; each act in one transaction with its record and its news.
import { AppError, assertAllowed } from '@valise/core/problems'
import { decideMembership, toPlainLine } from '@valise/core/people'
import type {
  Actor,
  Membership,
  MembershipInput,
  Person,
  PersonActor,
  PersonDetail,
  PersonInput,
} from '@valise/core/people'
import { changesBetween } from '@valise/core/records'
import { toTimeWindow } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { tellNews } from '../news/index.ts'
import { appendRecord } from '../records/index.ts'
import * as memberships from './membershipStore.ts'
import * as school from './schoolStore.ts'
import { endSessionsOf } from './sessionStore.ts'
import * as store from './store.ts'

export async function getPersonDetail(reader: Reader, id: string): Promise<PersonDetail> {
  return { person: await getPerson(reader, id), memberships: await memberships.listMemberships(reader, id) }
}

export function createPerson(on: Writable, actor: Actor, input: PersonInput): Promise<PersonDetail> {
  return inTransaction(on, async (trx) => {
    const person = tidy(input)
    await assertCanBeSaved(trx, person, null)
    const id = await store.insertPerson(trx, person)
    await appendRecord(trx, actor, { action: 'person-added', subject: 'person', subjectId: id })
    return getPersonDetail(trx, id)
  })
}

export function updatePerson(
  on: Writable,
  actor: PersonActor,
  id: string,
  revision: number,
  input: PersonInput,
): Promise<PersonDetail> {
  return inTransaction(on, async (trx) => {
    const before = await getPerson(trx, id)
    const after = tidy(input)
    await assertCanBeSaved(trx, after, id)
    if (before.administrator && !after.administrator) await assertAnotherAdministrator(trx, before)
    if (!(await store.updatePerson(trx, id, revision, after))) throw new AppError('stale', 'stale')
    if (before.yearGroupId !== after.yearGroupId) await store.moveToYearGroup(trx, id, after.yearGroupId)
    if (!before.administrator && after.administrator) {
      await tellNews(trx, { personId: id, kind: 'administrator-made', params: {} })
    }
    const changes = changesBetween(await settingsOf(trx, before), await settingsOf(trx, after))
    await appendRecord(trx, actor, { action: 'person-changed', subject: 'person', subjectId: id, changes })
    return getPersonDetail(trx, id)
  })
}

/** Closes the account of a person, or opens it again. People are never deleted while anything refers to them. */
export function setPersonEnded(
  on: Writable,
  actor: PersonActor,
  id: string,
  revision: number,
  ended: boolean,
): Promise<PersonDetail> {
  return inTransaction(on, async (trx) => {
    const person = await getPerson(trx, id)
    if (ended && person.administrator) await assertAnotherAdministrator(trx, person)
    const saved = await store.setPersonEnded(trx, id, revision, ended ? trx.now : null)
    if (!saved) throw new AppError('stale', 'stale')
    if (ended) await endSessionsOf(trx, id, null)
    const action = ended ? 'person-ended' : 'person-resumed'
    await appendRecord(trx, actor, { action, subject: 'person', subjectId: id })
    return getPersonDetail(trx, id)
  })
}

export function createMembership(
  on: Writable,
  actor: Actor,
  personId: string,
  input: MembershipInput,
): Promise<Membership> {
  return inTransaction(on, async (trx) => {
    const person = await getPerson(trx, personId)
    if (person.endedAt !== null) throw new AppError('conflict', 'person-ended')
    const course = await memberships.findClassName(trx, input.classId)
    if (!course)
      throw new AppError('invalid', 'invalid-input', {
        fields: [{ path: '/classId', reason: 'not-offered' }],
      })
    if (course.endedAt !== null) throw new AppError('conflict', 'class-ended')
    const window = await windowOf(trx, input)
    const others = await memberships.listMembershipSpans(trx, personId)
    assertAllowed(decideMembership({ ...input, ...window }, others), 'conflict')
    const id = await memberships.insertMembership(trx, { personId, ...input, ...window })
    const params = { className: course.name, role: input.role }
    await tellNews(trx, { personId, kind: 'joined-class', params })
    await appendRecord(trx, actor, {
      action: 'membership-added',
      subject: 'person',
      subjectId: personId,
      changes: changesBetween(
        {},
        { class: course.name, role: input.role, firstDay: input.firstDay, lastDay: input.lastDay },
      ),
    })
    return getMembership(trx, id)
  })
}

/** Changes the window of a membership; its class and role stay. */
export function updateMembership(
  on: Writable,
  actor: PersonActor,
  id: string,
  revision: number,
  days: Pick<MembershipInput, 'firstDay' | 'lastDay'>,
): Promise<Membership> {
  return inTransaction(on, async (trx) => {
    const before = await getMembership(trx, id)
    const window = await windowOf(trx, days)
    const others = (await memberships.listMembershipSpans(trx, before.personId)).filter(
      (span) => span.id !== id,
    )
    assertAllowed(
      decideMembership({ classId: before.classId, role: before.role, ...window }, others),
      'conflict',
    )
    if (!(await memberships.updateMembership(trx, id, revision, { ...days, ...window })))
      throw new AppError('stale', 'stale')
    const after = await getMembership(trx, id)
    if (before.state === 'running' && after.state === 'ended') {
      const params = { className: after.className, role: after.role }
      await tellNews(trx, { personId: after.personId, kind: 'left-class', params })
    }
    const changes = changesBetween(
      { firstDay: before.firstDay, lastDay: before.lastDay },
      { firstDay: days.firstDay, lastDay: days.lastDay },
    )
    await appendRecord(trx, actor, {
      action: 'membership-changed',
      subject: 'person',
      subjectId: after.personId,
      changes,
    })
    return after
  })
}

export async function getPerson(reader: Reader, id: string): Promise<Person> {
  const person = await store.findPerson(reader, id)
  if (!person) throw new AppError('not-found', 'not-found')
  return person
}

async function getMembership(reader: Reader, id: string): Promise<Membership> {
  const membership = await memberships.findMembership(reader, id)
  if (!membership) throw new AppError('not-found', 'not-found')
  return membership
}

/** What of a person goes into the records with its value. Names are content: records say that they changed, not how. */
async function settingsOf(trx: Trx, { yearGroupId, administrator, language }: PersonInput) {
  const yearGroups = await school.listYearGroups(trx)
  const yearGroup = yearGroups.find(({ id }) => id === yearGroupId)?.name ?? null
  return { yearGroup, administrator, language }
}

async function windowOf(trx: Trx, days: Pick<MembershipInput, 'firstDay' | 'lastDay'>) {
  const { timeZone } = await school.getSchool(trx)
  return toTimeWindow(days, timeZone)
}

async function assertCanBeSaved(trx: Trx, input: PersonInput, id: string | null): Promise<void> {
  const empty = (['fullName', 'firstName'] as const).filter((field) => input[field] === '')
  if (empty.length > 0) {
    const fields = empty.map((field) => ({ path: `/${field}`, reason: 'missing' }) as const)
    throw new AppError('invalid', 'invalid-input', { fields })
  }
  if (await store.hasSignInKey(trx, input.signInName, id)) {
    const fields = [{ path: '/signInName', reason: 'sign-in-name-taken' }] as const
    throw new AppError('conflict', 'sign-in-name-taken', { fields })
  }
  if (input.yearGroupId !== null && !(await school.hasYearGroup(trx, input.yearGroupId))) {
    throw new AppError('invalid', 'invalid-input', {
      fields: [{ path: '/yearGroupId', reason: 'not-offered' }],
    })
  }
}

async function assertAnotherAdministrator(trx: Trx, person: Person): Promise<void> {
  const own = person.endedAt === null ? 1 : 0
  if ((await store.countAdministrators(trx)) - own < 1) throw new AppError('conflict', 'last-administrator')
}

function tidy(input: PersonInput): PersonInput {
  const chosenName = toPlainLine(input.chosenName ?? '')
  return {
    ...input,
    fullName: toPlainLine(input.fullName),
    firstName: toPlainLine(input.firstName),
    chosenName: chosenName === '' ? null : chosenName,
    signInName: toPlainLine(input.signInName),
  }
}
