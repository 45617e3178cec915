import { personNamed } from '@valise/core/people'
import { describeEachDatabase, makeSmallSchool, makeTestSite } from '../testing/index.ts'

describeEachDatabase('people and memberships', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const admin = site.browser()
    await admin.signIn('mireille')
    return { site, school, admin }
  }

  onSqlite('adds a person, who then has to choose a password', async () => {
    const { admin, site } = await start()
    const added = await admin.post(
      '/api/people',
      personNamed('  Lio   Fairweather ', { firstName: 'Lio', signInName: 'lio' }),
    )
    expect(added.status).toBe(201)
    expect(added.body.person).toMatchObject({
      fullName: 'Lio Fairweather',
      shownName: 'Lio Fairweather',
      hasPassword: false,
    })
    expect((await site.browser().signIn('lio', 'anything at all')).status).toBe(401)
    const link = await admin.post(`/api/people/${added.body.person.id}/sign-in-link`)
    expect(link.body.address).toMatch(/^http:\/\/valise\.test\/choose-password#[\w-]{43}$/)
  })

  onSqlite('sends the link by mail where there is an address, and then shows it to nobody', async () => {
    const { admin, site } = await start()
    const { body } = await admin.post(
      '/api/people',
      personNamed('Lio Fairweather', { email: 'lio@marram.example', language: 'es' }),
    )
    const link = await admin.post(`/api/people/${body.person.id}/sign-in-link`)
    expect(link.body.address).toBeNull()
    expect(site.mails[0]).toMatchObject({
      to: 'lio@marram.example',
      subject: expect.stringContaining('Elige tu contraseña'),
    })
  })

  it('adds once, however often the same request comes', async () => {
    const { admin } = await start()
    const key = { 'idempotency-key': '0123456789' }
    const first = await admin.post('/api/people', personNamed('Lio Fairweather'), key)
    const again = await Promise.all(
      [1, 2, 3].map(() => admin.post('/api/people', personNamed('Lio Fairweather'), key)),
    )
    for (const answer of again) expect(answer.body).toEqual(first.body)
    const concurrently = await Promise.all(
      [1, 2].map(() =>
        admin.post('/api/people', personNamed('Dov Oakhanger'), { 'idempotency-key': '9876543210' }),
      ),
    )
    expect(concurrently[0]?.body).toEqual(concurrently[1]?.body)
    const other = await admin.post('/api/people', personNamed('Ines Mallow'), key)
    expect(other).toMatchObject({ status: 409, body: { reason: 'repeated-differently' } })
    expect((await admin.get('/api/people?text=lio')).body.count).toBe(1)
  })

  onSqlite('names each field that cannot be kept', async () => {
    const { admin } = await start()
    const { fullName: _, ...nameless } = personNamed('Lio')
    const answer = await admin.post('/api/people', {
      ...nameless,
      signInName: 'two words',
      language: 'fr',
      extra: 1,
    })
    expect(answer.status).toBe(422)
    expect(answer.headers.get('content-type')).toBe('application/problem+json')
    expect(answer.body.errors).toEqual(
      expect.arrayContaining([
        { path: '/fullName', reason: 'missing' },
        { path: '/signInName', reason: 'malformed' },
        { path: '/language', reason: 'not-offered' },
        { path: '/extra', reason: 'unknown' },
      ]),
    )
    const blank = await admin.post('/api/people', personNamed('Lio', { firstName: '   ' }))
    expect(blank.body.errors).toEqual([{ path: '/firstName', reason: 'missing' }])
    const lost = await admin.post(
      '/api/people',
      personNamed('Lio', { yearGroupId: '01890000-0000-7000-8000-000000000000' }),
    )
    expect(lost.body.errors).toEqual([{ path: '/yearGroupId', reason: 'not-offered' }])
  })

  onSqlite('gives a sign-in name to one person only, however it is written', async () => {
    const { admin, school } = await start()
    expect(await admin.post('/api/people', personNamed('Wren Other', { signInName: 'WREN' }))).toMatchObject({
      status: 409,
      body: { reason: 'sign-in-name-taken', errors: [{ path: '/signInName', reason: 'sign-in-name-taken' }] },
    })
    const { body } = await admin.get(`/api/people/${school.people.wren}`)
    const saved = await admin.put(
      `/api/people/${school.people.wren}`,
      personNamed('Wren Adeyemi-Holt'),
      body.person.revision,
    )
    expect(saved.status).toBe(200) // one's own name is no clash
  })

  onSqlite('refuses a change without, and with an old revision', async () => {
    const { admin, school } = await start()
    const path = `/api/people/${school.people.tomasz}`
    expect((await admin.put(path, personNamed('Tomasz New'))).status).toBe(428)
    expect((await admin.put(path, personNamed('Tomasz New'), 1)).status).toBe(200)
    const stale = await admin.put(path, personNamed('Tomasz Newer'), 1)
    expect(stale).toMatchObject({ status: 412, body: { reason: 'stale' } })
    expect((await admin.get(path)).body.person).toMatchObject({ fullName: 'Tomasz New', revision: 2 })
  })

  it('shows the name that the year group of the moment says', async () => {
    const { admin, school } = await start()
    const path = `/api/people/${school.people.wren}`
    const junior = { yearGroupId: school.yearGroups.get('Junior') ?? null }
    await admin.put(path, personNamed('Wren Adeyemi-Holt', junior), 1)
    expect((await admin.get(path)).body.person.shownName).toBe('Wren')
    expect((await admin.get(`/api/people?yearGroupId=${junior.yearGroupId}`)).body.count).toBe(2)
  })

  it('finds people by a part of their name, without case and accents', async () => {
    const { admin } = await start()
    await admin.post('/api/people', personNamed('Álvaro Núñez 100%'))
    const namesFor = async (text: string) =>
      (await admin.get(`/api/people?text=${encodeURIComponent(text)}`)).body.items.map(
        (p: { fullName: string }) => p.fullName,
      )
    expect(await namesFor('nunez')).toEqual(['Álvaro Núñez 100%'])
    expect(await namesFor('0%')).toEqual(['Álvaro Núñez 100%'])
    expect(await namesFor('%')).toHaveLength(1)
    expect(await namesFor("o'; drop table people")).toEqual([])
  })

  it('pages by cursor through everybody once', async () => {
    const { admin } = await start()
    const seen: string[] = []
    let cursor: string | null = ''
    while (cursor !== null) {
      const page: { items: { fullName: string }[]; next: string | null; count: number } = (
        await admin.get(`/api/people?limit=2${cursor && `&cursor=${cursor}`}`)
      ).body
      expect(page.count).toBe(5)
      seen.push(...page.items.map((one) => one.fullName))
      cursor = page.next
    }
    expect(seen).toEqual([
      'Kit Sorrel',
      'Mireille Sund',
      'Odalys Fenn',
      'Tomasz Ilves-Barr',
      'Wren Adeyemi-Holt',
    ])
    expect((await admin.get('/api/people?cursor=nonsense')).status).toBe(422)
  })

  it('puts somebody into a class for some days, and tells them', async () => {
    const { admin, school, site } = await start()
    const join = (days: object) =>
      admin.post(`/api/people/${school.people.kit}/memberships`, {
        classId: school.classes.methods,
        role: 'student',
        ...days,
      })
    const joined = await join({ firstDay: '2026-11-20', lastDay: '2026-12-12' })
    expect(joined).toMatchObject({ status: 201, body: { className: 'Shore Methods', state: 'running' } })
    expect((await join({ firstDay: '2026-12-12', lastDay: null })).body.reason).toBe('already-member')
    expect((await join({ firstDay: '2026-12-14', lastDay: '2026-12-13' })).body.reason).toBe('window-empty')
    expect(await join({ firstDay: '2026-12-13', lastDay: null })).toMatchObject({
      status: 201,
      body: { state: 'to-come' },
    })
    const kit = site.browser()
    await kit.signIn('kit')
    expect((await kit.get('/api/classes')).body.map((one: { name: string }) => one.name)).toEqual([
      'Saturday Crew',
      'Shore Methods',
    ])
    const news = (await kit.get('/api/news')).body
    expect(news.items[0]).toMatchObject({ kind: 'joined-class', params: { className: 'Shore Methods' } })
    await kit.put('/api/news/seen', { upTo: news.items[0].id })
    expect((await kit.get('/api/news')).body.unseen).toBe(0)
  })

  it('ends a membership: the class is gone for that person, and they are told', async () => {
    const { admin, school, site } = await start()
    const { memberships } = (await admin.get(`/api/people/${school.people.wren}`)).body
    const path = `/api/memberships/${memberships[0].id}`
    const ended = await admin.patch(
      path,
      { firstDay: '2026-09-01', lastDay: '2026-11-25' },
      memberships[0].revision,
    )
    expect(ended.body.state).toBe('ended')
    const wren = site.browser()
    await wren.signIn('wren')
    expect((await wren.get(`/api/classes/${school.classes.methods}`)).status).toBe(404)
    expect((await wren.get('/api/news')).body.items[0].kind).toBe('left-class')
    expect((await admin.patch(path, { firstDay: null, lastDay: null }, memberships[0].revision)).status).toBe(
      412,
    )
  })

  it('ends a person at once and brings them back', async () => {
    const { admin, school, site } = await start()
    const wren = site.browser()
    await wren.signIn('wren')
    const path = `/api/people/${school.people.wren}`
    const ended = await admin.put(`${path}/ended`, { ended: true }, 1)
    expect(ended.body.person.endedAt).not.toBeNull()
    expect((await wren.get('/api/session')).body.state).toBe('signed-out')
    expect((await site.browser().signIn('wren')).status).toBe(401)
    expect((await admin.post(`${path}/sign-in-link`)).body.reason).toBe('person-ended')
    await admin.put(`${path}/ended`, { ended: false }, 2)
    expect((await site.browser().signIn('wren')).status).toBe(201)
  })

  it('keeps at least one administrator', async () => {
    const { admin, school } = await start()
    const path = `/api/people/${school.people.mireille}`
    expect((await admin.put(`${path}/ended`, { ended: true }, 1)).body.reason).toBe('last-administrator')
    expect((await admin.put(path, personNamed('Mireille Sund'), 1)).body.reason).toBe('last-administrator')
    await admin.put(
      `/api/people/${school.people.odalys}`,
      personNamed('Odalys Fenn', { administrator: true }),
      1,
    )
    expect((await admin.put(path, personNamed('Mireille Sund'), 1)).status).toBe(200)
    expect((await admin.get('/api/people')).status).toBe(403) // the right went at once
  })
})
