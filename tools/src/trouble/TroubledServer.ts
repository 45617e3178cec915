// A demo server of the built program over a copy of the sample world, to be killed, filled up and overloaded.
import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const program = fileURLToPath(new URL('../../../server/dist/serve.js', import.meta.url))
const world = fileURLToPath(new URL('../../../node_modules/.valise/world', import.meta.url))
const PORT = 7880
const TUS = { 'tus-resumable': '1.0.0' }

export interface Answer {
  readonly status: number
  readonly type: string
  readonly bytes: number
  /** JSON of every shape: each trial looks into the answers that it knows. */
  readonly body: ReturnType<typeof JSON.parse>
}

export class TroubledServer {
  readonly data: string
  readonly #isOwn: boolean
  #process: ChildProcess | null = null
  said = ''

  /** @param data a folder for the data; without one a new folder, which `remove` takes away */
  constructor(data?: string) {
    this.#isOwn = data === undefined
    this.data = data ?? mkdtempSync(join(tmpdir(), 'valise-trouble-'))
    cpSync(world, this.data, { recursive: true })
  }

  get pid(): number {
    return this.#process?.pid ?? 0
  }

  /** @returns false where it ended instead of listening; `said` holds its words */
  async start(): Promise<boolean> {
    this.said = ''
    const child = spawn(process.execPath, [program, '--port', String(PORT), '--data', this.data, '--quiet'], {
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    this.#process = child
    return new Promise((resolve) => {
      for (const stream of [child.stdout, child.stderr])
        stream.on('data', (text: Buffer) => {
          this.said += text
          if (text.includes('ready')) resolve(true)
        })
      child.once('exit', () => {
        if (this.#process === child) this.#process = null
        resolve(false)
      })
    })
  }

  isRunning(): boolean {
    return this.#process !== null
  }

  async end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const child = this.#process
    if (!child) return
    await new Promise((resolve) => {
      child.once('exit', resolve)
      child.kill(signal)
    })
  }

  remove(): void {
    if (this.#isOwn) rmSync(this.data, { recursive: true, force: true })
  }

  /** A caller who is signed in as somebody of the sample world. */
  async signIn(firstName: string): Promise<Caller> {
    const caller = new Caller(`http://localhost:${PORT}`)
    const { people } = (await caller.ask('GET', '/api/demo')).body
    const person = people.find((one: { fullName: string }) => one.fullName.startsWith(firstName))
    await caller.ask('POST', '/api/demo/session', { personId: person.id })
    return caller
  }
}

export class Caller {
  readonly #origin: string
  #cookie = ''

  constructor(origin: string) {
    this.#origin = origin
  }

  /** @throws TypeError where the server cannot be reached */
  async ask(
    method: string,
    path: string,
    body?: unknown,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<Answer> {
    const isRaw = typeof body === 'string' || body instanceof Uint8Array
    const response = await fetch(`${this.#origin}${path}`, {
      method,
      headers: { origin: this.#origin, cookie: this.#cookie, 'content-type': 'application/json', ...headers },
      // TypeScript tells apart where a typed array's memory lies; a request does not.
      ...(body !== undefined && { body: (isRaw ? body : JSON.stringify(body)) as string }),
    })
    for (const set of response.headers.getSetCookie()) this.#keepCookie(set)
    const text = await response.text()
    const type = response.headers.get('content-type') ?? ''
    return { status: response.status, type, bytes: text.length, body: parse(text) }
  }

  /** Begins an upload. @returns its address, or the refusal */
  async beginUpload(
    name: string,
    bytes: number,
    more: Readonly<Record<string, string>> = {},
  ): Promise<string | Answer> {
    const metadata = Object.entries({ filename: name, ...more }).map(
      ([key, value]) => `${key} ${Buffer.from(value).toString('base64')}`,
    )
    const response = await fetch(`${this.#origin}/api/uploads`, {
      method: 'POST',
      headers: {
        ...TUS,
        ...{ origin: this.#origin, cookie: this.#cookie },
        'upload-length': String(bytes),
        'upload-metadata': metadata.join(','),
      },
    })
    const location = response.headers.get('location')
    const text = await response.text()
    if (location !== null) return location
    return {
      status: response.status,
      type: response.headers.get('content-type') ?? '',
      bytes: 0,
      body: parse(text),
    }
  }

  sendPart(address: string, content: Uint8Array, offset = 0): Promise<Answer> {
    const headers = {
      ...TUS,
      'content-type': 'application/offset+octet-stream',
      'upload-offset': String(offset),
    }
    return this.ask('PATCH', address, content, headers)
  }

  /** Brings a whole file in. @returns the id of the item that it became */
  async upload(
    name: string,
    content: Uint8Array,
    more: Readonly<Record<string, string>> = {},
  ): Promise<string> {
    const address = await this.beginUpload(name, content.length, more)
    if (typeof address !== 'string') throw new Error(`not begun: ${address.status}`)
    const PART = 16_777_216
    for (let at = 0; at < content.length; at += PART) {
      const { status } = await this.sendPart(address, content.subarray(at, at + PART), at)
      if (status !== 204) throw new Error(`not taken: ${status}`)
    }
    return (await this.ask('GET', address)).body.outcome.evidenceId
  }

  #keepCookie(set: string): void {
    const cookie = set.split(';')[0] ?? ''
    const name = cookie.slice(0, cookie.indexOf('=') + 1)
    const others = this.#cookie.split('; ').filter((one) => one !== '' && !one.startsWith(name))
    this.#cookie = [...others, cookie].join('; ')
  }
}

function parse(text: string): Answer['body'] {
  try {
    return JSON.parse(text)
  } catch {
    // No JSON: what it says is looked at by nobody.
    return null
  }
}

/** Returns a process and its descendants, read from Linux's /proc. */
export function processTree(pid: number): number[] {
  const parents = new Map<number, number>()
  for (const name of readdirSync('/proc')) {
    if (!/^\d+$/.test(name)) continue
    const stat = readIfThere(`/proc/${name}/stat`)
    const [, parent] = stat.slice(stat.lastIndexOf(')') + 2).split(' ')
    parents.set(Number(name), Number(parent))
  }
  const found = [pid]
  for (const one of found) for (const [child, parent] of parents) if (parent === one) found.push(child)
  return found
}

/** Returns how many megabytes of memory processes use together. */
export function megabytesOf(pids: readonly number[]): number {
  const pages = pids.map((pid) => Number(readIfThere(`/proc/${pid}/statm`).split(' ')[1] ?? 0))
  return (pages.reduce((sum, count) => sum + count, 0) * 4096) / 1_048_576
}

/** Returns whether a process runs; a zombie (`Z`) does not. */
export function isAlive(pid: number): boolean {
  const stat = readIfThere(`/proc/${pid}/stat`)
  return stat !== '' && stat[stat.lastIndexOf(')') + 2] !== 'Z'
}

/** Processes come and go while they are looked at. */
function readIfThere(path: string): string {
  try {
    return readFileSync(path, 'utf8')
  } catch {
    return ''
  }
}

export const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))
