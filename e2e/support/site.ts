// A running Valise for one file of journeys: the built server over a fresh sample world.
import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@playwright/test'
import type { Browser, BrowserContextOptions, Page } from '@playwright/test'

/** The start of every journey: a Thursday morning. */
export const NOW = '2026-11-26T10:42:00.000Z'

/** The built demo server. */
const SERVE = fileURLToPath(new URL('../../server/dist/serve.js', import.meta.url))

/** The sample world as the demo built it before all tests; each file of journeys takes a copy. */
const WORLD = fileURLToPath(new URL('../../node_modules/.valise/world', import.meta.url))

interface StartOptions {
  readonly port?: number
  readonly data?: string
  readonly args?: readonly string[]
  readonly env?: Readonly<Record<string, string>>
}

export class Site {
  dataFolder = mkdtempSync(join(tmpdir(), 'valise-e2e-'))
  #port = 0
  #process: ChildProcess | null = null

  get address(): string {
    return `http://localhost:${this.#port}`
  }

  get mailRoom(): string {
    return `http://127.0.0.1:${this.#port + 1}/mail`
  }

  /** Starts the server and waits until it answers; the second start keeps the data. */
  async start({
    port = this.#port,
    data = this.dataFolder,
    args: more = [],
    env = {},
  }: StartOptions = {}): Promise<void> {
    this.#port = port
    this.dataFolder = data
    const args = [SERVE, '--port', String(port), '--data', data, '--quiet', ...more]
    const child = spawn(process.execPath, args, {
      env: { ...process.env, VALISE_CLOCK: NOW, ...env },
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    this.#process = child
    await new Promise<void>((resolve, reject) => {
      child.stdout?.on('data', (text: Buffer) => text.includes('ready') && resolve())
      child.on('exit', (code) => {
        // Nothing is left to be stopped.
        this.#process = null
        reject(new Error(`the server ended with ${code}`))
      })
    })
  }

  async stop(): Promise<void> {
    const child = this.#process
    if (!child) return
    this.#process = null
    await new Promise((resolve) => {
      child.removeAllListeners('exit').once('exit', resolve)
      child.kill('SIGTERM')
      // A browser that keeps its connection open must not keep the test waiting.
      setTimeout(() => child.kill('SIGKILL'), 3000).unref()
    })
  }

  /** Starts the server again at another time, as if it had run until then. */
  async goTo(moment: string): Promise<void> {
    await this.stop()
    await this.start({ env: { VALISE_CLOCK: moment } })
  }

  async remove(): Promise<void> {
    await this.stop()
    rmSync(this.dataFolder, { recursive: true, force: true })
  }

  /** A page of a new browser context, signed in as somebody of the sample world by one click's request. */
  async pageAs(browser: Browser, firstName: string, options: BrowserContextOptions = {}): Promise<Page> {
    const context = await browser.newContext({ baseURL: this.address, locale: 'en-GB', ...options })
    const { people } = await (await context.request.get('/api/demo')).json()
    const person = people.find((one: { fullName: string }) => one.fullName.startsWith(firstName))
    const headers = { origin: this.address }
    await context.request.post('/api/demo/session', { data: { personId: person.id }, headers })
    const page = await context.newPage()
    await page.clock.setFixedTime(NOW)
    return page
  }

  /** A page of a new browser context where nobody is signed in. */
  async pageOfNobody(browser: Browser, options: BrowserContextOptions = {}): Promise<Page> {
    const context = await browser.newContext({ baseURL: this.address, locale: 'en-GB', ...options })
    const page = await context.newPage()
    await page.clock.setFixedTime(NOW)
    return page
  }
}

/** Provides a site for one spec file, started before its first test and removed after its last. */
export function useSite(env: Readonly<Record<string, string>> = {}): Site {
  const site = new Site()
  test.beforeAll(() => {
    cpSync(WORLD, site.dataFolder, { recursive: true })
    return site.start({ port: 7600 + test.info().parallelIndex * 10, env })
  })
  test.afterAll(() => site.remove())
  return site
}

/** Provides a site over an empty database on PostgreSQL, another for each try. It builds the sample world there first. */
export function useSiteOnPostgres(addresses: readonly string[]): Site {
  const site = new Site()
  test.beforeAll(async () => {
    test.setTimeout(240_000)
    const env = { VALISE_POSTGRES: addresses[test.info().retry] ?? '' }
    await site.start({ port: 7600 + test.info().parallelIndex * 10, env })
    // Building took a while, by which its clock would be ahead of those of the browsers.
    await site.stop()
    await site.start({ env })
  })
  test.afterAll(() => site.remove())
  return site
}

export { expect, test }
