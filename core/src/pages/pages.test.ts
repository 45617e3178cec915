import fc from 'fast-check'
import { isSame } from '../json/index.ts'
import {
  applyOperation,
  applyOperations,
  findPiece,
  invertOperations,
  newDocument,
  newTextPiece,
  placedPieces,
  rebaseEdit,
  textOf,
  upgradeDocument,
} from './index.ts'
import type { Operation, PageDocument, Piece, Row } from './index.ts'
import { anyDocument } from './testing/index.ts'
import { MOST_PIECES_IN_ROW, MOST_ROWS } from './valueLists.ts'

const words = fc.constantFrom('low water', 'glasswort', 'stake 4', 'the bank is bare', 'silt')

const documents = anyDocument()

interface Wish {
  readonly sort: number
  readonly a: number
  readonly b: number
  readonly text: string
}
const wishes = fc.array(fc.record({ sort: fc.nat(8), a: fc.nat(20), b: fc.nat(20), text: words }), {
  maxLength: 6,
})

/** Makes an edit that applies: each wish is turned into an operation on what is there. */
function toEdit(document: PageDocument, list: readonly Wish[], who: string): Operation[] {
  const operations: Operation[] = []
  let present = document
  list.forEach((wish, n) => {
    const operation = toOperation(present, wish, `${who}${n}`)
    const next = operation && applyOperation(present, operation)
    if (!operation || !next) return
    operations.push(operation)
    present = next
  })
  return operations
}

function toOperation(document: PageDocument, wish: Wish, id: string): Operation | null {
  const { rows } = document
  const pieces = placedPieces(document).map(({ piece }) => piece)
  const row = rows[wish.a % Math.max(1, rows.length)]
  const piece = pieces[wish.a % Math.max(1, pieces.length)]
  const afterIn = (parts: readonly { id: string }[]) => parts[wish.b % (parts.length + 1)]?.id ?? null
  const made = newTextPiece(id, textOf(wish.text))
  switch (wish.sort) {
    case 0:
      return { op: 'set-title', title: `${wish.text} ${id}` }
    case 1:
      return { op: 'insert-row', row: { id: `row-${id}`, pieces: [made] }, after: afterIn(rows) }
    case 2:
      return row ? { op: 'remove-row', rowId: row.id } : null
    case 3:
      return row ? { op: 'move-row', rowId: row.id, after: afterIn(rows) } : null
    case 4:
      return row ? { op: 'insert-piece', rowId: row.id, piece: made, after: afterIn(row.pieces) } : null
    case 5:
      return piece ? { op: 'remove-piece', pieceId: piece.id } : null
    case 6:
      return piece && row
        ? { op: 'move-piece', pieceId: piece.id, rowId: row.id, after: afterIn(row.pieces) }
        : null
    case 7:
      return { op: 'set-lang', lang: wish.b % 2 === 0 ? 'es' : 'la' }
    default:
      return piece ? { op: 'set-piece', piece: changed(piece, wish) } : null
  }
}

/** A text says something else; a piece of any other kind is as wide as something else. */
function changed(piece: Piece, { text, b }: Wish): Piece {
  return piece.kind === 'text' ? { ...piece, text: textOf(text) } : { ...piece, span: 2 + (b % 11) }
}

const pairs = fc.tuple(documents, wishes, wishes).map(([base, theirs, mine]) => ({
  base,
  theirs: toEdit(base, theirs, 't'),
  mine: toEdit(base, mine, 'm'),
}))

const contents = (document: PageDocument): Map<string, Piece> =>
  new Map(placedPieces(document).map(({ piece }) => [piece.id, piece]))

function applied(document: PageDocument, operations: readonly Operation[]): PageDocument {
  const next = applyOperations(document, operations)
  if (!next) throw new Error('the edit does not apply')
  return next
}

describe('operations', () => {
  it('taken back give the document one had', () => {
    fc.assert(
      fc.property(documents, wishes, (base, list) => {
        const edit = toEdit(base, list, 'm')
        const back = invertOperations(base, edit)
        expect(back).not.toBeNull()
        expect(applied(applied(base, edit), back ?? [])).toEqual(base)
      }),
    )
  })

  it.each<[string, Operation]>([
    ['a piece that is not there', { op: 'remove-piece', pieceId: 'nowhere' }],
    ['a row that is not there', { op: 'move-row', rowId: 'nowhere', after: null }],
    ['a place that is not there', { op: 'insert-row', row: { id: 'x', pieces: [] }, after: 'nowhere' }],
    ['a part that is there already', { op: 'insert-row', row: { id: 'r', pieces: [] }, after: null }],
    ['a piece of another kind', { op: 'set-piece', piece: { id: 'p', kind: 'line', span: 12 } }],
    ['a piece after itself', { op: 'move-piece', pieceId: 'p', rowId: 'r', after: 'p' }],
  ])('do not apply to %s', (_, operation) => {
    const row: Row = { id: 'r', pieces: [newTextPiece('p')] }
    expect(applyOperation(newDocument('', 'en', [row]), operation)).toBeNull()
  })
})

describe('an edit that is carried over others’', () => {
  it('always applies, and nobody’s writing goes missing', () => {
    fc.assert(
      fc.property(pairs, ({ base, theirs, mine }) => {
        const rebased = rebaseEdit(base, theirs, mine)
        if (!rebased) throw new Error('both edits are honest')
        const before = contents(base)
        const there = contents(applied(base, theirs))
        const here = contents(applied(base, mine))
        const joined = contents(applied(applied(base, theirs), rebased.operations))
        const unmoved = new Set(
          rebased.refused.flatMap((operation) => ('piece' in operation ? [operation.piece.id] : [])),
        )
        for (const [id, piece] of here) {
          const isWritten = !isSame(before.get(id), piece)
          if (!isWritten || unmoved.has(id)) continue
          // What was written here stands in the result, unless the other side only took away or wrote the same.
          expect([id, joined.get(id)]).toEqual([id, piece])
        }
        for (const [id, piece] of there) {
          const isWritten = !isSame(before.get(id), piece)
          if (isWritten) expect([id, joined.get(id)]).toEqual([id, piece])
        }
      }),
      { numRuns: 500 },
    )
  })

  it('gives the same whoever is first, where they changed what pieces say', () => {
    fc.assert(
      fc.property(pairs, ({ base, theirs, mine }) => {
        const onlyWriting = (edit: Operation[]) => edit.filter(({ op }) => op === 'set-piece')
        const [a, b] = [onlyWriting(theirs), onlyWriting(mine)]
        if (!applyOperations(base, a) || !applyOperations(base, b)) return
        const one = rebaseEdit(base, a, b)
        const other = rebaseEdit(base, b, a)
        if (!one || !other || one.refused.length + other.refused.length > 0) return
        expect(applied(applied(base, a), one.operations)).toEqual(applied(applied(base, b), other.operations))
      }),
    )
  })

  it('is refused where both wrote the same piece, and where one removed what the other wrote', () => {
    const base = newDocument('', 'en', [{ id: 'r', pieces: [newTextPiece('p', textOf('silt'))] }])
    const write = (text: string): Operation => ({ op: 'set-piece', piece: newTextPiece('p', textOf(text)) })
    const refusedOf = (a: Operation, b: Operation) => rebaseEdit(base, [a], [b])?.refused
    expect(refusedOf(write('here'), write('there'))).toEqual([write('there')])
    expect(refusedOf(write('same'), write('same'))).toEqual([])
    expect(refusedOf({ op: 'remove-row', rowId: 'r' }, write('there'))).toEqual([write('there')])
    const remove: Operation = { op: 'remove-piece', pieceId: 'p' }
    expect(refusedOf(write('here'), remove)).toEqual([remove])
    expect(refusedOf(remove, remove)).toEqual([])
    const title = (text: string): Operation => ({ op: 'set-title', title: text })
    expect(refusedOf(title('Here'), title('There'))).toEqual([title('There')])
  })

  it('gives a row of its own to what was put into a row that is gone', () => {
    const rows = ['a', 'b'].map((id) => ({ id, pieces: [] }))
    const base = newDocument('', 'en', rows)
    const piece = newTextPiece('new', textOf('silt'))
    const rebased = rebaseEdit(
      base,
      [{ op: 'remove-row', rowId: 'b' }],
      [{ op: 'insert-piece', rowId: 'b', piece, after: null }],
    )
    const joined = applied(newDocument('', 'en', rows.slice(0, 1)), rebased?.operations ?? [])
    expect(joined.rows.map(({ id }) => id)).toEqual(['a', 'new'])
    expect(findPiece(joined, 'new')?.piece).toEqual(piece)
  })
})

describe('what has no room any more', () => {
  const full = (count: number) =>
    Array.from({ length: count }, (_, n): Piece => newTextPiece(`p${n}`, textOf('silt')))
  const put = (id: string): Operation => ({
    op: 'insert-piece',
    rowId: 'r',
    piece: newTextPiece(id, textOf(id)),
    after: null,
  })

  it('gets a row of its own where others filled the row', () => {
    const base = newDocument('', 'en', [{ id: 'r', pieces: full(MOST_PIECES_IN_ROW - 1) }])
    const rebased = rebaseEdit(base, [put('theirs')], [put('mine')])
    const joined = applied(applied(base, [put('theirs')]), rebased?.operations ?? [])
    expect(joined.rows.map(({ id }) => id)).toEqual(['r', 'mine'])
    expect(rebased?.refused).toEqual([])
  })

  it('is refused where others filled the page; a move that finds no room leaves the piece where it is', () => {
    const rows = full(MOST_ROWS - 1).map((piece): Row => ({ id: `row-${piece.id}`, pieces: [piece] }))
    const base = newDocument('', 'en', rows)
    const row = (id: string): Operation => ({
      op: 'insert-row',
      row: { id, pieces: [newTextPiece(`in-${id}`, textOf(id))] },
      after: null,
    })
    const rebased = rebaseEdit(base, [row('theirs')], [row('mine'), { op: 'set-title', title: 'Silt' }])
    expect(rebased).toEqual({ operations: [{ op: 'set-title', title: 'Silt' }], refused: [row('mine')] })
    const inRow = newDocument('', 'en', [
      { id: 'r', pieces: full(MOST_PIECES_IN_ROW - 1) },
      { id: 's', pieces: [newTextPiece('moved', textOf('sand'))] },
    ])
    const move: Operation = { op: 'move-piece', pieceId: 'moved', rowId: 'r', after: null }
    expect(rebaseEdit(inRow, [put('theirs')], [move])).toEqual({ operations: [], refused: [] })
  })
})

describe('a piece whose text at the base is not known any more', () => {
  it('counts as changed by others', () => {
    const base = newDocument('', 'en', [{ id: 'r', pieces: [newTextPiece('p', textOf('silt'))] }])
    const write: Operation = { op: 'set-piece', piece: newTextPiece('p', textOf('mud')) }
    expect(rebaseEdit(base, [], [write])?.refused).toEqual([])
    expect(rebaseEdit(base, [], [write], new Set(['p']))?.refused).toEqual([write])
  })
})

describe('a stored document', () => {
  /** One example of each schema that ever shipped; a new one is added beside them. */
  const stored = [{ schema: 1, title: 'Stake 4', lang: 'en', rows: [] }]

  it.each(stored)('of schema $schema is read by the newest', (document) => {
    expect(upgradeDocument(document)).toEqual(newDocument('Stake 4', 'en'))
  })

  it('of a newer Valise is refused in words', () => {
    expect(() => upgradeDocument({ schema: 99 })).toThrow('newer version of Valise')
  })
})
