// The picture shelf: licensed pictures with their makers, a search, and the reports that came in.
import { Hono } from 'hono'
import { html } from 'hono/html'
import { standInPage } from '../standInPage.ts'
import { shelfPicture } from './drawShelfPicture.ts'

interface ShelfPicture {
  readonly id: string
  readonly title: string
  readonly maker: string
  readonly licence: string
  readonly shows: string
  /** What it can also be found by. */
  readonly words: string
  /** Not for the youngest. */
  readonly older?: true
}

const pictures: readonly ShelfPicture[] = [
  picture(
    'glasswort-one',
    'Glasswort in September',
    'Ilse Marrow',
    'cc-by-4.0',
    'Red and green stems of glasswort on bare mud.',
    'plant salt marsh autumn',
  ),
  picture(
    'glasswort-two',
    'Young glasswort',
    'Ilse Marrow',
    'cc-by-sa-4.0',
    'Short green stems that come up through grey mud.',
    'plant seedling spring marsh',
  ),
  picture(
    'reed-one',
    'Reeds at the sluice',
    'Teo Vance',
    'cc-by-4.0',
    'Tall reeds with brown heads against a pale sky.',
    'plant water edge',
  ),
  picture(
    'reed-two',
    'Cut reeds',
    'Noor Halvard',
    'cc0-1.0',
    'A stand of reeds, some of them cut short.',
    'plant harvest thatch',
  ),
  picture(
    'tide-one',
    'Spring tide over the causeway',
    'Teo Vance',
    'cc-by-sa-4.0',
    'Waves that run over a low path under a white sun.',
    'water flood sea',
  ),
  picture(
    'tide-two',
    'Slack water',
    'Noor Halvard',
    'cc-by-nc-4.0',
    'Calm water with small even waves.',
    'sea calm',
  ),
  picture(
    'gull-one',
    'Gulls before rain',
    'Ilse Marrow',
    'public-domain',
    'Five gulls under a grey sky.',
    'bird birds flight',
  ),
  picture(
    'gull-two',
    'Gulls over the wrack',
    'Ada Reed',
    'cc-by-4.0',
    'Gulls that circle low over the tide line.',
    'bird birds strand',
  ),
  picture(
    'crab-one',
    'Shore crab',
    'Ada Reed',
    'cc-by-4.0',
    'A red-brown crab on sand, seen from above.',
    'animal pool crustacean',
  ),
  picture(
    'shell-one',
    'Shells by size',
    'Noor Halvard',
    'cc-by-nc-sa-4.0',
    'Nine pale shells on sand.',
    'cockle mollusc strand',
  ),
  {
    ...picture(
      'gull-three',
      'Dead gull in oil',
      'Ada Reed',
      'cc-by-4.0',
      'Gulls over a strand where oil was washed up.',
      'bird birds pollution',
    ),
    older: true,
  },
  {
    ...picture(
      'crab-two',
      'Crab, opened for study',
      'Teo Vance',
      'cc-by-nd-4.0',
      'A crab whose shell was taken off.',
      'animal anatomy',
    ),
    older: true,
  },
]

function picture(
  id: string,
  title: string,
  maker: string,
  licence: string,
  shows: string,
  words: string,
): ShelfPicture {
  return { id, title, maker, licence, shows, words }
}

/** The names under which the shelf's pictures are drawn. */
export const shelfPictureNames = pictures.map(({ id }) => id)

export function makeShelf(): Hono {
  const shelf = new Hono()
  const reports: { readonly title: string; readonly words: string }[] = []
  const seenBy = (reach: string | undefined) => pictures.filter(({ older }) => reach !== 'young' || !older)
  const find = (id: string, reach?: string) => seenBy(reach).find((one) => one.id === id)

  shelf.get('/', (c) => c.html(shelfPage(reports)))
  shelf.get('/api/pictures', (c) => {
    const wanted = (c.req.query('words') ?? '').toLowerCase().split(/\s+/).filter(Boolean)
    const found = seenBy(c.req.query('reach')).filter(({ title, maker, shows, words }) => {
      const text = `${title} ${maker} ${shows} ${words}`.toLowerCase()
      return wanted.every((word) => text.includes(word))
    })
    return c.json({ pictures: found.map((one) => toAnswer(one, c.req.url)) })
  })
  shelf.get('/api/pictures/:id', (c) => {
    const found = find(c.req.param('id'), c.req.query('reach'))
    return found ? c.json(toAnswer(found, c.req.url)) : c.notFound()
  })
  shelf.get('/api/pictures/:id/:size', async (c) => {
    const found = find(c.req.param('id'))
    if (!found) return c.notFound()
    const content = await shelfPicture(found.id, c.req.param('size') === 'small' ? 480 : undefined)
    if (!content) return c.notFound()
    return c.body(new Uint8Array(content), 200, { 'content-type': 'image/jpeg' })
  })
  shelf.post('/api/pictures/:id/reports', async (c) => {
    const found = find(c.req.param('id'))
    if (!found) return c.notFound()
    const { words } = await c.req.json<{ words: string }>()
    reports.unshift({ title: found.title, words })
    return c.body(null, 204)
  })
  return shelf
}

function toAnswer({ id, title, maker, licence, shows }: ShelfPicture, address: string) {
  const source = `${new URL(address).origin}/shelf#${id}`
  return { id, title, maker, licence, shows, source, width: 1000, height: 750 }
}

function shelfPage(reports: readonly { readonly title: string; readonly words: string }[]) {
  return standInPage(
    'Picture shelf (simulated)',
    html`<h1>Picture shelf</h1>
      <h2>Reports</h2>
      ${reports.length === 0 ? html`<p>Nobody reported a picture.</p>` : ''}
      ${reports.map(
        ({ title, words }) =>
          html`<article>
            <h2>${title}</h2>
            <p>${words}</p>
          </article>`,
      )}
      <h2>Pictures</h2>
      ${pictures.map(
        ({ id, title, maker, licence }) =>
          html`<article id="${id}">
            <h2>${title}</h2>
            <p class="to">${maker}, ${licence}</p>
            <img src="/shelf/api/pictures/${id}/small" alt="${title}" width="240" />
          </article>`,
      )}`,
  )
}
