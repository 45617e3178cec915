// Assignments and hand-ins in tests, by the same way as a browser's.
import { requirementKinds } from '@valise/core/assignments'
import type { AssignmentInput, CheckedRequirement, Requirement } from '@valise/core/assignments'
import type { PartKind } from '@valise/core/things'
import { everyRequirement } from '@valise/core/assignments/testing'
import type { PartCopy } from '@valise/core/submissions'
import fc from 'fast-check'
import type { Answer, TestBrowser, TestSite } from './site.ts'

const level = (id: string, name: string) => ({ id, name: { en: name } })

/** Due on the day after the tests start; without requirements. */
export const assignmentInput: AssignmentInput = {
  title: { en: 'Transect portfolio', es: 'Portafolio del transecto' },
  brief: null,
  requirements: [],
  scale: [level('not-yet', 'Not yet'), level('with-help', 'With help'), level('own', 'On my own')],
  terms: [],
  dueLocal: '2026-11-27T17:00',
  allowsGaps: true,
}

export const pageWanted: Requirement = {
  id: 'page',
  kind: 'page',
  weight: 'must',
  pieces: [{ sort: 'picture', atLeast: 1 }],
}
export const statementWanted: Requirement = {
  id: 'statement',
  kind: 'statement',
  weight: 'should',
  words: 5,
  questions: [],
}
export const rightsWanted: Requirement = { id: 'rights', kind: 'rights', weight: 'must' }

/** Some requirements of every kind on the list, so that a new one is tested without being told. */
export const everyRequirementWanted: Requirement[] = requirementKinds.flatMap((kind) =>
  fc
    .sample(everyRequirement(kind), { seed: 3, numRuns: 2 })
    .map((requirement, n) => ({ ...requirement, id: `${kind}-${n}` })),
)

export async function setAssignment(
  assessor: TestBrowser,
  classId: string,
  input: Partial<AssignmentInput> = {},
): Promise<string> {
  const { body } = await assessor.post('/api/assignments', { classId, ...assignmentInput, ...input })
  return body.id
}

export interface WantedPart {
  readonly kind: PartKind
  readonly id: string
  readonly copy?: PartCopy
}

export async function choose(
  student: TestBrowser,
  assignmentId: string,
  parts: readonly WantedPart[],
): Promise<Answer> {
  const path = `/api/assignments/${assignmentId}/hand-in`
  const { revision } = (await student.get(path)).body
  const chosen = parts.map(({ kind, id, copy = 'published' }) => ({ kind, id, isIn: true, copy }))
  return student.put(path, { parts: chosen }, revision)
}

/** Hands in what is chosen, gaps included; it is sealed when the jobs have run. */
export async function handInChosen(student: TestBrowser, assignmentId: string): Promise<Answer> {
  const { body } = await student.get(`/api/assignments/${assignmentId}/hand-in`)
  const gaps = body.readiness
    .filter(({ result }: CheckedRequirement) => !result.isThere)
    .map(({ requirement }: CheckedRequirement) => requirement.id)
  const seen = { gaps, terms: body.assignment.terms.length }
  return student.post(`/api/assignments/${assignmentId}/submissions`, seen, {
    'if-match': `"r${body.revision}"`,
  })
}

/** Chooses, hands in and seals; returns the id of the submission. */
export async function handInSealed(
  site: TestSite,
  student: TestBrowser,
  assignmentId: string,
  parts: readonly WantedPart[],
): Promise<string> {
  await choose(student, assignmentId, parts)
  const { body } = await handInChosen(student, assignmentId)
  // Sealing waits for pictures that are still in the making.
  for (let state = 'sealing'; state === 'sealing';) {
    await site.services.jobs.drain()
    state = (await student.get(`/api/submissions/${body.id}`)).body.state
    if (state === 'sealing') await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return body.id
}
