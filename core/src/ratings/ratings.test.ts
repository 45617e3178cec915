import fc from 'fast-check'
import { ratingQuestion } from '../attributes/index.ts'
import { anySet } from '../attributes/testing/index.ts'
import { applyOperations, newEvidencePiece } from '../pages/index.ts'
import type { AnswerPiece, ChosenStep, PageDocument } from '../pages/index.ts'
import { addQuestions, answersOf, changeSheet, newEntryDocument, outlineOf } from '../reflections/index.ts'
import { shippedSheets } from '../sheets/index.ts'
import { changeOf, greatestChange, growthOf, ratingsIn, reviseRatings, scaleOf } from './index.ts'
import type { Rating, RatingInDocument, StoredRating } from './index.ts'

const SET = '0193aaaa-0000-7000-8000-000000000001'
const steps = ['Not yet', 'With help', 'On my own', 'Leading'].map((en, n) => ({
  ...{ id: `s${n + 1}`, label: { en } },
}))
const content = {
  ...{ title: { en: 'Field Attributes' }, about: {}, steps },
  attributes: [
    { id: 'notice', name: { en: 'Noticing' }, meaning: {}, looks: {} },
    { id: 'ask', name: { en: 'Asking before acting' }, meaning: {}, looks: {} },
  ],
}
const question = (id: string) => {
  const asked = ratingQuestion({ id: SET, n: 1, content }, id)
  if (!asked) throw new Error('no such attribute')
  return asked
}
const chosen = (place: number, of = 4): ChosenStep => ({
  ...{ id: `s${place}`, label: steps[place - 1]?.label ?? {}, place, of },
})

const entry = newEntryDocument({
  ...{ title: 'Low water', lang: 'en', textId: '0193-aaaabbbbcccc' },
  questions: [question('notice'), question('ask')],
})

function rate(document: PageDocument, n: number, answer: { step: ChosenStep | null; reason: string }) {
  const piece = answersOf(document)[n]?.piece
  if (!piece) throw new Error('no question')
  const rated = { ...piece, given: { ...piece.given, answer } } as AnswerPiece
  return applyOperations(document, [{ op: 'set-piece', piece: rated }]) ?? document
}

describe('an entry in which somebody rates themselves', () => {
  it('asks about each attribute once, and both windows that add one do the same', () => {
    expect(addQuestions(entry, [question('notice')])).toEqual([])
    const one = newEntryDocument({ title: '', lang: 'en', textId: '0193-aaaabbbbcccc' })
    const operations = addQuestions(one, [question('ask')])
    expect(addQuestions(one, [question('ask')])).toEqual(operations)
    const ids = answersOf(applyOperations(one, operations) ?? one).map(
      ({ piece }) => piece.given.question.asks.en,
    )
    expect(ids).toEqual(['Asking before acting'])
  })

  it('keeps its ratings whatever sheet it goes along, rated or not, and counts them as no question of the sheet', () => {
    const [sheet] = shippedSheets
    if (!sheet) throw new Error('no sheet ships')
    const along = applyOperations(entry, changeSheet(entry, sheet))
    const free = along && applyOperations(along, changeSheet(along, null))
    for (const document of [along, free]) {
      const ratings = document && answersOf(document).filter(({ piece }) => piece.given.kind === 'rating')
      expect(ratings?.map(({ isAsked }) => isAsked)).toEqual([true, true])
    }
    expect(along && outlineOf(along).asked).toBe(sheet.content.questions.length)
    expect(free && outlineOf(free).asked).toBe(0)
  })

  it('has a rating where a step is chosen, with its reason and the evidence beside it', () => {
    const evidence = newEvidencePiece('photo', { id: 'e1', kind: 'picture' })
    const rowId = entry.rows[0]?.id ?? ''
    const beside =
      applyOperations(entry, [{ op: 'insert-piece', rowId, piece: evidence, after: null }]) ?? entry
    expect(ratingsIn(beside)).toEqual([])
    expect(ratingsIn(rate(beside, 0, { step: null, reason: 'not yet chosen' }))).toEqual([])
    expect(ratingsIn(rate(beside, 0, { step: chosen(2), reason: 'I saw the plover' }))).toMatchObject([
      {
        ...{ name: { en: 'Noticing' }, step: { place: 2, of: 4 }, reason: 'I saw the plover' },
        ...{ attribute: { setId: SET, n: 1, id: 'notice' }, evidenceIds: ['e1'] },
      },
    ])
  })
})

/** What a store does with what `reviseRatings` says. */
function revise(
  stored: readonly StoredRating[],
  found: readonly RatingInDocument[],
  today: string,
): StoredRating[] {
  const { added, changed, gone, back } = reviseRatings(stored, found, { day: '2026-03-01', today })
  const kept = stored.map((one) => ({
    ...one,
    ...changed.find(({ id }) => id === one.id),
    isGone: (one.isGone || gone.includes(one.pieceId)) && !back.includes(one.pieceId),
  }))
  return [...kept, ...added.map((one) => ({ ...one, id: `${one.pieceId}-${one.n}`, isGone: false }))]
}

const found = (pieceId: string, place: number, reason = 'because'): RatingInDocument => ({
  ...{ pieceId, reason, step: chosen(place), name: { en: 'Noticing' }, evidenceIds: [] },
  attribute: { setId: SET, n: 1, setTitle: {}, id: 'notice' },
})

describe('a rating that is changed', () => {
  it('was a slip on the day of the change, and is another rating on a later day', () => {
    const first = revise([], [found('p', 1)], '2026-03-02')
    const slip = revise(first, [found('p', 2)], '2026-03-02')
    expect(slip).toMatchObject([{ n: 1, day: '2026-03-01', step: { place: 2 } }])
    const later = revise(slip, [found('p', 3)], '2026-05-10')
    expect(later).toMatchObject([
      { n: 1, day: '2026-03-01', step: { place: 2 } },
      { n: 2, day: '2026-05-10', step: { place: 3 } },
    ])
  })

  it('is hidden while its document does not show it, and comes back as it was', () => {
    const first = revise([], [found('p', 1)], '2026-03-02')
    const without = revise(first, [], '2026-03-02')
    expect(without).toMatchObject([{ isGone: true }])
    expect(revise(without, [found('p', 1)], '2026-04-01')).toEqual(first)
  })

  it('is never written over after its day, whatever is written when', () => {
    const days = fc
      .uniqueArray(fc.integer({ min: 10, max: 28 }), { minLength: 1, maxLength: 6 })
      .map((some) => [...some].sort().map((day) => `2026-03-${day}`))
    const pieces = fc
      .subarray(['p', 'q'])
      .chain((ids) =>
        fc.tuple(...ids.map((id) => fc.integer({ min: 1, max: 4 }).map((place) => found(id, place)))),
      )
    const writings = days.chain((some) => fc.tuple(fc.constant(some), fc.infiniteStream(pieces), fc.nat(3)))
    fc.assert(
      fc.property(writings, ([some, stream, more]) => {
        let stored: StoredRating[] = []
        for (const today of some) {
          const yesterday = stored
          for (let n = 0; n <= more; n++) stored = revise(stored, stream.next().value ?? [], today)
          for (const { id, step, reason, day } of yesterday)
            expect(stored.find((one) => one.id === id)).toMatchObject({ step, reason, day })
          expect(stored.every(({ day }) => day === '2026-03-01' || some.includes(day))).toBe(true)
        }
      }),
    )
  })
})

describe('growth', () => {
  const rating = (
    day: string,
    attributeId: string,
    step: ChosenStep,
    more: Partial<Rating> = {},
  ): Rating => ({
    ...{
      id: `${day}-${attributeId}`,
      thingId: 't',
      thingKind: 'entry',
      thingTitle: '',
      n: 1,
      day,
      attributeId,
    },
    ...{ pieceId: `${day}-${attributeId}`, name: { en: attributeId }, step, reason: day, evidenceIds: [] },
    ...more,
  })

  it('is a line for each attribute in the order of the set, then those that the set has no more', () => {
    const ratings = [
      rating('2026-05-01', 'ask', chosen(2)),
      rating('2026-03-01', 'notice', chosen(1)),
      rating('2026-04-01', 'dropped', chosen(3)),
      rating('2026-06-01', 'notice', chosen(3)),
    ]
    const lines = growthOf(ratings, content)
    expect(lines.map(({ name, points }) => [name.en, points.map(({ place }) => place)])).toEqual([
      ['Noticing', [1, 3]],
      ['Asking before acting', [2]],
      ['dropped', [3]],
    ])
    expect(greatestChange(lines)).toMatchObject({
      line: { attributeId: 'notice' },
      steps: 2,
      since: '2026-03-01',
    })
    expect(lines.map((line) => changeOf(line)?.steps ?? null)).toEqual([2, null, null])
  })

  it('stands once for a rating whose words alone were changed, with the words of now', () => {
    const ratings = [
      rating('2026-03-01', 'notice', chosen(1), { pieceId: 'p', n: 1 }),
      rating('2026-04-01', 'notice', chosen(1), { pieceId: 'p', n: 2 }),
      rating('2026-05-01', 'notice', chosen(2), { pieceId: 'p', n: 3 }),
    ]
    const points = growthOf(ratings, content)[0]?.points.map((point) => point.rating)
    expect(points).toMatchObject([
      { day: '2026-03-01', reason: '2026-04-01' },
      { day: '2026-05-01', reason: '2026-05-01' },
    ])
  })

  it('puts a step of an earlier scale as far up as it was then', () => {
    const fifth = { id: 'former', label: { en: 'In between' }, place: 3, of: 5 }
    const [line] = growthOf([rating('2026-03-01', 'notice', fifth)], content)
    expect(line?.points[0]).toMatchObject({ place: 2.5, isFormer: true })
    // It is former also where it lies on a step of today.
    const [lowest] = growthOf([rating('2026-03-01', 'notice', { ...fifth, place: 1 })], content)
    expect(lowest?.points[0]).toMatchObject({ place: 1, isFormer: true })
    const [alone] = growthOf([rating('2026-03-01', 'notice', { ...fifth, place: 1, of: 1 })], null)
    expect(alone?.points[0]?.place).toBe(1)
  })

  it('names its steps by the set, and without it by the ratings, as far as they tell', () => {
    const some = [rating('2026-03-01', 'notice', chosen(2)), rating('2026-05-01', 'notice', chosen(4))]
    expect(scaleOf(some, content).map(({ en }) => en)).toEqual([
      'Not yet',
      'With help',
      'On my own',
      'Leading',
    ])
    expect(scaleOf(some, null).map(({ en }) => en)).toEqual([undefined, 'With help', undefined, 'Leading'])
    expect(growthOf(some, null)[0]?.points.map(({ place, isFormer }) => [place, isFormer])).toEqual([
      [2, false],
      [4, false],
    ])
  })

  it('stays on the scale, and loses no attribute, whatever became of the set', () => {
    const ratings = fc.array(
      fc
        .tuple(
          fc.constantFrom('a0', 'a1', 'a2'),
          fc.integer({ min: 1, max: 7 }),
          fc.integer({ min: 10, max: 28 }),
        )
        .map(([id, of, day]) =>
          rating(`2026-03-${day}`, id, { id: `s${of % 3}`, label: {}, place: of, of: 7 }),
        ),
    )
    const published = anySet.filter(({ steps: named }) => named.length > 0)
    fc.assert(
      fc.property(ratings, fc.option(published), (some, set) => {
        const lines = growthOf(some, set)
        expect(new Set(lines.map(({ attributeId }) => attributeId))).toEqual(
          new Set(some.map(({ attributeId }) => attributeId)),
        )
        const most = Math.max(set?.steps.length ?? 7, 1)
        for (const { place } of lines.flatMap(({ points }) => points)) {
          expect(place).toBeGreaterThanOrEqual(1)
          expect(place).toBeLessThanOrEqual(most)
        }
      }),
    )
  })
})
