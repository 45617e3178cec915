// Assignments: what an assessor asks for, and each checkable part of it.
export { decideAssignment, roleInAssignments } from './decideAssignment.ts'
export {
  assignmentInputSchema,
  assignmentListSchema,
  assignmentSchema,
  levelSchema,
  newAssignmentSchema,
  requirementSchema,
} from './schema.ts'
export type {
  Assignment,
  AssignmentInput,
  AssignmentList,
  AssignmentRow,
  Level,
  NewAssignment,
  PageRequirement,
  Requirement,
  StatementRequirement,
  WantedPiece,
} from './schema.ts'
export {
  FEWEST_LEVELS,
  LONGEST_ASSIGNMENT_TITLE,
  LONGEST_BRIEF,
  LONGEST_LEVEL,
  LONGEST_QUESTION,
  LONGEST_TERM,
  MOST_LEVELS,
  MOST_QUESTIONS,
  MOST_REQUIREMENTS,
  MOST_STATEMENT_WORDS,
  MOST_TERMS,
  requirementKinds,
  weights,
} from './valueLists.ts'
export type { RequirementKind, Weight } from './valueLists.ts'
