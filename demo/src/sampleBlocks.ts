// Short ways of saying what stands on a sample page: words, and things by their titles.
import { emptyText } from '@valise/core/pages'
import type { EntryChoice, RichNode, RichText } from '@valise/core/pages'

export type SampleBlock =
  | { readonly kind: 'text'; readonly text: RichText; readonly span: number }
  | {
      readonly kind: 'thing'
      /** The title of the evidence. */
      readonly title: string
      readonly span: number
      readonly alternativeText: string
      readonly caption: string
    }
  | { readonly kind: 'entry'; readonly title: string }
  | { readonly kind: 'logbook'; readonly title: string; readonly order: EntryChoice['order'] }
  | { readonly kind: 'line' }

/** Parses paragraphs; `# ` starts a heading, `- ` a list item, `> ` a quote, and _words_ are italic. */
export function text(source: string, span = 12): SampleBlock {
  return { kind: 'text', text: richTextOf(source), span }
}

export function thing(title: string, alternativeText: string, caption = '', span = 6): SampleBlock {
  return { kind: 'thing', title, alternativeText, caption, span }
}

export function entry(title: string): SampleBlock {
  return { kind: 'entry', title }
}

export function logbook(title: string, order: EntryChoice['order']): SampleBlock {
  return { kind: 'logbook', title, order }
}

export const line: SampleBlock = { kind: 'line' }

export function richTextOf(source: string): RichText {
  const content: RichNode[] = []
  for (const line of source.split('\n').filter((one) => one !== '')) {
    const last = content.at(-1)
    if (line.startsWith('# '))
      content.push({ type: 'heading', attrs: { level: 2 }, content: inline(line.slice(2)) })
    else if (line.startsWith('> ')) content.push({ type: 'blockquote', content: [paragraph(line.slice(2))] })
    else if (line.startsWith('- ')) {
      const item = { type: 'listItem', content: [paragraph(line.slice(2))] }
      if (last?.type === 'bulletList') last.content?.push(item)
      else content.push({ type: 'bulletList', content: [item] })
    } else content.push(paragraph(line))
  }
  return content.length > 0 ? { type: 'doc', content } : emptyText
}

function paragraph(source: string): RichNode {
  return { type: 'paragraph', content: inline(source) }
}

function inline(source: string): RichNode[] {
  return source.split('_').flatMap((line, n): RichNode[] => {
    if (line === '') return []
    return [{ type: 'text', text: line, ...(n % 2 === 1 && { marks: [{ type: 'italic' as const }] }) }]
  })
}
