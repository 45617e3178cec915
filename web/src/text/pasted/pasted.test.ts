// What is pasted into a text: what it keeps, what it leaves behind, and the pictures that come with it.
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals'
import { Editor } from '@tiptap/core'
import { faultOfText, renderText, textOf, textSchema } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import { fakeDocument } from '../../testing/fakeDocument.ts'
import { textExtensions } from '../textExtensions.ts'
import { cleanPasted } from './cleanPasted.ts'
import { picturesIn } from './pastedPictures.ts'
import { picturesInRtf } from './picturesInRtf.ts'

let restore: () => void
beforeAll(() => {
  restore = fakeDocument()
})
afterAll(() => restore())

function shownOf(html: string): string {
  const editor = new Editor({
    element: document.createElement('div'),
    extensions: textExtensions(''),
    schemaSpec: textSchema().spec,
    content: textOf(''),
    injectCSS: false,
  })
  editor.view.pasteHTML(cleanPasted(html), new Event('paste') as ClipboardEvent)
  const text = editor.getJSON() as RichText
  editor.destroy()
  expect(faultOfText(text)).toBeNull()
  return renderText(text)
}

const line = (level: number, mark: string, words: string) =>
  `<p class=MsoListParagraph style='margin-left:36pt;text-indent:-18pt;mso-list:l0 level${level} lfo1'>` +
  `<![if !supportLists]><span style='mso-list:Ignore'>${mark}<span style='font:7pt "Times"'>&nbsp; </span></span><![endif]>` +
  `<span lang=EN-GB style='mso-ansi-language:EN-GB'>${words}<o:p></o:p></span></p>`

const ofAWordProcessor = `<html xmlns:o="urn:x"><head><style>p.MsoNormal {mso-style-unhide:no; margin:0cm}</style></head><body>
<!--StartFragment--><p class=MsoTitle>Field report<o:p></o:p></p>
<h2 style='mso-list:none'>Method</h2><p class=MsoNormal style='margin:0cm;font-family:Calibri'>We <b style='mso-bidi-font-weight:normal'>walked</b> it, see <a href="https://marsh.example/map">the map</a>.</p>
<p class=MsoNormal><o:p>&nbsp;</o:p></p>
${line(1, '·', 'boots')}${line(2, 'o', 'wet ones')}${line(1, '·', 'a rope')}
<p class=MsoNormal>Then:</p>${line(1, '1.', 'walk')}${line(1, '2.', 'count')}
<table class=MsoTableGrid border=1 style='mso-yfti-tbllook:1184'><tr><td width=10 style='mso-border-alt:solid'><p class=MsoNormal>41<o:p></o:p></p></td></tr></table><!--EndFragment--></body></html>`

describe('text of a word processor', () => {
  it('keeps headings, lists within lists, links, bold and tables', () => {
    const shown = shownOf(ofAWordProcessor)
    expect(shown).toContain('<h2>Field report</h2><h3>Method</h3>')
    expect(shown).toContain('<strong>walked</strong>')
    expect(shown).toContain('href="https://marsh.example/map"')
    expect(shown).toContain(
      '<ul><li><p>boots</p><ul><li><p>wet ones</p></li></ul></li><li><p>a rope</p></li></ul><p>Then:</p>',
    )
    expect(shown).toContain('<ol><li><p>walk</p></li><li><p>count</p></li></ol>')
    expect(shown).toContain('<table><tr><td><p>41</p></td></tr></table>')
  })

  it('leaves every style of the program behind, and the marks and room that it made by hand', () => {
    const shown = shownOf(ofAWordProcessor)
    expect(shown).not.toMatch(/mso|style=|class=|o:p|font|margin|·|\u00a0|<p><\/p>/i)
  })

  it('takes in a list whose inner list lies beside its line', () => {
    const shown = shownOf('<ul><li>boots</li><ul><li>wet ones</li></ul><li>a rope</li></ul>')
    expect(shown).toBe(
      '<ul><li><p>boots</p><ul><li><p>wet ones</p></li></ul></li><li><p>a rope</p></li></ul>',
    )
  })

  it('ranks headings from the highest that it has', () => {
    expect(shownOf('<h3>One</h3><h5>Two</h5><h3>Three</h3>')).toBe('<h2>One</h2><h3>Two</h3><h2>Three</h2>')
  })
})

const png = [137, 80, 78, 71]
const inBase64 = btoa(String.fromCharCode(...png))
const inHex = png.map((byte) => byte.toString(16).padStart(2, '0')).join('')
const rtfOf = (word: string) =>
  String.raw`{\pict{\*\picprop\shplid1{\sp{\sn a}{\sv 1}}}\picw32\pich32${word}` + ` \n${inHex}}`

const clipboard = (types: Readonly<Record<string, string>>, files: readonly File[] = []) => ({
  getData: (type: string) => types[type] ?? '',
  files,
})
const bytesOf = async (file: Blob | undefined) => [
  ...new Uint8Array((await file?.arrayBuffer()) ?? new ArrayBuffer(0)),
]

describe('pasted pictures', () => {
  it('are files, named by their description', async () => {
    const html = `<p>a</p><img alt="Stake 2: visit 1" src="data:image/png;base64,${inBase64}">`
    const { files, lost, isAll } = picturesIn(clipboard({ 'text/html': html }))
    expect(files.map(({ name, type }) => [name, type])).toEqual([['Stake 2 visit 1.png', 'image/png']])
    expect(await bytesOf(files[0])).toEqual(png)
    expect([lost, isAll]).toEqual([0, false])
  })

  it('are found in the other form of the text where the HTML only points at files of the device', async () => {
    const html = '<img src="file:///C:/x/image001.png"><img src="file:///C:/x/image002.jpg">'
    const rtf = `{\\rtf1{\\*\\shppict${rtfOf('\\pngblip')}}{\\nonshppict${rtfOf('\\pngblip')}}{\\*\\shppict${rtfOf('\\jpegblip')}}}`
    const { files, lost } = picturesIn(clipboard({ 'text/html': html, 'text/rtf': rtf }))
    expect(files.map(({ name }) => name)).toEqual(['pasted-1.png', 'pasted-2.jpg'])
    expect(await bytesOf(files[1])).toEqual(png)
    expect(lost).toBe(0)
  })

  it('are said to be lost where only their address came', () => {
    const html = '<img src="https://marsh.example/a.png"><img src="data:image/png;base64,***">'
    expect(picturesIn(clipboard({ 'text/html': html }))).toEqual({ files: [], lost: 2, isAll: true })
  })

  it('are taken as they are where nothing but a picture was copied', () => {
    const file = new File(['x'], 'shot.png', { type: 'image/png' })
    expect(picturesIn(clipboard({}, [file])).files).toEqual([file])
    expect(
      picturesIn(clipboard({ 'text/html': '<img src="https://marsh.example/a.png">' }, [file])).files,
    ).toEqual([file])
  })

  it('are none in a text that is cut off', () => {
    expect(picturesInRtf(`{\\rtf1{\\pict\\pngblip ${inHex}`)).toEqual([])
  })
})
