import { afterEach, beforeEach, expect, it, jest } from '@jest/globals'
import type { Upload } from '@valise/core/evidence'
import { FakeServer } from '../../testing/fakeServer.ts'

interface Options {
  readonly endpoint?: string
  readonly uploadUrl?: string
  readonly metadata: Readonly<Record<string, string>>
  onUploadUrlAvailable(): void
  onProgress(sent: number): void
  onSuccess(): void
  onError(error: Error): void
  onShouldRetry(error: unknown): boolean
}

/** The protocol's library, as far as this room sees of it: the test says what happens on the line. */
class Line {
  static all: Line[] = []
  readonly file: File
  readonly options: Options
  url: string | null
  isStopped = false
  constructor(file: File, options: Options) {
    this.file = file
    this.options = options
    this.url = options.uploadUrl ?? null
    Line.all.push(this)
  }
  start() {
    this.url ??= `/api/uploads/of-${this.file.name}`
    this.options.onUploadUrlAvailable()
  }
  async abort() {
    this.isStopped = true
  }
  fail(status: number, problem: object | null) {
    const response = { getStatus: () => status, getBody: () => (problem ? JSON.stringify(problem) : '') }
    const error = Object.assign(new Error('refused'), { originalResponse: response })
    if (!this.options.onShouldRetry(error)) this.options.onError(error)
  }
}
jest.unstable_mockModule('tus-js-client', () => ({ Upload: Line }))
Object.assign(globalThis, { window: { addEventListener: () => undefined } })

const { clearDone, giveUp, goOn, pause, sendFiles } = await import('./sendFiles.ts')
const { uploadsHere } = await import('./uploadsHere.ts')
const { getSaveStatus } = await import('../../saving/index.ts')
// Fetched before it is needed, so that all that follows is a matter of turns and not of time.
await import('tus-js-client')

let open: Partial<Upload>[] = []
let server: FakeServer

beforeEach(() => {
  Line.all = []
  open = []
  uploadsHere.set([])
  const became = { outcome: { kind: 'new', evidenceId: 'e' } }
  const ofName = (name: string) => ({
    [`GET /api/uploads/of-${name}`]: () => became,
    [`DELETE /api/uploads/of-${name}`]: () => null,
  })
  server = new FakeServer({
    'GET /api/uploads': () => ({ open }),
    'GET /api/uploads/begun': () => became,
    ...['a.jpg', 'b.jpg', 'c.jpg', 'd.jpg'].reduce((all, name) => ({ ...all, ...ofName(name) }), {}),
  })
})
afterEach(() => server.leave())

const file = (name: string, words = name) => new File([words], name, { lastModified: 5 })
const states = () => uploadsHere.get().map(({ file: { name }, state }) => `${name} ${state}`)
const settle = () => new Promise((resolve) => setTimeout(resolve, 20))
const send = async (...names: string[]) => {
  await sendFiles(
    names.map((name) => file(name)),
    {},
  )
  await settle()
}

it('three go at once; the next begins when one has arrived', async () => {
  await send('a.jpg', 'b.jpg', 'c.jpg', 'd.jpg')
  expect(states()).toEqual(['a.jpg going', 'b.jpg going', 'c.jpg going', 'd.jpg waiting'])
  expect(getSaveStatus().state).toBe('saving')
  Line.all[1]?.options.onSuccess()
  await settle()
  expect(states()).toEqual(['a.jpg going', 'b.jpg arrived', 'c.jpg going', 'd.jpg going'])
  for (const line of Line.all) if (line.file.name !== 'b.jpg') line.options.onSuccess()
  await settle()
  expect(uploadsHere.get().map(({ outcome }) => outcome?.kind)).toEqual(['new', 'new', 'new', 'new'])
  expect(getSaveStatus().state).toBe('saved')
  clearDone()
  expect(states()).toEqual([])
})

it('an empty file is refused at once, the others go', async () => {
  await sendFiles([file('a.jpg', ''), file('b.jpg')], {})
  await settle()
  expect(states()).toEqual(['a.jpg refused', 'b.jpg going'])
  expect(uploadsHere.get()[0]?.problem?.reason).toBe('file-empty')
  await giveUp(uploadsHere.get()[1]?.key ?? 0)
})

it('what was begun before is gone on with where it was, if it is the same file for the same purpose', async () => {
  open = [{ id: 'begun', fileName: 'a.jpg', bytes: 5, lastModified: 5, received: 3, replaces: null }]
  await sendFiles([file('a.jpg')], {})
  await sendFiles([file('a.jpg')], { replaces: 'item' })
  await settle()
  expect(Line.all.map(({ options }) => options.uploadUrl ?? options.endpoint)).toEqual([
    '/api/uploads/begun',
    '/api/uploads',
  ])
  expect(uploadsHere.get()[0]).toMatchObject({ uploadId: 'begun', sent: 3 })
  expect(Line.all[1]?.options.metadata['replaces']).toBe('item')
  for (const line of Line.all) line.options.onSuccess()
  await settle()
})

it('one that is gone on the server is begun anew, without asking', async () => {
  open = [{ id: 'begun', fileName: 'a.jpg', bytes: 5, lastModified: 5, received: 3, replaces: null }]
  await send('a.jpg')
  Line.all[0]?.fail(404, { code: 'not-found', reason: 'not-found', params: {} })
  await settle()
  expect(Line.all[1]?.options.endpoint).toBe('/api/uploads')
  Line.all[1]?.options.onSuccess()
  await settle()
  expect(states()).toEqual(['a.jpg arrived'])
})

it('a broken line is tried again by itself; a refusal says why and can be tried again', async () => {
  await send('a.jpg')
  Line.all[0]?.fail(0, null)
  expect(states()).toEqual(['a.jpg pausing'])
  Line.all[0]?.options.onProgress(2)
  expect(states()).toEqual(['a.jpg going'])
  Line.all[0]?.fail(413, { code: 'too-large', reason: 'quota-full', params: {} })
  await settle()
  expect(states()).toEqual(['a.jpg refused'])
  expect(uploadsHere.get()[0]?.problem?.reason).toBe('quota-full')
  expect(getSaveStatus().state).toBe('refused')
  goOn(uploadsHere.get()[0]?.key ?? 0)
  await settle()
  expect(Line.all[1]?.options.uploadUrl).toBe('/api/uploads/of-a.jpg')
  Line.all[1]?.options.onSuccess()
  await settle()
  expect(states()).toEqual(['a.jpg arrived'])
})

it('one that is stopped goes, here and on the server, and makes room for the next', async () => {
  await send('a.jpg', 'b.jpg', 'c.jpg', 'd.jpg')
  await giveUp(uploadsHere.get()[0]?.key ?? 0)
  await settle()
  expect(Line.all[0]?.isStopped).toBe(true)
  expect(server.bodies('DELETE /api/uploads/of-a.jpg')).toHaveLength(1)
  expect(states()).toEqual(['b.jpg going', 'c.jpg going', 'd.jpg going'])
})

it('one that is paused rests where it is, lets the next go, and goes on where it was', async () => {
  await send('a.jpg', 'b.jpg', 'c.jpg', 'd.jpg')
  const key = uploadsHere.get()[0]?.key ?? 0
  Line.all[0]?.options.onProgress(3)
  await pause(key)
  await settle()
  Line.all[0]?.options.onProgress(4)
  expect(Line.all[0]?.isStopped).toBe(true)
  expect(states()).toEqual(['a.jpg paused', 'b.jpg going', 'c.jpg going', 'd.jpg going'])
  expect(server.bodies('DELETE /api/uploads/of-a.jpg')).toHaveLength(0)
  for (const line of Line.all.slice(1)) line.options.onSuccess()
  await settle()
  clearDone()
  expect(states()).toEqual(['a.jpg paused'])
  goOn(key)
  await settle()
  expect(Line.all.at(-1)?.options.uploadUrl).toBe('/api/uploads/of-a.jpg')
  Line.all.at(-1)?.options.onSuccess()
  await settle()
  expect(states()).toEqual(['a.jpg arrived'])
})

it('one that is paused before anything was sent does not go after all', async () => {
  const sending = sendFiles([file('a.jpg')], {})
  await pause(uploadsHere.get()[0]?.key ?? 0)
  await sending
  await settle()
  expect(states()).toEqual(['a.jpg paused'])
  expect(Line.all.every(({ isStopped }) => isStopped)).toBe(true)
  await giveUp(uploadsHere.get()[0]?.key ?? 0)
})

it('a file that changed while it was read is told from a broken line', async () => {
  const changed = file('a.jpg')
  Object.assign(changed, { slice: () => ({ arrayBuffer: () => Promise.reject(new Error('changed')) }) })
  await sendFiles([changed], {})
  await settle()
  Line.all[0]?.fail(0, null)
  await settle()
  expect(Line.all[0]?.isStopped).toBe(true)
  expect(uploadsHere.get()[0]).toMatchObject({ state: 'refused', problem: { reason: 'file-changed' } })
})
