// What can be written: the grammar of the core and nothing beside it. What is pasted is cut down to it.
import { Placeholder } from '@tiptap/extensions'
import { StarterKit } from '@tiptap/starter-kit'
import type { Extensions } from '@tiptap/react'
import { isLinkAddress } from '@valise/core/pages'

export function textExtensions(placeholder: string): Extensions {
  return [
    StarterKit.configure({
      heading: { levels: [2, 3] },
      link: {
        openOnClick: false,
        autolink: true,
        defaultProtocol: 'https',
        isAllowedUri: (address) => isLinkAddress(address),
        // The core's link knows its address alone.
        HTMLAttributes: { target: null, rel: null, class: null },
      },
      code: false,
      codeBlock: false,
      horizontalRule: false,
      strike: false,
      underline: false,
      trailingNode: false,
    }),
    Placeholder.configure({ placeholder }),
  ]
}
