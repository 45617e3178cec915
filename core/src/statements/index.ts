// Statements: what a student says of one item, freely or along questions.
export { newStatementSchema, statementSchema } from './schema.ts'
export type { ItemStatement, NewStatement } from './schema.ts'
export {
  isAlong,
  isWordsOnly,
  newStatementDocument,
  questionsAsked,
  takeQuestions,
  toldIn,
} from './statementDocument.ts'
