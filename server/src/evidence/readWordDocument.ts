// A word-processor document (Office Open XML): what it says, without how it looked.
import type { DocumentBlock, PreviewProblem } from '@valise/core/evidence'
import { Parser } from 'htmlparser2'
import mammoth from 'mammoth'

export interface ReadDocument {
  readonly blocks: DocumentBlock[]
  readonly problem: PreviewProblem | null
}

export async function readWordDocument(content: Buffer): Promise<ReadDocument> {
  try {
    // Pictures would come as text of a million signs.
    const convertImage = mammoth.images.imgElement(async () => ({ src: '' }))
    const { value } = await mammoth.convertToHtml({ buffer: content }, { convertImage })
    return { blocks: blocksOf(value), problem: null }
  } catch {
    // Not a document in truth, or cut off; an encrypted one is another kind of file altogether.
    return { blocks: [], problem: 'document-damaged' }
  }
}

/** Headings, paragraphs, items of lists and tables; everything else is read for its words. */
function blocksOf(html: string): DocumentBlock[] {
  const blocks: DocumentBlock[] = []
  let text = ''
  let table: string[][] | null = null
  const flush = (block: (text: string) => DocumentBlock) => {
    const line = text.replaceAll(/\s+/g, ' ').trim().toWellFormed()
    text = ''
    if (line !== '') blocks.push(block(line))
  }
  const parser = new Parser({
    ontext: (some) => (text += some),
    onopentag: (name) => {
      if (name === 'table') table = []
      if (name === 'tr') table?.push([])
      if (name === 'br') text += ' '
    },
    onclosetag: (name) => {
      const heading = /^h([1-6])$/.exec(name)
      if (table !== null) {
        if (name === 'p') text += ' '
        if (name === 'td' || name === 'th') {
          table.at(-1)?.push(text.replaceAll(/\s+/g, ' ').trim())
          text = ''
        }
        if (name === 'table') {
          blocks.push({ kind: 'table', rows: table })
          table = null
        }
      } else if (heading) flush((line) => ({ kind: 'heading', level: Number(heading[1]), text: line }))
      else if (name === 'li') flush((line) => ({ kind: 'item', text: line }))
      else if (name === 'p') flush((line) => ({ kind: 'paragraph', text: line }))
    },
  })
  parser.write(html)
  parser.end()
  return blocks
}
