// The difference between two texts: paragraphs first, then the words of those that changed, within a limit.
import { diffArrays, diffWordsWithSpace } from 'diff'

export interface WordChange {
  readonly how: 'same' | 'added' | 'removed'
  readonly words: string
}

/** Paragraphs that may come and go before all of a text counts as rewritten. */
const MOST_PARAGRAPH_EDITS = 600
/** Words that may come and go between two paragraphs before the one counts as taking the place of the other. */
const MOST_WORD_EDITS = 300
/** Words that are compared in all. What is beyond them is compared by paragraphs alone. */
const MOST_WORDS_COMPARED = 20_000

/**
 * Computes the word difference of two texts.
 *
 * The runs marked `same` or `removed` form the text before, those marked `same` or `added` the text after. The work
 * is bounded: it grows with the length of the texts, and with the number of edits only up to a limit, after which one
 * text replaces the other (E. Myers, An O(ND) Difference Algorithm, 1986, stopped at a D).
 */
export function differenceWords(before: string, after: string): WordChange[] {
  const [old, present] = [paragraphsOf(before), paragraphsOf(after)]
  const changes: WordChange[] = []
  let wordsLeft = MOST_WORDS_COMPARED
  let removed = ''
  let added = ''
  const flush = () => {
    const count = countSpaces(removed) + countSpaces(added)
    changes.push(...(count <= wordsLeft ? betweenParagraphs(removed, added) : replaced(removed, added)))
    wordsLeft = Math.max(0, wordsLeft - count)
    removed = ''
    added = ''
  }
  for (const run of diffArrays(old, present, { maxEditLength: MOST_PARAGRAPH_EDITS }) ??
    wholly(old, present)) {
    const words = run.value.join('')
    if (run.removed) removed += words
    else if (run.added) added += words
    else {
      flush()
      changes.push({ how: 'same', words })
    }
  }
  flush()
  return joined(changes)
}

function wholly(old: string[], present: string[]) {
  return [
    { value: old, removed: true, added: false },
    { value: present, removed: false, added: true },
  ]
}

/** Each with the line end that closes it, so that they put together are the text. */
function paragraphsOf(text: string): string[] {
  return text.match(/[^\n]*\n|[^\n]+$/g) ?? []
}

function countSpaces(text: string): number {
  let count = 0
  for (const character of text) if (character === ' ' || character === '\n') count += 1
  return count
}

function betweenParagraphs(removed: string, added: string): WordChange[] {
  if (removed === '' || added === '') return replaced(removed, added)
  const parts = diffWordsWithSpace(removed, added, { maxEditLength: MOST_WORD_EDITS })
  if (!parts) return replaced(removed, added)
  return parts.map(({ added: isAdded, removed: isRemoved, value }) => ({
    how: isAdded ? 'added' : isRemoved ? 'removed' : 'same',
    words: value,
  }))
}

function replaced(removed: string, added: string): WordChange[] {
  return [
    ...(removed === '' ? [] : [{ how: 'removed' as const, words: removed }]),
    ...(added === '' ? [] : [{ how: 'added' as const, words: added }]),
  ]
}

/** Parts of one kind that follow each other become one. */
function joined(changes: readonly WordChange[]): WordChange[] {
  const result: WordChange[] = []
  for (const change of changes) {
    const last = result.at(-1)
    if (last?.how === change.how) result[result.length - 1] = { ...last, words: last.words + change.words }
    else result.push(change)
  }
  return result
}
