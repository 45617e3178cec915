// What can be written: the grammar of the core and nothing beside it. What is pasted is cut down to it.
import { Node } from '@tiptap/core'
import { Link } from '@tiptap/extension-link'
import { Placeholder } from '@tiptap/extensions'
import { StarterKit } from '@tiptap/starter-kit'
import type { Extensions } from '@tiptap/react'
import { isLinkAddress } from '@valise/core/pages'

/** A part of a table. Widths and spans of whoever made it stay behind: what survives is the words in their cells. */
function tablePart(name: string, content: string, tag: string, group?: string) {
  return Node.create({
    name,
    content,
    ...(group !== undefined && { group }),
    isolating: true,
    parseHTML: () => [{ tag }],
    renderHTML: () => [tag, 0],
  })
}

/** The core's link knows its address alone; with anything beside it the whole text would not be kept. */
const BareLink = Link.extend({
  addAttributes: () => ({ href: { default: null } }),
})

const cellContent = '(paragraph | bulletList | orderedList)+'

export function textExtensions(placeholder: string): Extensions {
  return [
    StarterKit.configure({
      heading: { levels: [2, 3] },
      link: false,
      code: false,
      codeBlock: false,
      horizontalRule: false,
      strike: false,
      underline: false,
      trailingNode: false,
    }),
    BareLink.configure({
      openOnClick: false,
      autolink: true,
      defaultProtocol: 'https',
      isAllowedUri: (address) => isLinkAddress(address),
      HTMLAttributes: { target: null, rel: null, class: null },
    }),
    tablePart('table', 'tableRow+', 'table', 'block'),
    tablePart('tableRow', '(tableHeader | tableCell)+', 'tr'),
    tablePart('tableHeader', cellContent, 'th'),
    tablePart('tableCell', cellContent, 'td'),
    Placeholder.configure({ placeholder }),
  ]
}
