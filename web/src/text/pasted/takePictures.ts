// Pasting into a text: its words come in, and its pictures are offered to whoever shows the text.
import { PASTED_PICTURES } from './hearPictures.ts'
import type { PastedPictures } from './hearPictures.ts'
import { picturesIn } from './pastedPictures.ts'

/** Offers the pictures of what is pasted. @returns whether there was nothing else in it */
export function takePictures(text: HTMLElement, { clipboardData }: ClipboardEvent): boolean {
  if (!clipboardData) return false
  const pictures = picturesIn(clipboardData)
  if (pictures.files.length + pictures.lost === 0) return false
  text.dispatchEvent(new CustomEvent<PastedPictures>(PASTED_PICTURES, { bubbles: true, detail: pictures }))
  return pictures.isAll
}
