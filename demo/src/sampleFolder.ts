// The mark that makes a data folder one of the sample world. Only such a folder has the one-click sign-in.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const MARK = 'sample-world.json'

/** The names of all files that the sample world puts into a data folder. */
export const sampleFiles = /^(valise\.sqlite(-wal|-shm)?|server\.keys|sample-world\.json|files)$/

/** `building` means that an earlier build was interrupted. */
export type SampleState = 'none' | 'building' | 'built'

export function markSampleFolder(dataFolder: string, state: Exclude<SampleState, 'none'>): void {
  writeFileSync(join(dataFolder, MARK), `${JSON.stringify({ world: 'Marram Bay Field College', state })}\n`)
}

export function readSampleState(dataFolder: string): SampleState {
  const file = join(dataFolder, MARK)
  if (!existsSync(file)) return 'none'
  const mark: { state?: unknown } = JSON.parse(readFileSync(file, 'utf8'))
  return mark.state === 'built' ? 'built' : 'building'
}
