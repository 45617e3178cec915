// Entries that are told in a recording: where it stands, and what readers see and hear of it.
import { describe, expect, it } from '@jest/globals'
import { applyOperations, newRecordingPiece, rebaseEdit, renderPage } from '../pages/index.ts'
import type { PageDocument, Shown } from '../pages/index.ts'
import { newEntryDocument, outlineOf, speakInto, spokenIn } from './index.ts'

const empty = newEntryDocument({ title: 'Curlew', lang: 'en', textId: 'body' })
const moments = [
  { atMs: 800, words: 'The <call>' },
  { atMs: 61_000, words: '' },
]
const recording = (id: string) => newRecordingPiece(id, { id: `item-${id}` }, moments)

function speak(document: PageDocument, id: string): PageDocument {
  const spoken = applyOperations(document, speakInto(document, recording(id)))
  if (!spoken) throw new Error('the recording does not fit')
  return spoken
}

describe('a spoken entry', () => {
  it('begins with its recordings, in the order in which they were made', () => {
    const twice = speak(speak(empty, 'a'), 'b')
    expect(spokenIn(empty)).toEqual([])
    expect(spokenIn(twice).map(({ id }) => id)).toEqual(['a', 'b'])
  })

  it('has no words to count, and its evidence is the recording', () => {
    expect(outlineOf(speak(empty, 'a'))).toMatchObject({ words: 0, evidence: 1 })
  })

  it('keeps what two windows record at once', () => {
    const mine = speakInto(empty, recording('a'))
    const theirs = speakInto(empty, recording('b'))
    const rebased = rebaseEdit(empty, mine, theirs)
    const both = applyOperations(speak(empty, 'a'), rebased?.operations ?? [])
    expect(rebased?.refused).toEqual([])
    expect(
      both &&
        spokenIn(both)
          .map(({ id }) => id)
          .sort(),
    ).toEqual(['a', 'b'])
  })

  it('is heard by readers, with its named moments and what is said', () => {
    const item = {
      ...{
        id: 'item-a',
        n: 1,
        kind: 'audio' as const,
        title: 'Curlew',
        fileName: 'c.wav',
        mime: 'audio/wav',
      },
      ...{ bytes: 10, width: null, height: null, hasPicture: false, rightsDeclared: true, credit: null },
      transcript: 'Far off.',
    }
    const shown = { evidence: { a: item }, entries: {} } as unknown as Shown
    const html = renderPage(speak(empty, 'a'), { shown, lang: 'en', address: () => '/sound' })
    expect(html).toContain('<audio src="/sound"')
    expect(html).toContain('<li><time>0:00</time> The &lt;call&gt;</li>')
    expect(html).not.toContain('1:01')
    expect(html).toContain('Far off.')
  })
})
