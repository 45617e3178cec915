// The shared drive: folders and documents that are written on, taken away and given back from its own page.
import { Hono } from 'hono'
import { html } from 'hono/html'
import { standInPage } from '../standInPage.ts'

interface Document {
  readonly id: string
  readonly folderId: string
  readonly name: string
  readonly mime: string
  lines: string[]
  /** What is written next, when somebody presses the button. */
  readonly next: string[]
  changedAt: string
  isShut: boolean
}

const folders = [
  { id: 'shore-methods', name: 'Shore Methods' },
  { id: 'line-3', name: 'Line 3', parent: 'shore-methods' },
  { id: 'office', name: 'College office' },
] as const

/**
 * Makes the drive. @param now the time at which documents were last written
 */
export function makeDrive(now: () => string): Hono {
  const drive = new Hono()
  const documents = sampleDocuments(now())
  const inFolder = (id: string | null) =>
    folders.filter((one) => ('parent' in one ? one.parent : null) === id)

  drive.get('/', (c) => c.html(drivePage(documents)))
  drive.post('/documents/:id/:act', (c) => {
    const found = documents.find(({ id }) => id === c.req.param('id'))
    if (!found) return c.notFound()
    const act = c.req.param('act')
    if (act === 'write') {
      found.lines.push(found.next.shift() ?? `Visit ${found.lines.length}, nothing new`)
      found.changedAt = now()
    }
    if (act === 'shut' || act === 'open') found.isShut = act === 'shut'
    return c.redirect('/drive', 303)
  })

  drive.get('/api/folders/:id', (c) => {
    const id = c.req.param('id') === 'top' ? null : c.req.param('id')
    const folder = folders.find((one) => one.id === id)
    if (id !== null && !folder) return c.notFound()
    const parent = folder && 'parent' in folder ? folders.find((one) => one.id === folder.parent) : undefined
    const top = { id: null, name: 'Shared drive' }
    return c.json({
      id,
      name: folder?.name ?? top.name,
      above: id === null ? [] : [top, ...(parent ? [{ id: parent.id, name: parent.name }] : [])],
      folders: inFolder(id).map((one) => ({ id: one.id, name: one.name })),
      documents: documents.filter((one) => one.folderId === (id ?? 'top') && !one.isShut).map(toAnswer),
    })
  })
  drive.get('/api/documents/:id', (c) => {
    const found = documents.find(({ id }) => id === c.req.param('id'))
    if (!found) return c.notFound()
    return found.isShut ? c.text('not for you', 403) : c.json(toAnswer(found))
  })
  drive.get('/api/documents/:id/content', (c) => {
    const found = documents.find(({ id }) => id === c.req.param('id'))
    if (!found) return c.notFound()
    if (found.isShut) return c.text('not for you', 403)
    return c.body(contentOf(found), 200, { 'content-type': found.mime })
  })
  return drive
}

function toAnswer(document: Document) {
  const { id, name, mime, changedAt } = document
  const bytes = Buffer.byteLength(contentOf(document))
  return { id, name, mime, bytes, revision: String(document.lines.length), changedAt }
}

const contentOf = ({ lines }: Document) => `${lines.join('\n')}\n`

function sampleDocuments(changedAt: string): Document[] {
  const more = { changedAt, isShut: false }
  return [
    {
      ...more,
      id: 'crew-log',
      folderId: 'line-3',
      name: 'Crew log, line 3.txt',
      mime: 'text/plain',
      lines: [
        'Crew log, line 3',
        'Visit 1: eleven stakes set, low water at 07:10.',
        'Visit 2: stake 6 leans, silt up by two centimetres.',
      ],
      next: [
        'Visit 3: stake 6 set again, glasswort at stakes 4 and 5.',
        'Visit 4: after the storm, bank holds, silt up by four centimetres.',
      ],
    },
    {
      ...more,
      id: 'silt-depths',
      folderId: 'line-3',
      name: 'Silt depths.csv',
      mime: 'text/csv',
      lines: ['stake,visit,depth cm', '1,1,4.0', '2,1,4.2', '3,1,3.9', '1,2,4.6', '2,2,5.1', '3,2,4.4'],
      next: ['1,3,5.0', '2,3,5.8'],
    },
    {
      ...more,
      id: 'crew-rules',
      folderId: 'shore-methods',
      name: 'Rules of the line.txt',
      mime: 'text/plain',
      lines: ['Rules of the line', 'Nobody walks alone.', 'Whoever counts does not carry.'],
      next: ['Boots are washed before and after.'],
    },
    {
      ...more,
      id: 'boat-times',
      folderId: 'top',
      name: 'Boat times.txt',
      mime: 'text/plain',
      lines: ['Boat times', 'Out 06:40, back 11:20'],
      next: ['No boat on Friday.'],
    },
  ]
}

function drivePage(documents: readonly Document[]) {
  const button = ({ id }: Document, act: string, label: string) =>
    html`<form method="post" action="/drive/documents/${id}/${act}"><button>${label}</button></form> `
  return standInPage(
    'Shared drive (simulated)',
    html`<h1>Shared drive</h1>
      <p>Write on in a document, or take it away from everybody, and see what Valise says.</p>
      ${documents.map(
        (one) =>
          html`<article>
            <h2>${one.name}</h2>
            <p class="to">Written ${one.changedAt.slice(0, 16).replace('T', ' ')} UTC</p>
            <pre>${one.lines.join('\n')}</pre>
            ${button(one, 'write', 'Write the next line')}
            ${one.isShut ? button(one, 'open', 'Give access back') : button(one, 'shut', 'Take access away')}
          </article>`,
      )}`,
  )
}
