// Two windows wrote the title of what is offered, and what it is for: each stands as whoever changed it has it.
import { isSame } from '../json/index.ts'
import type { OfferedContent } from './schema.ts'

/**
 * Merges what the content of everything that is offered begins with. Where both windows changed it, mine stands.
 *
 * @param base what both windows started from
 */
export function mergeFields(
  base: OfferedContent,
  mine: OfferedContent,
  theirs: OfferedContent,
): OfferedContent {
  return {
    title: isSame(mine.title, base.title) ? theirs.title : mine.title,
    about: isSame(mine.about, base.about) ? theirs.about : mine.about,
  }
}
