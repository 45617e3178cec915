import fc from 'fast-check'
import { Check } from 'typebox/value'
import {
  definitionOf,
  fieldKinds,
  fieldOf,
  isAnswerPiece,
  newDocument,
  newTextPiece,
  nothingShown,
  renderPage,
  textOf,
} from '../index.ts'
import type { AnswerPiece, FieldKind, Given, PageDocument, Piece } from '../index.ts'
import { newAnswerPiece } from './answers.ts'
import { everyPiece } from '../testing/index.ts'
import { pieceSchemas } from '../pieces/pieceSchemas.ts'

const asks = { en: 'What did <you> see?', es: '¿Qué viste?' }

function asked(kind: FieldKind, answer?: object): AnswerPiece {
  const question = { ...fieldOf({ kind }).create('q'), asks }
  const piece = newAnswerPiece('a', question, null) as AnswerPiece
  return answer ? ({ ...piece, given: { ...piece.given, answer } } as AnswerPiece) : piece
}

function render(pieces: Piece[], lang: PageDocument['lang'] = 'en'): string {
  const document = newDocument('Low water', lang, [{ id: 'r', pieces }])
  return renderPage(document, { shown: nothingShown, lang, address: () => '' })
}

const option = { id: 'o', label: { en: 'The <sea>', es: 'El mar' } }
/** The kinds that are answered by what stands beside the question. */
type Beside = 'evidence' | 'entry' | 'logbook'
const answers: Readonly<Record<Exclude<FieldKind, Beside>, readonly [answer: object, html: string]>> = {
  short: [{ text: 'Bare <mud>' }, '<p>Bare &lt;mud&gt;</p>'],
  long: [{ text: textOf('Bare <mud>', 'and silt') }, '<p>Bare &lt;mud&gt;</p><p>and silt</p>'],
  steps: [{ steps: ['Dig', '', 'Sieve'] }, '<ol><li>Dig</li><li>Sieve</li></ol>'],
  choice: [{ chosen: [option] }, '<p>The &lt;sea&gt;</p>'],
  scale: [{ step: option, reason: 'It rained' }, '<p><strong>The &lt;sea&gt;</strong></p><p>It rained</p>'],
  rating: [
    { step: { ...option, place: 1, of: 3 }, reason: 'It rained' },
    '<p><strong>The &lt;sea&gt; (1/3)</strong></p><p>It rained</p>',
  ],
  page: [{ pages: [{ id: 'p', title: 'The <bank>' }] }, '<ul><li>The &lt;bank&gt;</li></ul>'],
  people: [{ names: ['Juno', ' ', '<Sefa>'] }, '<ul><li>Juno</li><li>&lt;Sefa&gt;</li></ul>'],
  date: [{ day: '2026-11-20' }, '<time datetime="2026-11-20">20 November 2026</time>'],
}
const written = Object.entries(answers) as [Exclude<FieldKind, Beside>, readonly [object, string]][]

describe.each(fieldKinds)('a question of the kind %s', (kind) => {
  it('begins blank, may be saved, and is not shown to readers before it is answered', () => {
    const piece = asked(kind)
    expect(Check(pieceSchemas.answer, piece)).toBe(true)
    expect(render([piece])).not.toContain('see?')
    expect(definitionOf<Piece>(piece).plainText(piece)).toBe('')
  })

  it('is shown with whatever stands beside it', () => {
    expect(render([asked(kind), newTextPiece('t', textOf('silt'))])).toContain('What did &lt;you&gt; see?')
  })

  it('has words where it has texts, in every answer that may be saved', () => {
    const given = everyPiece('answer', 'a').filter(
      (piece) => isAnswerPiece(piece) && piece.given.kind === kind,
    )
    fc.assert(
      fc.property(given, (piece) => {
        const { answer, question } = (piece as AnswerPiece).given as Given<FieldKind>
        const field = fieldOf<FieldKind>({ kind })
        if (field.isBlank(answer)) expect(field.written(answer).trim()).toBe('')
        expect(field.wordLimits(question) === null || field.amount(question) === null).toBe(true)
      }),
      { numRuns: 20 },
    )
  })
})

describe.each(written)('an answer of the kind %s', (kind, [answer, html]) => {
  it('is read under its question, which is its heading', () => {
    const page = render([asked(kind, answer)])
    expect(page).toContain('<h2>What did &lt;you&gt; see?</h2>')
    expect(page).toContain(html)
    expect(page).not.toMatch(/<(you|mud|sea)>/)
  })

  it('asks in the language of the page', () => {
    expect(render([asked(kind, answer)], 'es')).toContain('<h2>¿Qué viste?</h2>')
  })
})

it('a choice that the sheet offers no more stays readable', () => {
  const piece = asked('choice', { chosen: [option] })
  expect(JSON.stringify(piece.given.question)).not.toContain('sea')
  expect(render([piece])).toContain('The &lt;sea&gt;')
})

it('several choices are a list', () => {
  const other = { id: 'p', label: { en: 'The land' } }
  expect(render([asked('choice', { chosen: [option, other] })])).toContain('<ul><li>')
})
