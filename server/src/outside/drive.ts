// The seam to a shared drive: folders, documents, and what a document holds at this moment.
import { driveDocumentSchema, driveFolderSchema } from '@valise/core/evidence'
import type { DriveDocument, DriveFolder } from '@valise/core/evidence'
import { askJson, askService } from './askService.ts'

/** A shared drive. Every call names the person: the drive decides what they may see. */
export interface Drive {
  /** @throws ServiceRefusal when this person may not see the folder. Null is the top. */
  folder(person: string, id: string | null): Promise<DriveFolder>
  /** @throws ServiceRefusal when this person may not see the document (any more) */
  document(person: string, id: string): Promise<DriveDocument>
  /** What the document holds now. */
  content(person: string, id: string): Promise<Response>
}

/** Opens a drive that speaks plain JSON at an address. */
export function openDrive(address: string): Drive {
  const as = (person: string) => ({ headers: { 'x-on-behalf-of': person } })
  const path = (id: string) => encodeURIComponent(id)
  return {
    folder: (person, id) =>
      askJson(`${address}/folders/${id === null ? 'top' : path(id)}`, driveFolderSchema, as(person)),
    document: (person, id) => askJson(`${address}/documents/${path(id)}`, driveDocumentSchema, as(person)),
    content: (person, id) => askService(`${address}/documents/${path(id)}/content`, as(person)),
  }
}
