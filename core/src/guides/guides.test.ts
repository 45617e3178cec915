import fc from 'fast-check'
import { Check } from 'typebox/value'
import { noFacts, requirementDefinitionOf } from '../assignments/index.ts'
import {
  applyOperations,
  fieldKinds,
  fieldOf,
  isAnswerPiece,
  newTextPiece,
  placedPieces,
  renderPage,
  textOf,
} from '../pages/index.ts'
import type { AnswerPiece, Operation, PageDocument, Question } from '../pages/index.ts'
import { everyPiece } from '../pages/testing/index.ts'
import { anyGuide } from './testing/index.ts'
import {
  differenceGuides,
  dueAtOf,
  guideContentSchema,
  guideFaults,
  guideMoments,
  mergeGuides,
  newCopyDocument,
  newInstruction,
  progressOfStage,
  questionsOf,
  readableCopy,
  rowsByStage,
  stageRequirements,
  stageStates,
  takeVersion,
} from './index.ts'
import type { GuideContent, Stage } from './index.ts'

const GUIDE = '0193aaaa-0000-7000-8000-000000000001'
const COPY = '0193bbbb-0000-7000-8000-000000000002'
const AT = '2026-11-15T12:00:00.000Z'
const ZONE = 'Europe/Lisbon'

const version = (content: GuideContent, n = 1) => ({ id: GUIDE, n, content })
const begin = (content: GuideContent) => newCopyDocument(version(content), COPY, 'en')
const piecesOf = (document: PageDocument) =>
  placedPieces(document).flatMap(({ piece }) => (isAnswerPiece(piece) ? [piece] : []))

/** A copy in which some questions are answered, by a value or by something beside them. */
function answered(document: PageDocument): fc.Arbitrary<PageDocument> {
  const pieces = piecesOf(document)
  const answers = pieces.map((piece) =>
    everyPiece('answer', piece.id).filter(
      (other) => isAnswerPiece(other) && other.given.kind === piece.given.kind,
    ),
  )
  return fc.tuple(fc.subarray(pieces), ...answers).map(([chosen, ...given]) => {
    const operations = given.flatMap((other): Operation[] => {
      const piece = chosen.find(({ id }) => id === other.id)
      if (!piece || !isAnswerPiece(other)) return []
      const { answer } = other.given
      const row = document.rows.find(({ pieces: some }) => some.some(({ id }) => id === piece.id))
      return [
        { op: 'set-piece', piece: { ...piece, given: { ...piece.given, answer } } as AnswerPiece },
        {
          op: 'insert-piece',
          rowId: row?.id ?? '',
          piece: newTextPiece(`t-${piece.id}`.slice(0, 40), textOf('silt')),
          after: piece.id,
        },
      ]
    })
    return applyOperations(document, operations) ?? document
  })
}

const copies = anyGuide.chain((content) =>
  answered(begin(content)).map((document) => ({ content, document })),
)

const question = (id: string, change: Partial<Question> = {}): Question =>
  ({
    ...fieldOf({ kind: 'short' }).create(id),
    asks: { en: `${id}?` },
    weight: 'must',
    ...change,
  }) as Question
const stage = (id: string, change: Partial<Stage> = {}): Stage => ({
  ...{ id, name: { en: `Stage ${id}` }, opens: { how: 'after', local: null }, closesLocal: null },
  ...{ blocks: [question(`q${id}`)], ...change },
})
const guide = (...stages: Stage[]): GuideContent => ({
  ...{ title: { en: 'One stake' }, about: {}, reading: 'followed', dueLocal: null, stages },
})
const answer = (document: PageDocument, ...ids: string[]) =>
  applyOperations(
    document,
    piecesOf(document)
      .filter(({ given }) => ids.includes(given.question.id))
      .map((piece) => ({
        op: 'set-piece' as const,
        piece: { ...piece, given: { ...piece.given, answer: { text: 'low' } } } as AnswerPiece,
      })),
  ) ?? document
const statesOf = (
  content: GuideContent,
  document: PageDocument,
  at = AT,
  opened = new Map<string, string>(),
) => stageStates(document, content, guideMoments(content, ZONE, opened), at)

it('a guide that may be saved is one of the schema', () => {
  fc.assert(fc.property(anyGuide, (content) => Check(guideContentSchema, content)))
})

describe('a copy', () => {
  it('asks every question of its guide, stage by stage, and no instruction', () => {
    fc.assert(
      fc.property(anyGuide, (content) => {
        const document = begin(content)
        expect(piecesOf(document).map(({ given }) => given.question)).toEqual(
          content.stages.flatMap(questionsOf),
        )
        expect(rowsByStage(document, content).map((one) => one.stage)).toEqual(content.stages)
      }),
    )
  })

  it('loses nothing when it takes up another version, and has the same questions in every window', () => {
    fc.assert(
      fc.property(copies, anyGuide, ({ document }, next) => {
        const after = applyOperations(document, takeVersion(document, version(next, 2), COPY))
        if (!after) throw new Error('the change does not apply')
        const said = (one: PageDocument) =>
          placedPieces(one)
            .map(({ piece }) => (isAnswerPiece(piece) ? JSON.stringify(piece.given.answer) : piece.id))
            .filter((words) => words.startsWith('t-') || /low|silt|water|stake/.test(words))
            .sort()
        expect(said(after)).toEqual(said(document))
        expect(after.sheet).toEqual({ id: GUIDE, n: 2, title: next.title })
        const asked = rowsByStage(after, next).flatMap(({ stage: of, rows }) => (of ? rows : []))
        expect(asked.flatMap(({ pieces }) => pieces.filter(isAnswerPiece)).length).toBe(
          next.stages.flatMap(questionsOf).length,
        )
      }),
    )
  })

  it('is read by stages under their names; answers to what is no longer asked stand at the end', () => {
    const before = guide(stage('1'), stage('2'))
    const document = answer(begin(before), 'q1', 'q2')
    const next = guide(stage('2'))
    const after = applyOperations(document, takeVersion(document, version(next, 2), COPY)) ?? document
    const html = renderPage(readableCopy(after, next), {
      ...{ shown: { evidence: {}, entries: {} }, lang: 'en', address: () => '' },
    })
    expect(html).toMatch(
      /<h1>One stake<\/h1><h2>Stage 2<\/h2>.*<h3>q2\?<\/h3>.*<h2>Answers to earlier questions<\/h2>.*<h3>q1\?/,
    )
  })
})

describe('stages', () => {
  it('that wait for the one before open when it is done, and stay open with what was written in them', () => {
    const content = guide(stage('1'), stage('2'))
    const blank = begin(content)
    const phases = (document: PageDocument) => statesOf(content, document).map(({ phase }) => phase)
    expect(phases(blank)).toEqual(['open', 'to-come'])
    expect(phases(answer(blank, 'q1'))).toEqual(['open', 'open'])
    expect(phases(answer(blank, 'q2'))).toEqual(['open', 'open'])
  })

  it('open and close at their moments, which are half-open', () => {
    const at = { how: 'at' as const, local: '2026-11-10T08:00' }
    const content = guide(stage('1', { opens: at, closesLocal: '2026-11-20T17:00' }))
    const phase = (now: string) => statesOf(content, begin(content), now)[0]?.phase
    expect(phase('2026-11-10T07:59:59.999Z')).toBe('to-come')
    expect(phase('2026-11-10T08:00:00.000Z')).toBe('open')
    expect(phase('2026-11-20T16:59:59.999Z')).toBe('open')
    expect(phase('2026-11-20T17:00:00.000Z')).toBe('closed')
  })

  it('open by hand once somebody opened them', () => {
    const content = guide(stage('1', { opens: { how: 'hand', local: null } }))
    expect(statesOf(content, begin(content))[0]?.phase).toBe('to-come')
    expect(statesOf(content, begin(content), AT, new Map([['1', AT]]))[0]?.phase).toBe('open')
  })

  it('are done when what is required is answered, and something at all', () => {
    const content = guide(
      stage('1', { blocks: [question('a'), question('b', { weight: 'should' })] }),
      stage('2', { blocks: [question('c', { weight: 'should' })] }),
      stage('3', { blocks: [newInstruction('i')] }),
    )
    const blank = begin(content)
    const all = (document: PageDocument) => statesOf(content, document).map(({ progress }) => progress)
    expect(all(blank)).toEqual(['not-begun', 'not-begun', 'not-begun'])
    expect(all(answer(blank, 'b'))).toEqual(['in-progress', 'not-begun', 'not-begun'])
    expect(all(answer(blank, 'a'))).toEqual(['done', 'not-begun', 'not-begun'])
    expect(all(answer(blank, 'a', 'c'))).toEqual(['done', 'done', 'done'])
  })

  it('come as far on their own as on the route, for every copy', () => {
    fc.assert(
      fc.property(copies, ({ content, document }) => {
        const route = statesOf(content, document)
        content.stages.forEach((one, n) => {
          if (questionsOf(one).length > 0) expect(progressOfStage(document, one)).toBe(route[n]?.progress)
        })
      }),
    )
  })
})

describe('what a guide requires', () => {
  it('is missing where a question that is required is open, by its name, and only where the copy asks it', () => {
    const content = guide(stage('1', { blocks: [question('a'), question('b')] }), stage('2'))
    const [first] = stageRequirements(content)
    if (first?.kind !== 'stage') throw new Error('no requirement')
    const check = (document: PageDocument) =>
      requirementDefinitionOf('stage').check(first, {
        ...noFacts,
        parts: [
          {
            ...{ kind: 'guideCopy', title: '', document: readableCopy(document, content) },
            shown: { evidence: {}, entries: {} },
          },
        ],
      })
    expect(check(answer(begin(content), 'a'))).toEqual({
      isThere: false,
      missing: [{ id: 'b', asks: { en: 'b?' } }],
    })
    expect(check(answer(begin(content), 'a', 'b'))).toEqual({ isThere: true, missing: [] })
    const older = guide(stage('1', { blocks: [question('a')] }))
    expect(check(answer(begin(older), 'a')).isThere).toBe(true)
  })

  it('agrees with the stages: what is done misses nothing', () => {
    fc.assert(
      fc.property(copies, ({ content, document }) => {
        for (const requirement of stageRequirements(content)) {
          if (requirement.kind !== 'stage') throw new Error('another kind')
          const { isThere } = requirementDefinitionOf('stage').check(requirement, {
            ...noFacts,
            parts: [
              {
                ...{ kind: 'guideCopy', title: '', document: readableCopy(document, content) },
                shown: { evidence: {}, entries: {} },
              },
            ],
          })
          const of = statesOf(content, document).find(({ id }) => id === requirement.id)
          expect(of?.open === 0).toBe(isThere)
        }
      }),
    )
  })
})

describe('what a guide lacks before it is published', () => {
  it('is nothing where all of it is there', () => {
    expect(guideFaults(guide(stage('1')))).toEqual([])
  })

  it.each<[Partial<GuideContent>, object]>([
    [{ title: {} }, { what: 'title' }],
    [
      {
        stages: Array.from({ length: 5 }, (_, n) =>
          stage(`s${n}`, { blocks: Array.from({ length: 41 }, (__, m) => question(`q${n}x${m}`)) }),
        ),
      },
      { what: 'room' },
    ],
    [{ reading: 'sealed' }, { what: 'due' }],
    [{ stages: [] }, { what: 'stages' }],
    [{ stages: [stage('1', { name: { en: ' ' } })] }, { what: 'name', stage: 1 }],
    [{ stages: [stage('1'), stage('2', { blocks: [] })] }, { what: 'blocks', stage: 2 }],
    [{ stages: [stage('1', { opens: { how: 'at', local: null } })] }, { what: 'opens', stage: 1 }],
    [
      {
        stages: [
          stage('1', {
            opens: { how: 'at', local: '2026-11-10T08:00' },
            closesLocal: '2026-11-10T08:00',
          }),
        ],
      },
      { what: 'closes', stage: 1 },
    ],
    [
      { stages: [stage('1', { blocks: [newInstruction('i'), question('a', { asks: {} })] })] },
      { what: 'words', stage: 1, question: 1 },
    ],
  ])('is named, example %#', (change, fault) => {
    expect(guideFaults({ ...guide(stage('1')), ...change })).toEqual([fault])
  })
})

describe('two assessors on one guide', () => {
  it('keep each stage that one of them added or changed', () => {
    fc.assert(
      fc.property(anyGuide, anyGuide, (base, changed) => {
        expect(mergeGuides(base, changed, base)).toEqual(changed)
        expect(mergeGuides(base, base, changed)).toEqual(changed)
      }),
    )
  })

  it('may work in one stage: each question that one of them changed is kept', () => {
    const base = guide(stage('1', { blocks: [question('a'), question('b')] }))
    const write = (id: string, words: string) =>
      guide(
        stage('1', {
          blocks: ['a', 'b'].map((one) => question(one, one === id ? { asks: { en: words } } : {})),
        }),
      )
    const merged = mergeGuides(base, write('a', 'Mine?'), write('b', 'Theirs?'))
    expect(merged.stages[0]?.blocks.map((one) => ('asks' in one ? one.asks.en : ''))).toEqual([
      'Mine?',
      'Theirs?',
    ])
  })

  it('may change dates and words of one stage', () => {
    const base = guide(stage('1'))
    const named = guide(stage('1', { name: { en: 'Low water' } }))
    const dated = guide(stage('1', { closesLocal: '2026-12-01T17:00' }))
    expect(mergeGuides(base, named, dated).stages[0]).toMatchObject({
      name: { en: 'Low water' },
      closesLocal: '2026-12-01T17:00',
    })
  })
})

describe('what an improved guide changes', () => {
  it('is nothing for the same guide, and nothing where only dates moved', () => {
    fc.assert(
      fc.property(anyGuide, (content) => {
        expect(differenceGuides(content, content)).toEqual([])
        const moved = content.stages.map((one) => ({ ...one, closesLocal: '2027-01-01T12:00' }))
        expect(differenceGuides(content, { ...content, stages: moved })).toEqual([])
      }),
    )
  })

  it('names what was added, removed and changed', () => {
    const before = guide(stage('1'), stage('2', { blocks: [newInstruction('i')] }))
    const after = guide(
      stage('1', { blocks: [question('q1', { asks: { en: 'Which stake?' } }), question('new')] }),
    )
    expect(differenceGuides(before, after)).toEqual([
      { what: 'removed', of: 'stage', name: { en: 'Stage 2' } },
      { what: 'changed', of: 'question', name: { en: 'Which stake?' } },
      { what: 'added', of: 'question', name: { en: 'new?' } },
      { what: 'removed', of: 'instruction', name: { en: 'Stage 2' } },
    ])
  })
})

it('a guide is due at the later of two moments that its local time means', () => {
  expect(dueAtOf({ dueLocal: '2026-10-25T01:30' }, ZONE)).toBe('2026-10-25T01:30:00.000Z')
  expect(dueAtOf({ dueLocal: null }, ZONE)).toBeNull()
})

it('every kind of question can be asked in a guide', () => {
  for (const kind of fieldKinds) {
    const content = guide(stage('1', { blocks: [fieldOf({ kind }).create('q') as Question] }))
    expect(piecesOf(begin(content)).map(({ given }) => given.kind)).toEqual([kind])
  }
})
