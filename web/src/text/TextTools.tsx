// The buttons of the text editor: bold, italic, heading, lists, quote, link.
import { useEditorState } from '@tiptap/react'
import type { Editor } from '@tiptap/react'
import {
  IconBlockquote,
  IconBold,
  IconHeading,
  IconItalic,
  IconLink,
  IconList,
  IconListNumbers,
} from '@tabler/icons-react'
import { isLinkAddress } from '@valise/core/pages'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import styles from './TextTools.module.css'

export function TextTools({ editor }: { readonly editor: Editor }) {
  const { t } = useTranslation('pages')
  const [isLinking, setIsLinking] = useState(false)
  const on = useEditorState({
    editor,
    selector: ({ editor: present }) => ({
      bold: present.isActive('bold'),
      italic: present.isActive('italic'),
      heading: present.isActive('heading'),
      bullets: present.isActive('bulletList'),
      numbers: present.isActive('orderedList'),
      quote: present.isActive('blockquote'),
      link: present.isActive('link'),
    }),
  })
  const chain = () => editor.chain().focus()
  /** No heading, a heading, a smaller one, none again. */
  const turnHeading = () => {
    if (editor.isActive('heading', { level: 2 })) chain().setHeading({ level: 3 }).run()
    else if (editor.isActive('heading', { level: 3 })) chain().setParagraph().run()
    else chain().setHeading({ level: 2 }).run()
  }
  const tools = [
    ['bold', IconBold, () => chain().toggleBold().run()],
    ['italic', IconItalic, () => chain().toggleItalic().run()],
    ['heading', IconHeading, turnHeading],
    ['bullets', IconList, () => chain().toggleBulletList().run()],
    ['numbers', IconListNumbers, () => chain().toggleOrderedList().run()],
    ['quote', IconBlockquote, () => chain().toggleBlockquote().run()],
    ['link', IconLink, () => setIsLinking((before) => !before)],
  ] as const
  return (
    <span className={styles.tools} role="group" aria-label={t('tools.label')}>
      {tools.map(([name, ToolIcon, onClick]) => (
        <button
          key={name}
          type="button"
          aria-pressed={on[name]}
          aria-label={t(`tools.${name}`)}
          title={t(`tools.${name}`)}
          // The selection in the text stays while its button is pressed.
          onMouseDown={(event) => event.preventDefault()}
          onClick={onClick}
        >
          <ToolIcon size={16} stroke={1.8} aria-hidden="true" />
        </button>
      ))}
      {isLinking ? <LinkField editor={editor} onClose={() => setIsLinking(false)} /> : null}
    </span>
  )
}

function LinkField({ editor, onClose }: { readonly editor: Editor; readonly onClose: () => void }) {
  const { t } = useTranslation('pages')
  const [address, setAddress] = useState(String(editor.getAttributes('link')['href'] ?? ''))
  const [isWrong, setIsWrong] = useState(false)
  const save = () => {
    const wanted = address.trim()
    const chain = editor.chain().focus().extendMarkRange('link')
    if (wanted === '') chain.unsetLink().run()
    else {
      const href = /^[a-z][a-z0-9+.-]*:/i.test(wanted) ? wanted : `https://${wanted}`
      if (!isLinkAddress(href)) return setIsWrong(true)
      if (editor.state.selection.empty && !editor.isActive('link'))
        chain.insertContent({ type: 'text', text: wanted, marks: [{ type: 'link', attrs: { href } }] }).run()
      else chain.setLink({ href }).run()
    }
    onClose()
  }
  return (
    <span className={styles.link}>
      <label>
        {t('tools.address')}
        <input
          autoFocus
          type="text"
          inputMode="url"
          value={address}
          aria-invalid={isWrong}
          onChange={(event) => {
            setAddress(event.target.value)
            setIsWrong(false)
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') save()
            else if (event.key === 'Escape') onClose()
            else return
            event.preventDefault()
            // It closes this field, and not the piece as well.
            event.stopPropagation()
          }}
        />
      </label>
      <button type="button" onClick={save}>
        {address.trim() === '' ? t('tools.unlink') : t('tools.setLink')}
      </button>
      {isWrong ? <em role="alert">{t('tools.notALink')}</em> : null}
    </span>
  )
}
