// The made-up web: a film house, a laboratory with tools to play with, a gazette, and addresses that misbehave.
import { readFile } from 'node:fs/promises'
import { Hono } from 'hono'
import { html } from 'hono/html'
import { standInPage } from '../standInPage.ts'
import { shelfPicture } from '../picture-shelf/drawShelfPicture.ts'

export interface MadeUpHost {
  readonly name: string
  readonly kind: 'player' | 'embed'
  readonly page: string
  readonly frame: string
  readonly oembed?: string
}

/** Returns the sites whose films and tools may be framed, at the address of the simulated services. */
export function madeUpHosts(origin: string): MadeUpHost[] {
  return [
    {
      name: 'Tide Hall',
      kind: 'player',
      page: `${origin}/web/tide-hall/films/{id}`,
      frame: `${origin}/web/tide-hall/player/{id}`,
      oembed: `${origin}/web/tide-hall/oembed`,
    },
    {
      name: 'Marsh Lab',
      kind: 'embed',
      page: `${origin}/web/marsh-lab/tools/{id}`,
      frame: `${origin}/web/marsh-lab/frame/{id}`,
    },
  ]
}

const films: Readonly<Record<string, { readonly title: string; readonly about: string }>> = {
  'walking-a-transect': {
    title: 'Walking a transect, step by step',
    about: 'Two people, one line, eleven stakes: how a crew walks a line without trampling what it counts.',
  },
}

const tools: Readonly<Record<string, { readonly title: string; readonly about: string }>> = {
  'tide-clock': {
    title: 'The tide clock',
    about: 'Turn the hours and see how high the water stands at the weir.',
  },
}

const articles: Readonly<Record<string, { readonly title: string; readonly about: string }>> = {
  'glasswort-returns': {
    title: 'Glasswort returns to the low marsh',
    about: 'After nine winters without it, the red stems stand again along the creek of Marram Bay.',
  },
}

/** The names under which the sites' pictures are drawn. */
export const webPictureNames = ['tide', 'reed', 'glasswort']

/**
 * Makes the web sites. @param film the file that the film site plays
 */
export function makeWeb(film: URL): Hono {
  const web = new Hono()
  web.get('/', (c) => c.html(listOfSites()))

  web.get('/tide-hall/films/:id', (c) => {
    const found = films[c.req.param('id')]
    if (!found) return c.notFound()
    const player = html`<video controls src="/web/tide-hall/film.webm"></video>`
    return c.html(described('Tide Hall', found, 'tide', player))
  })
  web.get('/tide-hall/player/:id', (c) =>
    c.html(
      html`<!doctype html>
        <title>Tide Hall player</title>
        <link rel="stylesheet" href="/stand-ins.css" />
        <video controls autoplay src="/web/tide-hall/film.webm"></video>`,
    ),
  )
  web.get('/tide-hall/film.webm', async (c) =>
    c.body(new Uint8Array(await readFile(film)), 200, { 'content-type': 'video/webm' }),
  )
  web.get('/tide-hall/oembed', (c) => {
    const id = new URL(c.req.query('url') ?? 'http://nowhere.example').pathname.split('/').at(-1) ?? ''
    const found = films[id]
    if (!found) return c.notFound()
    const { origin } = new URL(c.req.url)
    return c.json({
      version: '1.0',
      type: 'video',
      title: found.title,
      provider_name: 'Tide Hall',
      thumbnail_url: `${origin}/web/pictures/tide.jpg`,
      // What a careless reader would put straight into its page.
      html: '<script>document.title = "taken over"</script>',
      width: 640,
      height: 360,
    })
  })

  web.get('/marsh-lab/tools/:id', (c) => {
    const found = tools[c.req.param('id')]
    return found ? c.html(described('Marsh Lab', found, 'reed', html``)) : c.notFound()
  })
  web.get('/marsh-lab/frame/:id', (c) => c.html(tideClock()))
  web.get('/marsh-lab/tide-clock.js', (c) =>
    c.body(tideClockProgram, 200, { 'content-type': 'text/javascript' }),
  )

  web.get('/gazette/:slug', (c) => {
    const found = articles[c.req.param('slug')]
    return found ? c.html(described('The Marram Gazette', found, 'glasswort', html``)) : c.notFound()
  })
  web.get('/pictures/:file', async (c) => {
    const content = await shelfPicture(c.req.param('file').replace('.jpg', ''))
    if (!content) return c.notFound()
    return c.body(new Uint8Array(content), 200, { 'content-type': 'image/jpeg' })
  })

  // Addresses that misbehave, each in its own way.
  web.get('/slow', async (c) => {
    await new Promise((resolve) => setTimeout(resolve, 20_000))
    return c.text('at last')
  })
  web.get('/blocked', (c) => c.text('Blocked by the network of the school.', 451))
  web.get('/leads-inside', (c) => c.redirect('http://10.0.0.1/secrets', 302))
  return web
}

function listOfSites() {
  const links = [
    ['Tide Hall, a film', '/web/tide-hall/films/walking-a-transect'],
    ['Marsh Lab, a tool to play with', '/web/marsh-lab/tools/tide-clock'],
    ['The Marram Gazette, an article', '/web/gazette/glasswort-returns'],
    ['An address where nothing is', '/web/nowhere'],
    ['An address that takes too long', '/web/slow'],
    ['An address that the network of the school blocks', '/web/blocked'],
    ['An address that leads inside', '/web/leads-inside'],
  ]
  return standInPage(
    'The made-up web (simulated)',
    html`<h1>The made-up web</h1>
      <ul>
        ${links.map(([name, path]) => html`<li><a href="${path}">${name}</a></li>`)}
      </ul>`,
  )
}

function described(
  site: string,
  { title, about }: { readonly title: string; readonly about: string },
  picture: string,
  content: ReturnType<typeof html>,
) {
  return standInPage(
    title,
    html`<h1>${title}</h1>
      <p>${about}</p>
      ${content}`,
    html`<meta property="og:title" content="${title}" />
      <meta property="og:site_name" content="${site}" />
      <meta property="og:description" content="${about}" />
      <meta property="og:image" content="/web/pictures/${picture}.jpg" />`,
  )
}

function tideClock() {
  return html`<!doctype html>
    <title>The tide clock</title>
    <link rel="stylesheet" href="/stand-ins.css" />
    <main>
      <label for="hour">Hour of the day</label>
      <input id="hour" type="range" min="0" max="24" step="0.5" value="6" />
      <p id="height" role="status"></p>
      <svg class="tool" viewBox="0 0 240 120" width="480" aria-hidden="true">
        <path fill="#e8d9b8" d="M0 0h240v120H0z" />
        <rect id="water" width="240" height="60" y="60" fill="#6fa3b4" />
      </svg>
      <script src="/web/marsh-lab/tide-clock.js"></script>
    </main>`
}

const tideClockProgram = `
const hour = document.getElementById('hour')
function show() {
  const height = 1.8 + 1.4 * Math.sin((Number(hour.value) / 12.42) * 2 * Math.PI)
  document.getElementById('height').textContent = 'Water at ' + height.toFixed(1) + ' m'
  const water = document.getElementById('water')
  water.setAttribute('y', String(115 - height * 32))
  water.setAttribute('height', String(height * 32 + 5))
}
hour.addEventListener('input', show)
show()
`
