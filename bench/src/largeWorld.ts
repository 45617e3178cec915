// The large world, built once for all rows that measure in it: by the demo itself, in a process of its own.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startDemo } from './startProgram.ts'

/** The sign-in of the student with 10,000 items. */
export const LARGE_SIGN_IN = { signInName: 'marlo', password: 'low water at seven' }

let built: Promise<string> | null = null

/** Returns the data folder of the large world, which is removed at the end. */
export function largeWorldFolder(): Promise<string> {
  built ??= buildLargeWorld()
  return built
}

async function buildLargeWorld(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'valise-large-'))
  process.on('exit', () => rmSync(folder, { recursive: true, force: true }))
  const server = await startDemo(folder, 0, ['--large'])
  await server.stop()
  return folder
}
