// The sample world that journeys begin with: built before them by the command, or here where they are run alone.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { NOW, SERVE } from './site.ts'

export default async function findWorld(): Promise<() => void> {
  if (process.env['VALISE_TEST_WORLD'] !== undefined) return () => undefined
  const folder = mkdtempSync(join(tmpdir(), 'valise-world-'))
  const child = spawn(process.execPath, [SERVE, '--port', '0', '--data', folder, '--quiet'], {
    env: { ...process.env, VALISE_CLOCK: NOW },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (text: Buffer) => text.includes('ready') && resolve())
    child.on('exit', (code) => reject(new Error(`the world could not be built: ${code}`)))
  })
  await new Promise((resolve) => {
    child.removeAllListeners('exit').once('exit', resolve)
    child.kill('SIGTERM')
  })
  process.env['VALISE_TEST_WORLD'] = folder
  return () => rmSync(folder, { recursive: true, force: true })
}
