import { afterEach, beforeEach, describe, expect, it } from '@jest/globals'
import { forget, remember, remembered } from './deviceShelf.ts'

const before = Object.getOwnPropertyDescriptor(globalThis, 'localStorage')
let kept: Map<string, string>
let isFull: boolean

beforeEach(() => {
  kept = new Map()
  isFull = false
  const shelf = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (isFull) throw new DOMException('full', 'QuotaExceededError')
      kept.set(key, value)
    },
    removeItem: (key: string) => kept.delete(key),
  }
  Object.defineProperty(globalThis, 'localStorage', { value: shelf, configurable: true })
})
afterEach(() => {
  if (before) Object.defineProperty(globalThis, 'localStorage', before)
})

describe('what waits on the device', () => {
  it('is there again by its address, until the server has it', () => {
    remember('/api/collages/a', { layers: [1] })
    remember('/api/collages/b', { layers: [2] })
    expect(remembered('/api/collages/a')).toEqual({ layers: [1] })
    forget('/api/collages/a')
    expect(remembered('/api/collages/a')).toBeNull()
    expect(remembered('/api/collages/b')).toEqual({ layers: [2] })
  })

  it('is never an older one than was to be kept, where the device is full', () => {
    remember('/api/collages/a', { layers: [1] })
    isFull = true
    remember('/api/collages/a', { layers: [1, 2] })
    expect(remembered('/api/collages/a')).toBeNull()
  })
})
