// The built demo over a fresh sample world, and a browser in which Wren is signed in.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from '@playwright/test'
import type { BrowserContext } from '@playwright/test'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** Starts all of it, lets `measure` work, and takes it down again. */
export async function withDemoSite<T>(
  port: number,
  measure: (context: BrowserContext, address: string) => Promise<T>,
): Promise<T> {
  const data = mkdtempSync(join(tmpdir(), 'valise-bench-'))
  const args = [join(root, 'server/dist/serve.js'), '--port', String(port), '--data', data, '--quiet']
  const server = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] })
  await new Promise<void>((resolve) =>
    server.stdout.on('data', (text: Buffer) => text.includes('ready') && resolve()),
  )
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  })
  try {
    const address = `http://localhost:${port}`
    const context = await browser.newContext({ baseURL: address, locale: 'en-GB' })
    const { people } = await (await context.request.get('/api/demo')).json()
    const headers = { origin: address }
    await context.request.post('/api/demo/session', { data: { personId: people[0].id }, headers })
    return await measure(context, address)
  } finally {
    await browser.close()
    server.kill()
    rmSync(data, { recursive: true, force: true })
  }
}
