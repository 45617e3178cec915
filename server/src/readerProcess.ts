// The process that looks into one file of unknown hands, answers, and is ended.
import { shutOtherReaders } from './evidence/index.ts'
import { readInside } from './evidence/readInside.ts'
import type { FileToRead } from './evidence/readInside.ts'
import { openFolderStore } from './files/index.ts'

export interface ReaderInput {
  readonly dataFolder: string
  readonly file: FileToRead
}

process.once('message', (input: ReaderInput) => {
  shutOtherReaders()
  readInside(openFolderStore(input.dataFolder), input.file)
    .then((answer) => process.send?.({ answer }))
    .catch((error: unknown) =>
      process.send?.({ failure: error instanceof Error ? error.message : String(error) }),
    )
})
