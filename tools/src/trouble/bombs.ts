// Files and requests that are made to burst whoever opens them: each may cost so much memory in all, and no more.
import { createWriteStream, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { deflateSync } from 'node:zlib'
import sharp from 'sharp'
import { ZipFile } from 'yazl'
import { finding } from './trial.ts'
import type { Finding, Trial } from './trial.ts'
import { megabytesOf, pause, processTree, TroubledServer } from './TroubledServer.ts'
import type { Caller } from './TroubledServer.ts'

const MOST_MEGABYTES = 512
const LONGEST_MS = 120_000

interface Bomb {
  readonly name: string
  readonly make: () => Promise<Uint8Array>
  /** What is done to it once it is there, which makes its renditions anew. */
  readonly recipe?: object
}

const everyStep = {
  schema: 1,
  steps: [
    { kind: 'turn', on: true, quarters: 1, degrees: 3, mirrored: true },
    { kind: 'even', on: true, strength: 90, levels: 'found' },
    { kind: 'light', on: true, brightness: 10, contrast: 20, warmth: -10, sharpness: 80 },
  ],
}

const bombs: readonly Bomb[] = [
  { name: 'photo of 24 MP.jpg', make: () => noise(6000, 4000).then((one) => one.jpeg().toBuffer()) },
  {
    name: 'photo of 40 MP, put right.jpg',
    make: () => noise(7300, 5500).then((one) => one.jpeg().toBuffer()),
    recipe: everyStep,
  },
  { name: 'turned picture of 144 MP.png', make: () => plain(12_000, 12_000, 6) },
  { name: 'picture that claims 3,600 MP.png', make: async () => claims(60_000, 60_000) },
  { name: 'photo with 400 MB behind it.jpg', make: () => padded(400) },
  { name: 'picture of 100 MP.webp', make: () => webp(10_000, 10_000) },
  { name: 'report that unpacks to 600 MB.docx', make: () => wordBomb(() => text(600), '<w:p/>') },
  { name: 'report of a million empty paragraphs.docx', make: () => wordBomb(() => empty(1_000_000), '') },
  { name: 'table of 60 MB.csv', make: async () => Buffer.alloc(60 * 1_048_576, 'a,b\n') },
]

export const bombsTrial: Trial = {
  name: 'Bombs',
  run: async () => {
    const server = new TroubledServer()
    await server.start()
    const caller = await server.signIn('Wren')
    const findings: Finding[] = []
    for (const bomb of bombs) findings.push(await explode(server, caller, bomb))
    findings.push(...(await badRequests(caller)))
    findings.push(
      finding('the server after all of it', server.isRunning() ? 'up' : 'down', 'up', server.isRunning()),
    )
    await server.end('SIGTERM')
    server.remove()
    return findings
  },
}

async function explode(
  server: TroubledServer,
  caller: Caller,
  { name, make, recipe }: Bomb,
): Promise<Finding> {
  const content = await make()
  // What ran before ends first, or its memory would count here.
  while (processTree(server.pid).length > 1) await pause(200)
  const before = megabytesOf([server.pid])
  let peak = before
  const looking = setInterval(() => (peak = Math.max(peak, megabytesOf(processTree(server.pid)))), 15)
  let isDone = false
  try {
    const id = await caller.upload(name, content)
    if (recipe) {
      await untilMade(caller, id)
      await caller.ask('PUT', `/api/evidence/${id}/versions/1/recipe`, recipe, { 'if-match': '"r0"' })
    }
    for (const endsAt = Date.now() + LONGEST_MS; !isDone && Date.now() < endsAt; await pause(100)) {
      const { version } = (await caller.ask('GET', `/api/evidence/${id}`)).body
      isDone = version.preview !== 'making' && version.textState !== 'unread'
    }
  } finally {
    clearInterval(looking)
  }
  const cost = Math.round(peak - before)
  const measured = isDone ? `${cost} MB` : `${cost} MB, not done`
  return finding(name, measured, `≤ ${MOST_MEGABYTES} MB more, done`, isDone && cost <= MOST_MEGABYTES)
}

async function untilMade(caller: Caller, id: string): Promise<void> {
  for (const endsAt = Date.now() + LONGEST_MS; Date.now() < endsAt; await pause(100)) {
    if ((await caller.ask('GET', `/api/evidence/${id}`)).body.version.preview !== 'making') return
  }
}

async function badRequests(caller: Caller): Promise<Finding[]> {
  const { body: page } = await caller.ask('POST', '/api/pages', { title: 'Bad', lang: 'en' })
  const path = `/api/pages/${page.id}/edits`
  const wrong = Array.from({ length: 12_000 }, () => ({ op: 'insert-row', row: { pieces: [{ kind: 1 }] } }))
  const large = await caller.ask('POST', path, { operations: wrong })
  const deep = await caller.ask('POST', path, `{"operations":${'['.repeat(10_000)}${']'.repeat(10_000)}}`)
  return [
    finding(
      'refusal of a wrong body of 1 MB',
      `${large.status}, ${large.bytes} bytes`,
      '4xx, ≤ 20,000 bytes',
      large.status >= 400 && large.status < 500 && large.bytes <= 20_000,
    ),
    finding('10,000 levels', deep.status, '422', deep.status === 422),
  ]
}

async function noise(width: number, height: number) {
  return sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#888',
      noise: { type: 'gaussian', mean: 128, sigma: 40 },
    },
  })
}

function plain(width: number, height: number, orientation: number): Promise<Buffer> {
  const picture = sharp({
    create: { width, height, channels: 3, background: '#b79b73' },
    limitInputPixels: false,
  })
  return picture.withMetadata({ orientation }).png({ compressionLevel: 1 }).toBuffer()
}

async function webp(width: number, height: number): Promise<Buffer> {
  const picture = sharp({
    create: { width, height, channels: 3, background: '#b79b73' },
    limitInputPixels: false,
  })
  return picture.webp({ effort: 0 }).toBuffer()
}

/** A PNG with a head that claims much and hardly any pixels. */
function claims(width: number, height: number): Buffer {
  const head = Buffer.alloc(13)
  head.writeUInt32BE(width, 0)
  head.writeUInt32BE(height, 4)
  head.set([8, 2], 8)
  const chunk = (type: string, data: Buffer) => {
    const length = Buffer.alloc(4)
    length.writeUInt32BE(data.length)
    return Buffer.concat([length, Buffer.from(type), data, Buffer.alloc(4)])
  }
  const signature = Buffer.from([137, 80, 78, 71, 13, 10, 26, 10])
  return Buffer.concat([signature, chunk('IHDR', head), chunk('IDAT', deflateSync(Buffer.alloc(100_000)))])
}

async function padded(megabytes: number): Promise<Buffer> {
  const photo = await (await noise(1200, 800)).jpeg().toBuffer()
  const whole = Buffer.alloc(megabytes * 1_048_576, 7)
  photo.copy(whole)
  return whole
}

const PART = Buffer.from(`<w:p><w:r><w:t>${'low water at seven '.repeat(50)}</w:t></w:r></w:p>`)

function* text(megabytes: number): Generator<Buffer> {
  for (let bytes = 0; bytes < megabytes * 1_048_576; bytes += PART.length) yield PART
}

function* empty(count: number): Generator<Buffer> {
  const thousand = Buffer.from('<w:p><w:r><w:t>a</w:t></w:r></w:p>'.repeat(1000))
  for (let n = 0; n < count; n += 1000) yield thousand
}

/** A Word document whose one part is what the generator gives. */
async function wordBomb(body: () => Generator<Buffer>, last: string): Promise<Buffer> {
  const folder = mkdtempSync(join(tmpdir(), 'valise-bomb-'))
  const file = join(folder, 'bomb.docx')
  const types =
    '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>'
  const links =
    '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>'
  const zip = new ZipFile()
  zip.addBuffer(Buffer.from(types), '[Content_Types].xml')
  zip.addBuffer(Buffer.from(links), '_rels/.rels')
  const document = function* () {
    yield Buffer.from(
      '<?xml version="1.0"?><w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body>',
    )
    yield* body()
    yield Buffer.from(`${last}</w:body></w:document>`)
  }
  zip.addReadStream(Readable.from(document()), 'word/document.xml')
  zip.end()
  await pipeline(zip.outputStream, createWriteStream(file))
  const content = readFileSync(file)
  rmSync(folder, { recursive: true })
  return content
}
