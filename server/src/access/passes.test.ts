import type { NewPass } from '@valise/core/access'
import { newEvidencePiece } from '@valise/core/pages'
import type { Operation } from '@valise/core/pages'
import { addMinutes, toMilliseconds } from '@valise/core/time'
import { v7 as uuidv7 } from 'uuid'
import {
  addTextRow,
  describeEachDatabase,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  TEST_START,
  upload,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

const A_DAY = 24 * 60

describeEachDatabase('passes', (open, onSqlite) => {
  async function start() {
    let now = TEST_START
    const clock = { now: () => now }
    const wait = (minutes: number) => void (now = addMinutes(now, minutes))
    const site = makeTestSite(await open({ clock }))
    const school = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const wren = await as('wren')
    const addPage = async (by: TestBrowser, title: string, more: Operation[] = []) => {
      const { body } = await by.post('/api/pages', { title, lang: 'en' })
      const path = `/api/pages/${body.id}`
      await sendEdit(by, path, { base: 1, operations: [addTextRow('a', title), ...more] })
      await by.ask('POST', `${path}/published`, undefined, { 'if-match': '"r2"' })
      return body.id as string
    }
    const addCollection = async (by: TestBrowser, title: string, thingIds: string[]) => {
      const { body } = await by.post('/api/collections', { title })
      const operations = thingIds.map((thingId) => ({
        op: 'insert',
        item: { id: uuidv7(), kind: 'thing', thingId, isHidden: false },
        after: null,
      }))
      await by.patch(`/api/collections/${body.id}`, { operations }, 1)
      return body.id as string
    }
    const give = (
      by: TestBrowser,
      thing: NewPass['thing'],
      audience: NewPass['audience'],
      more: Partial<NewPass> = {},
    ) => by.post('/api/passes', { thing, audience, rights: ['look'], firstDay: null, lastDay: null, ...more })
    return { site, school, as, wren, addPage, addCollection, give, wait }
  }
  const page = (id: string) => ({ kind: 'page' as const, id })
  const collection = (id: string) => ({ kind: 'collection' as const, id })
  const look = async (browser: TestBrowser, id: string) =>
    (await browser.get(`/api/pages/${id}/published`)).status

  onSqlite('open a page to one person, and to nobody else', async () => {
    const { school, as, wren, addPage, give, wait } = await start()
    const id = await addPage(wren, 'Transect 3')
    wait(1)
    const [tomasz, odalys, nobody] = [await as('tomasz'), await as('odalys'), (await start()).site.browser()]
    expect(await look(tomasz, id)).toBe(404)
    const given = await give(wren, page(id), { kind: 'person', personId: school.people.tomasz })
    expect([given.status, given.body.state, given.body.audience.name]).toEqual([
      201,
      'running',
      'Tomasz Ilves-Barr',
    ])
    const read = await tomasz.get(`/api/pages/${id}/published`)
    expect(read.body).toMatchObject({ title: 'Transect 3', ownerName: 'Wren Adeyemi-Holt', isMine: false })
    expect([await look(odalys, id), await look(nobody, id)]).toEqual([404, 404])
    // He looks; the draft and everything that changes it stay hers.
    expect((await tomasz.get(`/api/pages/${id}`)).status).toBe(404)
    expect((await tomasz.get('/api/news')).body.items[0]).toMatchObject({
      kind: 'shared-with-me',
      params: { name: 'Wren Adeyemi-Holt', thingId: id },
    })
    await wren.post(`/api/passes/${given.body.id}/end`)
    expect(await look(tomasz, id)).toBe(404)
  })

  it('of a class open to its members of the moment, of its assessors to them alone', async () => {
    const { school, as, wren, addPage, give } = await start()
    const [one, two] = [await addPage(wren, 'For all'), await addPage(wren, 'For assessors')]
    await give(wren, page(one), { kind: 'class', classId: school.classes.methods })
    await give(wren, page(two), { kind: 'assessors', classId: school.classes.methods })
    const [tomasz, odalys, kit] = [await as('tomasz'), await as('odalys'), await as('kit')]
    const seen = []
    for (const browser of [tomasz, odalys, kit])
      seen.push([await look(browser, one), await look(browser, two)])
    expect(seen).toEqual([
      [200, 404],
      [200, 200],
      [404, 404],
    ])
    expect((await wren.get(`/api/things/${one}/seen-by`)).body).toEqual({ people: 2, links: 0 })
    expect((await wren.get(`/api/things/${two}/seen-by`)).body).toEqual({ people: 1, links: 0 })
    const opened = await odalys.get('/api/shared-with-me')
    expect(opened.body).toMatchObject({ count: 2, next: null })
    expect(opened.body.items.map((item: { title: string }) => item.title).sort()).toEqual([
      'For all',
      'For assessors',
    ])
    const first = (await odalys.get('/api/shared-with-me?limit=1')).body
    const next = (await odalys.get(`/api/shared-with-me?limit=1&cursor=${first.next}`)).body
    expect([...first.items, ...next.items]).toEqual(opened.body.items)
    expect(next.next).toBeNull()
    expect((await tomasz.get('/api/shared-with-me/count')).body).toEqual({ live: 1 })
    expect((await wren.get('/api/shared-with-me/count')).body).toEqual({ live: 0 })
  })

  onSqlite('run from their first day to the end of their last, in the zone of the school', async () => {
    const { school, as, wren, addPage, give, wait } = await start()
    const id = await addPage(wren, 'Transect 3')
    const tomasz = await as('tomasz')
    const days = { firstDay: '2026-11-27', lastDay: '2026-11-28' }
    const given = await give(wren, page(id), { kind: 'person', personId: school.people.tomasz }, days)
    expect(given.body).toMatchObject({
      state: 'to-come',
      from: '2026-11-27T00:00:00.000Z',
      until: '2026-11-29T00:00:00.000Z',
    })
    expect(await look(tomasz, id)).toBe(404)
    wait((toMilliseconds('2026-11-27T00:00:00.000Z') - toMilliseconds(TEST_START)) / 60_000)
    expect(await look(await as('tomasz'), id)).toBe(200)
    expect((await (await as('tomasz')).get('/api/shared-with-me')).body.items[0].until).toBe(given.body.until)
    wait(2 * A_DAY - 1)
    expect(await look(await as('tomasz'), id)).toBe(200)
    wait(1)
    expect(await look(await as('tomasz'), id)).toBe(404)
    const again = await as('wren')
    const change = await again.patch(`/api/passes/${given.body.id}`, { firstDay: null, lastDay: null }, 1)
    expect([change.status, change.body.reason]).toEqual([409, 'pass-ended'])
  })

  it('can have their time changed, by whoever saw them last', async () => {
    const { school, as, wren, addPage, give, wait } = await start()
    const id = await addPage(wren, 'Transect 3')
    const { body } = await give(wren, page(id), { kind: 'person', personId: school.people.tomasz })
    const days = { firstDay: null, lastDay: '2026-12-12' }
    const changed = await wren.patch(`/api/passes/${body.id}`, days, 1)
    expect(changed.body).toMatchObject({ from: body.from, until: '2026-12-13T00:00:00.000Z', revision: 2 })
    expect((await wren.patch(`/api/passes/${body.id}`, days, 1)).status).toBe(412)
    const over = await wren.patch(`/api/passes/${body.id}`, { firstDay: null, lastDay: '2026-11-01' }, 2)
    expect([over.status, over.body.reason]).toEqual([409, 'window-empty'])
    wait(1)
    expect(await look(await as('tomasz'), id)).toBe(200)
  })

  onSqlite.each<[string, 'kit' | 'wren', 'link' | 'person' | 'class', Partial<NewPass>]>([
    ['audience-forbidden', 'kit', 'link', {}],
    ['audience-forbidden', 'kit', 'person', {}],
    ['link-only-looks', 'wren', 'link', { rights: ['look', 'comment'] }],
    ['window-over', 'wren', 'link', { firstDay: '2026-11-01', lastDay: '2026-11-20' }],
    ['window-empty', 'wren', 'link', { firstDay: '2026-12-02', lastDay: '2026-12-01' }],
    ['not-in-your-class', 'wren', 'person', {}],
    ['not-in-your-class', 'wren', 'class', {}],
  ])('are refused with %s to %s for a %s', async (reason, name, kind, more) => {
    const { school, as, addPage, give } = await start()
    const browser = await as(name)
    const id = await addPage(browser, 'Transect 3')
    const audience = {
      link: { kind: 'link' as const, name: 'Family' },
      person: { kind: 'person' as const, personId: school.people[name === 'kit' ? 'odalys' : 'kit'] },
      class: { kind: 'class' as const, classId: school.classes.crew },
    }[kind]
    const refused = await give(browser, page(id), audience, more)
    expect([refused.status, refused.body.reason]).toEqual([409, reason])
  })

  it('are cut by rules that come later, and open again when the rules do', async () => {
    const { site, school, as, wren, addPage, give } = await start()
    const id = await addPage(wren, 'Transect 3')
    await give(wren, page(id), { kind: 'person', personId: school.people.tomasz })
    const tomasz = await as('tomasz')
    const rules = () => site.services.database.writer('sharingAllowances')
    const rule = { yearGroupId: school.yearGroups.get('Certificate'), audience: 'person' }
    await rules().where(rule).delete()
    expect(await look(tomasz, id)).toBe(404)
    expect((await wren.get('/api/sharing')).body.passes[0].isForbidden).toBe(true)
    expect((await wren.get('/api/sharing/audiences')).body.allowed).not.toContain('person')
    await rules().insert(rule)
    expect(await look(tomasz, id)).toBe(200)
  })

  describe('that are visitor links', () => {
    async function withLink(more: Partial<NewPass> = {}) {
      const world = await start()
      const pageId = await world.addPage(world.wren, 'Transect 3')
      const other = await world.addPage(world.wren, 'Not for her')
      const year = await world.addCollection(world.wren, 'Shore year', [pageId])
      const link = (
        await world.give(world.wren, collection(year), { kind: 'link', name: ' Aunt  Pilar ' }, more)
      ).body
      return { ...world, pageId, other, year, link, pilar: world.site.browser() }
    }

    it('open signed out what is published in their collection, and nothing else', async () => {
      const { wren, pageId, other, year, link, pilar } = await withLink()
      expect(await look(pilar, pageId)).toBe(404)
      const opened = await pilar.get(link.address)
      expect([opened.status, opened.headers.get('location')]).toEqual([303, `/collections/${year}`])
      const read = await pilar.get(`/api/collections/${year}/read`)
      expect(read.body).toMatchObject({
        title: 'Shore year',
        linkName: 'Aunt Pilar',
        ownerName: 'Wren Adeyemi-Holt',
        lines: [{ id: pageId, title: 'Transect 3' }],
      })
      expect((await pilar.get(`/api/pages/${pageId}/published`)).body).toMatchObject({
        collections: [year],
        isMine: false,
      })
      expect(await look(pilar, other)).toBe(404)
      for (const path of [`/api/pages/${pageId}`, `/api/collections/${year}`, '/api/sharing', '/api/people'])
        expect((await pilar.get(path)).status).toBe(401)
      // Her link goes on by its own cookie when she is somebody here herself.
      expect((await wren.get(`/api/collections/${year}/read`)).body).toMatchObject({
        isMine: true,
        linkName: null,
      })
    })

    it('show the pictures of the page as it is published now, never the items themselves', async () => {
      const { wren, site, addPage, give, as, school } = await withLink()
      const { body } = await upload(wren, { name: 'map.png', content: await makePicture({ width: 300 }) })
      await site.services.jobs.drain()
      const picture = body.outcome.evidenceId as string
      const piece = newEvidencePiece('p', { id: picture, kind: 'picture' })
      const id = await addPage(wren, 'With a map', [
        { op: 'insert-row', row: { id: 'row-p', pieces: [piece] }, after: null },
      ])
      await give(wren, page(id), { kind: 'person', personId: school.people.tomasz })
      const tomasz = await as('tomasz')
      const html = (await tomasz.get(`/api/pages/${id}/published`)).body.html as string
      const [address = ''] = html.match(/\/api\/pages\/[^"]+screen/) ?? []
      expect((await tomasz.get(address)).headers.get('content-type')).toBe('image/webp')
      expect((await tomasz.get(`/api/evidence/${picture}`)).status).toBe(404)
      expect((await wren.get(`/api/things/${picture}/seen-by`)).body).toEqual({ people: 1, links: 0 })
      await sendEdit(wren, `/api/pages/${id}`, { base: 2, operations: [addTextRow('b', 'more')] })
      await wren.ask('POST', `/api/pages/${id}/published`, undefined, { 'if-match': '"r3"' })
      // What was published before is her own again.
      expect([(await tomasz.get(address)).status, (await wren.get(address)).status]).toEqual([404, 200])
    })

    it('say kindly that they ended, or do not open yet, without title or name', async () => {
      const { wren, pageId, year, link, pilar } = await withLink()
      await pilar.get(link.address)
      await wren.post(`/api/passes/${link.id}/end`)
      for (const path of [`/api/collections/${year}/read`, `/api/pages/${pageId}/published`]) {
        const { status, body } = await pilar.get(path)
        expect([status, body.reason]).toEqual([410, 'link-ended'])
        expect(JSON.stringify(body)).not.toMatch(/Transect|Shore|Pilar|Wren/)
      }
      const later = await withLink({ firstDay: '2026-12-01' })
      await later.pilar.get(later.link.address)
      const { status, body } = await later.pilar.get(`/api/collections/${later.year}/read`)
      expect([status, body.reason]).toEqual([403, 'link-to-come'])
    })

    it('say that there is nothing to see just now, while what they lead to lies in the bin', async () => {
      const { wren, pageId, year, link, pilar } = await withLink()
      await pilar.get(link.address)
      await wren.put(`/api/things/${year}/bin`, undefined)
      for (const path of [`/api/collections/${year}/read`, `/api/pages/${pageId}/published`]) {
        const { status, body } = await pilar.get(path)
        expect([status, body.reason]).toEqual([403, 'link-shows-nothing'])
        expect(JSON.stringify(body)).not.toMatch(/Transect|Shore|Pilar|Wren/)
      }
      await wren.delete(`/api/things/${year}/bin`)
      expect((await pilar.get(`/api/collections/${year}/read`)).status).toBe(200)
    })

    it('are named to whoever is about to put what they lead to into the bin', async () => {
      const { wren, pageId, year } = await withLink()
      expect((await wren.get(`/api/things/${year}/bin/effects`)).body).toEqual({
        ...{
          isPublished: false,
          seenBy: { people: 0, links: 1 },
          collections: [],
          chosenFor: 0,
          handedIn: 0,
        },
      })
      const { body } = await wren.get(`/api/things/${pageId}/bin/effects`)
      expect(body).toMatchObject({ isPublished: true, seenBy: { people: 0, links: 1 } })
      expect(body.collections).toHaveLength(1)
    })

    it('open nothing by an address that was guessed, cut short, or replaced', async () => {
      const { wren, year, link, pilar, site } = await withLink()
      const code: string = link.address.replace('/open/', '')
      const guessed = `${code.slice(0, 22)}${'A'.repeat(22)}`
      for (const wrong of [guessed, code.slice(0, 40), 'x', `${'A'.repeat(44)}`]) {
        const answer = await pilar.get(`/open/${wrong}`)
        expect([answer.headers.get('location'), answer.headers.getSetCookie()]).toEqual(['/no-such-link', []])
      }
      await pilar.get(link.address)
      const renewed = await wren.post(`/api/passes/${link.id}/address`)
      expect(renewed.body.address).not.toBe(link.address)
      expect((await pilar.get(`/api/collections/${year}/read`)).status).toBe(404)
      const again = site.browser()
      await again.get(renewed.body.address)
      expect((await again.get(`/api/collections/${year}/read`)).status).toBe(200)
      expect(await site.services.database.reader().sql('passes')).not.toEqual(
        expect.arrayContaining([expect.objectContaining({ address: expect.anything() })]),
      )
    })

    it('answer for what they do not open as for what is not there', async () => {
      const { other, link, pilar } = await withLink()
      await pilar.get(link.address)
      const [foreign, absent] = [
        await pilar.get(`/api/pages/${other}/published`),
        await pilar.get(`/api/pages/${uuidv7()}/published`),
      ]
      expect(foreign.status).toBe(404)
      expect({ ...foreign.body, request: '' }).toEqual({ ...absent.body, request: '' })
    })
  })

  describe('looked at as somebody else', () => {
    it('tell because of what, until when, and what stands in the way', async () => {
      const { school, wren, addPage, addCollection, give } = await start()
      const [transect, storm] = [
        await addPage(wren, 'Transect 3'),
        (await wren.post('/api/pages', { title: 'Storm', lang: 'en' })).body.id,
      ]
      const year = await addCollection(wren, 'Shore year', [transect, storm])
      const lastDay = '2026-12-12'
      const { body } = await give(
        wren,
        collection(year),
        { kind: 'assessors', classId: school.classes.methods },
        { lastDay },
      )
      const answers = await wren.get(`/api/sharing/look-as?personId=${school.people.odalys}`)
      const of = (id: string) => answers.body.answers.find((one: { thingId: string }) => one.thingId === id)
      expect(of(transect)).toEqual({
        thingId: transect,
        allowed: true,
        grants: [{ kind: 'pass', passId: body.id, path: [year] }],
        until: '2026-12-13T00:00:00.000Z',
      })
      expect(of(storm)).toEqual({
        thingId: storm,
        allowed: false,
        obstacles: [{ kind: 'not-published' }],
      })
      const later = await wren.get(
        `/api/sharing/look-as?personId=${school.people.odalys}&at=2026-12-20T10:00:00.000Z`,
      )
      expect(later.body.answers.find((one: { thingId: string }) => one.thingId === transect)).toMatchObject({
        obstacles: [{ kind: 'ended', passId: body.id }],
      })
      const classmate = await wren.get(`/api/sharing/look-as?personId=${school.people.tomasz}`)
      expect(classmate.body.answers.every((one: { allowed: boolean }) => !one.allowed)).toBe(true)
    })

    onSqlite('know only people of one’s classes, and links of one’s own', async () => {
      const { school, as, wren, addPage, give } = await start()
      const id = await addPage(wren, 'Transect 3')
      const link = (await give(wren, page(id), { kind: 'link', name: 'Family' })).body
      const tomasz = await as('tomasz')
      for (const query of [`personId=${school.people.kit}`, `personId=${uuidv7()}`])
        expect((await wren.get(`/api/sharing/look-as?${query}`)).status).toBe(404)
      expect((await tomasz.get(`/api/sharing/look-as?passId=${link.id}`)).status).toBe(404)
      expect((await wren.get(`/api/sharing/look-as?passId=${link.id}`)).body.answers).toMatchObject([
        { allowed: true },
      ])
      const hers = await give(tomasz, page(id), { kind: 'link', name: 'Mine' })
      expect([hers.status, hers.body.reason]).toEqual([404, 'not-found'])
      for (const act of ['end', 'address'])
        expect((await tomasz.post(`/api/passes/${link.id}/${act}`)).status).toBe(404)
    })

    it('show one’s own things with their places and passes', async () => {
      const { wren, addPage, addCollection, give } = await start()
      const id = await addPage(wren, 'Transect 3')
      const year = await addCollection(wren, 'Shore year', [id])
      await give(wren, page(id), { kind: 'link', name: 'Family' })
      const { body } = await wren.get('/api/sharing')
      expect(body).toMatchObject({
        things: [
          { kind: 'collection', title: 'Shore year' },
          { kind: 'page', title: 'Transect 3', isNewer: false },
        ],
        places: [{ containerId: year, thingId: id, isHidden: false }],
        passes: [
          {
            audience: { kind: 'link', name: 'Family' },
            address: expect.stringMatching(/^\/open\/[\w-]{44}$/),
          },
        ],
      })
    })
  })
})
