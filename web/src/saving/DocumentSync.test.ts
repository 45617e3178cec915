import { beforeEach, describe, expect, it } from '@jest/globals'
import { ApiProblem } from '../api/index.ts'
import type { DocumentOnDevice, DocumentStore, SavedOnServer } from './DocumentSync.ts'
import { DocumentSync } from './DocumentSync.ts'

/** A document of the test: a set of words, whose merge is what both windows added and removed. */
type Words = readonly string[]

const merge = (base: Words, mine: Words, theirs: Words): Words => [
  ...theirs.filter((word) => mine.includes(word) || !base.includes(word)),
  ...mine.filter((word) => !base.includes(word) && !theirs.includes(word)),
]
const problem = (code: string) => new ApiProblem({ code, reason: code, status: 400, params: {} } as never)

/** A server with one document, and a device that outlives windows. */
class World {
  onServer: { document: Words; revision: number } | null = { document: ['silt'], revision: 1 }
  onDevice: DocumentOnDevice<Words> | undefined
  puts: Words[] = []
  /** What the next answers are: lost on the way, or a refusal. */
  trouble: ('away' | 'answer-lost' | 'invalid')[] = []
  settled = 0
  #waiting: (() => void)[] = []

  window(saved: SavedOnServer<Words> = this.onServer ?? { document: [], revision: null }) {
    const store: DocumentStore<Words> = {
      address: '/api/words',
      merge,
      put: async (document, revision) => {
        const trouble = this.trouble.shift()
        if (trouble === 'away') throw problem('unreachable')
        if (trouble === 'invalid') throw problem('invalid')
        this.puts.push(document)
        if (revision !== (this.onServer?.revision ?? null)) throw problem('stale')
        this.onServer = { document, revision: (revision ?? 0) + 1 }
        if (trouble === 'answer-lost') throw problem('unreachable')
        return this.onServer
      },
      read: async () => this.onServer ?? { document: [], revision: null },
      onSettled: () => (this.settled += 1),
    }
    return new DocumentSync(saved, store, {
      readLeft: async () => this.onDevice,
      writeLeft: (left) => (this.onDevice = left),
      wait: () => new Promise((resolve) => this.#waiting.push(resolve)),
    })
  }

  /** Time goes by for those who wait. */
  async later(): Promise<void> {
    await new Promise((resolve) => setTimeout(resolve))
    for (const resolve of this.#waiting.splice(0)) resolve()
    await new Promise((resolve) => setTimeout(resolve))
  }
}

let world: World
beforeEach(() => {
  world = new World()
})

describe('a whole document in a window', () => {
  it('shows a change at once, saves one after the other, and of those that wait the last', async () => {
    const sync = world.window()
    for (const document of [['a'], ['a', 'b'], ['a', 'b', 'c']]) sync.set(document)
    expect([sync.state().document, sync.state().delivery]).toEqual([['a', 'b', 'c'], 'delivering'])
    expect(world.onDevice?.document).toEqual(['a', 'b', 'c'])
    expect(await sync.settled()).toBe('delivered')
    expect(world.puts).toEqual([['a'], ['a', 'b', 'c']])
    expect([world.onServer?.revision, world.onDevice, world.settled]).toEqual([3, undefined, 1])
  })

  it('is begun with its first save where the server has none', async () => {
    world.onServer = null
    const sync = world.window()
    sync.write([])
    expect(sync.state().delivery).toBe('delivered')
    sync.write(['first words'])
    await sync.settled()
    expect(world.onServer).toEqual({ document: ['first words'], revision: 1 })
  })

  it('goes back and forth, which is saved like any change', async () => {
    const sync = world.window()
    sync.set(['silt', 'sand'])
    sync.undo()
    expect([sync.state().document, sync.state().canUndo, sync.state().canRedo]).toEqual([
      ['silt'],
      false,
      true,
    ])
    sync.redo()
    await sync.settled()
    expect(world.onServer?.document).toEqual(['silt', 'sand'])
  })

  it('waits on the device while the server cannot be reached, and goes when it can', async () => {
    world.trouble = ['away', 'away']
    const sync = world.window()
    sync.set(['silt', 'sand'])
    expect(await sync.settled()).toBe('on-device')
    expect(world.onDevice).toMatchObject({ document: ['silt', 'sand'], base: ['silt'] })
    sync.set(['silt', 'sand', 'weed'])
    expect(sync.state().delivery).toBe('on-device')
    await world.later()
    await world.later()
    expect(await sync.settled()).toBe('delivered')
    expect([world.onServer?.document, world.onDevice]).toEqual([['silt', 'sand', 'weed'], undefined])
  })

  it('says why it was refused, keeps it, and sends it once more when asked or changed', async () => {
    world.trouble = ['invalid', 'invalid']
    const sync = world.window()
    sync.set(['?'])
    expect(await sync.settled()).toBe('refused')
    expect(sync.state().refused).toMatchObject({ code: 'invalid' })
    expect(world.onDevice?.document).toEqual(['?'])
    sync.deliverNow()
    expect(await sync.settled()).toBe('refused')
    sync.set(['sand'])
    expect(await sync.settled()).toBe('delivered')
    expect([sync.state().refused, world.onServer?.document]).toEqual([null, ['sand']])
  })
})

describe('two windows with one document', () => {
  it('take in what the other saved, and both have it', async () => {
    const [one, two] = [world.window(), world.window()]
    one.set(['silt', 'of one'])
    await one.settled()
    two.set(['silt', 'of two'])
    await two.settled()
    expect(world.onServer?.document).toEqual(['silt', 'of one', 'of two'])
    expect([two.state().fromElsewhere, two.state().document]).toEqual([1, ['silt', 'of one', 'of two']])
    one.accept({ document: ['silt', 'of one', 'of two'], revision: 3 })
    expect(one.state().document).toEqual(['silt', 'of one', 'of two'])
    one.accept({ document: ['older'], revision: 2 })
    expect(one.state().document).toEqual(['silt', 'of one', 'of two'])
  })

  it('know a save whose answer was lost for what it is: nothing is merged, and an undo of it holds', async () => {
    world.trouble = ['answer-lost']
    const sync = world.window()
    sync.set(['silt', 'sand'])
    expect(await sync.settled()).toBe('on-device')
    sync.undo()
    await world.later()
    expect(await sync.settled()).toBe('delivered')
    expect([world.onServer?.document, sync.state().fromElsewhere]).toEqual([['silt'], 0])
  })
})

describe('a window that goes', () => {
  it('sends what waits as if the save before had arrived', async () => {
    const sync = world.window()
    sync.set(['one'])
    sync.set(['two'])
    sync.flush()
    await sync.settled()
    await world.later()
    expect(world.onServer?.document).toEqual(['two'])
  })

  it('leaves on the device what did not arrive, and the next one merges and saves it', async () => {
    world.trouble = ['away']
    const gone = world.window()
    gone.set(['silt', 'left behind'])
    await gone.settled()
    world.onServer = { document: ['silt', 'meanwhile'], revision: 2 }
    const next = world.window()
    await Promise.all([next.restore(), next.restore()])
    await next.settled()
    expect(world.onServer.document).toEqual(['silt', 'meanwhile', 'left behind'])
    expect([next.state().fromElsewhere, world.onDevice]).toEqual([1, undefined])
  })
})
