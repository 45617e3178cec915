import fc from 'fast-check'
import {
  cleanTags,
  creditLine,
  decideNewVersion,
  decideUpload,
  evidenceKinds,
  kindOfMime,
  licenceIds,
  licences,
  mayStandInline,
  toTagKey,
} from './index.ts'

const MB = 1_048_576
const limits = { largest: 100 * MB, quota: 1000 * MB }

describe('an upload', () => {
  const decide = (bytes: number, usedBytes = 0, openUploads = 0) =>
    decideUpload({ bytes, usedBytes, openUploads }, limits)

  it.each([
    ['empty', decide(0), 'file-empty'],
    ['one byte too large', decide(100 * MB + 1), 'file-too-large'],
    ['over the quota', decide(10 * MB, 991 * MB), 'quota-full'],
    ['the sixty-first', decide(1, 0, 60), 'too-many-uploads'],
  ])('that is %s is refused', (_, decision, reason) => {
    expect(decision).toMatchObject({ allowed: false, reason })
  })

  it('may be as large as the limit and fill the quota to the byte', () => {
    expect(decide(100 * MB, 900 * MB, 59).allowed).toBe(true)
  })

  it('never gets in over any limit', () => {
    const size = fc.integer({ min: 0, max: 2000 * MB })
    fc.assert(
      fc.property(size, size, fc.nat(100), (bytes, used, open) => {
        const allowed = bytes > 0 && bytes <= limits.largest && used + bytes <= limits.quota && open < 60
        expect(decide(bytes, used, open).allowed).toBe(allowed)
      }),
    )
  })

  it('replaces only a file of its own kind', () => {
    for (const a of evidenceKinds)
      for (const b of evidenceKinds) expect(decideNewVersion(a, b).allowed).toBe(a === b)
  })
})

describe('kinds', () => {
  it.each([
    ['image/jpeg', 'picture', true],
    ['image/heic', 'picture', false],
    ['image/svg+xml', 'file', false],
    ['video/webm', 'video', true],
    ['audio/wav', 'audio', true],
    ['text/csv', 'data-table', false],
    ['text/html', 'file', false],
    ['application/pdf', 'file', false],
  ])('%s is a %s', (mime, kind, inline) => {
    expect([kindOfMime(mime), mayStandInline(mime)]).toEqual([kind, inline])
  })
})

describe('tags', () => {
  it('are tidied, and the same one is kept once in its first spelling', () => {
    expect(cleanTags([' Low  marsh', 'low Marsh', '', 'Ría', 'ria', 'Transect'])).toEqual([
      'Low marsh',
      'Ría',
      'Transect',
    ])
  })

  it('tidied twice are as tidied once, all different, within their limits', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'grapheme', maxLength: 80 }), { maxLength: 50 }), (tags) => {
        const used = cleanTags(tags)
        expect(cleanTags(used)).toEqual(used)
        expect(new Set(used.map(toTagKey)).size).toBe(used.length)
        expect(used.length).toBeLessThanOrEqual(30)
        for (const tag of used) expect([...tag].length).toBeLessThanOrEqual(60)
      }),
    )
  })
})

describe('credit lines', () => {
  const heron = {
    state: 'licensed',
    maker: 'Ada Reed',
    source: 'https://shelf.example/heron',
    licence: 'cc-by-4.0',
  } as const

  it('name title, maker, source and licence, and are needed only for what others made', () => {
    expect(creditLine('Heron', heron)).toEqual({
      title: 'Heron',
      maker: 'Ada Reed',
      source: 'https://shelf.example/heron',
      sourceAddress: 'https://shelf.example/heron',
      licence: 'cc-by-4.0',
      licenceName: 'CC BY 4.0',
      licenceAddress: 'https://creativecommons.org/licenses/by/4.0/',
    })
    expect(creditLine('Mine', { state: 'mine' })).toBeNull()
    expect(creditLine('Unknown', { state: 'missing' })).toBeNull()
  })

  it('link only to web addresses', () => {
    for (const source of ['javascript:alert(1)', 'A book, page 7', 'https://', 'data:text/html,x']) {
      expect(creditLine('Heron', { ...heron, source })?.sourceAddress).toBeNull()
    }
  })

  it('know every licence that can be chosen', () => {
    expect(Object.keys(licences).sort()).toEqual([...licenceIds].sort())
  })
})
