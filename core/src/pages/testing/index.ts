// For property tests of whatever works with pages: random pieces of every kind, and what they show.
export { anyDocument, anyPiece, anyShown, everyPiece } from './anyPiece.ts'
