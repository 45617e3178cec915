// Pasting into a text: its words come in, and its pictures are offered to whoever shows the text.
import { PASTED_PICTURES, picturesIn } from './pastedPictures.ts'
import type { PastedPictures } from './pastedPictures.ts'

/** Offers the pictures of what is pasted. @returns whether there was nothing else in it */
export function takePictures(text: HTMLElement, { clipboardData }: ClipboardEvent): boolean {
  if (!clipboardData) return false
  const pictures = picturesIn(clipboardData)
  if (pictures.files.length + pictures.lost === 0) return false
  text.dispatchEvent(new CustomEvent<PastedPictures>(PASTED_PICTURES, { bubbles: true, detail: pictures }))
  return pictures.isAll
}

/** Listens for pictures that were pasted into texts; returns a function that ends it. */
export function hearPictures(take: (pictures: PastedPictures, text: Element) => void): () => void {
  const hear = (event: Event) => {
    // Nothing else raises an event of this name.
    const { detail, target } = event as CustomEvent<PastedPictures>
    if (target instanceof Element) take(detail, target)
  }
  window.addEventListener(PASTED_PICTURES, hear)
  return () => window.removeEventListener(PASTED_PICTURES, hear)
}
