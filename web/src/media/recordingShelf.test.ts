import { afterAll, beforeAll, expect, it } from '@jest/globals'
import { FakeServer } from '../testing/fakeServer.ts'
import { openRecordingShelf } from './recordingShelf.ts'
import 'fake-indexeddb/auto'

let server: FakeServer
beforeAll(() => {
  const key = Buffer.alloc(32, 7).toString('base64url')
  server = new FakeServer({ 'GET /api/session/device-key': () => ({ key }) })
})
afterAll(() => server.leave())

const talk = { recordingId: 'talk', mime: 'audio/webm', startedAt: 5, lengthMs: 1000 }

async function shelfOf(personId: string) {
  const shelf = await openRecordingShelf(personId)
  if (!shelf) throw new Error('this test needs storage and encryption')
  return shelf
}

it('keeps part after part, and gives back in order what a crash left behind', async () => {
  const shelf = await shelfOf('wren')
  for (const n of Array.from({ length: 12 }, (_, at) => at))
    await shelf.append({ ...talk, lengthMs: 1000 * (n + 1) }, n, new Blob([`${n} `]))
  // Another window, after the first is gone.
  const [left, ...more] = await (await shelfOf('wren')).list()
  expect(more).toEqual([])
  expect(left).toMatchObject({ recordingId: 'talk', lengthMs: 12_000, startedAt: 5 })
  const file = await left?.read()
  expect(await file?.text()).toBe('0 1 2 3 4 5 6 7 8 9 10 11 ')
  expect(file?.type).toBe('audio/webm')
})

it('gives nobody the recordings of others', async () => {
  const other = await shelfOf('tomasz')
  expect(await other.list()).toEqual([])
  await other.append({ ...talk, recordingId: 'own' }, 0, new Blob(['mine']))
  expect((await other.list()).map(({ recordingId }) => recordingId)).toEqual(['own'])
  expect((await (await shelfOf('wren')).list()).map(({ recordingId }) => recordingId)).toEqual(['talk'])
})

it('forgets one that was kept or thrown away, with all its parts', async () => {
  const shelf = await shelfOf('wren')
  await shelf.remove('talk')
  expect(await shelf.list()).toEqual([])
  await shelf.append(talk, 0, new Blob(['anew']))
  const [left] = await shelf.list()
  expect(await (await left?.read())?.text()).toBe('anew')
  await shelf.remove('talk')
})
