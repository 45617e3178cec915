// A text in whatever encoding it was written, as paragraphs.
import type { DocumentBlock } from '@valise/core/evidence'
import chardet from 'chardet'
import iconv from 'iconv-lite'

export interface ReadText {
  readonly blocks: DocumentBlock[]
  readonly encoding: string | null
}

/** Reads UTF-8, or the likeliest encoding of an older system where it is not UTF-8. */
export function readText(content: Buffer): ReadText {
  const { text, encoding } = decodeText(content)
  const blocks = text
    .split(/\r\n|\r|\n/)
    .map((line) => line.trimEnd())
    .filter((line) => line !== '')
    .map((line): DocumentBlock => ({ kind: 'paragraph', text: line }))
  return { blocks, encoding }
}

/** Decodes bytes to text; names the encoding where it is not UTF-8. */
export function decodeText(content: Buffer): { readonly text: string; readonly encoding: string | null } {
  const whole = withoutHalfSign(content)
  try {
    return { text: clean(new TextDecoder('utf-8', { fatal: true }).decode(whole)), encoding: null }
  } catch {
    // Not UTF-8: the usual case for files of old programs.
    const encoding = supported(chardet.detect(content) ?? 'windows-1252')
    return { text: clean(iconv.decode(content, encoding)), encoding }
  }
}

function supported(encoding: string): string {
  // What is called ISO-8859-1 is in truth nearly always its larger sister, which has the typographic signs.
  if (encoding === 'ISO-8859-1') return 'windows-1252'
  return iconv.encodingExists(encoding) ? encoding : 'windows-1252'
}

/** The head of a file may end within a sign of several bytes. */
function withoutHalfSign(content: Buffer): Buffer {
  for (let back = 1; back <= 4 && back <= content.length; back += 1) {
    const byte = content[content.length - back] ?? 0
    if ((byte & 0xc0) === 0x80) continue
    const length = byte >= 0xf0 ? 4 : byte >= 0xe0 ? 3 : byte >= 0xc0 ? 2 : 1
    return length > back ? content.subarray(0, content.length - back) : content
  }
  return content
}

function clean(text: string): string {
  return text
    .replaceAll('\0', '')
    .replace(/^\ufeff/, '')
    .toWellFormed()
}
