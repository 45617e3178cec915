// How pages look, as it is written into each sealed copy. It lies beside the renderer whose classes it dresses.
import { readFileSync } from 'node:fs'

let text: string | undefined

/** The style sheet of pages. Where the source lies and where the built program lies, this leads to the same file. */
export function paperCss(): string {
  return (text ??= readFileSync(new URL('../../core/src/pages/paper.css', import.meta.url), 'utf8'))
}
