// What stands in place of a thing that is no longer shown.
import { pageWords } from '../pageWords.ts'
import type { PageView } from './PieceDefinition.ts'

export function renderGone({ lang }: Pick<PageView, 'lang'>): string {
  return `<p class="gone">${pageWords(lang).gone}</p>`
}
