import { createStore } from '../ui/createStore.ts'
import {
  clearUnsaved,
  getSaveStatus,
  noteSaving,
  noteSaved,
  noteOnDevice,
  noteRefused,
  noteUnsaved,
} from './saveStatus.ts'

describe('whether things are kept', () => {
  it('is kept only when everything that was under way is', () => {
    expect(getSaveStatus().state).toBe('nothing-yet')
    noteSaving()
    noteSaving()
    noteSaved()
    expect(getSaveStatus().state).toBe('saving')
    noteSaved()
    expect(getSaveStatus()).toEqual({ state: 'saved', at: expect.any(Date) })
  })

  it('is refused until something is kept again', () => {
    noteSaving()
    noteRefused()
    expect(getSaveStatus().state).toBe('refused')
    noteSaving()
    noteSaved()
    expect(getSaveStatus().state).toBe('saved')
  })
})

describe('what cannot be saved', () => {
  it('is told until it can be, also after other things were saved', () => {
    noteUnsaved('/pages/a')
    noteUnsaved('/pages/b')
    noteSaving()
    noteSaved()
    expect(getSaveStatus().state).toBe('refused')
    clearUnsaved('/pages/a')
    expect(getSaveStatus().state).toBe('refused')
    clearUnsaved('/pages/b')
    expect(getSaveStatus().state).toBe('saved')
  })
})

describe('edits that cannot be delivered', () => {
  it('are told as staying on this device, until they are kept', () => {
    noteSaving()
    noteOnDevice(2)
    expect(getSaveStatus()).toEqual({ state: 'on-device', count: 2 })
    noteSaved()
    expect(getSaveStatus().state).toBe('saved')
  })
})

describe('a value outside React', () => {
  it('is what was set last', () => {
    const store = createStore('a')
    store.set('b')
    expect(store.get()).toBe('b')
  })
})
