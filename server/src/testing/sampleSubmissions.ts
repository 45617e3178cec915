// Many assignments and hand-ins for tests of lists: one's own, those that one reads, and what was said on them.
import type { Trx } from '../database/index.ts'
import { assignmentInput } from './handingIn.ts'

export interface SampleSubmissions {
  readonly n: number
  /** Whose lists grow: they hand in what the class that they study in is asked for. */
  readonly personId: string
  readonly studiesIn: string
  /** The class that they assess, and a student of it whose hand-ins they read. */
  readonly assesses: string
  readonly otherId: string
  /** An evidence item of their own, which goes in each time. */
  readonly evidenceId: string
}

/** Inserts a submission: even ones are the person's and answered, odd ones are for the person to read. */
export async function insertSampleSubmission(trx: Trx, sample: SampleSubmissions): Promise<string> {
  const { n, personId, otherId, studiesIn, assesses } = sample
  const isOwn = n % 2 === 0
  const assignmentId = await insertSampleAssignment(trx, isOwn ? studiesIn : assesses)
  if (isOwn) await insertChoice(trx, sample, assignmentId)
  const said = { ownerId: isOwn ? personId : otherId, state: isOwn ? 'changes-asked' : 'with-assessor' }
  const id = await insertSubmission(trx, { assignmentId, ...said, n: 1 })
  await insertFeedback(trx, { submissionId: id, authorId: isOwn ? otherId : personId, n })
  return id
}

export async function insertSampleAssignment(trx: Trx, classId: string): Promise<string> {
  const { title, requirements, scale, terms } = assignmentInput
  const id = trx.newId()
  const texts = Object.entries({ title, requirements, scale, terms })
  await trx.sql('assignments').insert({
    ...{ id, classId, allowsGaps: 1, setAt: trx.now, revision: 1 },
    ...Object.fromEntries(texts.map(([name, value]) => [name, JSON.stringify(value)])),
  })
  return id
}

/** Inserts the n-th unread submission of one student. */
export function insertToRead(trx: Trx, assignmentId: string, ownerId: string, n: number): Promise<string> {
  return insertSubmission(trx, { assignmentId, ownerId, state: 'with-assessor', n })
}

interface SampleSubmission {
  readonly assignmentId: string
  readonly ownerId: string
  readonly state: string
  readonly n: number
}

async function insertSubmission(trx: Trx, submission: SampleSubmission): Promise<string> {
  const id = trx.newId()
  const empty = { requirements: '[]', readiness: '[]', terms: '[]' }
  const counts = { lateMinutes: 0, gaps: 0, parts: 1, revision: 1 }
  await trx.sql('submissions').insert({ id, ...submission, ...empty, ...counts, requestedAt: trx.now })
  return id
}

async function insertChoice(
  trx: Trx,
  { personId, evidenceId }: SampleSubmissions,
  assignmentId: string,
): Promise<void> {
  const id = trx.newId()
  const choice = { id, assignmentId, ownerId: personId, changedAt: trx.now, revision: 1 }
  await trx.sql('partChoices').insert(choice)
  const part = { choiceId: id, position: 0, thingId: evidenceId }
  await trx.sql('chosenParts').insert({ ...part, isIn: 1, copy: 'published' })
}

/** Inserts feedback, one at a time as people write it. */
export async function insertFeedback(
  trx: Trx,
  {
    submissionId,
    authorId,
    n,
  }: { readonly submissionId: string; readonly authorId: string; readonly n: number },
): Promise<void> {
  const said = { text: `Word ${n}`, isOpen: 0, isRequest: 0, at: trx.now }
  await trx.sql('feedback').insert({ id: trx.newId(), submissionId, authorId, ...said })
}
