import { expect, it } from '@jest/globals'
import { makeDrive } from './drive.ts'

/** What the drive tells of a folder or a document. */
interface Told {
  readonly above: readonly { readonly id: string | null }[]
  readonly documents: readonly { readonly id: string; readonly name: string }[]
  readonly revision: string
  readonly changedAt: string
  readonly bytes: number
}

let now = '2026-11-20T09:00:00.000Z'
const start = () => {
  const drive = makeDrive(() => now)
  const get = async (path: string) => {
    const response = await drive.request(path)
    return { status: response.status, body: (response.ok ? await response.json() : {}) as Told }
  }
  const press = async (id: string, act: string) =>
    (await drive.request(`/documents/${id}/${act}`, { method: 'POST' })).status
  return { drive, get, press }
}

it('is walked through from the top, each folder naming what is above it', async () => {
  const { get } = start()
  const top = (await get('/api/folders/top')).body
  expect(top.above).toEqual([])
  expect(top.documents.map(({ name }) => name)).toEqual(['Boat times.txt'])
  const line = (await get('/api/folders/line-3')).body
  expect(line.above.map(({ id }) => id)).toEqual([null, 'shore-methods'])
  expect((await get('/api/folders/nowhere')).status).toBe(404)
})

it('gives a document that is written on a new revision, a new time and its new words', async () => {
  const { drive, get, press } = start()
  const before = (await get('/api/documents/crew-log')).body
  now = '2026-11-21T09:00:00.000Z'
  expect(await press('crew-log', 'write')).toBe(303)
  const after = (await get('/api/documents/crew-log')).body
  expect(after.revision).not.toBe(before.revision)
  expect(after.changedAt).toBe(now)
  expect(after.bytes).toBeGreaterThan(before.bytes)
  const content = await (await drive.request('/api/documents/crew-log/content')).text()
  expect(content).toContain('Visit 3')
  expect(Buffer.byteLength(content)).toBe(after.bytes)
  // There is always something more to write.
  for (const _ of [1, 2, 3]) await press('crew-log', 'write')
  expect((await get('/api/documents/crew-log')).body.revision).toBe(String(Number(after.revision) + 3))
})

it('shuts a document away from everybody, in its folder too, and gives it back', async () => {
  const { get, press } = start()
  const names = async () => (await get('/api/folders/line-3')).body.documents.map(({ id }) => id)
  await press('silt-depths', 'shut')
  expect((await get('/api/documents/silt-depths')).status).toBe(403)
  expect((await get('/api/documents/silt-depths/content')).status).toBe(403)
  expect(await names()).toEqual(['crew-log'])
  await press('silt-depths', 'open')
  expect((await get('/api/documents/silt-depths')).status).toBe(200)
  expect(await names()).toEqual(['crew-log', 'silt-depths'])
  expect(await press('nothing', 'shut')).toBe(404)
})

it('says on its own page that it is simulated', async () => {
  const page = await (await start().drive.request('/')).text()
  expect(page).toContain('simulated')
})
