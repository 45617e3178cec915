import { dayOf } from '@valise/core/time'
import { buildLargeWorld } from './buildLargeWorld.ts'
import { SAMPLE_PASSWORD } from './index.ts'
import { openSampleSite } from './sampleSite.ts'

const size = { students: 6, items: 430, itemsOfOne: 300, entries: 4, pages: 3 }

it('is the world of the screens, only larger: its items are found, counted and looked at as any others', async () => {
  const { site, close } = openSampleSite()
  const { services } = site
  const methods = await services.database.reader().sql('classes').where({ name: 'Shore Methods' }).first('id')
  const passwordHash = await services.passwords.hash(SAMPLE_PASSWORD)
  const today = dayOf(services.database.clock.now(), 'Europe/Lisbon')
  const items = () => services.database.reader().sql('evidence').count({ count: '*' }).first()
  const before = Number((await items())?.count)
  await buildLargeWorld(services, { classId: methods.id, passwordHash, today, size })
  expect(Number((await items())?.count)).toBe(before + size.items)

  const marlo = site.browser()
  await marlo.signIn('marlo', SAMPLE_PASSWORD)
  const counts = (await marlo.get('/api/evidence/counts')).body
  expect(counts.all).toBe(size.itemsOfOne)
  const ofKinds = counts.kinds.reduce((sum: number, { count }: { count: number }) => sum + count, 0)
  expect(ofKinds).toBe(size.itemsOfOne)
  const pictures = (await marlo.get('/api/evidence?kind=picture&limit=60')).body
  expect(pictures.count).toBe(counts.kinds.find(({ kind }: { kind: string }) => kind === 'picture').count)

  // Every word of a title finds its item, and none of anybody else.
  const [first] = pictures.items
  const found = (await marlo.get(`/api/evidence?words=${encodeURIComponent(first.title)}`)).body
  expect(found.items.map(({ id }: { id: string }) => id)).toContain(first.id)
  expect((await marlo.get('/api/evidence?words=heron')).body.count).toBe(0)
  expect((await marlo.get(`/api/evidence/${first.id}/versions/1/thumbnail`)).status).toBe(200)
  expect((await marlo.get('/api/entries?limit=200')).body.items).toHaveLength(size.entries)
  expect((await marlo.get('/api/pages/count')).body.live).toBe(size.pages)
  await close()
})
