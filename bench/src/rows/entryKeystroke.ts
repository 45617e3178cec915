// Main-thread time per key in an entry of 5,000 words along a sheet, against a bare editor of the same library with the same
// text, inside the same shell.
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import type { BrowserContext } from '@playwright/test'
import { withPlainBuild } from '../buildPlain.ts'
import { compare } from '../compare.ts'
import type { Row } from '../compare.ts'
import { withDemoSite } from '../demoSite.ts'
import { typingTime, writerOf } from '../typing.ts'
import type { Writer } from '../typing.ts'

const PORT = 7495
const PARAGRAPHS = 50
/** A hundred words. */
const words = 'Where the bank is bare, the water carries more mud than it does below. '
  .repeat(8)
  .split(' ')
  .slice(0, 100)
  .join(' ')
const text = {
  type: 'doc',
  content: Array.from({ length: PARAGRAPHS }, () => ({
    type: 'paragraph',
    content: [{ type: 'text', text: words }],
  })),
}

const bare = `
import { createRoot } from 'react-dom/client'
import { EditorContent, useEditor } from '@tiptap/react'
import { StarterKit } from '@tiptap/starter-kit'
import { Placeholder } from '@tiptap/extensions'
function Page() {
  const editor = useEditor({
    extensions: [StarterKit, Placeholder.configure({ placeholder: 'Write here.' })],
    content: ${JSON.stringify(text)},
    shouldRerenderOnTransaction: false,
  })
  return <EditorContent editor={editor} />
}
createRoot(document.getElementById('bare')).render(<Page />)
`

export function entryKeystroke(): Promise<Row> {
  return withDemoSite({ port: PORT }, (context, address) =>
    withPlainBuild(bare, async (folder) => {
      const ours = await openEntry(context, address)
      const reference = await openBare(context, address, folder)
      return compare({
        name: 'key in an entry of 5,000 words, main thread',
        ...{ limit: 1.5, unit: 'ms a key' },
        ours: () => typingTime(ours),
        reference: () => typingTime(reference),
      })
    }),
  )
}

/** An entry along questions, one of which is answered at length. */
async function openEntry(context: BrowserContext, origin: string): Promise<Writer> {
  const { request } = context
  const headers = { origin }
  const logbook = await (await request.post('/api/logbooks', { data: { title: 'Long' }, headers })).json()
  const sheets: { id: string; questions?: object }[] = await (await request.get('/api/sheets')).json()
  for (const { id: sheetId } of sheets) {
    const data = { day: '2026-11-26', title: '', lang: 'en', sheetId }
    const entry = await (await request.post(`/api/logbooks/${logbook.id}/entries`, { data, headers })).json()
    const rows: { pieces: AnswerPiece[] }[] = entry.draft.document.rows
    const piece = rows.flatMap(({ pieces }) => pieces).find(({ given }) => given?.kind === 'long')
    if (rows.length < 2 || !piece) continue
    const operations = [{ op: 'set-piece', piece: { ...piece, given: { ...piece.given, answer: { text } } } }]
    const ids = { editId: crypto.randomUUID(), windowId: crypto.randomUUID() }
    const edit = { base: entry.draft.revision, ...ids, operations }
    const saved = await request.post(`/api/entries/${entry.id}/edits`, { data: edit, headers })
    if (!saved.ok()) throw new Error(`the text was refused: ${await saved.text()}`)
    const page = await context.newPage()
    await page.goto(`/entries/${entry.id}`)
    const field = page.getByRole('textbox', { name: piece.given.question.asks.en })
    await field.click()
    return writerOf(context, page, page.locator('.ProseMirror').and(field))
  }
  throw new Error('no sheet asks for a long text')
}

interface AnswerPiece {
  readonly given: {
    readonly kind: string
    readonly question: { readonly asks: { readonly en: string } }
  }
}

/** The bare editor at the place of a screen of Valise. */
async function openBare(context: BrowserContext, address: string, folder: string): Promise<Writer> {
  const browser = context.browser()
  const assets = join(folder, 'assets')
  const [script, ...more] = readdirSync(assets).filter((name) => name.endsWith('.js'))
  if (!browser || script === undefined || more.length > 0)
    throw new Error('the bare editor is not one script')
  const { storageState, viewport } = {
    storageState: await context.storageState(),
    viewport: { width: 1280, height: 800 },
  }
  // The shell lets no foreign script in.
  const open = await browser.newContext({ baseURL: address, bypassCSP: true, storageState, viewport })
  const page = await open.newPage()
  await page.goto('/settings')
  await page.locator('main h1').waitFor()
  await page.evaluate(() => {
    const place = document.createElement('div')
    place.id = 'bare'
    document.querySelector('main h1')?.parentElement?.parentElement?.after(place)
  })
  await page.addScriptTag({ path: join(assets, script), type: 'module' })
  return writerOf(open, page)
}
