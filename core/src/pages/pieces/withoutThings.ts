// The answers of a piece that shows no thing and has no words; a kind overrides what is different.
import type { PieceDefinition } from './PieceDefinition.ts'

export const withoutThings = {
  evidence: null,
  standsInEntries: true,
  references: () => [],
  documentsIn: () => [],
  handsOut: () => [],
  descriptions: () => [],
  withDescription: <P>(piece: P) => piece,
  untranscribed: () => [],
  texts: () => [],
  plainText: () => '',
  name: () => '',
  sorts: () => [],
  credits: () => [],
} satisfies Omit<PieceDefinition<unknown>, 'render'>
