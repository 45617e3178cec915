// Assignments: what an assessor asks for, and each checkable part of it.
export { decideAssignment, roleInAssignments } from './decideAssignment.ts'
export {
  assignmentInputSchema,
  assignmentListSchema,
  assignmentSchema,
  levelSchema,
  newAssignmentSchema,
} from './schema.ts'
export type { Assignment, AssignmentInput, AssignmentList, AssignmentRow, NewAssignment } from './schema.ts'
export { countStatementWords, itemsGoing, noFacts } from './requirements/facts.ts'
export type { FactName, Facts, GoingPart } from './requirements/facts.ts'
export {
  factsNeeded,
  offeredRequirementKinds,
  requirementDefinitionOf,
  requirementKinds,
} from './requirements/requirementDefinitions.ts'
export { checkedRequirementSchema } from './requirements/requirementSchemas.ts'
export type {
  CheckedOf,
  CheckedRequirement,
  Requirement,
  RequirementKind,
  RequirementOf,
} from './requirements/requirementSchemas.ts'
export { toStoredResults, upgradeReadiness, upgradeRequirements } from './requirements/upgradeRequirements.ts'
export type { StoredResult } from './requirements/upgradeRequirements.ts'
export {
  LONGEST_ASSIGNMENT_TITLE,
  LONGEST_BRIEF,
  MOST_REQUIREMENTS,
  MOST_STATEMENT_WORDS,
  REQUIREMENTS_SCHEMA,
  weights,
} from './valueLists.ts'
export type { Weight } from './valueLists.ts'
