// The door through which files come in; what sends them is fetched when there is something to send.
import type { AddOptions } from './sendFiles.ts'

/** Begins to bring files in. One that was begun before, in any window, is gone on with. */
export async function addFiles(files: readonly File[], options: AddOptions = {}): Promise<void> {
  const { sendFiles } = await import('./sendFiles.ts')
  await sendFiles(files, options)
}
