// For property tests of whatever works with pages: random pieces of every kind, and what they show.
export { anyDocument, anyShown, everyPiece } from './anyPiece.ts'
