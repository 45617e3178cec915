// Editing drafts in tests as a device would: edits with ids of their own.
import { newTextPiece, placedPieces, textOf } from '@valise/core/pages'
import type { Operation } from '@valise/core/pages'
import type { ItemStatement } from '@valise/core/statements'
import { v7 as uuidv7 } from 'uuid'
import type { Answer, TestBrowser } from './site.ts'

export interface EditWish {
  readonly base: number
  readonly operations: readonly Operation[]
  readonly editId?: string
  readonly writtenAt?: string
  readonly windowId?: string
}

/** Sends an edit of a page or an entry, from a new window unless one is named. */
export function sendEdit(browser: TestBrowser, path: string, wish: EditWish): Promise<Answer> {
  return browser.post(`${path}/edits`, { editId: uuidv7(), windowId: uuidv7(), ...wish })
}

/** Says something of an item. */
export async function sayOf(browser: TestBrowser, evidenceId: string, words: string): Promise<Answer> {
  const path = `/api/evidence/${evidenceId}/statement`
  const { draft }: ItemStatement = (await browser.post(path, { lang: 'en' })).body
  if (!draft) throw new Error('no statement was begun')
  const [piece] = placedPieces(draft.document).map((placed) => placed.piece)
  return sendEdit(browser, path, { base: draft.revision, operations: [writeText(piece?.id ?? '', words)] })
}

export const writeText = (pieceId: string, words: string): Operation => ({
  op: 'set-piece',
  piece: newTextPiece(pieceId, textOf(words)),
})

export const addTextRow = (pieceId: string, words: string, after: string | null = null): Operation => ({
  op: 'insert-row',
  row: { id: `row-${pieceId}`, pieces: [newTextPiece(pieceId, textOf(words))] },
  after,
})
