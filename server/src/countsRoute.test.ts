import { productRoutes } from './app.ts'
import { describeEachDatabase, makeSmallSchool, makeTestSite } from './testing/index.ts'

const places = productRoutes.flatMap(({ spec }) => /^\/api\/([\w-]+)\/count$/.exec(spec.path)?.[1] ?? [])

describeEachDatabase('the counts', (open, onSqlite) => {
  onSqlite('name a number for every place that counts', async () => {
    const site = makeTestSite(await open())
    await makeSmallSchool(site.services)
    const browser = site.browser()
    await browser.signIn('odalys')
    expect(places.length).toBeGreaterThan(6)
    const { body } = await browser.get(`/api/counts?of=${places.join(',')}`)
    expect(Object.keys(body).sort()).toEqual([...places].sort())
    for (const place of places) expect([place, Number.isInteger(body[place])]).toEqual([place, true])
  })
})
