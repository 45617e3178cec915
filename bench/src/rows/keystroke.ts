// Main-thread time per key on a page of 60 pieces, against a bare editor of the same library with the same text.
import { createServer } from 'node:http'
import { readFile } from 'node:fs/promises'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import type { BrowserContext } from '@playwright/test'
import { withPlainBuild } from '../buildPlain.ts'
import { compare } from '../compare.ts'
import type { Row } from '../compare.ts'
import { withDemoSite } from '../demoSite.ts'
import { typingTime, writerOf } from '../typing.ts'
import type { Writer } from '../typing.ts'

const PORT = 7494
const PIECES = 60
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
          ours: () => typingTime(ours),
          reference: () => typingTime(reference),
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
