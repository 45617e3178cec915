import 'fake-indexeddb/auto'
import { afterAll, beforeAll, expect, it } from '@jest/globals'
import { deleteDB, openDB } from 'idb'
import { FakeServer } from '../testing/fakeServer.ts'
import { deviceStoreOf } from './deviceStore.ts'
import type { Where } from './deviceStore.ts'

let server: FakeServer
beforeAll(() => {
  server = new FakeServer({ 'GET /api/session/device-key': () => ({ key: `${'A'.repeat(42)}8` }) })
})
afterAll(() => server.leave())

let people = 0
/** A store that is opened afresh, as by the first window after a sign-in. */
async function openAfresh(personId = `person ${(people += 1)}`) {
  await deviceStoreOf('somebody between')
  const store = await deviceStoreOf(personId)
  if (!store) throw new Error('this test needs storage and encryption')
  return store
}

const draft: Where = { shelf: 'drafts', place: '/api/pages/a', part: 'window' }
const typed: Where = { shelf: 'unsent', place: '/submissions/b#feedback', part: '' }
const head: Where = { shelf: 'recordings', place: 'c', part: 'head' }
const partOf = (n: number): Where => ({ ...head, part: n })

it('gives back what was put, by shelf and place, with parts in their order', async () => {
  const store = await openAfresh('wren')
  await store.put([draft, { words: 'glasswort' }], [typed, 'ebb'], [head, { lengthMs: 1 }])
  for (const n of [2, 10, 1]) await store.put([partOf(n), new Blob([`part ${n}`])])
  const again = await openAfresh('wren')
  expect(await again.get(draft)).toEqual({ words: 'glasswort' })
  expect(await again.list('unsent')).toEqual([typed])
  expect(await again.list('recordings', 'c')).toEqual([partOf(1), partOf(2), partOf(10), head])
  expect(await new Blob([(await again.getBytes(partOf(10))) ?? '']).text()).toBe('part 10')
  await again.remove('recordings', 'c', 2)
  expect(await again.list('recordings')).toEqual([partOf(1), partOf(10), head])
  await again.remove('recordings', 'c')
  expect(await again.list('recordings')).toEqual([])
  expect(await again.get(typed)).toBe('ebb')
})

it('takes over what versions 1 and 2 left, and the recordings that had a store of their own', async () => {
  const store = await openAfresh('juno')
  await store.put(
    [draft, { queue: ['an edit'] }],
    [typed, 'half a sentence'],
    [head, 1],
    [partOf(0), 'bytes'],
  )
  const database = await openDB('valise')
  const rows = await database.getAll('sealed')
  database.close()
  const of = (where: Where) => {
    const row = rows.find(
      (one) => one.personId === 'juno' && one.shelf === where.shelf && one.part === where.part,
    )
    return { personId: 'juno', iv: row.iv, sealed: row.sealed }
  }
  const [edits, words, sound] = [of(draft), of(typed), of(partOf(0))]
  await deleteDB('valise')
  const older = await openDB('valise', 2, {
    upgrade: (database) => {
      database.createObjectStore('undelivered', { keyPath: ['personId', 'path', 'windowId'] })
      database.createObjectStore('unsent', { keyPath: ['personId', 'place'] })
    },
  })
  await older.put('undelivered', { ...edits, path: draft.place, windowId: draft.part })
  await older.put('unsent', { ...words, place: typed.place })
  older.close()
  const recordings = await openDB('valise-recordings', 1, {
    upgrade: (database) => {
      database.createObjectStore('heads', { keyPath: ['personId', 'recordingId'] })
      database.createObjectStore('parts', { keyPath: ['personId', 'recordingId', 'n'] })
    },
  })
  const ofRecording = { recordingId: 'c', mime: 'audio/webm', startedAt: 5, lengthMs: 1000 }
  for (const personId of ['juno', 'tomasz']) {
    await recordings.put('heads', { personId, ...ofRecording })
    await recordings.put('parts', { ...sound, personId, recordingId: 'c', n: 0 })
  }
  recordings.close()

  const now = await openAfresh('juno')
  expect(await now.get(draft)).toEqual({ queue: ['an edit'] })
  expect(await now.get(typed)).toBe('half a sentence')
  expect(await now.get(head)).toMatchObject(ofRecording)
  expect(await now.get(partOf(0))).toBe('bytes')
  // Another person's stay until they sign in, and then nothing of the older store is left.
  expect((await indexedDB.databases()).map(({ name }) => name)).toContain('valise-recordings')
  expect(await (await openAfresh('tomasz')).list('recordings')).toEqual([partOf(0), head])
  expect((await indexedDB.databases()).map(({ name }) => name)).toEqual(['valise'])
})
