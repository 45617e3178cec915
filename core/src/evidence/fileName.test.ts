import fc from 'fast-check'
import { cleanFileName, extensionOf, suggestTitle } from './index.ts'

describe('file names', () => {
  it.each([
    ['../../etc/passwd', 'passwd'],
    ['C:\\photos\\low marsh.JPG', 'low marsh.JPG'],
    ['transect\u202egpj.exe', 'transect gpj.exe'],
    ['🌾 marsh 🌊.png', '🌾 marsh 🌊.png'],
    ['مستنقع.pdf', 'مستنقع.pdf'],
    ['a\tb\nc.txt', 'a b c.txt'],
    ['...', 'file'],
    ['.htaccess', 'htaccess'],
    ['   ', 'file'],
    ['e\u0301tang.csv', 'étang.csv'],
  ])('%j is kept as %j', (name, cleaned) => {
    expect(cleanFileName(name)).toBe(cleaned)
  })

  it('keep their ending when they are far too long', () => {
    const cleaned = cleanFileName(`${'🌾'.repeat(400)}.jpeg`)
    expect([...cleaned]).toHaveLength(200)
    expect(cleaned.endsWith('🌾.jpeg')).toBe(true)
  })

  it('are never empty, never a path, never hiding a mark, and tidying twice changes nothing', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 400 }), (name) => {
        const cleaned = cleanFileName(name)
        expect(cleaned).not.toBe('')
        expect(cleaned).not.toMatch(/[/\\\p{Cc}\u202a-\u202e\u2066-\u2069]|^\./u)
        expect([...cleaned].length).toBeLessThanOrEqual(200)
        expect(cleaned.isWellFormed()).toBe(true)
        expect(cleanFileName(cleaned)).toBe(cleaned)
      }),
    )
  })

  it('tell their ending', () => {
    expect([extensionOf('a.tar.GZ'), extensionOf('none'), extensionOf('odd.'), extensionOf('a. b')]).toEqual([
      'gz',
      '',
      '',
      '',
    ])
  })
})

describe('suggested titles', () => {
  it.each([
    ['IMG_2041.jpg', ''],
    ['20261124_101500.jpg', ''],
    ['PXL_20261124_101512345.MP.jpg', ''],
    ['Screenshot 2026-11-24 at 10.15.00.png', ''],
    ['DSCN0044.JPG', ''],
    ['scan.pdf', ''],
    ['quadrat_7_low_marsh.jpg', 'quadrat 7 low marsh'],
    ['Field report 2 (final).docx', 'Field report 2 (final)'],
    ['沼地.png', '沼地'],
    ['turbidity%20weir.csv', 'turbidity weir'],
  ])('%s becomes %j', (name, title) => {
    expect(suggestTitle(name)).toBe(title)
  })
})
