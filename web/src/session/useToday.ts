// The day it is at the school.
import { useSuspenseQuery } from '@tanstack/react-query'
import type { LocalDay } from '@valise/core/time'
import { sessionQueries } from './queries.ts'

export function useToday(): LocalDay {
  const { data: school } = useSuspenseQuery(sessionQueries.school())
  // The Swedish way of writing a date is that of ISO 8601.
  return new Intl.DateTimeFormat('sv-SE', { timeZone: school.timeZone }).format(new Date())
}
