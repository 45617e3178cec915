import { beforeAll, expect, it } from '@jest/globals'
import { drawShelfPictures } from '../picture-shelf/drawShelfPicture.ts'
import { madeUpHosts, makeWeb, webPictureNames } from './sites.ts'

beforeAll(() => drawShelfPictures(webPictureNames))

const web = makeWeb(new URL('nowhere.webm', import.meta.url))
const ask = (path: string) => web.request(`http://web.example/${path}`)

it('has sites that describe themselves, with pictures that are there', async () => {
  for (const path of [
    'tide-hall/films/walking-a-transect',
    'marsh-lab/tools/tide-clock',
    'gazette/glasswort-returns',
  ]) {
    const page = await (await ask(path)).text()
    expect(page).toMatch(/<meta property="og:title" content="[^"]+"/)
    expect(page).toMatch(/<meta property="og:description" content="[^"]+"/)
    const picture = /property="og:image" content="([^"]+)"/.exec(page)?.[1] ?? ''
    const at = new URL(picture, 'http://web.example').pathname.replace('/web', '').slice(1)
    expect([path, (await ask(at)).status]).toEqual([path, 200])
  }
  expect((await ask('gazette/nothing')).status).toBe(404)
})

it('tells of a film by oEmbed, with markup that nobody should take over', async () => {
  const page = 'http://web.example/web/tide-hall/films/walking-a-transect'
  const answer = await ask(`tide-hall/oembed?url=${encodeURIComponent(page)}`)
  const body = (await answer.json()) as { readonly html: string }
  expect(body).toMatchObject({ version: '1.0', type: 'video', provider_name: 'Tide Hall' })
  expect(body.html).toContain('<script>')
  expect((await ask('tide-hall/oembed?url=http://web.example/other')).status).toBe(404)
})

it('has addresses that misbehave, each in its own way', async () => {
  expect((await ask('blocked')).status).toBe(451)
  expect((await ask('leads-inside')).headers.get('location')).toMatch(/^http:\/\/10\./)
})

it('names its hosts so that pages become frames of the same site', () => {
  for (const host of madeUpHosts('http://web.example')) {
    expect(new URL(host.page).origin).toBe(new URL(host.frame).origin)
    expect(host.frame).toContain('{id}')
  }
})
