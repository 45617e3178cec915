import type { OfferedRow } from '@valise/core/offers'
import { describeEachDatabase, fieldAttributes, makeSmallSchool, makeTestSite } from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

describeEachDatabase('sets of attributes', (open) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const browserOf = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const begin = async (browser: TestBrowser) =>
      `/api/attribute-sets/${(await browser.post('/api/attribute-sets', { title: { en: 'Field' } })).body.id}`
    const publish = (browser: TestBrowser, path: string, revision: number) =>
      browser.ask('POST', `${path}/versions`, {}, { 'if-match': `"r${revision}"` })
    const published = async (browser: TestBrowser) => {
      const path = await begin(browser)
      await browser.put(path, { content: fieldAttributes }, 1)
      expect((await publish(browser, path, 2)).body).toMatchObject({ n: 1, revision: 3 })
      return path
    }
    return { site, school, browserOf, begin, publish, published }
  }

  const list = async (browser: TestBrowser) =>
    ((await browser.get('/api/attribute-sets')).body as OfferedRow[]).map(({ source, size, mayEdit }) => ({
      ...{ source, size, mayEdit },
    }))

  it('are written by assessors and administrators, and by no student', async () => {
    const { browserOf, begin } = await start()
    const wren = await browserOf('wren')
    const refused = await wren.post('/api/attribute-sets', { title: { en: 'Mine' } })
    expect([refused.status, refused.body.reason]).toEqual([403, 'not-allowed'])
    for (const name of ['odalys', 'mireille']) {
      const browser = await browserOf(name)
      const path = await begin(browser)
      const { body } = await browser.get(path)
      expect(body.content.steps).toHaveLength(4)
      expect((await wren.get(path)).status).toBe(404)
    }
  })

  it('are published when nothing is lacking, and say what is', async () => {
    const { browserOf, begin, publish } = await start()
    const odalys = await browserOf('odalys')
    const path = await begin(odalys)
    const lacks = async (change: object, revision: number) => {
      await odalys.put(path, { content: { ...fieldAttributes, ...change } }, revision)
      const { status, body } = await publish(odalys, path, revision + 1)
      return [status, body.reason, body.params?.n]
    }
    expect(await lacks({ title: {} }, 1)).toEqual([422, 'set-lacks-title', undefined])
    expect(await lacks({ steps: fieldAttributes.steps.slice(1) }, 2)).toEqual([
      ...[422, 'set-lacks-steps', undefined],
    ])
    expect(await lacks({ attributes: [] }, 3)).toEqual([422, 'set-lacks-attributes', undefined])
    const unnamed = { id: 'x', name: {}, meaning: {}, looks: {} }
    expect(await lacks({ attributes: [...fieldAttributes.attributes, unnamed] }, 4)).toEqual([
      ...[422, 'set-lacks-attribute', 3],
    ])
    expect(await lacks({}, 5)).toEqual([200, undefined, undefined])
    const eight = Array.from({ length: 8 }, (_, n) => ({ id: `s${n}`, label: { en: 'x' } }))
    expect((await odalys.put(path, { content: { ...fieldAttributes, steps: eight } }, 7)).status).toBe(422)
  })

  it('of an assessor reach the classes that they are offered to', async () => {
    const { school, browserOf, published } = await start()
    const [odalys, wren] = [await browserOf('odalys'), await browserOf('wren')]
    const path = await published(odalys)
    expect(await list(wren)).toEqual([])
    await odalys.put(`${path}/offers`, { classIds: [school.classes.methods] }, 3)
    expect(await list(wren)).toEqual([{ source: 'class', size: 2, mayEdit: false }])
    expect((await wren.get(`${path}/newest`)).body).toMatchObject({ n: 1, source: 'class' })
    expect((await wren.put(path, { content: fieldAttributes }, 4)).status).toBe(404)
    expect((await wren.put(`${path}/offers`, { classIds: [] }, 4)).status).toBe(404)
  })

  it('of the school reach everybody, and every administrator changes them', async () => {
    const { site, school, browserOf, published } = await start()
    const [odalys, mireille, wren] = [
      await browserOf('odalys'),
      await browserOf('mireille'),
      await browserOf('wren'),
    ]
    const own = await published(odalys)
    const refused = await odalys.put(`${own}/offers`, { classIds: [], isForSchool: true }, 3)
    expect([refused.status, refused.body.reason]).toEqual([403, 'not-allowed'])

    const path = await published(mireille)
    expect((await mireille.put(`${path}/offers`, { classIds: [], isForSchool: true }, 3)).body).toMatchObject(
      {
        ...{ isForSchool: true, offers: [] },
      },
    )
    expect(await list(wren)).toEqual([{ source: 'school', size: 2, mayEdit: false }])
    expect((await wren.get(path)).status).toBe(404)
    expect(await list(mireille)).toEqual([{ source: 'school', size: 2, mayEdit: true }])

    await site.services.database
      .writer('people')
      .where({ id: school.people.odalys })
      .update({ administrator: 1 })
    const another = await browserOf('odalys')
    expect(await list(another)).toContainEqual({ source: 'school', size: 2, mayEdit: true })
    const change = { ...fieldAttributes, title: { en: 'Changed by another' } }
    expect((await another.put(path, { content: change }, 4)).body).toMatchObject({
      isNewer: true,
      revision: 5,
    })
    expect((await mireille.put(path, { content: fieldAttributes }, 4)).status).toBe(412)
    await another.put(`${path}/offers`, { classIds: [], isForSchool: false }, 5)
    expect(await list(wren)).toEqual([])
    // Whoever takes it from the school keeps it.
    expect((await another.get(path)).body).toMatchObject({ isForSchool: false, isMine: true, revision: 6 })
    expect((await mireille.get(path)).status).toBe(404)
  })
})
