import canonicalize from 'canonicalize'
import fc from 'fast-check'
import { countStatementWords } from '../assignments/index.ts'
import type { CheckedRequirement, GoingPart, Requirement } from '../assignments/index.ts'
import { newDocument, newEvidencePiece, newTextPiece, textOf } from '../pages/index.ts'
import type { Piece, Shown, ShownEvidence } from '../pages/index.ts'
import {
  computeNextSteps,
  computeReadiness,
  decideHandIn,
  decideOutcome,
  decideTakeBack,
  decideUndoOutcome,
  gapsOf,
  receiptPrefixOf,
  stateAfter,
  submissionActs,
  submissionStates,
  toCanonicalJson,
  toManifest,
  toReceiptNumber,
  toReceiptText,
} from './index.ts'
import type { JsonValue } from './index.ts'

const item = (id: string, change: Partial<ShownEvidence> = {}): ShownEvidence => ({
  ...{ id, n: 1, kind: 'picture', title: `Item ${id}`, fileName: `${id}.jpg`, mime: 'image/jpeg' },
  ...{ bytes: 9, width: 4, height: 3, hasPicture: true, credit: null, rightsDeclared: true },
  ...change,
})

const pageOf = (title: string, pieces: Piece[], evidence: Shown['evidence'] = {}): GoingPart => ({
  kind: 'page',
  title,
  document: newDocument(title, 'en', [{ id: 'row', pieces }]),
  shown: { evidence, entries: {} },
})

const pictureOn = (pieceId: string, id: string) => newEvidencePiece(pieceId, { id, kind: 'picture' })

describe('readiness', () => {
  const page: Requirement = {
    ...{ id: 'page', kind: 'page', weight: 'must' },
    pieces: [
      { sort: 'picture', atLeast: 1 },
      { sort: 'data-table', atLeast: 1 },
    ],
  }
  const statement: Requirement = {
    ...{ id: 'words', kind: 'statement', weight: 'should', words: 4, questions: [] },
  }
  const rights: Requirement = { id: 'rights', kind: 'rights', weight: 'must' }
  const none = new Map<string, string>()

  it('misses everything where nothing goes in', () => {
    const lines = computeReadiness([page, statement, rights], { parts: [], statements: none })
    expect(lines.map(({ result }) => result.isThere)).toEqual([false, false, false])
    expect(lines[0]?.result).toMatchObject({ page: null, pieces: [{ there: 0 }, { there: 0 }] })
  })

  it('wants the pieces on one and the same page, and names the one that comes nearest', () => {
    const pictures = pageOf('Pictures', [pictureOn('a', '1')], { a: item('1') })
    const table = item('2', { kind: 'data-table' })
    const tables = pageOf('Tables', [newEvidencePiece('b', { id: '2', kind: 'data-table' })], { b: table })
    const apart = computeReadiness([page], { parts: [pictures, tables], statements: none })
    expect(apart[0]?.result).toMatchObject({ isThere: false, page: 'Pictures' })
    const both = pageOf(
      'Both',
      [pictureOn('a', '1'), newEvidencePiece('b', { id: '2', kind: 'data-table' })],
      { a: item('1'), b: table },
    )
    const met = computeReadiness([page], { parts: [pictures, both], statements: none })
    expect(met[0]?.result).toMatchObject({
      isThere: true,
      page: 'Both',
      pieces: [{ there: 1 }, { there: 1 }],
    })
  })

  it('counts no empty words, no picture that is gone, and no part that is no page', () => {
    const words: Requirement = { ...page, pieces: [{ sort: 'text', atLeast: 1 }] }
    const empty = pageOf('Empty', [newTextPiece('t', textOf('')), pictureOn('a', 'gone')])
    const gone: Requirement = { ...page, pieces: [{ sort: 'picture', atLeast: 1 }] }
    expect(computeReadiness([words, gone], { parts: [empty], statements: none })).toMatchObject([
      { result: { isThere: false } },
      { result: { isThere: false } },
    ])
    const entry: GoingPart = { ...pageOf('Entry', [newTextPiece('t', textOf('silt'))]), kind: 'entry' }
    expect(computeReadiness([words], { parts: [entry], statements: none })[0]?.result.isThere).toBe(false)
  })

  it('wants the words on one item', () => {
    const parts = [pageOf('P', [pictureOn('a', '1'), pictureOn('b', '2')], { a: item('1'), b: item('2') })]
    const split = new Map([
      ['1', 'three words here'],
      ['2', 'and three more'],
    ])
    expect(computeReadiness([statement], { parts, statements: split })[0]?.result).toMatchObject({
      isThere: false,
      words: 3,
      item: { id: '1', title: 'Item 1' },
    })
    const enough = new Map([['2', 'now there are\nfour']])
    expect(computeReadiness([statement], { parts, statements: enough })[0]?.result).toMatchObject({
      isThere: true,
      words: 4,
    })
    // Words about what does not go in count for nothing.
    expect(computeReadiness([statement], { parts: [], statements: enough })[0]?.result.isThere).toBe(false)
  })

  it('names every item whose rights are missing, each once', () => {
    const shown = {
      a: item('1', { rightsDeclared: false }),
      b: item('1', { rightsDeclared: false }),
      c: item('2'),
    }
    const parts = [pageOf('P', [pictureOn('a', '1'), pictureOn('b', '1'), pictureOn('c', '2')], shown)]
    expect(computeReadiness([rights], { parts, statements: none })[0]?.result).toMatchObject({
      isThere: false,
      items: 2,
      undeclared: [{ id: '1', title: 'Item 1' }],
    })
  })

  it('never loses what is there when a part is added', () => {
    const piece = fc.constantFrom('picture' as const, 'data-table' as const, 'video' as const)
    const parts = fc.array(
      fc.array(piece, { maxLength: 4 }).map((kinds) => {
        const shown = Object.fromEntries(kinds.map((kind, n) => [`p${n}`, item(`${n}`, { kind })]))
        return pageOf(
          'P',
          kinds.map((kind, n) => newEvidencePiece(`p${n}`, { id: `${n}`, kind })),
          shown,
        )
      }),
      { maxLength: 4 },
    )
    fc.assert(
      fc.property(parts, parts, (some, more) => {
        const isMet = (chosen: GoingPart[]) =>
          computeReadiness([page], { parts: chosen, statements: none })[0]?.result.isThere
        return !isMet(some) || isMet([...some, ...more]) === true
      }),
    )
  })

  it('puts what is required before what is recommended', () => {
    const lines = computeReadiness([statement, rights], { parts: [], statements: none })
    expect(gapsOf(lines).map(({ requirement }) => requirement.id)).toEqual(['rights', 'words'])
  })

  it('counts words as readers do', () => {
    expect(countStatementWords('')).toBe(0)
    expect(countStatementWords('The creek’s bend —\n\n3 stakes')).toBe(5)
  })
})

describe('the states of a submission', () => {
  const at = '2026-11-26T10:42:00.000Z'
  const facts = { state: 'with-assessor', openedAt: at, decidedAt: null, decidedBy: null } as const
  const open = { endedAt: null, allowsGaps: true }
  const ready = { parts: 1, missingMusts: 0 }

  it('know for each act where it leads, and end where nothing leads on', () => {
    const ends = submissionStates.filter((state) =>
      submissionActs.every((act) => stateAfter(state, act) === null),
    )
    expect(ends).toEqual(['not-sealed', 'taken-back', 'replaced'])
    for (const state of submissionStates)
      for (const act of submissionActs) expect(stateAfter(state, act)).not.toBe(state)
  })

  it('undo leads back to where the answer came from', () => {
    for (const act of ['accept', 'ask-for-changes'] as const) {
      const answered = stateAfter('with-assessor', act)
      expect(answered && stateAfter(answered, 'undo')).toBe('with-assessor')
    }
  })

  it('open the door for handing in again only where nobody has it', () => {
    const reasonAfter = (state: (typeof submissionStates)[number]) => {
      const decision = decideHandIn({ state }, open, ready)
      return decision.allowed ? null : decision.reason
    }
    expect(submissionStates.map((state) => [state, reasonAfter(state)])).toEqual([
      ['sealing', 'still-sealing'],
      ['not-sealed', null],
      ['with-assessor', 'with-assessor'],
      ['changes-asked', null],
      ['accepted', 'already-accepted'],
      ['taken-back', null],
      ['replaced', null],
    ])
  })

  it('let gaps pass unless the assignment forbids them', () => {
    const gaps = { parts: 1, missingMusts: 2 }
    expect(decideHandIn(null, open, gaps).allowed).toBe(true)
    expect(decideHandIn(null, { ...open, allowsGaps: false }, gaps)).toMatchObject({
      reason: 'gaps-forbidden',
      params: { count: 2 },
    })
    expect(decideHandIn(null, open, { parts: 0, missingMusts: 0 })).toMatchObject({
      reason: 'nothing-goes-in',
    })
    expect(decideHandIn(null, { ...open, endedAt: at }, ready)).toMatchObject({ reason: 'assignment-ended' })
  })

  it('can be taken back until opened, and answered once opened', () => {
    expect(decideTakeBack({ ...facts, openedAt: null }).allowed).toBe(true)
    expect(decideTakeBack(facts)).toMatchObject({ reason: 'opened-already' })
    expect(decideTakeBack({ ...facts, state: 'accepted' })).toMatchObject({ reason: 'not-to-take-back' })
    expect(decideOutcome(facts, 'accept').allowed).toBe(true)
    expect(decideOutcome({ ...facts, openedAt: null }, 'accept')).toMatchObject({ reason: 'open-it-first' })
    expect(decideOutcome({ ...facts, state: 'accepted' }, 'accept')).toMatchObject({
      reason: 'already-answered',
    })
  })

  it('let an answer be undone by its giver, for a minute', () => {
    const accepted = { ...facts, state: 'accepted', decidedAt: at, decidedBy: 'odalys' } as const
    expect(decideUndoOutcome(accepted, 'odalys', '2026-11-26T10:43:00.000Z').allowed).toBe(true)
    expect(decideUndoOutcome(accepted, 'odalys', '2026-11-26T10:43:00.001Z')).toMatchObject({
      reason: 'too-late-to-undo',
    })
    expect(decideUndoOutcome(accepted, 'rufus', at)).toMatchObject({ reason: 'nothing-to-undo' })
  })
})

describe('next steps', () => {
  const line = (id: string, isThere: boolean): CheckedRequirement => ({
    requirement: { id, kind: 'rights', weight: 'must' },
    result: { isThere, items: 0, undeclared: [] },
  })
  const now = '2026-11-26T10:42:00.000Z'
  const assignment = (id: string, dueAt: string | null) => ({
    ...{
      id,
      guideId: null,
      title: { en: id },
      dueAt,
      readiness: [line('a', true), line('b', false)],
      latest: null,
      askedBy: null,
    },
  })

  it('come in the order in which they are due, each with its gaps', () => {
    const steps = computeNextSteps(
      [
        assignment('never', null),
        assignment('late', '2026-11-25T17:00:00.000Z'),
        assignment('soon', '2026-11-27T17:00:00.000Z'),
      ],
      now,
    )
    expect(steps.map(({ assignmentId, isOverdue }) => [assignmentId, isOverdue])).toEqual([
      ['late', true],
      ['soon', false],
      ['never', false],
    ])
    expect(steps[0]).toMatchObject({ kind: 'hand-in', there: 1, of: 2, gaps: [{ requirement: { id: 'b' } }] })
  })

  it('ask for nothing while somebody else has it, and for changes when they were asked for', () => {
    const row = {
      ...{ id: 's', assignmentId: 'x', title: {}, className: '', classCode: '', ownerName: '', n: 1 },
      ...{
        number: null,
        requestedAt: now,
        lateMinutes: 0,
        byItself: false,
        cameAt: null,
        gaps: 0,
        parts: 1,
        sealedAt: null,
      },
      ...{ openedAt: null, decidedAt: null, level: null },
    }
    const kindAfter = (state: (typeof submissionStates)[number]) =>
      computeNextSteps([{ ...assignment('x', null), latest: { ...row, state } }], now)[0]?.kind ?? null
    expect(submissionStates.map((state) => kindAfter(state))).toEqual([
      ...[null, 'hand-in', null, 'change', null, 'hand-in', null],
    ])
  })
})

describe('canonical JSON', () => {
  it('writes the example of RFC 8785, section 3.2.3', () => {
    const value = {
      numbers: [333333333.33333329, 1e30, 4.5, 2e-3, 0.000000000000000000000000001],
      string: '\u20ac$\u000F\u000aA\'\u0042\u0022\u005c\\"/',
      literals: [null, true, false],
    }
    expect(toCanonicalJson(value)).toBe(
      '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],"string":"€$\\u000f\\nA\'B\\"\\\\\\\\\\"/"}',
    )
  })

  it('orders keys by their UTF-16 units', () => {
    const keys = { '\u20ac': 1, '\r': 2, '\ufb33': 3, '1': 4, '\u{1f600}': 5, '\u0080': 6, '\u00f6': 7 }
    expect([...Object.values(JSON.parse(toCanonicalJson(keys)) as object)]).toEqual([4, 2, 6, 7, 1, 5, 3])
  })

  it('says the same whatever the order of keys, and is read back as it was', () => {
    fc.assert(
      fc.property(fc.jsonValue({ noUnicodeString: false }), (value) => {
        const json = JSON.parse(JSON.stringify(value)) as JsonValue
        const text = toCanonicalJson(json)
        expect(JSON.parse(text)).toEqual(json)
        expect(toCanonicalJson(JSON.parse(text) as JsonValue)).toBe(text)
      }),
    )
  })

  it('is what another implementation of the standard writes', () => {
    fc.assert(
      fc.property(fc.jsonValue({ noUnicodeString: false }), (value) => {
        // Lone surrogates are refused here, and have no bytes in UTF-8 there.
        fc.pre(JSON.stringify(value).isWellFormed() && !/\\ud[89a-f]/.test(JSON.stringify(value)))
        expect(toCanonicalJson(JSON.parse(JSON.stringify(value)) as JsonValue)).toBe(canonicalize(value))
      }),
    )
  })

  it('refuses what JSON and UTF-8 cannot say', () => {
    expect(() => toCanonicalJson(Number.NaN)).toThrow(RangeError)
    expect(() => toCanonicalJson(['\ud800'])).toThrow(RangeError)
  })
})

describe('sealed copies', () => {
  const file = (path: string) => ({ path, bytes: 3, sha256: 'ab'.repeat(32) })

  it('have one manifest whatever order their files came in', () => {
    const [a, b] = [file('paper.css'), file('parts/1/index.html')]
    expect(toManifest([a, b])).toBe(toManifest([b, a]))
    expect(JSON.parse(toManifest([a])).files).toEqual([a])
  })

  it('have receipts that say what was handed in, and nothing of the content', () => {
    const text = toReceiptText({
      ...{ number: 'MB-0412', school: 'Marram Bay', n: 1, requestedAt: 'r', sealedAt: 's', dueAt: null },
      from: { shownName: 'Wren', fullName: 'Wren Adeyemi-Holt' },
      to: { className: 'Shore Methods', classCode: 'FLD-204', assignment: { en: 'Transect portfolio' } },
      ...{ lateMinutes: 0, gaps: [], terms: [], files: 2, bytes: 6, manifestSha256: 'cd' },
      parts: [{ kind: 'page', title: 'Transect 3', copy: 'published' }],
    })
    expect(JSON.parse(text)).toMatchObject({ schema: 1, number: 'MB-0412', manifestSha256: 'cd' })
    expect(toCanonicalJson(JSON.parse(text) as JsonValue)).toBe(text)
  })

  it('are numbered with the letters of their school', () => {
    expect(toReceiptNumber(receiptPrefixOf('Marram Bay Field College'), 412)).toBe('MB-0412')
    expect(receiptPrefixOf('école 3')).toBe('É')
    expect(receiptPrefixOf('42')).toBe('V')
  })
})
