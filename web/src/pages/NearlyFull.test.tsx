import { LONGEST_DOCUMENT, newDocument, newTextPiece, textOf } from '@valise/core/pages'
import { renderWords } from '../testing/renderWords.tsx'
import { NearlyFull } from './NearlyFull.tsx'

describe('a page that fills up', () => {
  const saidAt = (share: number) => {
    const text = newTextPiece('a', textOf('x'.repeat(LONGEST_DOCUMENT * share)))
    return renderWords(<NearlyFull document={newDocument('', 'en', [{ id: 'r', pieces: [text] }])} />)
  }

  it('says so before it is full, and what to do', () => {
    expect(saidAt(0.8)).toBe('')
    expect(saidAt(0.95)).toBe('This page is 95% full. Use another page for the rest.')
  })
})
