// How pages look, as it is written into each sealed copy. It lies beside the renderer whose classes it dresses.
import { readFileSync } from 'node:fs'

let text: string | undefined

/** Returns the style sheet of pages. The relative path is the same from source and from the bundle. */
export function paperCss(): string {
  return (text ??= readFileSync(new URL('../../core/src/pages/paper.css', import.meta.url), 'utf8'))
}
