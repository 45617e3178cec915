// What a change of settings did, for the records.
import type { RecordChanges, RecordValue } from './schema.ts'

/** The settings that differ, each with its value before and after. Keys only in `after` are compared. */
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
