// What the instructions of a guide show to whoever works through it: items of those who wrote it, and their files.
import { instructionPieces, isInstruction } from '@valise/core/guides'
import type { GuideContent } from '@valise/core/guides'
import { evidenceIdsOf, handOutsOf, newDocument, nothingShown } from '@valise/core/pages'
import type { PageDocument, Shown } from '@valise/core/pages'
import { ownerActor } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { resolveShown } from '../drafts/index.ts'
import type { FileAnswer } from '../http/index.ts'
import { listVersions } from '../offers/index.ts'
import { findHandedOut } from '../pages/index.ts'
import { findOwnCopy } from './copyStore.ts'
import { guideRoom } from './guideRoom.ts'

/** Returns the instructions of all stages as one document. */
function instructionsIn({ stages }: Pick<GuideContent, 'stages'>): PageDocument {
  const instructions = stages.flatMap(({ blocks }) => blocks.filter(isInstruction))
  return newDocument(
    '',
    'en',
    instructions.map((one) => ({ id: one.id, pieces: instructionPieces(one, 'en') })),
  )
}

/** Resolves what instructions show, each item as its owner has it now. That its owner put it there was checked then. */
export async function showInstructions(reader: Reader, content: GuideContent): Promise<Shown> {
  return (await resolve(reader, instructionsIn(content))).shown
}

async function resolve(reader: Reader, document: PageDocument) {
  const ids = evidenceIdsOf(document)
  if (ids.length === 0) return { shown: nothingShown, owners: new Map<string, string>() }
  const rows: { id: string; ownerId: string }[] = await reader
    .sql('things')
    .where({ kind: 'evidence', isBinned: 0 })
    .modify(isOneOf, 'id', ids)
    .select('id', 'ownerId')
  let evidence: Shown['evidence'] = {}
  for (const ownerId of new Set(rows.map((row) => row.ownerId)))
    evidence = { ...evidence, ...(await resolveShown(reader, ownerActor(ownerId), document)).evidence }
  return { shown: { ...nothingShown, evidence }, owners: new Map(rows.map((row) => [row.id, row.ownerId])) }
}

interface InstructionFile {
  readonly id: string
  readonly piece: string
  readonly handOut: string
}

/** Finds a file of an instruction, for whoever has a copy or may begin one; null for everybody else. */
export async function findInstructionFile(
  reader: Reader,
  actor: PersonActor,
  { id, piece, handOut }: InstructionFile,
): Promise<FileAnswer | null> {
  const copy = await findOwnCopy(reader, actor, { guideId: id })
  const [along] = copy
    ? await listVersions<GuideContent>(reader, [{ id, n: copy.n }])
    : [await guideRoom.findNewest(reader, actor, id)]
  if (!along) return null
  const document = instructionsIn(along.content)
  const { shown, owners } = await resolve(reader, document)
  const found = handOutsOf(document, shown).find(
    (one) => one.pieceId === piece && one.handOut.name === handOut,
  )
  const ownerId = found && owners.get(found.handOut.item.id)
  return found && ownerId !== undefined ? findHandedOut(reader, { ownerId, handOut: found.handOut }) : null
}
