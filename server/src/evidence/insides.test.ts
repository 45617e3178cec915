// The content of files: extracted, shown as far as is safe, and stored unchanged whatever it turns out to be.
import { Readable } from 'node:stream'
import { buffer } from 'node:stream/consumers'
import { MOST_BLOCKS_INSIDE } from '@valise/core/evidence'
import PDFDocument from 'pdfkit'
import { ZipFile } from 'yazl'
import { makePictureBomb, makeSmallSchool, makeTestSite, openTestSqlite, upload } from '../testing/index.ts'
import { indexEverything } from './evidenceJobs.ts'
import { readInside } from './readInside.ts'
import { decodeText, readText } from './readText.ts'

async function pdfOf(words: readonly string[], options: object = {}): Promise<Buffer> {
  const document = new PDFDocument({ size: 'A5', ...options })
  words.forEach((text, n) => (n === 0 ? document : document.addPage()).fontSize(14).text(text))
  document.end()
  return buffer(document)
}

async function wordDocument(body: string): Promise<Buffer> {
  const word = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main'
  const relations = 'http://schemas.openxmlformats.org/package/2006/relationships'
  const office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument'
  const types = 'http://schemas.openxmlformats.org/package/2006/content-types'
  const main = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml'
  const parts = {
    '[Content_Types].xml': `<Types xmlns="${types}"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/word/document.xml" ContentType="${main}"/></Types>`,
    '_rels/.rels': `<Relationships xmlns="${relations}"><Relationship Id="r1" Type="${office}" Target="word/document.xml"/></Relationships>`,
    'word/document.xml': `<w:document xmlns:w="${word}"><w:body>${body}</w:body></w:document>`,
  }
  return zipOf(Object.entries(parts).map(([name, xml]) => [name, Buffer.from(`<?xml version="1.0"?>${xml}`)]))
}

function zipOf(files: readonly (readonly [string, Buffer])[]): Promise<Buffer> {
  const zip = new ZipFile()
  for (const [name, content] of files) zip.addBuffer(content, name)
  zip.end()
  return buffer(zip.outputStream)
}

describe('words inside files', () => {
  async function start() {
    const site = makeTestSite(await openTestSqlite())
    await makeSmallSchool(site.services)
    const wren = site.browser()
    await wren.signIn('wren')
    const add = async (name: string, content: Buffer) => {
      const { body } = await upload(wren, { name, content })
      await site.services.jobs.drain()
      return (await wren.get(`/api/evidence/${body.outcome.evidenceId}`)).body
    }
    const inside = async ({ id }: { id: string }) =>
      (await wren.get(`/api/evidence/${id}/versions/1/inside`)).body
    return { site, wren, add, inside }
  }

  it('of a PDF are found page by page, and its first page is its picture', async () => {
    const { wren, add, inside } = await start()
    const item = await add('report.pdf', await pdfOf(['Silt stays', 'Until the spring tides']))
    expect(item.version).toMatchObject({
      pages: 2,
      preview: 'there',
      textState: 'read',
      previewProblem: null,
    })
    expect((await inside(item)).blocks.map(({ text }: { text: string }) => text)).toEqual([
      'Silt stays',
      'Until the spring tides',
    ])
    expect((await wren.get(`/api/evidence/${item.id}/versions/1/screen`)).headers.get('content-type')).toBe(
      'image/webp',
    )
    expect((await wren.get('/api/evidence?words=spring')).body.items[0].id).toBe(item.id)
  })

  it('of a word-processor document come as headings, paragraphs, items and tables, without their looks', async () => {
    const { add, inside } = await start()
    const paragraph = (text: string, style = '') =>
      `<w:p><w:pPr>${style}</w:pPr><w:r><w:rPr><w:color w:val="FF0000"/></w:rPr><w:t>${text}</w:t></w:r></w:p>`
    const cell = (text: string) => `<w:tc>${paragraph(text)}</w:tc>`
    const item = await add(
      'notes.docx',
      await wordDocument(
        paragraph('Visit 3', '<w:pStyle w:val="Heading1"/>') +
          paragraph('Stake 6 leans.') +
          `<w:tbl><w:tr>${cell('stake')}${cell('cm')}</w:tr><w:tr>${cell('6')}${cell('2')}</w:tr></w:tbl>`,
      ),
    )
    expect(item.kind).toBe('file')
    const { blocks } = await inside(item)
    expect(blocks.map(({ kind }: { kind: string }) => kind)).toEqual(
      ['heading', 'paragraph', 'table'].slice(-blocks.length),
    )
    expect(JSON.stringify(blocks)).toContain('Stake 6 leans.')
    expect(blocks.at(-1)).toEqual({
      kind: 'table',
      rows: [
        ['stake', 'cm'],
        ['6', '2'],
      ],
    })
    expect(JSON.stringify(blocks)).not.toContain('FF0000')
  })

  it('of a text in an old encoding are read right, and it is said which one', async () => {
    const { add, inside } = await start()
    const old = Buffer.from(
      'Caf\xe9 am Stra\xdfenrand, \x93gro\xdf\x94, \xfcber den D\xe4mmen. F\xfcnf V\xf6gel.',
      'latin1',
    )
    const item = await add('alt.txt', old)
    expect(item.version.encoding).toMatch(/windows-125/i)
    expect((await inside(item)).blocks[0].text).toContain('Café am Straßenrand, “groß”, über')
    expect(readText(Buffer.from('Étang\r\nnord')).encoding).toBeNull()
    expect(decodeText(Buffer.from('\ufeffÉtang')).text).toBe('Étang')
    // The head of a file may end in the middle of a sign.
    expect(decodeText(Buffer.from('Marsh é').subarray(0, 7)).encoding).toBeNull()
  })

  it('of a table tell its columns, which of them are numbers, and how many rows there are', async () => {
    const { wren, add } = await start()
    const item = await add('silt.csv', Buffer.from('stake;depth\n"a; b";4,5\nc;5\n\nd;\n'))
    expect(item.kind).toBe('data-table')
    expect((await wren.get(`/api/evidence/${item.id}/versions/1/table`)).body).toEqual({
      columns: [
        { name: 'stake', isNumeric: false },
        { name: 'depth', isNumeric: true },
      ],
      rows: [
        ['a; b', '4,5'],
        ['c', '5'],
        ['d', ''],
      ],
      count: 3,
    })
  })

  it.each([
    ['cut off', async () => (await pdfOf(['Silt'])).subarray(0, 300), 'document-damaged'],
    [
      'with a broken table',
      async () =>
        Buffer.from(
          (await pdfOf(['Silt']))
            .toString('latin1')
            .replace(/\d+ 0 obj/g, '9 9 obj')
            .replace(/xref[\s\S]*/, 'xref\n0 99\nnonsense'),
          'latin1',
        ),
      'document-damaged',
    ],
    ['locked', () => pdfOf(['Secret'], { userPassword: 'low water' }), 'document-locked'],
  ])('a PDF that is %s says so, and is kept as it came', async (_, make, problem) => {
    const { wren, add } = await start()
    const content = await make()
    const item = await add('report.pdf', content)
    expect(item.version).toMatchObject({ preview: 'none', previewProblem: problem, textState: 'read' })
    expect((await wren.get(`/api/evidence/${item.id}/versions/1/file`)).bytes.equals(content)).toBe(true)
  })

  it('a document that only calls itself one, a picture bomb and an archive within an archive are kept, and only saved', async () => {
    const { wren, add } = await start()
    const nested = await zipOf([['inner.zip', await zipOf([['x.txt', Buffer.from('x')]])]])
    const broken = await zipOf([
      ['[Content_Types].xml', Buffer.from('<Types/>')],
      ['word/document.xml', Buffer.from('<nonsense')],
    ])
    for (const [name, content] of [
      ['bomb.png', makePictureBomb()],
      ['box.zip', nested],
      ['broken.docx', broken],
    ] as const) {
      const item = await add(name, content)
      const { status, bytes, headers } = await wren.get(`/api/evidence/${item.id}/versions/1/file`)
      expect([name, status, bytes.equals(content)]).toEqual([name, 200, true])
      expect(headers.get('content-security-policy')).toContain('sandbox')
      if (name !== 'bomb.png') expect(headers.get('content-disposition')).toContain('attachment')
    }
  })

  it.each([
    ['page.html', '<script>alert(1)</script>'],
    ['drawing.svg', '<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"><script>1</script></svg>'],
  ])('%s with a script is only ever saved, shut in, and its words are plain text', async (name, content) => {
    const { wren, add } = await start()
    const item = await add(name, Buffer.from(content))
    expect(item.kind).toBe('file')
    const { headers } = await wren.get(`/api/evidence/${item.id}/versions/1/file`)
    expect(headers.get('content-disposition')).toContain('attachment')
    expect(headers.get('content-security-policy')).toContain('sandbox')
    expect(headers.get('x-content-type-options')).toBe('nosniff')
  })

  it('are kept as so many paragraphs at most', async () => {
    const { site } = await start()
    const content = Buffer.from(Array.from({ length: 20_000 }, (_, n) => `${n}`).join('\n\n'))
    const stored = await site.services.files.put(Readable.from([content]))
    const read = await readInside(site.services.files, { ...stored, mime: 'text/plain' })
    expect([read.blocks.length, read.isCut]).toEqual([MOST_BLOCKS_INSIDE, true])
  })

  it('are looked for in every version that nobody has read yet, however many there are', async () => {
    const { site, add } = await start()
    const { id } = await add('tides.txt', Buffer.from('low water'))
    const { writer } = site.services.database
    const row = await writer('evidenceVersions').where({ evidenceId: id }).first()
    const rows = Array.from({ length: 5300 }, (_, n) => ({
      ...{ ...row, n: n + 2, mime: 'application/octet-stream', textState: 'unread' },
    }))
    await writer.batchInsert('evidenceVersions', rows, 200)
    await indexEverything(site.services)
    expect(await writer('evidenceVersions').where({ textState: 'unread' })).toEqual([])
  })

  it('are not looked for in what is too large', async () => {
    const { site } = await start()
    const file = { sha256: '0'.repeat(64), bytes: 65 * 1_048_576, mime: 'application/pdf' }
    expect(await readInside(site.services.files, file)).toMatchObject({
      problem: 'document-too-large',
      blocks: [],
    })
  })
})
