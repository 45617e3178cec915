// 256 MB coming in, against a bare tus server that syncs and hashes once: the time it takes, and the memory.
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { request } from 'node:http'
import type { IncomingMessage, OutgoingHttpHeaders } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { compare, toRow } from '../compare.ts'
import type { Row } from '../compare.ts'
import { startDemo, startProgram } from '../startProgram.ts'
import type { StartedProgram } from '../startProgram.ts'

const PORT = 7460
const MEGABYTE = 1_048_576
const BYTES = 256 * MEGABYTE
const PIECE = Buffer.alloc(MEGABYTE, 7)
/** What more memory than the bare server may be taken. */
const MORE_MEGABYTES = 96

type Target = Pick<StartedProgram, 'port' | 'pid'> & { readonly headers: OutgoingHttpHeaders }

let uploads = 0

export async function uploadTime(): Promise<Row> {
  return withBoth((ours, bare) =>
    compare({
      name: 'upload of 256 MB',
      limit: 1.25,
      unit: 'ms',
      ours: () => send(ours),
      reference: () => send(bare),
    }),
  )
}

/** The peak memory while 256 MB are uploaded, against the memory before, the growth of a bare server, and 96 MB. */
export async function uploadMemory(): Promise<Row> {
  return withBoth(async (ours, bare) => {
    const more = async (target: Target) => {
      const before = memoryOf(target.pid, 'VmRSS')
      resetPeak(target.pid)
      await send(target)
      return { before, more: Math.max(0, memoryOf(target.pid, 'VmHWM') - before) }
    }
    const pairs: { own: number; allowed: number }[] = []
    for (let n = 0; n < 15; n += 1) {
      const [own, other] = [await more(ours), await more(bare)]
      pairs.push({ own: own.before + own.more, allowed: own.before + other.more + MORE_MEGABYTES })
    }
    return toRow({
      name: 'memory for it, of before + bare + 96 MB',
      limit: 1,
      unit: 'MB',
      ratios: pairs.map(({ own, allowed }) => own / allowed),
      references: pairs.map(({ allowed }) => allowed),
    })
  })
}

async function withBoth(measure: (ours: Target, bare: Target) => Promise<Row>): Promise<Row> {
  const folders = [0, 1].map(() => mkdtempSync(join(tmpdir(), 'valise-bench-')))
  const [own = '', other = ''] = folders
  const ours = await startDemo(own, PORT, [], { VALISE_QUOTA: '200000' })
  const bare = await startProgram('bench/src/bareUpload.mjs', [other])
  try {
    return await measure({ ...ours, headers: await signIn(ours.port) }, { ...bare, headers: {} })
  } finally {
    await Promise.all([ours.stop(), bare.stop()])
    for (const folder of folders) rmSync(folder, { recursive: true, force: true })
  }
}

async function signIn(port: number): Promise<OutgoingHttpHeaders> {
  const origin = `http://localhost:${port}`
  const { people } = (await (await fetch(`${origin}/api/demo`)).json()) as { people: { id: string }[] }
  const signedIn = await fetch(`${origin}/api/demo/session`, {
    method: 'POST',
    headers: { origin, 'content-type': 'application/json' },
    body: JSON.stringify({ personId: people[0]?.id }),
  })
  return { origin, cookie: signedIn.headers.get('set-cookie')?.split(';')[0] ?? '' }
}

/** One upload, each of other bytes; gives its milliseconds. */
async function send({ port, headers }: Target): Promise<number> {
  uploads += 1
  const name = Buffer.from(`bench ${uploads}.bin`).toString('base64')
  const began = performance.now()
  const created = await ask(port, 'POST', '/api/uploads', {
    ...headers,
    'tus-resumable': '1.0.0',
    'upload-length': String(BYTES),
    'upload-metadata': `filename ${name}`,
  })
  const location = new URL(created.headers.location ?? '', `http://localhost:${port}`).pathname
  const sent = await ask(
    port,
    'PATCH',
    location,
    {
      ...headers,
      'tus-resumable': '1.0.0',
      'upload-offset': '0',
      'content-type': 'application/offset+octet-stream',
      'content-length': String(BYTES),
    },
    uploads,
  )
  if (sent.statusCode !== 204) throw new Error(`the upload answered ${sent.statusCode}`)
  return performance.now() - began
}

function ask(
  port: number,
  method: string,
  path: string,
  headers: OutgoingHttpHeaders,
  seed?: number,
): Promise<IncomingMessage> {
  return new Promise((resolve, reject) => {
    const asked = request({ host: '127.0.0.1', port, method, path, headers }, (response) => {
      response.resume()
      response.once('end', () => resolve(response))
    })
    asked.once('error', reject)
    if (seed === undefined) return void asked.end()
    void writeAll(asked, seed).then(() => asked.end())
  })
}

async function writeAll(asked: ReturnType<typeof request>, seed: number): Promise<void> {
  const first = Buffer.from(PIECE)
  first.writeUInt32LE(seed, 0)
  for (let sent = 0; sent < BYTES; sent += PIECE.length) {
    if (!asked.write(sent === 0 ? first : PIECE)) await new Promise((resolve) => asked.once('drain', resolve))
  }
}

function memoryOf(pid: number, what: 'VmRSS' | 'VmHWM'): number {
  const found = new RegExp(`${what}:\\s+(\\d+) kB`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))
  return (Number(found?.[1] ?? 0) * 1024) / MEGABYTE
}

/** Has the system forget the highest memory so far (Linux, proc(5)). */
function resetPeak(pid: number): void {
  writeFileSync(`/proc/${pid}/clear_refs`, '5')
}
