// Guides as a room of offered things: assessors write them, those of one class together.
import { guideFaults } from '@valise/core/guides'
import type { GuideContent } from '@valise/core/guides'
import type { OwnOffered } from '@valise/core/offers'
import { isAssessorRole } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import type { Trx } from '../database/index.ts'
import { listVersions, offeredRoom } from '../offers/index.ts'
import { listOwnThings } from '../things/index.ts'
import { hasCopiesRead } from './copyStore.ts'
import { setForClasses } from './setForClasses.ts'

export const guideRoom = offeredRoom<GuideContent>({
  kind: 'guide',
  shipped: [],
  blank: (title) => ({ title, about: {}, reading: 'followed', dueLocal: null, stages: [] }),
  sizeOf: ({ stages }) => stages.length,
  mayWrite: ({ administrator, memberships }) =>
    administrator || memberships.some(({ role }) => isAssessorRole(role)),
  isWrittenTogether: true,
  faultOf: (content) => {
    const [fault] = guideFaults(content)
    if (!fault) return null
    const { what, ...params } = fault
    return new AppError('invalid', `guide-lacks-${what}`, { params })
  },
  assertMaySave,
  afterShown,
})

/** @throws AppError `not-found` when an instruction begins to show something that is not its writer's */
async function assertMaySave(
  trx: Trx,
  actor: PersonActor,
  before: GuideContent,
  after: GuideContent,
): Promise<void> {
  const known = new Set(itemsIn(before))
  const added = itemsIn(after).filter((id) => !known.has(id))
  const own = await listOwnThings(trx, actor, ['evidence'], added)
  if (own.length < added.length) throw new AppError('not-found', 'not-found')
}

function itemsIn({ stages }: GuideContent): string[] {
  const ids = stages.flatMap(({ blocks }) =>
    blocks.flatMap((block) => ('items' in block ? block.items.map(({ id }) => id) : [])),
  )
  return [...new Set(ids)]
}

/**
 * Sets what students see of a guide for its classes.
 *
 * @throws AppError `conflict` when it would be read otherwise than those who have begun it were told
 */
async function afterShown(
  trx: Trx,
  actor: PersonActor,
  { before, own }: { readonly before: OwnOffered<GuideContent>; readonly own: OwnOffered<GuideContent> },
): Promise<void> {
  const [newest] = own.n === 0 ? [] : await listVersions<GuideContent>(trx, [{ id: own.id, n: own.n }])
  if (!newest) return
  const { content } = newest
  const other = content.reading === 'followed' ? 'sealed' : 'followed'
  if (await hasCopiesRead(trx, own.id, other)) throw new AppError('conflict', 'guide-reading-fixed')
  const added = own.offers.filter((classId) => !before.offers.includes(classId))
  await setForClasses(trx, actor, { guideId: own.id, content, classIds: own.offers, added })
}
