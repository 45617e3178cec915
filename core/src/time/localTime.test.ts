import fc from 'fast-check'
import {
  addDays,
  dayOf,
  endOfDay,
  localToInstant,
  startOfDay,
  toInstant,
  toLocal,
  toTimeWindow,
} from './index.ts'

const LISBON = 'Europe/Lisbon'
const zones = ['Europe/Lisbon', 'America/Santiago', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC'] as const

describe('local times of a zone', () => {
  it('reads winter and summer time', () => {
    expect(localToInstant('2026-12-12T09:00', LISBON, 'from')).toBe('2026-12-12T09:00:00.000Z')
    expect(localToInstant('2026-07-01T09:00', LISBON, 'from')).toBe('2026-07-01T08:00:00.000Z')
  })

  it('moves a time that does not exist forward', () => {
    // On 29 March 2026 clocks in Lisbon go from 01:00 to 02:00.
    expect(localToInstant('2026-03-29T01:30', LISBON, 'from')).toBe('2026-03-29T01:30:00.000Z')
    expect(toLocal('2026-03-29T01:30:00.000Z', LISBON)).toBe('2026-03-29T02:30')
  })

  it('takes the earlier of two for a beginning and the later for an end', () => {
    // On 25 October 2026 the hour from 01:00 comes twice.
    expect(localToInstant('2026-10-25T01:30', LISBON, 'from')).toBe('2026-10-25T00:30:00.000Z')
    expect(localToInstant('2026-10-25T01:30', LISBON, 'until')).toBe('2026-10-25T01:30:00.000Z')
  })

  it('ends a day where the next one begins, also when the day has 23 or 25 hours', () => {
    expect(endOfDay('2026-12-12', LISBON)).toBe('2026-12-13T00:00:00.000Z')
    expect(startOfDay('2026-03-29', LISBON)).toBe('2026-03-29T00:00:00.000Z')
    expect(endOfDay('2026-03-29', LISBON)).toBe('2026-03-29T23:00:00.000Z')
    expect(endOfDay('2026-10-25', LISBON)).toBe('2026-10-26T00:00:00.000Z')
  })

  it('makes half-open windows from days', () => {
    expect(toTimeWindow({ firstDay: '2026-07-01', lastDay: null }, LISBON)).toEqual({
      from: '2026-06-30T23:00:00.000Z',
      until: null,
    })
  })

  it('refuses what is no time', () => {
    expect(() => localToInstant('2026-13-45T99:00', LISBON, 'from')).toThrow(RangeError)
  })

  const instants = fc
    .integer({ min: Date.UTC(2000, 0), max: Date.UTC(2045, 0) })
    .map((ms) => toInstant(ms - (ms % 60_000)))

  it('every instant lies in the hour that its local time means', () => {
    fc.assert(
      fc.property(instants, fc.constantFrom(...zones), (instant, zone) => {
        const local = toLocal(instant, zone)
        const [first, last] = [localToInstant(local, zone, 'from'), localToInstant(local, zone, 'until')]
        expect([first, last]).toContain(instant)
        expect(first <= last).toBe(true) // a beginning is never after an end
      }),
    )
  })

  it('every instant lies between the start and the end of its day', () => {
    fc.assert(
      fc.property(instants, fc.constantFrom(...zones), (instant, zone) => {
        const day = dayOf(instant, zone)
        expect(startOfDay(day, zone) <= instant).toBe(true)
        expect(instant < endOfDay(day, zone)).toBe(true)
        expect(dayOf(endOfDay(day, zone), zone)).toBe(addDays(day, 1))
      }),
    )
  })
})
