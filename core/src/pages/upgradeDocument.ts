// Documents of earlier schemas, brought to the newest one when they are read.
import { AppError } from '../problems/index.ts'
import type { PageDocument } from './schema.ts'
import { DOCUMENT_SCHEMA } from './valueLists.ts'

interface StoredDocument {
  readonly schema: number
}

/** The step at place n leads from schema n + 1 to n + 2. Steps are pure, and are never changed once they shipped. */
const steps: readonly ((document: StoredDocument) => StoredDocument)[] = []

/**
 * Upgrades a stored document to the newest schema. The next save stores the result; sealed documents are never
 * rewritten.
 *
 * @throws AppError `unexpected` when a newer version of Valise wrote it
 */
export function upgradeDocument(stored: StoredDocument): PageDocument {
  if (stored.schema > DOCUMENT_SCHEMA) throw new AppError('unexpected', 'document-newer')
  const upgraded = steps.slice(stored.schema - 1).reduce((document, step) => step(document), stored)
  // The last step led to the newest schema, which is what this type says.
  return upgraded as PageDocument
}
