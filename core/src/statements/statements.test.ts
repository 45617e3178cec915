// What is said of one item: free, along a sheet, along an assignment's questions, and nothing lost between them.
import { describe, expect, it } from '@jest/globals'
import {
  applyOperations,
  newTextPiece,
  renderPage,
  newDocument,
  newEntryPiece,
  newEvidencePiece,
  newLogbookPiece,
  nothingShown,
  textOf,
} from '../pages/index.ts'
import type { PageDocument } from '../pages/index.ts'
import { answersOf, textPieceOf } from '../reflections/index.ts'
import { shippedSheets } from '../sheets/index.ts'
import type { Asking } from '../sheets/index.ts'
import { isAlong, isWordsOnly, newStatementDocument, questionsAsked, takeQuestions, toldIn } from './index.ts'

const textId = '01890000-0000-7000-8000-0000000000aa'
const asked = questionsAsked([{ en: 'Why there?' }, { en: 'What next?', es: '¿Y ahora?' }], {
  en: 'Stake one',
})

function start(told = ''): PageDocument {
  return newStatementDocument({ lang: 'en', textId, told })
}

function along(document: PageDocument, questions: Asking | null): PageDocument {
  const changed = applyOperations(document, takeQuestions(document, questions))
  if (!changed) throw new Error('the questions do not fit')
  return changed
}

function answer(document: PageDocument, n: number, words: string): PageDocument {
  const piece = answersOf(document)[n]?.piece
  if (piece?.given.kind !== 'long') throw new Error('no such question')
  const given = { ...piece.given, answer: { text: textOf(words) } }
  const changed = applyOperations(document, [{ op: 'set-piece', piece: { ...piece, given } }])
  if (!changed) throw new Error('the answer does not fit')
  return changed
}

const askedIn = (document: PageDocument) =>
  answersOf(document).flatMap(({ piece, isAsked }) => (isAsked ? [piece.given.question.asks.en] : []))

describe('a statement', () => {
  it('begins with what was said before it was a document', () => {
    expect(toldIn(start('Two stems.\nMore mud.'))).toBe('Two stems.\nMore mud.')
    expect(toldIn(start())).toBe('')
  })

  it('goes along a sheet, without what asks for the evidence that it is about', () => {
    const made = shippedSheets.find(({ content }) => content.title.en === 'Looking at something I made')
    if (!made) throw new Error('no such sheet')
    const document = along(start('Free words'), made)
    expect(askedIn(document)).toEqual(made.content.questions.slice(1).map(({ asks }) => asks.en))
    expect(isAlong(document, made)).toBe(true)
    expect(isWordsOnly(document)).toBe(true)
  })

  it('tells what was answered and what was said freely, and not the questions', () => {
    const document = answer(along(start('Free words'), asked), 0, 'It floods last')
    expect(toldIn(document)).toBe('It floods last\nFree words')
  })

  it('loses nothing on the way to other questions and back', () => {
    const document = answer(along(start('Free words'), asked), 0, 'It floods last')
    const without = along(document, null)
    expect(toldIn(without)).toContain('It floods last')
    expect(askedIn(along(without, asked))).toEqual(['Why there?', 'What next?'])
    expect(toldIn(along(without, asked))).toBe(toldIn(document))
  })

  it('has one answer to the same question of two assignments, and none yet to one with other words', () => {
    const document = answer(along(start(), asked), 0, 'It floods last')
    const other = questionsAsked([{ en: 'Why there?' }, { en: 'Why then?' }], { en: 'Stake two' })
    expect(other.id).not.toBe(asked.id)
    const answered = answersOf(along(document, other)).filter(({ isAsked }) => isAsked)
    expect(answered.map(({ piece, progress }) => [piece.given.question.asks.en, progress.state])).toEqual([
      ['Why there?', 'there'],
      ['Why then?', 'blank'],
    ])
  })

  it('knows the questions of an assignment by their words', () => {
    const again = questionsAsked([{ en: 'Why there?' }, { en: 'What next?', es: '¿Y ahora?' }], {
      en: 'Renamed',
    })
    expect(again.id).toBe(asked.id)
    expect(again.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-8[0-9a-f]{3}-8[0-9a-f]{3}-[0-9a-f]{12}$/)
    expect(isAlong(along(start(), asked), again)).toBe(true)
  })

  it('shows no things', () => {
    const text = textPieceOf(start())
    expect(text?.id).toBe(textId)
    const picture = newEvidencePiece('p', { id: 'item', kind: 'picture' })
    for (const piece of [picture, newEntryPiece('p', 'entry'), newLogbookPiece('p', 'book')]) {
      const operation = { op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }
      const shown = applyOperations(start(), [operation])
      expect(shown && isWordsOnly(shown)).toBe(false)
    }
  })

  it('stands in a sealed copy with its questions as headings below the item, in its own language', () => {
    const said = answer(along(start('Free words'), asked), 0, 'It floods last')
    const page = newDocument('Page', 'es', [{ id: 'r', pieces: [newTextPiece('t', textOf('Hola'))] }])
    const statements = [{ id: 'i', title: 'Quadrat 7', text: toldIn(said), document: said }]
    const html = renderPage(page, { shown: nothingShown, lang: 'es', address: () => '', statements })
    expect(html).toContain('<h3>Quadrat 7</h3><div lang="en">')
    expect(html).toContain('<h4>Why there?</h4>')
    expect(html).not.toContain('What next?')
    expect(html).toContain('Free words')
  })
})
