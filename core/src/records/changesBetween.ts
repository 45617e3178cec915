// What a change of settings did, for the records.
import type { RecordChanges, RecordValue } from './schema.ts'

/** Returns the settings that differ, with their values before and after. Only keys of `after` are compared. */
export function changesBetween(
  before: Readonly<Record<string, RecordValue>>,
  after: Readonly<Record<string, RecordValue>>,
): RecordChanges {
  const changes: RecordChanges = {}
  for (const [key, value] of Object.entries(after)) {
    const old = before[key] ?? null
    if (old !== value) changes[key] = [old, value]
  }
  return changes
}
