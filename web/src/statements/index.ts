// Statements: what one says of an item, freely or along questions.
export { StatementField } from './StatementField.tsx'
export { StatementWriting } from './StatementWriting.tsx'
