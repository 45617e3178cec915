import { describe, expect, it } from '@jest/globals'
import type { Evidence } from '@valise/core/evidence'
import { accessQueries } from '../access/queries.ts'
import { arrivals, clearArrivals, noteArrival } from '../gather/arrivals.ts'
import { JustGathered } from '../gather/JustGathered.tsx'
import { thingQueries } from '../things/queries.ts'
import { picture, version } from '../testing/evidenceSamples.ts'
import { inOneLine, renderHtml } from '../testing/renderWords.tsx'
import { assignment, NOW } from '../testing/samples.ts'
import { EvidenceDrawer } from './EvidenceDrawer.tsx'
import { evidenceQueries } from './queries.ts'
import { trayQueries } from './trayQueries.ts'

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

describe('what has just come in', () => {
  const answersOf = (items: readonly Evidence[]) => ({
    answers: [
      ...items.map((item) => [evidenceQueries.one(item.id).queryKey, item] as const),
      [evidenceQueries.tags().queryKey, []] as const,
    ],
  })
  const render = (items: readonly Evidence[], openId: string | null = null) => {
    clearArrivals()
    for (const { id } of items) noteArrival(id)
    return renderHtml(<JustGathered openId={openId} />, answersOf(items))
  }
  const item = (id: string, change: Partial<Evidence> = {}) => ({ ...picture, id, title: '', ...change })

  it('asks one thing of each, and once what several share', () => {
    const words = inOneLine(render([item('a'), item('b', { rights: { state: 'missing' } })]))
    expect(words.match(/Show it/g)).toHaveLength(2)
    expect(words.match(/Who made this\?/g)).toHaveLength(1)
    expect(words).toContain('Tags for all 2')
    expect(arrivals.get()).toHaveLength(2)
  })

  it('says what is wrong with one, right where it came in', () => {
    const broken = { ...version, preview: 'none', previewProblem: 'picture-damaged' } as const
    const words = inOneLine(render([item('a', { version: broken }), item('b')]))
    expect(words.match(/This picture is damaged or incomplete\. The file is saved as it is\./g)).toHaveLength(
      1,
    )
  })

  it('asks nobody who made what came from their own camera', () => {
    const words = inOneLine(render([item('a')]))
    expect(words).toContain('Made by you.')
    expect(words).not.toContain('Who made')
  })

  it('names nothing twice: not what is open, nor what went into the bin', () => {
    expect(render([item('a')], 'a')).toBe('')
    expect(render([item('a', { binnedAt: NOW })])).toBe('')
    expect(inOneLine(render([item('a'), item('b')], 'a')).match(/Show it/g)).toHaveLength(1)
  })
})
