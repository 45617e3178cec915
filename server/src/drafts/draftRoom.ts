// What every room of drafts does alike: keeping edits, and choosing between versions. Its routes come with it.
import { draftSchema, editAnswerSchema, editSchema } from '@valise/core/pages'
import type { Draft, Edit, EditAnswer, PageDocument } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { idSchema, object } from '@valise/core/schemas'
import type { Instant } from '@valise/core/time'
import type { Trx, Writable } from '../database/index.ts'
import { route } from '../http/index.ts'
import type { Route } from '../http/index.ts'
import { inOwnersTransaction } from '../things/index.ts'
import { editDraft, removeOtherVersion, takeOtherVersion } from './editDraft.ts'
import { getDraft } from './readDraft.ts'

export interface DraftRoom {
  /** @throws AppError where the draft is not one's own, or lies in the bin */
  assertWritable(trx: Trx, actor: PersonActor, id: string): Promise<unknown>
  /** Writes down what the room's lists tell of a document that was changed, and when that was written. */
  noteChange(trx: Trx, id: string, document: PageDocument, writtenAt: Instant): Promise<void>
  /** Whether the thing uses what the document shows; else it has uses of its own, and the document shows nothing. */
  readonly usesShown: boolean
  /** Whether the draft can be had as it was at any minute. */
  readonly keepsMinutes?: boolean
}

/**
 * Saves an edit. @throws AppError `stale` when it conflicts with an earlier one; its text is saved as another version
 */
export async function saveEdit(
  on: Writable,
  room: DraftRoom,
  { actor, id, edit }: { readonly actor: PersonActor; readonly id: string; readonly edit: Edit },
): Promise<EditAnswer> {
  const outcome = await inOwnersTransaction(on, actor.personId, async (trx) => {
    await room.assertWritable(trx, actor, id)
    const edited = await editDraft(trx, actor, id, edit, room)
    if (edited.kind === 'saved') await room.noteChange(trx, id, edited.document, edited.writtenAt)
    return edited
  })
  // Thrown only here: the transaction has saved the losing text.
  if (outcome.kind === 'refused') throw outcome.error
  return outcome.answer
}

interface OtherWish {
  readonly actor: PersonActor
  readonly id: string
  readonly otherId: string
}

function takeOther(on: Writable, room: DraftRoom, { actor, id, otherId }: OtherWish): Promise<Draft> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    await room.assertWritable(trx, actor, id)
    await room.noteChange(trx, id, await takeOtherVersion(trx, actor, id, otherId, room), trx.now)
    return getDraft(trx, actor, id)
  })
}

function removeOther(on: Writable, room: DraftRoom, { actor, id, otherId }: OtherWish): Promise<void> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    await room.assertWritable(trx, actor, id)
    await removeOtherVersion(trx, actor, id, otherId)
  })
}

/**
 * Makes the routes of a draft. @param path the path of the thing, such as `/api/pages/{id}`
 */
export function draftRoutes(path: string, room: DraftRoom): Route[] {
  const byOther = object({ id: idSchema, otherId: idSchema })
  return [
    route(
      {
        method: 'post',
        path: `${path}/edits`,
        summary:
          'Save an edit of the draft; edits of other windows are merged, and the same piece is refused',
        who: 'signed-in',
        params: object({ id: idSchema }),
        body: editSchema,
        answer: editAnswerSchema,
      },
      ({ writable, actor, params, body }) => saveEdit(writable, room, { actor, id: params.id, edit: body }),
    ),
    route(
      {
        method: 'post',
        path: `${path}/other-versions/{otherId}`,
        summary: 'Put a version that lost in the place of the one that stands',
        who: 'signed-in',
        params: byOther,
        answer: draftSchema,
      },
      ({ writable, actor, params }) => takeOther(writable, room, { actor, ...params }),
    ),
    route(
      {
        method: 'delete',
        path: `${path}/other-versions/{otherId}`,
        summary: 'Remove a version that lost',
        who: 'signed-in',
        params: byOther,
      },
      ({ writable, actor, params }) => removeOther(writable, room, { actor, ...params }),
    ),
  ]
}
