// Tags: short words an owner puts on things, compared without case, marks or double spaces. A comma parts them.
import { foldText, toPlainLine } from '../people/index.ts'
import { LONGEST_TAG, MOST_TAGS } from './valueLists.ts'

/** Returns the key under which two spellings of a tag are the same. */
export function toTagKey(tag: string): string {
  return foldText(tag)
}

/** Returns the tags trimmed, without empty ones and duplicates (the first spelling wins), at most 30, in order. */
export function cleanTags(tags: readonly string[]): string[] {
  const unique = new Map<string, string>()
  for (const tag of tags.flatMap((one) => one.split(','))) {
    const line = [...toPlainLine(tag)].slice(0, LONGEST_TAG).join('').trim()
    const key = toTagKey(line)
    if (key !== '' && !unique.has(key)) unique.set(key, line)
  }
  return [...unique.values()].slice(0, MOST_TAGS)
}
