// The words inside a file, and the first page of a PDF as a picture. Runs in a process of its own that can be ended:
// what people send may be made to burst whoever reads it.
import { buffer } from 'node:stream/consumers'
import { LONGEST_INSIDE, MOST_BLOCKS_INSIDE, readerOf } from '@valise/core/evidence'
import type { DocumentBlock, Inside, PreviewProblem } from '@valise/core/evidence'
import { streamOf } from '../files/index.ts'
import type { FileStore } from '../files/index.ts'
import { readPdf } from './readPdf.ts'
import { readText } from './readText.ts'
import { readWordDocument } from './readWordDocument.ts'

export interface FileToRead {
  readonly sha256: string
  readonly bytes: number
  readonly mime: string
}

export interface ReadFile extends Inside {
  readonly pages: number | null
  /** Of a text that is not UTF-8. */
  readonly encoding: string | null
  /** The first page as a PNG in the file store. */
  readonly picture: { readonly sha256: string; readonly bytes: number } | null
  readonly problem: PreviewProblem | null
}

/** What is known of a file whose text could not be read. */
export const unread: ReadFile = {
  blocks: [],
  isCut: false,
  pages: null,
  encoding: null,
  picture: null,
  problem: null,
}

/** Larger files are stored, but their text is not extracted. */
const MOST_BYTES = 64 * 1_048_576
/** Of a text, this much is enough to find it by. */
const HEAD_OF_TEXT = 2 * 1_048_576

export async function readInside(files: FileStore, file: FileToRead): Promise<ReadFile> {
  const reader = readerOf(file.mime)
  if (reader === null) return unread
  const isText = reader === 'text' || reader === 'table'
  if (!isText && file.bytes > MOST_BYTES) return { ...unread, problem: 'document-too-large' }
  const last = (isText ? Math.min(file.bytes, HEAD_OF_TEXT) : file.bytes) - 1
  const content = await buffer(await files.open(file.sha256, { first: 0, last }))
  const read = await readAs(reader, content, files)
  const { blocks, isCut } = shortened(read.blocks)
  return { ...read, blocks, isCut: isCut || (isText && file.bytes > HEAD_OF_TEXT) }
}

async function readAs(
  reader: 'pdf' | 'word' | 'table' | 'text',
  content: Buffer,
  files: FileStore,
): Promise<Omit<ReadFile, 'isCut'>> {
  switch (reader) {
    case 'pdf': {
      const { picture, ...read } = await readPdf(content)
      return { ...unread, ...read, picture: picture && (await files.put(streamOf(picture))) }
    }
    case 'word':
      return { ...unread, ...(await readWordDocument(content)) }
    case 'table':
    case 'text':
      return { ...unread, ...readText(content) }
  }
}

function shortened(blocks: readonly DocumentBlock[]): Inside {
  const taken: DocumentBlock[] = []
  let left = LONGEST_INSIDE
  for (const block of blocks) {
    const length = block.kind === 'table' ? block.rows.flat().join(' ').length : block.text.length
    if (left <= 0 || taken.length >= MOST_BLOCKS_INSIDE) return { blocks: taken, isCut: true }
    taken.push(
      block.kind === 'table' || length <= left ? block : { ...block, text: block.text.slice(0, left) },
    )
    left -= length
  }
  return { blocks: taken, isCut: false }
}
