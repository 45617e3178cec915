// Setting up a school in an empty data folder: its name and zone, its year groups, its first administrator.
import { usualAudiences } from '@valise/core/access'
import { systemActor } from '@valise/core/people'
import type { PersonInput, School, YearGroup } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { Writable } from '../database/index.ts'
import { createPerson } from './service.ts'
import { hasSchool, insertSchool, insertYearGroup } from './schoolStore.ts'

export interface SchoolPlan {
  readonly school: School
  /** In the order in which they are shown, youngest first. */
  readonly yearGroups: readonly Omit<YearGroup, 'id'>[]
  readonly administrator: PersonInput
}

export interface SetUpSchool {
  readonly administratorId: string
  /** The ids of the year groups by name. */
  readonly yearGroupIds: ReadonlyMap<string, string>
}

/** The year groups of a new school: the youngest are shown least and signed out soonest. */
export const usualYearGroups: SchoolPlan['yearGroups'] = [
  { name: 'Junior', shownNameRule: 'first', idleMinutes: 15, absoluteMinutes: 4 * 60 },
  { name: 'Foundation', shownNameRule: 'full', idleMinutes: 60, absoluteMinutes: 12 * 60 },
  { name: 'Certificate', shownNameRule: 'full', idleMinutes: 120, absoluteMinutes: 24 * 60 },
]

/** Sets a school up. @throws AppError `conflict` when the data folder already has one */
export function setUpSchool(on: Writable, plan: SchoolPlan): Promise<SetUpSchool> {
  return inTransaction(on, async (trx) => {
    if (await hasSchool(trx)) throw new AppError('conflict', 'school-there')
    await insertSchool(trx, plan.school)
    const yearGroupIds = new Map<string, string>()
    for (const [position, yearGroup] of plan.yearGroups.entries()) {
      const audiences = usualAudiences({ isYoungest: position === 0 })
      yearGroupIds.set(yearGroup.name, await insertYearGroup(trx, yearGroup, position, audiences))
    }
    const { person } = await createPerson(trx, systemActor('set-up'), plan.administrator)
    return { administratorId: person.id, yearGroupIds }
  })
}
