import { applyOperations, findPiece, placedPieces, toPlainText } from '@valise/core/pages'
import type { Operation, PageDocument } from '@valise/core/pages'
import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import {
  addTextRow,
  describeEachDatabase,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  writeText,
} from '../testing/index.ts'

/** One act of one of two windows, which may not have heard of the other for a while. */
interface Act {
  readonly window: 0 | 1
  readonly hears: boolean
  readonly what: 'add' | 'write' | 'remove' | 'move' | 'title'
  readonly at: number
}

const acts: fc.Arbitrary<Act[]> = fc.array(
  fc.record({
    window: fc.constantFrom(0 as const, 1 as const),
    hears: fc.boolean(),
    what: fc.constantFrom<Act['what']>('add', 'add', 'write', 'write', 'remove', 'move', 'title'),
    at: fc.nat(9),
  }),
  { minLength: 4, maxLength: 14 },
)

interface Written {
  readonly word: string
  readonly pieceId: string
  readonly windowId: string
  /** The revision that took it in; null where it was refused. */
  readonly savedAt: number | null
}

describeEachDatabase('drafts', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    await makeSmallSchool(site.services)
    const wren = site.browser()
    await wren.signIn('wren')
    const begin = async () => {
      const { body } = await wren.post('/api/pages', { title: 'Transect 3', lang: 'en' })
      return `/api/pages/${body.id as string}`
    }
    return { site, wren, begin }
  }

  onSqlite(
    'lose no text of two windows, unless its writer knew of it and let it go',
    async () => {
      const { wren, begin } = await start()
      await fc.assert(
        fc.asyncProperty(acts, async (some) => {
          const path = await begin()
          const seen = async () => (await wren.get(path)).body.draft
          const windows = [
            { id: uuidv7(), known: await seen() },
            { id: uuidv7(), known: await seen() },
          ]
          const written: Written[] = []
          const replaced: { readonly pieceId: string; readonly base: number }[] = []
          for (const [n, act] of some.entries()) {
            const window = windows[act.window]
            if (!window) throw new Error('there are two windows')
            if (act.hears) window.known = await seen()
            const { revision: base, document } = window.known
            const operation = toOperation(act, document, `word${n}.`)
            if (!operation || !applyOperations(document, [operation])) continue
            const edit = { base, windowId: window.id, operations: [operation] }
            const { status, body } = await sendEdit(wren, path, edit)
            const isSaved = status < 300
            expect([isSaved, status]).toEqual([isSaved, isSaved ? status : 412])
            const pieceId = pieceOf(operation)
            if (pieceId !== null && isSaved && operation.op !== 'insert-row') replaced.push({ pieceId, base })
            if (pieceId !== null && operation.op !== 'remove-piece')
              written.push({
                word: `word${n}.`,
                pieceId,
                windowId: window.id,
                savedAt: isSaved ? body.revision : null,
              })
            // The answer to a window's own edit tells it what others did before.
            if (isSaved) window.known = await seen()
          }
          const { document, otherVersions } = await seen()
          const there = JSON.stringify([document, otherVersions])
          const lost = written.filter(({ word }) => !there.includes(word))
          const isLetGo = ({ word, pieceId, windowId, savedAt }: Written) =>
            savedAt === null
              ? // Of a window's refused texts of one piece, the latest is the one to choose.
                written.some(
                  (one) =>
                    one.word !== word &&
                    one.pieceId === pieceId &&
                    one.windowId === windowId &&
                    one.savedAt === null,
                )
              : replaced.some((one) => one.pieceId === pieceId && one.base >= savedAt)
          expect(lost.filter((one) => !isLetGo(one))).toEqual([])
        }),
        { numRuns: 12 },
      )
    },
    120_000,
  )

  it('are undone step by step by what the log holds, back to the empty page', async () => {
    const { site, wren, begin } = await start()
    const path = await begin()
    const first = (await wren.get(path)).body.draft.document
    const operations: Operation[] = [
      addTextRow('a', 'silt'),
      addTextRow('b', 'sand', 'row-a'),
      writeText('a', 'mud'),
      { op: 'set-title', title: 'The creek' },
      { op: 'move-row', rowId: 'row-b', after: null },
      { op: 'remove-piece', pieceId: 'a' },
    ]
    for (const [n, operation] of operations.entries())
      expect((await sendEdit(wren, path, { base: n + 1, operations: [operation] })).body.revision).toBe(n + 2)
    const edits: { inverse: string }[] = await site.services.database
      .reader()
      .sql('draftEdits')
      .orderBy('revision', 'desc')
    const { document } = (await wren.get(path)).body.draft
    const undone = edits.reduce<PageDocument | null>(
      (present, { inverse }) => present && applyOperations(present, JSON.parse(inverse)),
      document,
    )
    expect(undone).toEqual(first)
  })

  it('keep what a window wrote on a state between two that were merged, and overwrite nothing', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    const windowId = uuidv7()
    await sendEdit(wren, path, { base: 1, windowId, operations: [addTextRow('a', 'silt')] })
    // Written and taken back: after merging, the log says nothing of the words in between.
    for (let base = 2; base < 30; base += 1)
      await sendEdit(wren, path, {
        base,
        windowId,
        operations: [writeText('a', base < 20 ? `mud ${base}` : 'silt')],
      })
    const late = await sendEdit(wren, path, { base: 10, operations: [writeText('a', 'mud and sand')] })
    expect([late.status, late.body.reason]).toEqual([412, 'piece-changed'])
    const { draft } = (await wren.get(path)).body
    expect(toPlainText(textIn(draft.document, 'a'))).toBe('silt')
    expect(JSON.stringify(draft.otherVersions)).toContain('mud and sand')
    // A piece that the merged edits did not write is written as ever.
    const title = { op: 'set-title' as const, title: 'The creek' }
    expect((await sendEdit(wren, path, { base: 10, operations: [title] })).status).toBe(200)
  })

  onSqlite('keep as another version what finds no room on a page that others filled', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    const rows = (from: number, to: number) =>
      Array.from({ length: to - from }, (_, n) => addTextRow(`p${from + n}`, `row ${from + n}`))
    for (let n = 0; n < 3; n += 1)
      await sendEdit(wren, path, {
        base: n + 1,
        operations: rows(n * 100, (n + 1) * 100 - (n === 2 ? 1 : 0)),
      })
    await sendEdit(wren, path, { base: 4, operations: [addTextRow('theirs', 'sand')] })
    const late = await sendEdit(wren, path, { base: 4, operations: [addTextRow('mine', 'my silt')] })
    expect([late.status, late.body.reason, late.body.params]).toEqual([
      412,
      'piece-changed',
      { piece: 'mine' },
    ])
    expect(JSON.stringify((await wren.get(path)).body.draft.otherVersions)).toContain('my silt')
  })

  onSqlite('take what makes a full page smaller, and say so to what makes it longer', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    const long = 'x'.repeat(199_000)
    let base = 1
    const send = (operation: Operation) => sendEdit(wren, path, { base, operations: [operation] })
    for (let n = 0; n < 10; n += 1) {
      await send(addTextRow(`p${n}`, long))
      base += 1
    }
    const refused = await send(addTextRow('p10', long))
    expect([refused.status, refused.body.reason]).toEqual([413, 'page-full'])
    expect((await send(writeText('p0', 'short'))).status).toBe(200)
  })

  onSqlite('are the same whether they are read from the log or from a checkpoint', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    let expected: PageDocument = (await wren.get(path)).body.draft.document
    for (let n = 1; n < 60; n += 1) {
      const operation = n % 3 === 0 ? writeText('p1', `word ${n}`) : addTextRow(`p${n}`, `row ${n}`)
      expected = applyOperations(expected, [operation]) ?? expected
      await sendEdit(wren, path, { base: n, operations: [operation] })
      if (n % 7 === 0) expect((await wren.get(path)).body.draft.document).toEqual(expected)
    }
    expect(toPlainText(textIn(expected, 'p1'))).toBe('word 57')
  })
})

function textIn(document: PageDocument, pieceId: string) {
  const found = findPiece(document, pieceId)?.piece
  if (found?.kind !== 'text') throw new Error('no such text')
  return found.text
}

function toOperation({ what, at }: Act, document: PageDocument, word: string): Operation | null {
  const pieces = placedPieces(document).map(({ piece }) => piece)
  const piece = pieces[at % Math.max(1, pieces.length)]
  const row = document.rows[at % Math.max(1, document.rows.length)]
  if (what === 'add') return addTextRow(`p-${word.replace('.', '')}`, word, row?.id ?? null)
  if (what === 'title') return { op: 'set-title', title: `Title ${word}` }
  if (what === 'write') return piece ? writeText(piece.id, word) : null
  if (what === 'remove') return piece ? { op: 'remove-piece', pieceId: piece.id } : null
  return row ? { op: 'move-row', rowId: row.id, after: null } : null
}

/** The piece whose text an operation brings, changes or takes away. */
function pieceOf(operation: Operation): string | null {
  if (operation.op === 'set-piece') return operation.piece.id
  if (operation.op === 'insert-row') return operation.row.pieces[0]?.id ?? null
  return operation.op === 'remove-piece' ? operation.pieceId : null
}
