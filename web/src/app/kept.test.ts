import { createStore } from '../ui/createStore.ts'
import {
  clearUnsaved,
  keptState,
  noteKeeping,
  noteKept,
  noteOnDevice,
  noteRefused,
  noteUnsaved,
} from './kept.ts'

describe('whether things are kept', () => {
  it('is kept only when everything that was under way is', () => {
    expect(keptState().state).toBe('nothing-yet')
    noteKeeping()
    noteKeeping()
    noteKept()
    expect(keptState().state).toBe('keeping')
    noteKept()
    expect(keptState()).toEqual({ state: 'kept', at: expect.any(Date) })
  })

  it('is refused until something is kept again', () => {
    noteKeeping()
    noteRefused()
    expect(keptState().state).toBe('refused')
    noteKeeping()
    noteKept()
    expect(keptState().state).toBe('kept')
  })
})

describe('what cannot be saved', () => {
  it('is told until it can be, also after other things were saved', () => {
    noteUnsaved('/pages/a')
    noteUnsaved('/pages/b')
    noteKeeping()
    noteKept()
    expect(keptState().state).toBe('refused')
    clearUnsaved('/pages/a')
    expect(keptState().state).toBe('refused')
    clearUnsaved('/pages/b')
    expect(keptState().state).toBe('kept')
  })
})

describe('edits that cannot be delivered', () => {
  it('are told as staying on this device, until they are kept', () => {
    noteKeeping()
    noteOnDevice(2)
    expect(keptState()).toEqual({ state: 'on-device', count: 2 })
    noteKept()
    expect(keptState().state).toBe('kept')
  })
})

describe('a value outside React', () => {
  it('is what was set last', () => {
    const store = createStore('a')
    store.set('b')
    expect(store.get()).toBe('b')
  })
})
