// The lists of values that people's schemas allow; apart from the schemas, so that the web gets no validator with them.

/** The languages of the interface. */
export const languages = ['en', 'es'] as const
export type Language = (typeof languages)[number]

/** Which name of a person others see; set by year group. */
export const shownNameRules = ['full', 'first', 'chosen'] as const
export type ShownNameRule = (typeof shownNameRules)[number]

/** The role of a person in a class. A lead is an assessor who also runs the class. */
export const classRoles = ['student', 'assessor', 'lead'] as const
export type ClassRole = (typeof classRoles)[number]

/** Returns whether this role reads and judges the work of the students. */
export function isAssessorRole(role: ClassRole): boolean {
  return role !== 'student'
}
