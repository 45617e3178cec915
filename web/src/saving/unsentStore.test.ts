import { afterEach, beforeEach, describe, expect, it } from '@jest/globals'
import { FakeServer } from '../testing/fakeServer.ts'
import { deviceStoreOf } from './deviceStore.ts'
import { listUnsentPlaces, readUnsent, subscribeUnsent, unsentInWindow, writeUnsent } from './unsentStore.ts'
import 'fake-indexeddb/auto'

let server: FakeServer
beforeEach(() => {
  server = new FakeServer({ 'GET /api/session/device-key': () => ({ key: `${'A'.repeat(42)}8` }) })
})
afterEach(() => server.leave())

const collage = (words: string) => ({ base: { words: '' }, document: { words } })
const where = (place: string) => ({ shelf: 'unsent', place, part: '' }) as const
const onDevice = async (place: string) => (await deviceStoreOf('wren'))?.get(where(place))
const until = async (isTrue: () => Promise<boolean>) => {
  while (!(await isTrue())) await new Promise((resolve) => setTimeout(resolve, 5))
}

describe('what was not sent yet', () => {
  it('is on the device, the latest alone, and is removed when it was sent', async () => {
    for (const words of ['l', 'lo', 'low water']) writeUnsent('wren', '/api/collages/a', collage(words))
    await until(
      async () => JSON.stringify(await onDevice('/api/collages/a')) === JSON.stringify(collage('low water')),
    )
    expect(await readUnsent('wren', '/api/collages/a')).toEqual(collage('low water'))
    writeUnsent('wren', '/api/collages/a', undefined)
    await until(async () => (await onDevice('/api/collages/a')) === undefined)
    expect(await readUnsent('wren', '/api/collages/a')).toBeUndefined()
  })

  it('left by an earlier window is answered though this one writes meanwhile', async () => {
    await (await deviceStoreOf('wren'))?.put([where('/api/recipes/b'), 'left'])
    const reading = readUnsent('wren', '/api/recipes/b')
    writeUnsent('wren', '/api/recipes/b', 'newer')
    expect([await reading, unsentInWindow('wren', '/api/recipes/b')]).toEqual(['left', 'newer'])
  })

  it('is found by its place, in this window and on the device, as long as it is there', async () => {
    await (await deviceStoreOf('wren'))?.put([where('/submissions/c#feedback'), 'left'])
    writeUnsent('wren', '/submissions/d#feedback', 'typed')
    writeUnsent('juno', '/submissions/e#feedback', 'of another person')
    const found = await listUnsentPlaces('wren')
    expect(found).toContain('/submissions/c#feedback')
    expect(found).toContain('/submissions/d#feedback')
    expect(found).not.toContain('/submissions/e#feedback')
    writeUnsent('wren', '/submissions/d#feedback', undefined)
    expect(await listUnsentPlaces('wren')).not.toContain('/submissions/d#feedback')
  })

  it('tells whoever listens when it changes, until they stop', () => {
    const places: string[] = []
    const stop = subscribeUnsent((place) => places.push(place))
    writeUnsent('wren', '/submissions/f#feedback', 'typed')
    stop()
    writeUnsent('wren', '/submissions/f#feedback', undefined)
    expect(places).toEqual(['/submissions/f#feedback'])
  })
})
