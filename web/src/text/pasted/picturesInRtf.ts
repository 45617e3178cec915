// Pictures in Rich Text Format 1.9.1 ("Pictures"): hexadecimal digits in a group `{\pict … \pngblip …}`. A word processor
// writes them there, while its HTML only points at files that no page may read.

const TYPES = [
  [/\\pngblip\b/, 'image/png'],
  [/\\jpegblip\b/, 'image/jpeg'],
] as const

/** The same picture once more, for programs that read no newer one. */
const OLDER = /\{\\nonshppict\s*$/

/** Returns the pictures of a text in the order in which they stand. */
export function picturesInRtf(rtf: string): Blob[] {
  return [...rtf.matchAll(/\{\\pict\b/g)].flatMap(({ index }) => {
    if (OLDER.test(rtf.slice(Math.max(0, index - 40), index))) return []
    const group = groupAt(rtf, index)
    const type = TYPES.find(([word]) => word.test(group))?.[1]
    const digits = digitsOf(group)
    if (type === undefined || digits.length < 2) return []
    const bytes = new Uint8Array(digits.length >> 1)
    for (let n = 0; n < bytes.length; n += 1) bytes[n] = parseInt(digits.slice(n * 2, n * 2 + 2), 16)
    return [new Blob([bytes], { type })]
  })
}

/** The group that begins at a brace, to the brace that closes it. */
function groupAt(rtf: string, start: number): string {
  let depth = 0
  for (let at = start; at < rtf.length; at += 1) {
    if (rtf[at] === '{') depth += 1
    if (rtf[at] === '}') depth -= 1
    if (depth === 0) return rtf.slice(start, at)
  }
  return ''
}

/** The digits of a picture: what is left without the groups and words that describe it. */
function digitsOf(group: string): string {
  let rest = group.slice(1)
  for (let before = ''; before !== rest;) {
    before = rest
    rest = rest.replace(/\{[^{}]*\}/g, '')
  }
  return rest.replace(/\\[a-z]+-?\d* ?/gi, '').replace(/[^0-9a-f]/gi, '')
}
