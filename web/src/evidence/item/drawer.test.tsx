import { describe, expect, it } from '@jest/globals'
import type { Evidence } from '@valise/core/evidence'
import { accessQueries } from '../../access/index.ts'
import { thingQueries } from '../../things/index.ts'
import { picture, version } from '../../testing/evidenceSamples.ts'
import { inOneLine, renderHtml } from '../../testing/renderWords.tsx'
import { assignment, NOW } from '../../testing/samples.ts'
import { evidenceQueries, trayQueries } from '../base/index.ts'
import { EvidenceDrawer } from './EvidenceDrawer.tsx'
import { EvidenceUses } from './EvidenceUses.tsx'

const nothing = () => undefined

function open(change: Partial<Evidence>, language: 'en' | 'es' = 'en') {
  const item = { ...picture, ...change }
  const html = renderHtml(
    <EvidenceDrawer id={item.id} pointerAt={40} onClose={nothing} onBinned={nothing} />,
    {
      language,
      answers: [
        [evidenceQueries.one(item.id).queryKey, item],
        [evidenceQueries.tags().queryKey, []],
        [trayQueries.all().queryKey, []],
        [thingQueries.uses(item.id).queryKey, []],
        [accessQueries.seers(item.id).queryKey, { people: 2, links: 0 }],
      ],
    },
  )
  return { html, words: inOneLine(html) }
}

describe('the drawer of an item', () => {
  it('is named by it, and says what it knows', () => {
    const { html, words } = open({})
    expect(html).toContain('aria-label="Stake 2, visit 1"')
    expect(words).toMatch(/Picture\. .*26 Nov.*800 by 600\./)
    expect(words).toContain('Not used yet')
    expect(words).toContain('2 people')
    expect(words).toContain('Made by me')
    expect(words).toContain('stake-2.jpg')
    expect(html).toContain('href="/api/evidence/stake/versions/1/file"')
  })

  it('asks when it was made where no file says it', () => {
    expect(open({}).words).not.toContain('Added')
    const { words } = open({ madeAtKnown: false })
    expect(words).toContain('Added')
    expect(words).toContain('Add the date')
  })

  it('asks for rights that nobody declared, and credits those that were', () => {
    expect(open({ rights: { state: 'missing' } }).html).toContain('data-state="missing"')
    const { html, words } = open({
      rights: {
        ...{ state: 'licensed', maker: 'Ilse Marrow', licence: 'cc-by-4.0' },
        source: 'https://pictures.example/glasswort',
      },
    })
    expect(words).toContain('Ilse Marrow')
    expect(words).toContain('CC BY 4.0')
    expect(html).toContain('href="https://pictures.example/glasswort"')
  })

  it('shows where it was taken to its owner, and says that nobody else sees it', () => {
    const { words } = open({ version: { ...version, place: { latitude: 38.44444, longitude: -8.9 } } })
    expect(words).toContain('38.4444, -8.9000')
    expect(words).toContain('Only you see this')
  })

  it('leads to the assignment it was made for, and to what looks like it', () => {
    const { html } = open({
      assignment: { id: 'transect', title: assignment.title },
      ...{ classId: 'methods', className: 'Shore Methods', alike: 2 },
    })
    expect(html).toContain('href="/assignments/transect"')
    expect(html).toContain('href="/evidence?like=stake"')
    expect(open({}).html).not.toContain('like=stake')
  })

  it('offers to replace a file, and not what has none of its own', () => {
    expect(open({}).words).toContain('Replace the file')
    const drive = { documentId: 'log', isConnected: true, changedAt: NOW, checkedAt: NOW, lostAt: null }
    const link = {
      ...{ address: 'https://gazette.example/marsh', siteName: 'Gazette', description: '', frame: null },
      ...{ state: 'there' as const, checkedAt: NOW },
    }
    expect(open({ kind: 'link', link }).words).not.toContain('Replace the file')
    expect(open({ kind: 'note' }).words).not.toContain('Replace the file')
    const connected = open({ kind: 'file', drive }).words
    expect(connected).not.toContain('Replace the file')
    const lost = open({ kind: 'file', drive: { ...drive, lostAt: NOW } }).words
    expect(lost).not.toBe(connected)
  })

  it('keeps each version within reach, and gives only earlier ones back', () => {
    const versions = [{ ...version, n: 2, fileName: 'better.jpg' }, version]
    const { html } = open({ version: { ...version, n: 2 }, versions })
    expect(html).toContain('download="better.jpg"')
    expect(html).toContain('download="stake-2.jpg"')
    expect(inOneLine(html).match(/version 1 again/gi)).toHaveLength(1)
  })

  it('can only be taken out of the bin, once it is there', () => {
    const { words } = open({ binnedAt: NOW })
    expect(words).toContain('26 Dec')
    expect(words).not.toContain('Replace the file')
    expect(words).not.toContain('Pick it up')
  })

  it('speaks Spanish throughout', () => {
    const { words } = open({ rights: { state: 'missing' }, madeAtKnown: false }, 'es')
    expect(words).not.toMatch(/\b(Used in|Seen by|Made|Rights|File|Nowhere)\b/)
  })
})

describe('where an item is used', () => {
  it('leads to the pages and entries that show it, or says that nothing does', () => {
    const uses = (found: object[]) =>
      renderHtml(<EvidenceUses id="e1" />, { answers: [[thingQueries.uses('e1').queryKey, found]] })
    const html = uses([
      { kind: 'page', id: 'p1', title: 'The creek' },
      { kind: 'entry', id: 'n1', title: '' },
      { kind: 'submission', id: 's1', title: { en: 'Reading the tide', es: 'Leer la marea' } },
    ])
    expect(html).toContain('href="/pages/p1"')
    expect(html).toContain('href="/entries/n1"')
    expect(html).toContain('href="/submissions/s1"')
    expect(inOneLine(html)).toContain('Handed in for Reading the tide')
    expect(html).not.toMatch(/><\/a>/)
    expect(inOneLine(uses([]))).toMatch(/[A-Z]/)
  })
})
