import { jest } from '@jest/globals'
import { noteServerTime, serverTime } from './serverClock.ts'

describe('the time of the server', () => {
  const at = (device: string) => jest.spyOn(Date, 'now').mockReturnValue(Date.parse(device))
  afterEach(() => void jest.restoreAllMocks())

  it('is not known until the server said one', () => {
    noteServerTime(null)
    expect(serverTime()).toBeNull()
  })

  it('goes on from what the server said, however wrong the clock of the device is', () => {
    at('2019-01-01T00:00:00.000Z')
    noteServerTime('2026-11-27T16:50:00.000Z')
    at('2019-01-01T00:45:30.000Z')
    expect(serverTime()).toBe('2026-11-27T17:35:30.000Z')
    // An answer without it changes nothing.
    noteServerTime(null)
    expect(serverTime()).toBe('2026-11-27T17:35:30.000Z')
  })
})
