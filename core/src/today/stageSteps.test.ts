import { newCopyDocument, stageStates } from '../guides/index.ts'
import type { GuideContent, GuideRow, Stage } from '../guides/index.ts'
import { applyOperations, fieldOf, isAnswerPiece, placedPieces } from '../pages/index.ts'
import type { AnswerPiece, PageDocument, Question } from '../pages/index.ts'
import { computeStageSteps } from './index.ts'
import type { GuideToDo } from './index.ts'

const GUIDE = '0193aaaa-0000-7000-8000-000000000001'
const NOW = '2026-11-26T10:42:00.000Z'

const question = (id: string, weight: 'must' | 'should'): Question =>
  ({ ...fieldOf({ kind: 'short' }).create(id), asks: { en: `${id}?` }, weight }) as Question
const stage = (id: string, blocks: Question[], opens: Stage['opens']['how'] = 'at'): Stage => ({
  ...{ id, name: { en: `Visit ${id}` }, opens: { how: opens, local: null }, closesLocal: null, blocks },
})
const content: GuideContent = {
  ...{ title: { en: 'One stake' }, about: {}, reading: 'followed', dueLocal: null },
  stages: [
    stage('1', [question('look', 'should'), question('stake', 'must')]),
    stage('2', [question('changed', 'must')]),
    stage('3', [question('after', 'must')], 'after'),
  ],
}

function toDo(
  change: Partial<GuideRow> = {},
  answers: Readonly<Record<string, string>> = {},
  closes = {},
): GuideToDo {
  const begun = newCopyDocument({ id: GUIDE, n: 1, content }, GUIDE, 'en')
  const operations = placedPieces(begun).flatMap(({ piece }) => {
    const text = isAnswerPiece(piece) ? answers[piece.given.question.id] : undefined
    if (text === undefined || !isAnswerPiece(piece)) return []
    return [
      {
        op: 'set-piece' as const,
        piece: { ...piece, given: { ...piece.given, answer: { text } } } as AnswerPiece,
      },
    ]
  })
  const document = applyOperations(begun, operations) as PageDocument
  const moments = content.stages.map(({ id }) => ({
    ...{ stageId: id, opensAt: null, closesAt: null, openedAt: null },
    ...(id in closes && { closesAt: (closes as Record<string, string>)[id] }),
  })) as Parameters<typeof stageStates>[2]
  const row: GuideRow = {
    ...{
      guideId: GUIDE,
      copyId: null,
      title: content.title,
      about: {},
      reading: 'followed',
      setBy: 'Odalys',
    },
    ...{ className: 'Shore Methods', classCode: 'FLD-204', dueAt: null, isEnded: false, changedAt: null },
    ...{ stages: stageStates(document, content, moments, NOW), latest: null, ...change },
  }
  return { row, content, document }
}
const idsOf = (...guides: GuideToDo[]) => computeStageSteps(guides).map(({ stageId }) => stageId)

describe('the steps of guides', () => {
  it('are the first open stage of each, with what is still to be answered, the required first', () => {
    expect(computeStageSteps([toDo()])).toMatchObject([
      {
        ...{ guideId: GUIDE, stageId: '1', name: { en: 'Visit 1' }, required: 1, open: 1, dueAt: null },
        questions: [
          { id: 'stake', weight: 'must' },
          { id: 'look', weight: 'should' },
        ],
      },
    ])
    expect(idsOf(toDo({}, { stake: 'B7' }))).toEqual(['2'])
    expect(idsOf(toDo({}, { stake: 'B7', changed: 'silt' }))).toEqual(['3'])
    expect(idsOf(toDo({}, { stake: 'B7', changed: 'silt', after: 'mud' }))).toEqual([])
  })

  it('are also those that close, the next due first; what closed is none any more', () => {
    const second = { 2: '2026-11-28T12:00:00.000Z' }
    expect(computeStageSteps([toDo({}, {}, second)]).map(({ stageId, dueAt }) => [stageId, dueAt])).toEqual([
      ['2', '2026-11-28T12:00:00.000Z'],
      ['1', null],
    ])
    expect(idsOf(toDo({}, {}, { 2: NOW }))).toEqual(['1'])
  })

  it('are due when the guide is handed in, where no stage closes before', () => {
    const dueAt = '2026-11-30T12:00:00.000Z'
    const steps = computeStageSteps([
      toDo({ dueAt, reading: 'sealed' }, {}, { 1: '2026-11-28T12:00:00.000Z' }),
    ])
    expect(steps).toMatchObject([{ stageId: '1', dueAt: '2026-11-28T12:00:00.000Z', isHandedIn: true }])
    expect(computeStageSteps([toDo({ dueAt })])).toMatchObject([{ stageId: '1', dueAt, isHandedIn: false }])
  })

  it('end with the guide, and with handing it in', () => {
    const latest = (state: string) => ({ latest: { state } as GuideRow['latest'] })
    expect(idsOf(toDo({ isEnded: true }))).toEqual([])
    for (const state of ['sealing', 'not-sealed', 'with-assessor', 'changes-asked', 'accepted'])
      expect([state, idsOf(toDo(latest(state)))]).toEqual([state, []])
    expect(idsOf(toDo(latest('taken-back')))).toEqual(['1'])
  })
})
