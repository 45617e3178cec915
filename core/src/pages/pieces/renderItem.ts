// What pieces that show an item have in common: its card, its caption, what is said in it and about it.
import { extensionOf, sizeInWords } from '../../evidence/index.ts'
import { escapeHtml } from '../escapeHtml.ts'
import { pageWords } from '../pageWords.ts'
import { renderText } from '../renderText.ts'
import { textOf } from '../richText.ts'
import type { ShownEvidence } from '../schema.ts'
import type { PageView } from './PieceDefinition.ts'
import { voicesOf } from './showsItem.ts'
import type { ItemPiece } from './showsItem.ts'

export function renderCard(item: ShownEvidence, lang: string, more = ''): string {
  const sort = extensionOf(item.fileName).toUpperCase()
  const facts = [sort, sizeInWords(item.bytes, lang)].filter((fact) => fact !== '').join(', ')
  const title = escapeHtml(item.title || item.fileName)
  return `<div class="file-card"><b>${title}</b><span>${escapeHtml(facts)}</span>${more}</div>`
}

/** The piece's own caption, else the item's, else what stands in for one. */
export function renderCaption(
  { caption }: Pick<ItemPiece, 'caption'>,
  { caption: ofItem = '' }: ShownEvidence,
  otherwise = '',
): string {
  const words = caption || ofItem || otherwise
  return words === '' ? '' : `<figcaption>${escapeHtml(words)}</figcaption>`
}

/** What is said in a recording, for those who do not hear it. */
export function renderTranscript(
  { transcript = '' }: { readonly transcript?: string },
  { lang }: PageView,
): string {
  if (transcript === '') return ''
  const text = renderText(textOf(...transcript.split('\n')))
  return `<details><summary>${pageWords(lang).transcript}</summary>${text}</details>`
}

/** What is said and shown of an item by a voice: to be heard, and its moments and words to be read. */
export function renderVoices({ id }: Pick<ItemPiece, 'id'>, item: ShownEvidence, view: PageView): string {
  const words = pageWords(view.lang)
  const handedOut = voicesOf(item)
  return (item.voices ?? [])
    .map((voice, n) => {
      const label = `${words.voice} ${n + 1}`
      const handOut = handedOut[n]
      const source = handOut ? escapeHtml(view.address(id, handOut)) : ''
      const list = renderMoments(voice.moments)
      const said = renderTranscript(voice, view)
      return `<figure class="voice"><audio src="${source}" controls preload="metadata" aria-label="${label}"></audio><figcaption>${label}</figcaption>${list}${said}</figure>`
    })
    .join('')
}

/** When what is said in a recording, as far as somebody wrote it. */
export function renderMoments(moments: readonly { readonly atMs: number; readonly words: string }[]): string {
  const lines = moments
    .filter(({ words }) => words !== '')
    .map(({ atMs, words }) => `<li><time>${playTime(atMs)}</time> ${escapeHtml(words)}</li>`)
  return lines.length === 0 ? '' : `<ul class="moments">${lines.join('')}</ul>`
}

function playTime(ms: number): string {
  const seconds = Math.floor(ms / 1000)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
