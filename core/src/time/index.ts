// Time: instants, the school's local days, and windows.
export { addMinutes, instantSchema, minutesBetween, toInstant, toMilliseconds, toMinute } from './instant.ts'
export type { Instant } from './instant.ts'
export {
  addDays,
  dayOf,
  endOfDay,
  localDaySchema,
  localTimeSchema,
  localToInstant,
  mondayOf,
  startOfDay,
  toLocal,
} from './localTime.ts'
export type { LocalDay, LocalTime, Zone } from './localTime.ts'
export {
  doOverlap,
  endOfUnion,
  isEmptyWindow,
  isWithin,
  meetWindows,
  toTimeWindow,
  windowState,
} from './window.ts'
export type { TimeWindow } from './window.ts'
