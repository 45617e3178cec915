import fc from 'fast-check'
import {
  applyOperations,
  findPiece,
  newDocument,
  newTextPiece,
  placedPieces,
  rebaseEdit,
  textOf,
  toPlainText,
} from '@valise/core/pages'
import type { Edit, EditAnswer, Operation, PageDocument } from '@valise/core/pages'
import { DraftSync } from './DraftSync.ts'
import type { DraftPorts, DraftSnapshot, Failure } from './DraftSync.ts'

class Lost extends Error {
  readonly pieceId: string
  constructor(pieceId: string) {
    super('lost')
    this.pieceId = pieceId
  }
}
class Away extends Error {}

const write = (id: string, words: string): Operation => ({
  op: 'set-piece',
  piece: newTextPiece(id, textOf(words)),
})
const addRow = (id: string, words = ''): Operation => ({
  op: 'insert-row',
  row: { id: `row-${id}`, pieces: [newTextPiece(id, textOf(words))] },
  after: null,
})
const start = newDocument('', 'en', [
  { id: 'r', pieces: [newTextPiece('a', textOf('one')), newTextPiece('b', textOf('two'))] },
])

/** A server with the rules of the real one: a log, rebase, and refusal with the text saved. */
class SmallServer {
  log: { id: string; operations: Operation[] }[] = []
  isAway = false
  now: string | null = null
  saved = new Map<string, string>()

  documentAt(revision: number): PageDocument {
    const operations = this.log.slice(0, revision - 1).flatMap((edit) => edit.operations)
    return applyOperations(start, operations) ?? start
  }
  get revision() {
    return this.log.length + 1
  }
  get document() {
    return this.documentAt(this.revision)
  }
  take(edit: Edit): EditAnswer {
    if (this.isAway) throw new Away()
    const at = this.log.findIndex(({ id }) => id === edit.editId)
    const others = this.log.slice(edit.base - 1, at < 0 ? undefined : at).flatMap((one) => one.operations)
    if (at >= 0) return { revision: at + 2, others, operations: this.log[at]?.operations ?? [] }
    const rebased = rebaseEdit(this.documentAt(edit.base), others, edit.operations)
    const refused = rebased?.refused[0]
    if (!rebased || refused) {
      for (const operation of rebased?.refused ?? [])
        if (operation.op === 'set-piece' && operation.piece.kind === 'text')
          this.saved.set(`${edit.windowId} ${operation.piece.id}`, toPlainText(operation.piece.text))
      throw new Lost(refused?.op === 'set-piece' ? refused.piece.id : '')
    }
    this.log.push({ id: edit.editId, operations: rebased.operations })
    return { revision: this.revision, others, operations: rebased.operations }
  }
}

function openWindow(server: SmallServer, snapshot?: DraftSnapshot) {
  let ids = 0
  const timers: (() => void)[] = []
  const onDevice: DraftSnapshot[] = []
  const windowId = snapshot?.windowId ?? `w${Math.random()}`
  const ports: DraftPorts = {
    send: async (edit) => server.take(edit),
    fetch: async () => {
      if (server.isAway) throw new Away()
      return { revision: server.revision, document: server.document }
    },
    toFailure: (error): Failure => {
      if (error instanceof Away) return { kind: 'later' }
      return error instanceof Lost ? { kind: 'lost', pieceId: error.pieceId } : { kind: 'refused', error }
    },
    newId: () => `${windowId}-${(ids += 1)}`,
    now: () => server.now,
    wait: (_, then) => {
      timers.push(then)
      return () => void timers.splice(timers.indexOf(then), 1)
    },
    saveOnDevice: (one) => void onDevice.push(one),
  }
  const confirmed = { revision: server.revision, document: server.document }
  const sync = new DraftSync(snapshot ?? { windowId, confirmed, queue: [] }, ports)
  /** Lets all timers pass and all answers arrive. */
  const settle = async () => {
    for (let n = 0; n < 12; n += 1) {
      for (const then of timers.splice(0)) then()
      for (let tick = 0; tick < 10; tick += 1) await Promise.resolve()
    }
  }
  const textIn = (id: string) => {
    const piece = findPiece(sync.state().document, id)?.piece
    return piece?.kind === 'text' ? toPlainText(piece.text) : null
  }
  return { sync, settle, textIn, onDevice, windowId }
}

describe('a draft in a window', () => {
  it('delivers what was typed as one edit, and says when it is there', async () => {
    const server = new SmallServer()
    const { sync, settle } = openWindow(server)
    for (const words of ['s', 'si', 'silt']) sync.act([write('a', words)])
    expect(sync.state()).toMatchObject({ delivery: 'delivering', queued: 1 })
    await settle()
    expect(sync.state()).toMatchObject({ delivery: 'delivered', queued: 0, revision: 2 })
    expect(server.log).toHaveLength(1)
    expect(server.document).toEqual(sync.state().document)
  })

  it('keeps what it cannot deliver, in order, and delivers it when the server is back', async () => {
    const server = new SmallServer()
    const here = openWindow(server)
    server.isAway = true
    here.sync.act([write('a', 'silt')])
    here.sync.act([addRow('c', 'three')])
    await here.settle()
    expect(here.sync.state()).toMatchObject({ delivery: 'on-device', queued: 2 })
    server.isAway = false
    await here.settle()
    expect(here.sync.state().delivery).toBe('delivered')
    expect(server.document).toEqual(here.sync.state().document)
  })

  it('tells with each edit when it was written, and joins none over the minute', async () => {
    const server = new SmallServer()
    const sent: Edit[] = []
    const take = server.take.bind(server)
    server.take = (edit) => {
      sent.push(edit)
      return take(edit)
    }
    const here = openWindow(server)
    server.isAway = true
    const writeAt = (time: string, words: string) => {
      server.now = `2026-11-27T${time}Z`
      here.sync.act([write('a', words)])
    }
    writeAt('16:59:20.000', 's')
    await here.settle()
    writeAt('16:59:40.000', 'si')
    writeAt('16:59:58.000', 'sil')
    writeAt('17:00:03.000', 'silt')
    server.now = '2026-11-27T17:40:00.000Z'
    server.isAway = false
    sent.splice(0)
    await here.settle()
    expect(sent.map(({ writtenAt }) => writtenAt)).toEqual([
      '2026-11-27T16:59:58.000Z',
      '2026-11-27T17:00:03.000Z',
    ])
    expect(here.textIn('a')).toBe('silt')
  })

  it('goes on in another window with what was left behind', async () => {
    const server = new SmallServer()
    const first = openWindow(server)
    server.isAway = true
    first.sync.act([write('a', 'silt')])
    await first.settle()
    const left = first.onDevice.at(-1)
    server.isAway = false
    const other = openWindow(server)
    other.sync.act([write('b', 'sand')])
    await other.settle()
    const second = openWindow(server, left)
    second.sync.deliverNow()
    await second.settle()
    expect([second.textIn('a'), second.textIn('b')]).toEqual(['silt', 'sand'])
    expect(server.document).toEqual(second.sync.state().document)
  })

  it('counts once what was kept although its answer never came', async () => {
    const server = new SmallServer()
    const { sync, settle } = openWindow(server)
    const take = server.take.bind(server)
    server.take = (edit) => {
      take(edit)
      server.take = take
      throw new Away()
    }
    sync.act([addRow('c', 'three')])
    await settle()
    expect(server.log).toHaveLength(1)
    expect(sync.state().delivery).toBe('delivered')
  })

  it('joins another window’s edits to other pieces, also while it goes on writing', async () => {
    const server = new SmallServer()
    const [one, two] = [openWindow(server), openWindow(server)]
    one.sync.act([write('a', 'silt')])
    two.sync.act([write('b', 'sand')])
    await one.settle()
    two.sync.act([addRow('c', 'mud')])
    await two.settle()
    expect(two.sync.state().fromElsewhere).toBeGreaterThan(0)
    await one.sync.refresh()
    expect([one.textIn('a'), one.textIn('b'), one.textIn('c')]).toEqual(['silt', 'sand', 'mud'])
    expect(one.sync.state().document).toEqual(two.sync.state().document)
  })

  it('shows the others’ text where its own lost, keeps its newest there, and loses nothing else', async () => {
    const server = new SmallServer()
    const [one, two] = [openWindow(server), openWindow(server)]
    one.sync.act([write('a', 'silt')])
    await one.settle()
    two.sync.act([write('a', 'sa')])
    two.sync.act([addRow('c', 'mud')])
    two.sync.act([write('a', 'sand')])
    await two.settle()
    expect([two.textIn('a'), two.textIn('c')]).toEqual(['silt', 'mud'])
    expect(server.saved.get(`${two.windowId} a`)).toBe('sand')
    expect(two.sync.state().delivery).toBe('delivered')
  })

  it.each<[string, Operation]>([
    ['a piece', { op: 'remove-piece', pieceId: 'a' }],
    ['its row', { op: 'remove-row', rowId: 'r' }],
  ])('gives up taking %s away where the others wrote in it, and delivers the rest', async (_, remove) => {
    const server = new SmallServer()
    const [one, two] = [openWindow(server), openWindow(server)]
    one.sync.act([write('a', 'silt')])
    await one.settle()
    two.sync.act([remove])
    two.sync.act([addRow('c', 'mud')])
    await two.settle()
    expect([two.textIn('a'), two.textIn('c')]).toEqual(['silt', 'mud'])
    expect(two.sync.state().delivery).toBe('delivered')
    expect(server.document).toEqual(two.sync.state().document)
  })

  it('delivers the rest of an edit whose new piece found no room', async () => {
    const server = new SmallServer()
    const { sync, settle } = openWindow(server)
    const take = server.take.bind(server)
    server.take = (edit) => {
      if (edit.operations.some(({ op }) => op === 'insert-row')) throw new Lost('c')
      return take(edit)
    }
    sync.act([addRow('c', 'mud'), write('a', 'silt')])
    await settle()
    expect(server.document).toEqual(sync.state().document)
    expect(placedPieces(server.document).map(({ piece }) => piece.id)).toEqual(['a', 'b'])
    expect(sync.state().delivery).toBe('delivered')
    expect(server.log.flatMap(({ operations }) => operations)).toEqual([write('a', 'silt')])
  })

  it('takes back what was done here, the last first', async () => {
    const server = new SmallServer()
    const { sync, settle, textIn } = openWindow(server)
    sync.act([write('a', 'silt')])
    await settle()
    sync.act([{ op: 'remove-row', rowId: 'r' }])
    await settle()
    sync.undo()
    expect(textIn('a')).toBe('silt')
    sync.undo()
    expect(textIn('a')).toBe('one')
    expect(sync.state().canUndo).toBe(false)
    await settle()
    expect(server.document).toEqual(start)
  })

  it('stops at an edit that is refused, says so, and goes on once it is given up', async () => {
    const server = new SmallServer()
    const { sync, settle } = openWindow(server)
    const take = server.take.bind(server)
    const refusal = new Error('not allowed')
    server.take = () => {
      throw refusal
    }
    sync.act([write('a', 'bad')])
    await settle()
    expect(sync.state()).toMatchObject({ delivery: 'refused', error: refusal, queued: 1 })
    server.take = take
    sync.act([addRow('c')])
    sync.dropRefused()
    await settle()
    expect(sync.state().delivery).toBe('delivered')
    expect(placedPieces(server.document).map(({ piece }) => piece.id)).toEqual(['c', 'a', 'b'])
  })

  it('comes to the same as the server, whatever two windows write and however often it is away', async () => {
    const steps = fc.array(
      fc.record({
        who: fc.nat(1),
        what: fc.nat(4),
        piece: fc.constantFrom('a', 'b'),
        words: fc.string({ maxLength: 5 }),
      }),
      { maxLength: 14 },
    )
    await fc.assert(
      fc.asyncProperty(steps, async (list) => {
        const server = new SmallServer()
        const windows = [openWindow(server), openWindow(server)]
        for (const [n, { who, what, piece, words }] of list.entries()) {
          const here = windows[who]
          if (what < 2) here?.sync.act([write(piece, words)])
          else if (what === 2) here?.sync.act([addRow(`n${n}`, words)])
          else if (what === 3) server.isAway = !server.isAway
          else await here?.settle()
        }
        server.isAway = false
        for (const { sync, settle } of [...windows, ...windows]) {
          await settle()
          await sync.refresh()
        }
        for (const { sync } of windows) {
          expect(sync.state().delivery).toBe('delivered')
          expect(sync.state().document).toEqual(server.document)
        }
      }),
    )
  })
})
