import { afterAll, beforeAll, describe, expect, it } from '@jest/globals'
import { Editor } from '@tiptap/core'
import { Selection } from '@tiptap/pm/state'
import { faultOfText, renderText, textOf, textSchema } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import fc from 'fast-check'
import { fakeDocument } from '../testing/fakeDocument.ts'
import { textExtensions } from './textExtensions.ts'

let restore: () => void
beforeAll(() => {
  restore = fakeDocument()
})
afterAll(() => restore())

function open(text: RichText = textOf('')): Editor {
  return new Editor({
    element: document.createElement('div'),
    extensions: textExtensions(''),
    schemaSpec: textSchema().spec,
    content: text,
    injectCSS: false,
  })
}

const press = (editor: Editor, key: string, more: KeyboardEventInit = {}) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })
  editor.view.someProp('handleKeyDown', (handle) => handle(editor.view, event))
}
const type = (editor: Editor, words: string) => {
  for (const character of words) {
    const { from, to } = editor.state.selection
    const insert = () => editor.state.tr.insertText(character, from, to)
    if (
      !editor.view.someProp('handleTextInput', (handle) => handle(editor.view, from, to, character, insert))
    )
      editor.view.dispatch(insert())
  }
}
const paste = (editor: Editor, html: string) =>
  editor.view.pasteHTML(html, new Event('paste') as ClipboardEvent)
const moveTo = (editor: Editor, at: number) =>
  editor.view.dispatch(editor.state.tr.setSelection(Selection.near(editor.state.doc.resolve(at))))
const wholeText = (editor: Editor) => editor.commands.selectAll()

type Act = readonly [name: string, act: (editor: Editor) => unknown]

const pieces = [
  '<p>low <b>water</b> <i>seven</i></p>',
  '<ol type="1" start="4"><li>one</li></ol>',
  '<ol type="a" start="b"><li>one<ul><li>two</li></ul></li></ol>',
  '<ol start="2.5"><li>half</li></ol>',
  '<ul><li><table><tr><td>cell</td></tr></table></li></ul>',
  '<table><thead><tr><th colspan="2">a</th></tr></thead><tr><td><h2>b</h2></td><td><table><tr><td>c</td></tr></table></td></tr></table>',
  '<h1>one</h1><h2>two</h2><h3 style="color:red">three</h3><h4>four</h4>',
  '<a href="https://harbour.example/x" target="_blank" title="t">link</a> <a href="javascript:alert(1)">no</a>',
  `<a href="https://harbour.example/${'x'.repeat(2100)}">long</a>`,
  '<b>bold<br>break</b><img src="https://harbour.example/a.png"><hr><pre><code>code</code></pre>',
  `${'<blockquote>'.repeat(9)}deep${'</blockquote>'.repeat(9)}`,
  `${'<ul><li>'.repeat(9)}deep${'</li></ul>'.repeat(9)}`,
  '<div><span style="font-weight:700">a</span>\u00a0<span style="font-style:italic">b</span></div>',
  'plain & <script>alert(1)</script>',
  '<dl><dt>a</dt><dd>b</dd></dl><details><summary>c</summary>d</details>',
]
const acts: readonly Act[] = [
  ...[
    'silt ',
    '# ',
    '> ',
    '1. ',
    '- ',
    '**bold** ',
    '_slant_ ',
    'https://harbour.example ',
    'a.example ',
  ].map((words): Act => [`types ${words}`, (editor) => type(editor, words)]),
  ...pieces.map((html): Act => [`pastes ${html.slice(0, 40)}`, (editor) => paste(editor, html)]),
  ['presses Enter', (editor) => press(editor, 'Enter')],
  ['presses Shift+Enter', (editor) => press(editor, 'Enter', { shiftKey: true })],
  ['presses Tab', (editor) => press(editor, 'Tab')],
  ['presses Shift+Tab', (editor) => press(editor, 'Tab', { shiftKey: true })],
  ['presses Backspace', (editor) => press(editor, 'Backspace')],
  ['selects all', wholeText],
  ['goes to the end', (editor) => moveTo(editor, editor.state.doc.content.size)],
  ['goes to the middle', (editor) => moveTo(editor, editor.state.doc.content.size >> 1)],
  ['toggles bold', (editor) => editor.commands.toggleBold()],
  ['toggles italic', (editor) => editor.commands.toggleItalic()],
  ['makes a heading', (editor) => editor.commands.setHeading({ level: 3 })],
  ['toggles bullets', (editor) => editor.commands.toggleBulletList()],
  ['toggles numbers', (editor) => editor.commands.toggleOrderedList()],
  ['toggles a quote', (editor) => editor.commands.toggleBlockquote()],
  ['sets a link', (editor) => editor.commands.setLink({ href: 'https://harbour.example/' })],
  ['sets a link that runs', (editor) => editor.commands.setLink({ href: 'javascript:alert(1)' })],
  ['removes a link', (editor) => editor.commands.unsetLink()],
  ['undoes', (editor) => editor.commands.undo()],
]

describe('what the editor writes', () => {
  it('is a text that the core takes, whatever is typed, pasted and toggled', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(acts.length - 1), { minLength: 1, maxLength: 30 }), (chosen) => {
        const editor = open()
        for (const at of chosen) {
          acts[at]?.[1](editor)
          const written = editor.getJSON()
          const fault = faultOfText(written)
          if (fault !== null) {
            const names = chosen.map((one) => acts[one]?.[0]).join(', ')
            throw new Error(`${fault} after ${names}: ${JSON.stringify(written)}`)
          }
        }
        editor.destroy()
      }),
      { numRuns: 150, seed: 16 },
    )
  })

  it('keeps a mark on a line break', () => {
    const editor = open()
    type(editor, 'low')
    press(editor, 'Enter', { shiftKey: true })
    type(editor, 'water')
    wholeText(editor)
    editor.commands.toggleBold()
    const text = editor.getJSON() as RichText
    expect(faultOfText(text)).toBeNull()
    expect(renderText(text)).toBe('<p><strong>low</strong><strong><br></strong><strong>water</strong></p>')
  })

  it.each([
    ['a numbered list of another kind', '<ol type="1"><li>one</li></ol>', '<ol><li><p>one</p></li></ol>'],
    [
      'a table within a list',
      '<ul><li><table><tr><td>cell</td></tr></table></li></ul>',
      '<ul><li><table><tr><td><p>cell</p></td></tr></table></li></ul>',
    ],
  ])('takes in %s', (_, html, shown) => {
    const editor = open()
    paste(editor, html)
    expect(renderText(editor.getJSON() as RichText)).toContain(shown)
  })

  it('stays as deep as a text may be, with every word that was pasted', () => {
    const editor = open()
    paste(editor, `${'<blockquote>'.repeat(40)}deep${'</blockquote>'.repeat(40)}`)
    expect(editor.getText()).toContain('deep')
    for (let times = 0; times < 40; times += 1) editor.commands.setBlockquote()
    type(editor, ' water')
    expect(faultOfText(editor.getJSON())).toBeNull()
    expect(editor.getText()).toContain('water')
  })
})
