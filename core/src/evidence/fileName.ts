// File names as they come from anybody's device: tidied for keeping, and read for a title.
import { toPlainLine } from '../people/index.ts'
import { extensionOf } from './extensionOf.ts'
import { LONGEST_FILE_NAME, LONGEST_TITLE } from './valueLists.ts'

/** Controls, and marks that turn the direction of writing: with them `gpj.exe` reads as `exe.jpg`. */
const HIDDEN = /[\p{Cc}\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff]/gu

/**
 * Cleans a file name for storage and display: no folders, composed (NFC), no invisible characters, at most 200
 * characters including the extension. Letters of every script and emoji stay. Returns `file` when nothing is left.
 */
export function cleanFileName(name: string): string {
  const last = name.split(/[/\\]/).at(-1) ?? ''
  const line = toPlainLine(last.toWellFormed().replace(HIDDEN, ' '))
  const named = line.replace(/^\.+/, '').trim()
  return named === '' ? 'file' : shortened(named)
}

/** Words that devices write into names, which tell nobody what the thing is. */
const deviceWords = new Set(
  (
    'collage img dsc dscn dscf pxl vid mov mvi gopr gh wa cimg sam pict image photo picture video audio voice rec recording ' +
    'scan screen shot screenshot untitled unnamed download file document doc copy new edited final at am pm mp'
  ).split(' '),
)

/**
 * Suggests a title from a file name, or '' for a name that a device made (`IMG_2041.jpg`), so that the owner is
 * asked.
 *
 * Underscores and the like become spaces; the extension is dropped.
 */
export function suggestTitle(fileName: string): string {
  const ending = extensionOf(fileName)
  const stem = ending === '' ? fileName : fileName.slice(0, -ending.length - 1)
  const title = toPlainLine(stem.replace(/[_+]|%20/g, ' '))
  const words = title.toLowerCase().match(/\p{L}+/gu) ?? []
  const tells = words.some((word) => word.length > 1 && !deviceWords.has(word))
  return tells ? cut(title, LONGEST_TITLE) : ''
}

function shortened(name: string): string {
  if ([...name].length <= LONGEST_FILE_NAME) return name
  const ending = extensionOf(name)
  const tail = ending === '' ? '' : name.slice(-ending.length - 1)
  return cut(name.slice(0, name.length - tail.length), LONGEST_FILE_NAME - [...tail].length).trim() + tail
}

/** The first `most` characters, never half of one. */
function cut(text: string, most: number): string {
  return [...text].slice(0, most).join('').trim()
}
