// The lists of values that people's schemas allow; apart from the schemas, so that the web gets no validator with them.

/** Languages that the interface speaks. */
export const languages = ['en', 'es'] as const
export type Language = (typeof languages)[number]

/** Which of a person's names others see; set by year group. */
export const shownNameRules = ['full', 'first', 'chosen'] as const
export type ShownNameRule = (typeof shownNameRules)[number]

/** What a person is in a class. A lead is an assessor who also runs the class. */
export const classRoles = ['student', 'assessor', 'lead'] as const
export type ClassRole = (typeof classRoles)[number]

/** Whether somebody with this role reads and judges the work of the class's students. */
export function isAssessorRole(role: ClassRole): boolean {
  return role !== 'student'
}
