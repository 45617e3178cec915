// The large world, built once for all rows that measure in it: by the demo itself, in a process of its own.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** Of the student with 10,000 items. */
export const LARGE_SIGN_IN = { signInName: 'marlo', password: 'low water at seven' }

let built: Promise<string> | null = null

/** The data folder of the large world; it goes when the measuring ends. */
export function largeWorldFolder(): Promise<string> {
  built ??= buildLargeWorld()
  return built
}

async function buildLargeWorld(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'valise-large-'))
  process.on('exit', () => rmSync(folder, { recursive: true, force: true }))
  const server = await startServer(folder, 0, ['--large'])
  await server.stop()
  return folder
}

export interface StartedServer {
  readonly port: number
  stop(): Promise<void>
}

/** Starts the demo's server over a folder and waits until it answers. */
export async function startServer(
  folder: string,
  port: number,
  more: readonly string[] = [],
): Promise<StartedServer> {
  const args = [
    join(root, 'server/dist/serve.js'),
    '--port',
    String(port),
    '--data',
    folder,
    '--quiet',
    ...more,
  ]
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] })
  const listening = await new Promise<number>((resolve, reject) => {
    child.stdout.on('data', (text: Buffer) => {
      const found = /ready (\d+)/.exec(String(text))
      if (found) resolve(Number(found[1]))
    })
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
  })
  return {
    port: listening,
    stop: () =>
      new Promise((resolve) => {
        child.removeAllListeners('exit').once('exit', () => resolve())
        child.kill('SIGTERM')
        setTimeout(() => child.kill('SIGKILL'), 5000).unref()
      }),
  }
}
