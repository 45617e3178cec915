// Instants in words, in the zone of the school: "Tue 24 Nov, 10:42", the year only when it is another one.
import type { Instant, LocalDay, Zone } from '@valise/core/time'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { localeOf } from './localeOf.ts'
import { useUiSettings } from './settings.tsx'

const DAY_MS = 86_400_000

export interface When {
  /** 10:42 */
  time(at: Instant | Date): string
  /** Tue 24 Nov */
  day(at: Instant | Date): string
  /** 24 Nov */
  date(at: Instant | Date): string
  /** Tue 24 Nov, 10:42 */
  dayTime(at: Instant | Date): string
  /** today, tomorrow; null for every other day */
  soonDay(at: Instant | Date, now: Instant | Date): string | null
  /** Thursday 26 November */
  longDay(at: Instant | Date): string
  /** A day as it was entered, without a zone: 24 Nov */
  localDay(day: LocalDay): string
  /** The hour of the day at the school, 0 to 23. */
  hour(at: Date): number
}

export function useWhen(): When {
  const { i18n } = useTranslation()
  const { timeZone } = useUiSettings()
  const language = localeOf(i18n.language)
  // The same words as long as language and zone stay: lists hand them to many rows.
  return useMemo(() => whenIn(language, timeZone), [language, timeZone])
}

const formatters = new Map<string, Intl.DateTimeFormat>()

/** They are dear to make, and a list asks for the same few a hundred times. */
function formatter(language: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${language} ${JSON.stringify(options)}`
  const known = formatters.get(key) ?? new Intl.DateTimeFormat(language, options)
  formatters.set(key, known)
  return known
}

function whenIn(language: string, zone: Zone): When {
  const format = (at: Instant | Date, options: Intl.DateTimeFormatOptions, timeZone = zone) =>
    formatter(language, { ...options, timeZone })
      .format(new Date(at))
      .replaceAll(',', '')
  const yearOf = (at: Instant | Date) => format(at, { year: 'numeric' })
  const time = (at: Instant | Date) => format(at, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
  const date = (at: Instant | Date, more: Intl.DateTimeFormatOptions = {}) =>
    format(at, {
      day: 'numeric',
      month: 'short',
      ...(yearOf(at) !== yearOf(new Date()) && { year: 'numeric' }),
      ...more,
    })
  const day = (at: Instant | Date) => date(at, { weekday: 'short' })
  return {
    time,
    day,
    date: (at) => date(at),
    dayTime: (at) => `${day(at)}, ${time(at)}`,
    soonDay: (at, now) => {
      // Swedish writes a day as YYYY-MM-DD, which is read as the start of that day in UTC.
      const dayAt = (one: Instant | Date) =>
        Date.parse(formatter('sv-SE', { timeZone: zone }).format(new Date(one)))
      const away = (dayAt(at) - dayAt(now)) / DAY_MS
      if (away !== 0 && away !== 1) return null
      return new Intl.RelativeTimeFormat(language, { numeric: 'auto' }).format(away, 'day')
    },
    longDay: (at) => format(at, { weekday: 'long', day: 'numeric', month: 'long' }),
    localDay: (local) => {
      const isThisYear = local.startsWith(yearOf(new Date()))
      const options: Intl.DateTimeFormatOptions = { day: 'numeric', month: 'short' }
      if (!isThisYear) options.year = 'numeric'
      return format(`${local}T12:00:00.000Z`, options, 'UTC')
    },
    hour: (at) => Number(format(at, { hour: 'numeric', hourCycle: 'h23' })),
  }
}
