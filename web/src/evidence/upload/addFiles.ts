// The door through which files come in; what sends them is fetched when there is something to send.
import type { AddOptions } from './sendFiles.ts'

/** Starts uploading files. An upload that any window started before is resumed. */
export async function addFiles(files: readonly File[], options: AddOptions = {}): Promise<void> {
  const { sendFiles } = await import('./sendFiles.ts')
  await sendFiles(files, options)
}
