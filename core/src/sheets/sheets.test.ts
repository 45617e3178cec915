import fc from 'fast-check'
import {
  applyOperations,
  fieldKinds,
  fieldOf,
  invertOperations,
  isAnswerPiece,
  newTextPiece,
  placedPieces,
  questionSchema,
  rebaseEdit,
  sheetFieldKinds,
  textOf,
} from '../pages/index.ts'
import type { AnswerPiece, PageDocument, Question } from '../pages/index.ts'
import { everyPiece } from '../pages/testing/index.ts'
import { answersOf, changeSheet, newEntryDocument } from '../reflections/index.ts'
import { valuesOf } from '../testing/index.ts'
import { Check } from 'typebox/value'
import { mergeSheets, sheetContentSchema, sheetFaults, shippedSheets } from './index.ts'
import type { SheetContent, SheetVersion } from './index.ts'

const kinds = fc.constantFrom(...fieldKinds)

/** Questions with ids of a small set, so that two sheets share some; the same id is always of one kind. */
const questions: fc.Arbitrary<Question[]> = fc.uniqueArray(fc.nat(8), { maxLength: 6 }).map((numbers) =>
  numbers.map((n) => ({
    ...(fieldOf({ kind: fieldKinds[n % fieldKinds.length] ?? 'long' }).create(`q${n}`) as Question),
    asks: { en: `Question ${n}?` },
  })),
)

const versions: fc.Arbitrary<SheetVersion> = fc
  .tuple(questions, fc.uuid(), fc.constantFrom(1, 2))
  .map(([some, sheet, n]) => ({
    ...{ id: sheet, n, source: 'mine' as const },
    content: { title: { en: 'Sheet' }, about: {}, questions: some },
  }))

const entry = (sheet: SheetVersion | null = null) =>
  newEntryDocument({
    title: 'Low water',
    lang: 'en',
    textId: '0193-aaaabbbbcccc',
    text: textOf('silt'),
    sheet,
  })

/** The entry with some of its questions answered in random ways. */
function answered(document: PageDocument): fc.Arbitrary<PageDocument> {
  const pieces = answersOf(document).map(({ piece }) => piece)
  const answers = pieces.map((piece) =>
    everyPiece('answer', piece.id)
      .filter((other) => isAnswerPiece(other) && other.given.kind === piece.given.kind)
      .map((other) => answering(piece, (other as AnswerPiece).given.answer)),
  )
  return fc.tuple(fc.subarray(pieces), ...answers).map(([chosen, ...given]) => {
    const operations = given
      .filter(({ id }) => chosen.some((piece) => piece.id === id))
      .map((piece) => ({ op: 'set-piece' as const, piece }))
    return applyOperations(document, operations) ?? document
  })
}

const entryAlong = versions.chain((sheet) => answered(entry(sheet)))

function answering(piece: AnswerPiece | undefined, answer: object): AnswerPiece {
  if (!piece) throw new Error('no such question')
  return { ...piece, given: { ...piece.given, answer } } as AnswerPiece
}

const saysOf = (document: PageDocument) =>
  placedPieces(document)
    .flatMap(({ piece }) =>
      isAnswerPiece(piece) && fieldOf(piece.given).isBlank(piece.given.answer as never) ? [] : [piece],
    )
    .map((piece) => (isAnswerPiece(piece) ? JSON.stringify(piece.given.answer) : JSON.stringify(piece)))
    .sort()

describe('an entry along a sheet', () => {
  it('asks its questions in their order, before what is told freely', () => {
    fc.assert(
      fc.property(versions, (sheet) => {
        const document = entry(sheet)
        expect(answersOf(document).map(({ piece }) => piece.given.question)).toEqual(sheet.content.questions)
        expect(document.sheet).toEqual({ id: sheet.id, n: sheet.n, title: sheet.content.title })
        expect(answersOf(document).every(({ isAsked }) => isAsked)).toBe(true)
        expect(document.rows.slice(-2).map(({ id }) => id)).toEqual(['words', 'evidence'])
      }),
    )
  })

  it('loses nothing that was answered when it goes along another one, or along none', () => {
    fc.assert(
      fc.property(entryAlong, fc.option(versions), (document, next) => {
        const changed = applyOperations(document, changeSheet(document, next))
        expect(changed && saysOf(changed)).toEqual(saysOf(document))
        if (!changed) return
        const asked = answersOf(changed).filter(({ isAsked }) => isAsked)
        expect(asked.map(({ piece }) => piece.given.question)).toEqual(next?.content.questions ?? [])
        // What is left of earlier sheets was answered.
        expect(
          answersOf(changed).every(({ isAsked, progress }) => isAsked || progress.state !== 'blank'),
        ).toBe(true)
      }),
    )
  })

  it('is as it was when the change is undone', () => {
    fc.assert(
      fc.property(entryAlong, fc.option(versions), (document, next) => {
        const operations = changeSheet(document, next)
        const back = invertOperations(document, operations)
        const changed = applyOperations(document, operations)
        expect(changed && back && applyOperations(changed, back)).toEqual({
          ...document,
          sheet: document.sheet ?? null,
        })
      }),
    )
  })

  it('is the same for two windows that take up one sheet, and keeps what one of them answered', () => {
    fc.assert(
      fc.property(entryAlong, versions, (document, next) => {
        const operations = changeSheet(document, next)
        const theirs = applyOperations(document, operations)
        if (!theirs) throw new Error('the change does not apply')
        const [first] = answersOf(theirs).filter(({ piece }) => piece.given.question.kind === 'short')
        const write = first
          ? [
              {
                op: 'set-piece' as const,
                piece: answering(first.piece, { text: 'theirs' }),
              },
            ]
          : []
        const rebased = rebaseEdit(document, [...operations, ...write], operations)
        const joined =
          rebased && applyOperations(applyOperations(theirs, write) ?? theirs, rebased.operations)
        expect(joined && answersOf(joined).map(({ piece }) => piece.given.question.id)).toEqual(
          answersOf(theirs).map(({ piece }) => piece.given.question.id),
        )
        if (first) expect(JSON.stringify([joined, rebased?.refused])).toContain('theirs')
      }),
    )
  })

  it('refuses to write over what another window answered to a question that both took up', () => {
    const [sheet] = shippedSheets
    if (!sheet) throw new Error('no sheet ships')
    const free = entry()
    const operations = changeSheet(free, sheet)
    const along = applyOperations(free, operations)
    const piece = along && answersOf(along)[0]?.piece
    if (!piece || piece.given.question.kind !== 'long') throw new Error('no question')
    const write = (words: string) => ({
      ...{ op: 'set-piece' as const, piece: answering(piece, { text: textOf(words) }) },
    })
    const rebased = rebaseEdit(free, [...operations, write('theirs')], [...operations, write('mine')])
    expect(rebased?.refused).toEqual([write('mine')])
  })
})

describe('how far an answer has come', () => {
  const question = { ...fieldOf({ kind: 'short' }).create('q'), words: { least: 3, most: 5 } }
  const stateOf = (text: string) => {
    const document = entry({
      ...{ id: 'x', n: 1, source: 'mine' },
      content: { title: {}, about: {}, questions: [question] },
    })
    const piece = answersOf(document)[0]?.piece
    if (!piece) throw new Error('no question')
    const operation = { op: 'set-piece' as const, piece: answering(piece, { text }) }
    const [after] = answersOf(applyOperations(document, [operation]) ?? document)
    return [after?.progress.state, after?.progress.count]
  }

  it('is counted in words against the least and the most', () => {
    expect(stateOf('  ')).toEqual(['blank', 0])
    expect(stateOf('mud and')).toEqual(['too-short', 2])
    expect(stateOf('mud and sand')).toEqual(['there', 3])
    expect(stateOf('mud and sand and silt again')).toEqual(['too-long', 6])
  })

  it('is counted in things where evidence is asked for', () => {
    const evidence = { ...fieldOf({ kind: 'evidence' }).create('e'), least: 2 }
    const sheet = {
      ...{ id: 'x', n: 1, source: 'mine' as const },
      content: { title: {}, about: {}, questions: [evidence] },
    }
    const document = entry(sheet)
    const rowId = document.rows[0]?.id ?? ''
    const put = (n: number) => ({
      op: 'insert-piece' as const,
      rowId,
      piece: newTextPiece(`t${n}`),
      after: null,
    })
    const after = (count: number) =>
      answersOf(
        applyOperations(
          document,
          Array.from({ length: count }, (_, n) => put(n)),
        ) ?? document,
      )[0]?.progress.state
    expect([after(0), after(1), after(2)]).toEqual(['blank', 'too-short', 'there'])
  })

  it('lacks the step of a scale where only the reason is given', () => {
    const scale = fieldOf({ kind: 'scale' }).create('s')
    const document = entry({
      ...{ id: 'x', n: 1, source: 'mine' },
      content: { title: {}, about: {}, questions: [scale] },
    })
    const piece = answersOf(document)[0]?.piece
    const operation = {
      ...{
        op: 'set-piece' as const,
        piece: answering(piece, { step: null, reason: 'wind' }),
      },
    }
    expect(answersOf(applyOperations(document, [operation]) ?? document)[0]?.progress.state).toBe('too-short')
  })
})

const contents: fc.Arbitrary<SheetContent> = questions.map((some) => ({
  ...{ title: { en: 'Sheet' }, about: {}, questions: some },
}))

describe('two windows on one sheet', () => {
  it('keep each question that one of them added or changed', () => {
    fc.assert(
      fc.property(contents, contents, contents, (base, mine, theirs) => {
        const merged = mergeSheets(base, mine, theirs).questions.map(({ id }) => id)
        const ids = ({ questions: some }: SheetContent) => some.map(({ id }) => id)
        const added = [...ids(mine), ...ids(theirs)].filter((id) => !ids(base).includes(id))
        expect(merged).toEqual(expect.arrayContaining(added))
        expect(new Set(merged).size).toBe(merged.length)
      }),
    )
  })

  it('take the side that changed where the other did not', () => {
    fc.assert(
      fc.property(contents, contents, (base, changed) => {
        expect(mergeSheets(base, changed, base)).toEqual(changed)
        expect(mergeSheets(base, base, changed)).toEqual(changed)
      }),
    )
  })

  it('leave a question that one removed and the other changed', () => {
    const asks = (words: string): Question => ({
      ...fieldOf({ kind: 'long' }).create('q'),
      asks: { en: words },
    })
    const sheet = (some: Question[]): SheetContent => ({ title: {}, about: {}, questions: some })
    expect(mergeSheets(sheet([asks('Why?')]), sheet([]), sheet([asks('Why so?')])).questions).toEqual([
      asks('Why so?'),
    ])
  })
})

describe('what a sheet lacks before it is published', () => {
  it('is a title, a question, and the words of each question', () => {
    expect(sheetFaults({ title: {}, about: {}, questions: [] }).map(({ what }) => what)).toEqual([
      'title',
      'questions',
    ])
    fc.assert(
      fc.property(kinds, (kind) => {
        const question = fieldOf({ kind }).create('q') as Question
        expect(sheetFaults({ title: { en: 'T' }, about: {}, questions: [question] })).toContainEqual({
          what: fieldOf(question).isReady ? 'attribute' : 'words',
          question: 1,
        })
      }),
    )
  })

  it('is labels of what one chooses from, and limits that can be met', () => {
    const asks = { en: 'Why?' }
    const lacks = (question: Question) =>
      sheetFaults({ title: { en: 'T' }, about: {}, questions: [question] })
    expect(lacks({ ...fieldOf({ kind: 'choice' }).create('q'), asks })).toEqual([
      { what: 'options', question: 1 },
    ])
    expect(lacks({ ...fieldOf({ kind: 'long' }).create('q'), asks, words: { least: 9, most: 8 } })).toEqual([
      { what: 'limits', question: 1 },
    ])
  })
})

describe('the sheets that ship', () => {
  it.each(shippedSheets)('lack nothing, in both languages: $content.title.en', ({ content }) => {
    expect(sheetFaults(content)).toEqual([])
    expect(Check(sheetContentSchema, content)).toBe(true)
    const texts = content.questions.flatMap(({ asks, hint }) => [
      asks,
      ...(Object.keys(hint).length > 0 ? [hint] : []),
    ])
    for (const text of [content.title, content.about, ...texts])
      expect([text.en, text.es].every((words) => words !== undefined && words.trim() !== '')).toBe(true)
  })

  it('have ids of their own', () => {
    expect(new Set(shippedSheets.map(({ id }) => id)).size).toBe(shippedSheets.length)
  })

  it('have questions of every kind among them, so that people see what there is', () => {
    const shown = new Set(shippedSheets.flatMap(({ content }) => content.questions.map(({ kind }) => kind)))
    // What a school alone has, such as its attributes, ships with nothing.
    const alone = sheetFieldKinds.filter((kind) => !fieldOf({ kind }).isReady)
    expect([...shown].sort()).toEqual([...alone].sort())
  })
})

it('every kind begins with a question that may be saved', () => {
  fc.assert(fc.property(kinds, (kind) => Check(questionSchema, fieldOf({ kind }).create('q'))))
  fc.assert(fc.property(valuesOf(questionSchema), (question) => Check(questionSchema, question)))
})
