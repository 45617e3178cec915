// When the stages of a guide open and close, and when it is due: local times of the school as instants.
import { localToInstant } from '../time/index.ts'
import type { Instant, LocalTime, Zone } from '../time/index.ts'
import type { GuideContent, StageMoments } from './schema.ts'

/**
 * Returns the moments of the stages for one class. Where a local time exists twice, it opens at the first and closes at
 * the second.
 *
 * @param openedAt when stages were opened by hand, by their ids
 * @throws RangeError when a local time is not a valid date
 */
export function guideMoments(
  { stages }: Pick<GuideContent, 'stages'>,
  zone: Zone,
  openedAt: ReadonlyMap<string, Instant>,
): StageMoments[] {
  return stages.map(({ id, opens, closesLocal }) => ({
    stageId: id,
    opensAt: opens.how === 'at' ? toMoment(opens.local, zone, 'from') : null,
    closesAt: toMoment(closesLocal, zone, 'until'),
    openedAt: openedAt.get(id) ?? null,
  }))
}

/** Returns when a guide is due; null where it is not. */
export function dueAtOf({ dueLocal }: Pick<GuideContent, 'dueLocal'>, zone: Zone): Instant | null {
  return toMoment(dueLocal, zone, 'until')
}

function toMoment(local: LocalTime | null, zone: Zone, edge: 'from' | 'until'): Instant | null {
  return local === null ? null : localToInstant(local, zone, edge)
}
