// Classes: listing one's own, opening one, adding and changing them.
import { decideClassAccess } from '@valise/core/classes'
import type { Class, ClassDetail, ClassInput } from '@valise/core/classes'
import { AppError, assertAllowed } from '@valise/core/problems'
import type { Actor, PersonActor } from '@valise/core/people'
import { changesBetween } from '@valise/core/records'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { appendRecord } from '../records/index.ts'
import * as store from './store.ts'

/** Lists one's current classes; for an administrator all classes of the school. */
export function listMyClasses(reader: Reader, actor: PersonActor): Promise<Class[]> {
  return store.listClasses(
    reader,
    actor.administrator ? 'all' : actor.memberships.map(({ classId }) => classId),
  )
}

export async function getClassDetail(reader: Reader, actor: PersonActor, id: string): Promise<ClassDetail> {
  assertAllowed(decideClassAccess(actor, id), 'not-found')
  return { class: await getClass(reader, id), members: await store.listRoster(reader, id, actor.personId) }
}

export function createClass(on: Writable, actor: Actor, input: ClassInput): Promise<Class> {
  return inTransaction(on, async (trx) => {
    await assertCodeFree(trx, input.code, null)
    const id = await store.insertClass(trx, input)
    const changes = changesBetween({}, { ...input })
    await appendRecord(trx, actor, { action: 'class-added', subject: 'class', subjectId: id, changes })
    return getClass(trx, id)
  })
}

export function updateClass(
  on: Writable,
  actor: PersonActor,
  id: string,
  revision: number,
  input: ClassInput,
): Promise<Class> {
  return inTransaction(on, async (trx) => {
    const before = await getClass(trx, id)
    await assertCodeFree(trx, input.code, id)
    if (!(await store.updateClass(trx, id, revision, input))) throw new AppError('stale', 'stale')
    const changes = changesBetween({ name: before.name, code: before.code }, { ...input })
    await appendRecord(trx, actor, { action: 'class-changed', subject: 'class', subjectId: id, changes })
    return getClass(trx, id)
  })
}

async function getClass(reader: Reader, id: string): Promise<Class> {
  const found = await store.findClass(reader, id)
  if (!found) throw new AppError('not-found', 'not-found')
  return found
}

async function assertCodeFree(trx: Trx, code: string, id: string | null): Promise<void> {
  if (!(await store.hasClassCode(trx, code, id))) return
  throw new AppError('conflict', 'code-taken', { fields: [{ path: '/code', reason: 'code-taken' }] })
}
