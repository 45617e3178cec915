// Puts Wren's logbooks and pages into the world, by the same use cases as the screens.
import { everything } from '@valise/core/evidence'
import { isTextPiece, newEntryPiece, newLinePiece, newLogbookPiece, newTextPiece } from '@valise/core/pages'
import type { Operation, Page, Piece, Row } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { LocalDay } from '@valise/core/time'
import { createPage, saveEdit, findItems, listPresentPeople, pageRoom, publishPage } from '@valise/server'
import type { Services } from '@valise/server'
import { v7 as uuidv7 } from 'uuid'
import { buildLogbooks } from './buildLogbooks.ts'
import { buildRatings } from './buildRatings.ts'
import { buildStatements } from './buildStatements.ts'
import { cast } from './cast.ts'
import { memberActor } from './memberActor.ts'
import { at, toThing } from './pageBuilding.ts'
import type { PageBuilding } from './pageBuilding.ts'
import { pagesOfWren } from './pagesOfWren.ts'
import type { SamplePage } from './pagesOfWren.ts'
import { richTextOf } from './sampleBlocks.ts'
import type { SampleBlock } from './sampleBlocks.ts'

export async function buildPages(services: Services, today: LocalDay): Promise<void> {
  const reader = services.database.reader()
  const wren = (await listPresentPeople(reader)).find(({ signInName }) => signInName === cast.wren.signInName)
  if (!wren) throw new Error('Wren is not in the world')
  const actor = await memberActor(services, wren.id)
  const things = await thingsOf(services, actor)
  const building: PageBuilding = { services, today, actor, things, logbooks: new Map(), entries: new Map() }
  await buildLogbooks(building)
  await buildRatings(building)
  await buildStatements(building)
  const oldestFirst = [...pagesOfWren].sort((a, b) => b.daysAgo - a.daysAgo)
  for (const page of oldestFirst) await buildPage(building, page)
}

/** Returns a person's evidence by title. */
export async function thingsOf(services: Services, actor: PersonActor): Promise<PageBuilding['things']> {
  const reader = services.database.reader()
  const { items } = await findItems(reader, actor, everything, { cursor: undefined, limit: 200 })
  return new Map(items.map((item) => [item.title, item]))
}

/** Makes a page and, where wanted, publishes it and continues its draft. */
export async function buildPage(building: PageBuilding, wish: SamplePage): Promise<void> {
  const { actor } = building
  const rows = wish.rows.map((blocks) => toRow(building, blocks))
  const page = await createPage(
    at(building, wish.daysAgo, 15),
    actor,
    { title: wish.title, lang: 'en' },
    rows,
  )
  if (wish.publishedDaysAgo === null) return
  await publishPage(at(building, wish.publishedDaysAgo, 16), actor, page.id, page.draft.revision)
  const operations = wish.later ? laterOperations(building, page, wish.later) : []
  if (operations.length === 0) return
  const ids = { editId: uuidv7(), windowId: uuidv7() }
  const soonAfter = at(building, Math.max(wish.publishedDaysAgo - 3, 0), 9)
  const edit = { base: page.draft.revision, ...ids, operations }
  await saveEdit(soonAfter, pageRoom, { actor, id: page.id, edit })
}

function laterOperations(
  building: PageBuilding,
  { draft }: Page,
  later: NonNullable<SamplePage['later']>,
): Operation[] {
  const first = draft.document.rows.flatMap(({ pieces }) => pieces).find(isTextPiece)
  const rows = later.rows.map((blocks) => toRow(building, blocks))
  const last = draft.document.rows.at(-1)?.id ?? null
  return [
    ...(first && later.text !== undefined
      ? [{ op: 'set-piece' as const, piece: { ...first, text: richTextOf(later.text) } }]
      : []),
    ...rows.map((row, n) => ({ op: 'insert-row' as const, row, after: rows[n - 1]?.id ?? last })),
  ]
}

function toRow(building: PageBuilding, blocks: readonly SampleBlock[]): Row {
  return { id: uuidv7(), pieces: blocks.map((block) => toPiece(building, block)) }
}

function toPiece(building: PageBuilding, block: SampleBlock): Piece {
  switch (block.kind) {
    case 'text':
      return newTextPiece(uuidv7(), block.text, block.span)
    case 'thing':
      return toThing(building, block.title, block.caption, block)
    case 'entry': {
      const id = building.entries.get(block.title)
      if (id === undefined) throw new Error(`there is no entry ${block.title}`)
      return newEntryPiece(uuidv7(), id)
    }
    case 'logbook': {
      const id = building.logbooks.get(block.title)
      if (id === undefined) throw new Error(`there is no logbook ${block.title}`)
      return { ...newLogbookPiece(uuidv7(), id), order: block.order }
    }
    case 'line':
      return newLinePiece(uuidv7())
  }
}
