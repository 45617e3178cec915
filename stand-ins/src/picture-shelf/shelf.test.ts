import { beforeAll, expect, it } from '@jest/globals'
import { licenceIds } from '@valise/core/evidence'
import sharp from 'sharp'
import { drawShelfPictures } from './drawShelfPicture.ts'
import { makeShelf, shelfPictureNames } from './shelf.ts'

beforeAll(() => drawShelfPictures(shelfPictureNames))

const shelf = makeShelf()
interface Found {
  readonly pictures: readonly { readonly id: string; readonly licence: string; readonly source: string }[]
}
const find = async (query: string) => {
  const answer = await shelf.request(`http://shelf.example/api/pictures?${query}`)
  return ((await answer.json()) as Found).pictures
}

it('has every picture under a licence that Valise knows, with its maker and source', async () => {
  const all = await find('')
  expect(all.map(({ id }) => id).sort()).toEqual([...shelfPictureNames].sort())
  for (const picture of all) {
    expect(licenceIds).toContain(picture.licence)
    expect(picture.source).toBe(`http://shelf.example/shelf#${picture.id}`)
    expect(picture).toMatchObject({ maker: expect.stringMatching(/\w/), shows: expect.stringMatching(/\w/) })
  }
})

it('finds pictures by all words that were typed, in whatever order and case', async () => {
  const ids = async (words: string) => (await find(`words=${encodeURIComponent(words)}`)).map(({ id }) => id)
  expect(await ids('GLASSWORT')).toEqual(['glasswort-one', 'glasswort-two'])
  expect(await ids('marrow autumn')).toEqual(['glasswort-one'])
  expect(await ids('autumn marrow')).toEqual(['glasswort-one'])
  expect(await ids('submarine')).toEqual([])
})

it('keeps from the youngest what is not for them, also when asked for by name', async () => {
  const young = await find('reach=young')
  expect(young).toHaveLength(shelfPictureNames.length - 2)
  const status = async (path: string) => (await shelf.request(`http://shelf.example/api/${path}`)).status
  expect(await status('pictures/crab-two?reach=young')).toBe(404)
  expect(await status('pictures/crab-two')).toBe(200)
  expect(await status('pictures/nothing')).toBe(404)
})

it('gives a picture whole and small, each another motif', async () => {
  const picture = async (path: string) =>
    Buffer.from(await (await shelf.request(`http://shelf.example/api/pictures/${path}`)).arrayBuffer())
  const [whole, small, other] = [
    await picture('reed-one/whole'),
    await picture('reed-one/small'),
    await picture('reed-two/whole'),
  ]
  expect(await sharp(whole).metadata()).toMatchObject({ format: 'jpeg', width: 1000, height: 750 })
  expect(await sharp(small).metadata()).toMatchObject({ width: 480, height: 360 })
  expect(other.equals(whole)).toBe(false)
})

it('shows the reports that came in, as words and not as a page', async () => {
  const report = (id: string, words: string) =>
    shelf.request(`http://shelf.example/api/pictures/${id}/reports`, {
      method: 'POST',
      body: JSON.stringify({ words }),
    })
  expect((await report('gull-one', 'These are <b>terns</b>.')).status).toBe(204)
  expect((await report('nothing', 'x')).status).toBe(404)
  const page = await (await shelf.request('http://shelf.example/')).text()
  expect(page).toContain('These are &lt;b&gt;terns')
})
