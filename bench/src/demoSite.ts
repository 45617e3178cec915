// The built demo over a data folder, and a browser in which somebody is signed in.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import type { BrowserContext } from '@playwright/test'
import { startDemo } from './startProgram.ts'

export interface DemoSite {
  readonly port: number
  /** Puts into the folder what the site is to begin with; without it the site builds the sample world. */
  readonly fill?: (folder: string) => void
  /** By name; without it the first person of the sample world is signed in. */
  readonly signIn?: { readonly signInName: string; readonly password: string }
}

/** Starts a demo site, runs `measure`, and stops the site. */
export async function withDemoSite<T>(
  { port, fill, signIn }: DemoSite,
  measure: (context: BrowserContext, address: string) => Promise<T>,
): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'valise-bench-'))
  fill?.(folder)
  const server = await startDemo(folder, port)
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  })
  try {
    const address = `http://localhost:${port}`
    const viewport = { width: 1280, height: 800 }
    const context = await browser.newContext({ baseURL: address, locale: 'en-GB', viewport })
    const headers = { origin: address }
    if (signIn) await context.request.post('/api/session', { data: signIn, headers })
    else {
      const { people } = await (await context.request.get('/api/demo')).json()
      await context.request.post('/api/demo/session', { data: { personId: people[0].id }, headers })
    }
    return await measure(context, address)
  } finally {
    await browser.close()
    await server.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
