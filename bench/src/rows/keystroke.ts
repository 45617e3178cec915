// Main-thread time per key on a page of 60 pieces, against a bare editor of the same library with the same text.
import { createServer } from 'node:http'
import { readFile } from 'node:fs/promises'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import type { BrowserContext, CDPSession, Page } from '@playwright/test'
import { withPlainBuild } from '../buildPlain.ts'
import { compare } from '../compare.ts'
import type { Row } from '../compare.ts'
import { withDemoSite } from '../demoSite.ts'

const PORT = 7494
const PIECES = 60
const KEYS = 40
/** A fast writer: about eight keys a second. */
const BETWEEN_KEYS_MS = 120
/** Keeping what was typed belongs to typing, so it is waited for and counted. */
const AFTER_MS = 1500
const words = 'Where the bank is bare, the water carries more mud than below the glasswort. '

const bare = `
import { createRoot } from 'react-dom/client'
import { EditorContent, useEditor } from '@tiptap/react'
import { StarterKit } from '@tiptap/starter-kit'
import { Placeholder } from '@tiptap/extensions'
function Page() {
  const editor = useEditor({
    extensions: [StarterKit, Placeholder.configure({ placeholder: 'Write here.' })],
    content: ${JSON.stringify(`<p>${words}</p>`)},
    shouldRerenderOnTransaction: false,
  })
  return <EditorContent editor={editor} />
}
createRoot(document.getElementById('root')).render(<Page />)
`

interface Writer {
  readonly page: Page
  readonly session: CDPSession
}

export function keystroke(): Promise<Row> {
  return withDemoSite({ port: PORT }, (context, address) =>
    withPlainBuild(bare, (folder) =>
      served(folder, async (plainAddress) => {
        const ours = await openPage(context, address)
        const reference = await openWriter(context, plainAddress)
        return compare({
          name: `key on a page of ${PIECES} pieces, main thread`,
          limit: 1.5,
          unit: 'ms a key',
          ours: () => type(ours),
          reference: () => type(reference),
        })
      }),
    ),
  )
}

async function openPage(context: BrowserContext, origin: string): Promise<Writer> {
  const headers = { origin }
  const begun = await context.request.post('/api/pages', { data: { title: 'Sixty', lang: 'en' }, headers })
  const { id } = await begun.json()
  const operations = Array.from({ length: PIECES }, (_, n) => ({
    op: 'insert-row',
    after: n === 0 ? null : `r${n - 1}`,
    row: {
      id: `r${n}`,
      pieces: [
        {
          id: `p${n}`,
          kind: 'text',
          span: 12,
          lang: null,
          text: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: words }] }] },
        },
      ],
    },
  }))
  const ids = { editId: crypto.randomUUID(), windowId: crypto.randomUUID() }
  await context.request.post(`/api/pages/${id}/edits`, { data: { base: 1, ...ids, operations }, headers })
  const page = await context.newPage()
  await page.goto(`/pages/${id}`)
  await page.locator('[data-choose]').nth(2).click()
  return writerOf(context, page)
}

async function openWriter(context: BrowserContext, address: string): Promise<Writer> {
  const page = await context.newPage()
  await page.goto(address)
  return writerOf(context, page)
}

async function writerOf(context: BrowserContext, page: Page): Promise<Writer> {
  await page.locator('.ProseMirror').click()
  await page.keyboard.press('Control+End')
  const session = await context.newCDPSession(page)
  await session.send('Performance.enable')
  return { page, session }
}

/** Milliseconds of main-thread work for each key, with all that follows from it. */
async function type({ page, session }: Writer): Promise<number> {
  await page.bringToFront()
  await page.locator('.ProseMirror').focus()
  const before = await taskSeconds(session)
  await page.keyboard.type('silt and sand '.repeat(KEYS).slice(0, KEYS), { delay: BETWEEN_KEYS_MS })
  await page.waitForTimeout(AFTER_MS)
  return (((await taskSeconds(session)) - before) * 1000) / KEYS
}

async function taskSeconds(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics')
  return metrics.find(({ name }) => name === 'TaskDuration')?.value ?? Number.NaN
}

/** Serves a folder on a free port of this machine while `use` works. */
async function served<T>(folder: string, use: (address: string) => Promise<T>): Promise<T> {
  const kinds: Record<string, string> = { js: 'text/javascript', css: 'text/css', html: 'text/html' }
  const server = createServer((request, response) => {
    const path = request.url === '/' ? '/index.html' : (request.url ?? '')
    readFile(join(folder, path)).then(
      (content) => {
        const kind = kinds[path.split('.').at(-1) ?? ''] ?? 'application/octet-stream'
        response.writeHead(200, { 'content-type': kind }).end(content)
      },
      () => response.writeHead(404).end(),
    )
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  try {
    // A server that listens on a port has an address with one.
    const { port } = server.address() as AddressInfo
    return await use(`http://127.0.0.1:${port}/`)
  } finally {
    server.close()
  }
}
