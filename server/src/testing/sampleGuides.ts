// Guides in tests: what an assessor sets, by the same way as a browser's.
import { newInstruction } from '@valise/core/guides'
import type { Block, GuideContent, GuideCopy, Stage } from '@valise/core/guides'
import { fieldOf, isAnswerPiece, placedPieces, textOf } from '@valise/core/pages'
import type { AnswerPiece, Operation, Question } from '@valise/core/pages'
import { sendEdit } from './editing.ts'
import type { TestBrowser } from './site.ts'

/** A question of a kind, required unless said otherwise. */
export function guideQuestion(kind: Question['kind'], id: string, more: object = {}): Question {
  return { ...fieldOf({ kind }).create(id), asks: { en: `${id}?` }, weight: 'must', ...more } as Question
}

export function guideStage(id: string, blocks: Block[], more: Partial<Stage> = {}): Stage {
  const opens = { how: 'after' as const, local: null }
  return { id, name: { en: `Visit ${id}` }, opens, closesLocal: null, blocks, ...more }
}

/** Two stages: what one sees at a stake, with an entry about it; and what one makes of it. */
export const twoVisits: GuideContent = {
  ...{
    title: { en: 'One stake' },
    about: { en: 'Come back to one stake.' },
    reading: 'followed',
    dueLocal: null,
  },
  stages: [
    guideStage('1', [
      { ...newInstruction('how'), text: { en: textOf('Wade in at low water.') } },
      guideQuestion('short', 'stake'),
      guideQuestion('evidence', 'photo', { weight: 'should' }),
      guideQuestion('entry', 'visit', { weight: 'should' }),
    ]),
    guideStage('2', [guideQuestion('short', 'changed'), guideQuestion('page', 'page', { weight: 'should' })]),
  ],
}

/** Due on the day after the tests start. */
export const sealedVisits: GuideContent = { ...twoVisits, reading: 'sealed', dueLocal: '2026-11-27T17:00' }

/** Writes, publishes and offers a guide; returns its id. */
export async function setGuide(
  assessor: TestBrowser,
  classIds: readonly string[],
  content: GuideContent = twoVisits,
): Promise<string> {
  const { id, revision } = (await assessor.post('/api/guides', { title: content.title })).body
  const path = `/api/guides/${id}`
  await assessor.put(path, { content }, revision)
  const published = await assessor.ask('POST', `${path}/versions`, {}, { 'if-match': `"r${revision + 1}"` })
  expect([published.status, published.body]).toEqual([200, expect.anything()])
  const offered = await assessor.put(`${path}/offers`, { classIds }, revision + 2)
  expect([offered.status, offered.body]).toEqual([200, expect.anything()])
  return id
}

/** Publishes a guide as it is now. */
export async function improveGuide(assessor: TestBrowser, id: string, content: GuideContent): Promise<void> {
  const path = `/api/guides/${id}`
  const { revision } = (await assessor.get(path)).body
  await assessor.put(path, { content }, revision)
  const answer = await assessor.ask('POST', `${path}/versions`, {}, { 'if-match': `"r${revision + 1}"` })
  expect(answer.status).toBe(200)
}

export async function startGuide(student: TestBrowser, guideId: string): Promise<string> {
  const answer = await student.post(`/api/guides/${guideId}/copies`, {})
  expect([answer.status, answer.body]).toEqual([200, expect.anything()])
  return answer.body.id
}

/** Finds a question in a copy. */
export function askedIn({ draft }: Pick<GuideCopy, 'draft'>, questionId: string) {
  const found = placedPieces(draft.document).find(
    ({ piece }) => isAnswerPiece(piece) && piece.given.question.id === questionId,
  )
  if (!found || !isAnswerPiece(found.piece)) throw new Error(`nothing asks ${questionId}`)
  return { piece: found.piece, row: found.row }
}

/** Answers a question of a copy. */
export async function answerIn(
  student: TestBrowser,
  copyId: string,
  questionId: string,
  answer: object,
): Promise<void> {
  const path = `/api/guide-copies/${copyId}`
  const copy: GuideCopy = (await student.get(path)).body
  const { piece } = askedIn(copy, questionId)
  const given = { ...piece.given, answer }
  const operations: Operation[] = [{ op: 'set-piece', piece: { ...piece, given } as AnswerPiece }]
  const saved = await sendEdit(student, path, { base: copy.draft.revision, operations })
  expect([saved.status, saved.body]).toEqual([200, expect.anything()])
}
