import { afterEach, beforeEach, expect, it, jest } from '@jest/globals'
import { newDocument, newTextPiece, textOf, toPlainText } from '@valise/core/pages'
import type { Edit } from '@valise/core/pages'
import { FakeServer } from '../testing/fakeServer.ts'
import { fakeWindows } from '../testing/fakeWindows.ts'
import { getSaveStatus } from './saveStatus.ts'
import { deviceStoreOf } from './deviceStore.ts'
import { deliverAll, deliverLeftBehind, openDraft } from './draftWindows.ts'
import 'fake-indexeddb/auto'

const path = '/api/pages/p'
const start = newDocument('', 'en', [{ id: 'r', pieces: [newTextPiece('a', textOf('silt'))] }])
const write = (words: string) => ({ op: 'set-piece' as const, piece: newTextPiece('a', textOf(words)) })

const me = 'wren'

let server: FakeServer
let revision = 1

fakeWindows()

const taken = (edit: unknown) => {
  revision += 1
  return { revision, others: [], operations: (edit as Edit).operations }
}

beforeEach(() => {
  revision = 1
  server = new FakeServer({
    'GET /api/session/device-key': () => ({ key: `${'A'.repeat(42)}8` }),
    [`GET ${path}`]: () => ({ draft: { revision, document: start } }),
    [`POST ${path}/edits`]: taken,
    [`POST ${path}/gone/edits`]: taken,
    [`POST ${path}/two/edits`]: taken,
  })
})
afterEach(() => server.leave())

const edits = () => server.bodies(`POST ${path}/edits`) as Edit[]
const until = async (isTrue: () => boolean | Promise<boolean>) => {
  while (!(await isTrue())) await new Promise((resolve) => setTimeout(resolve, 20))
}
const leftBy = (windowId: string) => ({ shelf: 'drafts', place: path, part: windowId }) as const
const leftAt = async (at: string) => (await (await deviceStoreOf(me))?.list('drafts', at)) ?? []
const confirmed = { revision: 1, document: start }

it('what is written goes out, the top bar says that it is kept, and nothing stays on the device', async () => {
  const draft = openDraft(me, path, confirmed)
  draft.act([write('silt and sand')])
  expect(getSaveStatus().state).toBe('saving')
  deliverAll()
  await until(() => draft.state().delivery === 'delivered')
  expect(edits().map(({ operations }) => operations)).toEqual([[write('silt and sand')]])
  expect(getSaveStatus().state).toBe('saved')
  expect(await leftAt(path)).toEqual([])
})

it('what an open editor still holds goes out when the window goes', async () => {
  const draft = openDraft(me, path, confirmed)
  const remove = draft.registerFlush(() => draft.act([write('half a second ago')]))
  deliverAll()
  remove()
  await until(() => draft.state().delivery === 'delivered')
  expect(edits().map(({ operations }) => operations)).toEqual([[write('half a second ago')]])
})

it('a draft that is open is gone on with: a second opening does not forget what waits', async () => {
  const first = openDraft(me, `${path}/two`, confirmed)
  first.act([write('one')])
  expect(openDraft(me, `${path}/two`, confirmed)).toBe(first)
  expect(openDraft(me, `${path}/three`, confirmed)).not.toBe(first)
  deliverAll()
  await until(() => first.state().delivery === 'delivered')
})

it('while the server is away, edits lie on the device, unreadable, until their window delivers them', async () => {
  await deviceStoreOf(me)
  server.isAway = true
  const gone = openDraft(me, `${path}/gone`, confirmed)
  gone.act([write('typed into a closing window')])
  deliverAll()
  await until(async () => (await leftAt(`${path}/gone`)).length === 1)
  expect(getSaveStatus()).toEqual({ state: 'on-device', count: 1 })
  expect(await bytesOnDevice()).not.toContain('closing')

  // The window that wrote it is still there: its lock says so, and nobody else delivers its words.
  server.isAway = false
  await deliverLeftBehind(me)
  expect(server.bodies(`POST ${path}/gone/edits`)).toEqual([])
  deliverAll()
  await until(async () => (await leftAt(`${path}/gone`)).length === 0)
  expect(server.bodies(`POST ${path}/gone/edits`)).toHaveLength(1)
  expect(getSaveStatus().state).toBe('saved')
})

it('what a window left that is gone is delivered once, and taken off the device', async () => {
  const shelf = await deviceStoreOf(me)
  const queue = [{ editId: 'e', operations: [write('left behind')] }]
  await shelf?.put([leftBy('gone'), { windowId: 'gone', confirmed, queue }])
  await deliverLeftBehind(me)
  await until(async () => (await leftAt(path)).length === 0)
  await deliverLeftBehind(me)
  expect(edits()).toMatchObject([{ editId: 'e', base: 1, windowId: 'gone' }])
})

it('another person on the same device finds nothing of it', async () => {
  const shelf = await deviceStoreOf(me)
  const queue = [{ editId: 'e', operations: [write('mine alone')] }]
  const name = { shelf: 'unsent', place: '/settings#name', part: '' } as const
  await shelf?.put([leftBy('gone'), { windowId: 'gone', confirmed, queue }], [name, 'half a sentence'])
  const other = await deviceStoreOf('somebody else')
  expect([await other?.list('drafts'), await other?.list('unsent')]).toEqual([[], []])
  expect(await other?.get(name)).toBeUndefined()
  await deliverLeftBehind('somebody else')
  expect(edits()).toEqual([])
})

it('a key that could not be fetched is asked for again', async () => {
  server.isAway = true
  await expect(deviceStoreOf('somebody new')).rejects.toThrow()
  server.isAway = false
  const shelf = await deviceStoreOf('somebody new')
  const where = { shelf: 'unsent', place: '/place', part: '' } as const
  await shelf?.put([where, { words: 'saved' }])
  expect(await shelf?.get(where)).toEqual({ words: 'saved' })
  await shelf?.remove('unsent', '/place')
  expect(await shelf?.get(where)).toBeUndefined()
})

it('news of another window make a draft read itself anew', async () => {
  const other = '/api/pages/other'
  const draft = openDraft(me, other, { revision: 1, document: start })
  const theirs = newDocument('', 'en', [{ id: 'r', pieces: [newTextPiece('a', textOf('theirs'))] }])
  const fetched = jest.fn(() => ({ draft: { revision: 9, document: theirs } }))
  server.leave()
  server = new FakeServer({ [`GET ${other}`]: fetched })
  const otherWindow = new BroadcastChannel('valise-drafts')
  otherWindow.postMessage(other)
  await until(() => draft.state().revision === 9)
  otherWindow.close()
  const [piece] = draft.state().document.rows[0]?.pieces ?? []
  expect(piece?.kind === 'text' && toPlainText(piece.text)).toBe('theirs')
})

/** All bytes that the device holds, as somebody with the disk in hand would see them. */
async function bytesOnDevice(): Promise<string> {
  const database = await new Promise<IDBDatabase>((resolve, reject) => {
    const asked = indexedDB.open('valise')
    asked.onsuccess = () => resolve(asked.result)
    asked.onerror = () => reject(asked.error)
  })
  const rows = await new Promise<{ sealed: ArrayBuffer }[]>((resolve, reject) => {
    const asked = database.transaction('sealed').objectStore('sealed').getAll()
    asked.onsuccess = () => resolve(asked.result)
    asked.onerror = () => reject(asked.error)
  })
  return rows.map(({ sealed }) => new TextDecoder().decode(sealed)).join()
}
