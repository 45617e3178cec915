// What the editor does with a text. What may stand in one is the core's schema, given to it as `schemaSpec`.
import { Extension, Node } from '@tiptap/core'
import type { Extensions } from '@tiptap/core'
import { Link } from '@tiptap/extension-link'
import { OrderedList } from '@tiptap/extension-list'
import { Placeholder } from '@tiptap/extensions'
import { Fragment, Slice } from '@tiptap/pm/model'
import type { Node as TextNode } from '@tiptap/pm/model'
import { Plugin } from '@tiptap/pm/state'
import { StarterKit } from '@tiptap/starter-kit'
import { DEEPEST_TEXT, isLinkAddress, textNodes } from '@valise/core/pages'

function tableNode(name: 'table' | 'tableRow' | 'tableHeader' | 'tableCell') {
  const [tag] = textNodes[name].html()
  return Node.create({ name, parseHTML: () => [{ tag }], renderHTML: () => [tag, 0] })
}

/** A pasted list that does not begin with a number of ours begins with one. */
const NumberedList = OrderedList.extend({
  addAttributes: () => ({
    start: {
      default: 1,
      parseHTML: (element: HTMLElement) => {
        const start = Number(element.getAttribute('start') ?? 1)
        return Number.isSafeInteger(start) ? start : 1
      },
      renderHTML: ({ start }: Record<string, unknown>) => (start === 1 ? {} : { start }),
    },
  }),
})

/**
 * Keeps lists and quotes from lying deeper within each other than a text may: a step that would do so does nothing,
 * and of what is pasted the words come in as plain blocks.
 */
const LimitedDepth = Extension.create({
  name: 'limitedDepth',
  addProseMirrorPlugins: () => [
    new Plugin({
      filterTransaction: ({ docChanged, doc }) => !docChanged || depthOf(doc.content) <= DEEPEST_TEXT,
      props: {
        transformPasted: (slice, { state }) =>
          state.selection.$from.depth + depthOf(slice.content) > DEEPEST_TEXT ? flattened(slice) : slice,
      },
    }),
  ],
})

/** Levels below a fragment. An empty paragraph counts as if it had words, so that one can always write into it. */
function depthOf(content: Fragment): number {
  let deepest = 0
  content.forEach((child) => {
    deepest = Math.max(deepest, 1 + (child.isTextblock ? 1 : depthOf(child.content)))
  })
  return deepest
}

function flattened({ content }: Slice): Slice {
  const blocks: TextNode[] = []
  content.descendants((node) => {
    if (node.isTextblock) blocks.push(node)
    return !node.isTextblock
  })
  return new Slice(Fragment.from(blocks), 0, 0)
}

export function textExtensions(placeholder: string): Extensions {
  return [
    StarterKit.configure({
      heading: { levels: [2, 3] },
      orderedList: false,
      link: false,
      code: false,
      codeBlock: false,
      horizontalRule: false,
      strike: false,
      underline: false,
      trailingNode: false,
    }),
    NumberedList,
    Link.configure({
      openOnClick: false,
      autolink: true,
      defaultProtocol: 'https',
      isAllowedUri: (address) => isLinkAddress(address),
      HTMLAttributes: { target: null, rel: null, class: null },
    }),
    tableNode('table'),
    tableNode('tableRow'),
    tableNode('tableHeader'),
    tableNode('tableCell'),
    LimitedDepth,
    Placeholder.configure({ placeholder }),
  ]
}
