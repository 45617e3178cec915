// Files of the sample world that are no pictures: tables, a report, a document, sound.
import { buffer } from 'node:stream/consumers'
import PDFDocument from 'pdfkit'
import { ZipFile } from 'yazl'
import { makeDice } from './scenes/index.ts'

/** 400 rows of turbidity by the tide, with the odd storm. */
export function turbidityTable(seed: number): Buffer {
  const dice = makeDice(seed)
  const rows = Array.from({ length: 400 }, (_, n) => {
    const hour = (n * 15) / 60
    const tide = Math.sin((hour / 12.42) * 2 * Math.PI)
    const storm = n > 180 && n < 240 ? 34 * Math.exp(-Math.abs(n - 205) / 14) : 0
    const turbidity = 11 + 6 * tide + storm + dice() * 3
    return `${hour.toFixed(2)},${(1.8 + 1.4 * tide).toFixed(2)},${turbidity.toFixed(1)},${(13.4 - tide).toFixed(1)}`
  })
  return Buffer.from(`hours,water level m,turbidity NTU,temperature C\n${rows.join('\n')}\n`)
}

export function tideTable(): Buffer {
  const rows = Array.from({ length: 28 }, (_, n) => {
    const minutes = Math.round(n * 372.6)
    const day = Math.floor(minutes / 1440) + 1
    const time = `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
    return `${day}\t${time}\t${n % 2 ? 'low' : 'high'}\t${n % 2 ? '0.4' : '3.2'}`
  })
  return Buffer.from(`day\ttime\ttide\theight m\n${rows.join('\n')}\n`)
}

const paragraphs = [
  'The creek on the low marsh was walked three times between September and November, always within an hour of low water.',
  'Glasswort stood in seven of nine quadrats. Its cover rose from the creek to the second terrace and fell behind it.',
  'Where brushwood was set in August the bank held through two storms. Silt behind it is four centimetres higher.',
  'The next visit asks whether the silt stays when the spring tides come.',
]

export async function fieldReport(title: string, at: Date): Promise<Buffer> {
  const document = new PDFDocument({
    size: 'A4',
    margin: 64,
    info: { Title: title, CreationDate: at, ModDate: at },
  })
  document.font('Times-Bold').fontSize(24).text(title).moveDown()
  for (let page = 0; page < 3; page += 1) {
    document.font('Times-Roman').fontSize(12)
    for (const paragraph of paragraphs) document.text(paragraph, { lineGap: 3 }).moveDown()
    if (page < 2) document.addPage()
  }
  document.end()
  return buffer(document)
}

/** A word-processor document (Office Open XML): a heading and paragraphs. */
export async function fieldNotes(title: string, at: Date): Promise<Buffer> {
  const word = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main'
  const relations = 'http://schemas.openxmlformats.org/package/2006/relationships'
  const office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument'
  const types = 'http://schemas.openxmlformats.org/package/2006/content-types'
  const main = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml'
  const line = (text: string) => `<w:p><w:r><w:t>${text}</w:t></w:r></w:p>`
  const parts = {
    '[Content_Types].xml': `<Types xmlns="${types}"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/word/document.xml" ContentType="${main}"/></Types>`,
    '_rels/.rels': `<Relationships xmlns="${relations}"><Relationship Id="r1" Type="${office}" Target="word/document.xml"/></Relationships>`,
    'word/document.xml': `<w:document xmlns:w="${word}"><w:body>${[title, ...paragraphs].map(line).join('')}</w:body></w:document>`,
  }
  const zip = new ZipFile()
  for (const [name, xml] of Object.entries(parts))
    zip.addBuffer(Buffer.from(`<?xml version="1.0" encoding="UTF-8"?>${xml}`), name, { mtime: at })
  zip.end()
  return buffer(zip.outputStream)
}

const RATE = 16_000

/** Wind over the marsh and a bird that answers now and then: 16-bit WAV, one channel. */
export function marshSound(seed: number, seconds: number): Buffer {
  const dice = makeDice(seed)
  const samples = Buffer.alloc(seconds * RATE * 2)
  let wind = 0
  for (let n = 0; n < seconds * RATE; n += 1) {
    const t = n / RATE
    wind += (dice() * 2 - 1 - wind) * 0.04
    const swell = 0.5 + 0.4 * Math.sin(t * 0.9 + seed)
    const since = t % 3.1
    const call =
      since < 0.5
        ? Math.sin(2 * Math.PI * (1900 + 700 * Math.sin(since * 18)) * t) * Math.sin(since * 6.3)
        : 0
    samples.writeInt16LE(Math.round((wind * swell * 2.2 + call * 0.12) * 12_000), n * 2)
  }
  const head = Buffer.alloc(44)
  head.write('RIFF', 0)
  head.writeUInt32LE(36 + samples.length, 4)
  head.write('WAVEfmt ', 8)
  head.writeUInt32LE(16, 16)
  head.writeUInt16LE(1, 20)
  head.writeUInt16LE(1, 22)
  head.writeUInt32LE(RATE, 24)
  head.writeUInt32LE(RATE * 2, 28)
  head.writeUInt16LE(2, 32)
  head.writeUInt16LE(16, 34)
  head.write('data', 36)
  head.writeUInt32LE(samples.length, 40)
  return Buffer.concat([head, samples])
}
