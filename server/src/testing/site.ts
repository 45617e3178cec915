// A whole server for tests, without a socket: an app over a real database, and browsers that keep their cookie.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { inspect } from 'node:util'
import { makeKeys } from '../system/index.ts'
import type { Config } from '../config.ts'
import { createApp } from '../app.ts'
import { workerTasks } from '../workerTasks.ts'
import { openFolderStore } from '../files/index.ts'
import type { Route } from '../http/index.ts'
import { makeInlineWorkers, makeJobs } from '../jobs/index.ts'
import type { Database } from '../database/index.ts'
import type { Message } from '../mail/index.ts'
import { makePasswordHasher } from '../people/index.ts'
import { openOutside } from '../outside/index.ts'
import type { Outside } from '../outside/index.ts'
import { paperCss } from '../paperCss.ts'
import { withJobs } from '../services.ts'
import type { Services } from '../services.ts'

const folders: string[] = []
afterAll(() => {
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true })
})

export const testConfig: Config = {
  dataFolder: '/nowhere',
  host: '127.0.0.1',
  port: 0,
  publicAddress: 'http://valise.test',
  postgres: null,
  mail: null,
  behindProxy: false,
  clock: null,
  webFolder: null,
  logLevel: 'silent',
  largestFile: 50 * 1_048_576,
  quota: 200 * 1_048_576,
  drive: null,
  shelf: null,
  mediaHosts: [],
  blockedHosts: [],
  innerOrigins: [],
}

/** So little work that a test can sign in a hundred times. */
const cheapHashes = { memoryCost: 8, timeCost: 1, parallelism: 1 }

export interface TestSite {
  readonly services: Services
  /** What was sent by mail, oldest first. */
  readonly mails: Message[]
  browser(): TestBrowser
}

export function makeTestSite(
  database: Database,
  extraRoutes: readonly Route<Services>[] = [],
  config = testConfig,
  outside: Partial<Outside> = {},
  dataFolder = makeFolder(),
): TestSite {
  const mails: Message[] = []
  const files = openFolderStore(dataFolder)
  // A defect in a test must be seen: it is printed where a server would log it.
  const log: Services['log'] = {
    answered: () => undefined,
    failed: (_, error) =>
      process.stderr.write(`${inspect(error)}
`),
  }
  const services: Services = withJobs({
    config: { ...config, dataFolder },
    database,
    files,
    jobs: makeJobs(database, log),
    keys: makeKeys(Buffer.alloc(32, 7)),
    mail: { canSend: true, send: async (message) => void mails.push(message) },
    passwords: makePasswordHasher(cheapHashes),
    log,
    workers: makeInlineWorkers(workerTasks(files)),
    outside: { ...openOutside(config), ...outside },
    paperCss,
  })
  const app = createApp(services, { checkAnswers: true, extraRoutes })
  return { services, mails, browser: () => new TestBrowser((path, init) => app.request(path, init)) }
}

function makeFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'valise-files-'))
  folders.push(folder)
  return folder
}

export interface Answer {
  readonly status: number
  readonly headers: Headers
  readonly bytes: Buffer
  /** Whatever the JSON holds: tests look into answers of every shape, each held against its schema before. */
  readonly body: ReturnType<typeof JSON.parse>
}

export class TestBrowser {
  cookie = ''
  readonly #request: (path: string, init: RequestInit) => Response | Promise<Response>

  constructor(request: (path: string, init: RequestInit) => Response | Promise<Response>) {
    this.#request = request
  }

  async ask(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer> {
    const sent = new Headers({ origin: testConfig.publicAddress, cookie: this.cookie, ...headers })
    if (body !== undefined && !sent.has('content-type')) sent.set('content-type', 'application/json')
    const isRaw = typeof body === 'string' || body instanceof Uint8Array
    // TypeScript tells apart where a typed array's memory lies; a request does not.
    const raw = (isRaw ? body : JSON.stringify(body)) as NonNullable<RequestInit['body']>
    const response = await this.#request(`${testConfig.publicAddress}${path}`, {
      method,
      headers: sent,
      ...(body !== undefined && { body: raw }),
    })
    for (const set of response.headers.getSetCookie()) this.#keepCookie(set)
    const bytes = Buffer.from(await response.arrayBuffer())
    const answer = bytes.toString('utf8')
    const isJson = response.headers.get('content-type')?.includes('json')
    const { status, headers: answered } = response
    return { status, headers: answered, bytes, body: isJson && answer ? JSON.parse(answer) : answer }
  }

  get = (path: string) => this.ask('GET', path)
  post = (path: string, body?: unknown, headers?: Record<string, string>) =>
    this.ask('POST', path, body, headers)
  put = (path: string, body: unknown, revision?: number) =>
    this.ask('PUT', path, body, revisionHeader(revision))
  patch = (path: string, body: unknown, revision?: number) =>
    this.ask('PATCH', path, body, revisionHeader(revision))
  delete = (path: string) => this.ask('DELETE', path)

  #keepCookie(set: string): void {
    const cookie = set.split(';')[0] ?? ''
    const name = cookie.slice(0, cookie.indexOf('=') + 1)
    const others = this.cookie.split('; ').filter((one) => one !== '' && !one.startsWith(name))
    this.cookie = [...others, cookie].join('; ')
  }

  async signIn(signInName: string, password = TEST_PASSWORD): Promise<Answer> {
    return this.post('/api/session', { signInName, password })
  }
}

export const TEST_PASSWORD = 'low water at seven'

function revisionHeader(revision: number | undefined): Record<string, string> {
  return revision === undefined ? {} : { 'if-match': `"r${revision}"` }
}
