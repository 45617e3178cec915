import { afterEach, describe, expect, it } from '@jest/globals'
import { QueryClient } from '@tanstack/react-query'
import type { Evidence, EvidenceRow } from '@valise/core/evidence'
import { isRichText, textOf } from '@valise/core/pages'
import { picture, rowOf } from '../testing/evidenceSamples.ts'
import { FakeServer } from '../testing/fakeServer.ts'
import { NOW } from '../testing/samples.ts'
import { standsAsWords, toPieces } from './wordsOfEvidence.ts'

let server: FakeServer | null = null
afterEach(() => server?.leave())

function withAnswers(items: readonly Evidence[], notes: Readonly<Record<string, string>> = {}): QueryClient {
  server = new FakeServer(
    Object.fromEntries([
      ...items.map((item) => [`GET /api/evidence/${item.id}`, () => item] as const),
      ...Object.entries(notes).map(
        ([id, text]) => [`GET /api/notes/${id}`, () => ({ text: textOf(text), revision: 1 })] as const,
      ),
    ]),
  )
  return new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } })
}

const linked = (description: string): Evidence => ({
  ...{ ...picture, id: 'gazette', kind: 'link', title: 'Marsh gains a bank' },
  link: {
    ...{ address: 'https://gazette.example/marsh', siteName: 'Gazette', description, frame: null },
    ...{ state: 'there', checkedAt: NOW },
  },
})

async function place(client: QueryClient, items: readonly EvidenceRow[]) {
  let n = 0
  const placed = await toPieces(client, items, { newId: () => `new-${(n += 1)}` })
  return placed.map(({ piece }) => piece)
}

describe('evidence that stands as its words', () => {
  it('are notes and links, and nothing else', () => {
    const kinds = ['picture', 'video', 'audio', 'data-table', 'file', 'link', 'note'] as const
    expect(kinds.filter((kind) => standsAsWords({ kind }))).toEqual(['link', 'note'])
  })

  it('is a link with its title that leads where it led, and what its site says of it', async () => {
    const item = linked('The second bank holds.')
    const [piece] = await place(withAnswers([item]), [rowOf(item)])
    expect(piece).toMatchObject({ kind: 'text' })
    const text = piece?.kind === 'text' ? piece.text : null
    expect(isRichText(text)).toBe(true)
    expect(JSON.stringify(text)).toContain('"href":"https://gazette.example/marsh"')
    expect(JSON.stringify(text)).toContain('Marsh gains a bank')
    expect(text?.content).toHaveLength(2)
    const [bare] = await place(withAnswers([linked('')]), [rowOf({ ...item, title: '' })])
    expect(JSON.stringify(bare)).toContain('"text":"https://gazette.example/marsh"')
    expect(bare?.kind === 'text' ? bare.text.content : []).toHaveLength(1)
  })

  it('comes in the order of the things, pictures among them', async () => {
    const item = linked('')
    const client = withAnswers([item], { diary: 'I counted 41 stems.' })
    const pieces = await place(client, [rowOf({ id: 'diary', kind: 'note' }), rowOf({}), rowOf(item)])
    expect(pieces.map(({ kind }) => kind)).toEqual(['text', 'picture', 'text'])
    expect(JSON.stringify(pieces[0])).toContain('I counted 41 stems.')
    expect(new Set(pieces.map(({ id }) => id)).size).toBe(3)
  })
})
