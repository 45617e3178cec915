import { personNamed } from '@valise/core/people'
import { addMinutes } from '@valise/core/time'
import { shiftedClock } from '../system/index.ts'
import {
  describeEachDatabase,
  makeSmallSchool,
  makeTestSite,
  TEST_PASSWORD,
  TEST_START,
} from '../testing/index.ts'

describeEachDatabase('coming in and going out', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    return { site, school: await makeSmallSchool(site.services) }
  }

  /** The same school some minutes later. */
  function later(site: Awaited<ReturnType<typeof start>>['site'], minutes: number) {
    const clock = shiftedClock(addMinutes(TEST_START, minutes))
    const database = {
      ...site.services.database,
      clock,
      reader: () => ({ ...site.services.database.reader(), now: clock.now() }),
    }
    return makeTestSite(database)
  }

  onSqlite('signs in with name and password, and out again', async () => {
    const { site, school } = await start()
    const browser = site.browser()
    expect((await browser.get('/api/session')).body).toEqual({ state: 'signed-out' })
    const answer = await browser.signIn('  WREN ')
    expect(answer.status).toBe(201)
    expect(answer.body).toMatchObject({
      state: 'signed-in',
      personId: school.people.wren,
      shownName: 'Wren Adeyemi-Holt',
    })
    // A duration rather than a time: the device's clock may differ from the server's.
    expect(answer.headers.get('set-cookie')).toMatch(/Max-Age=\d{5,}; Path=\/; HttpOnly; SameSite=Lax/)
    expect(answer.headers.get('set-cookie')).not.toMatch(/Expires/)
    expect((await browser.get('/api/session')).body.memberships).toEqual([
      { classId: school.classes.methods, className: 'Shore Methods', classCode: 'FLD-204', role: 'student' },
    ])
    expect((await browser.delete('/api/session')).status).toBe(204)
    expect((await browser.get('/api/session')).body).toEqual({ state: 'signed-out' })
  })

  onSqlite('gives one answer to a wrong password and to an unknown name', async () => {
    const { site } = await start()
    const wrong = await site.browser().signIn('wren', 'not this one')
    const unknown = await site.browser().signIn('nobody', 'not this one')
    const { request: _, ...problem } = wrong.body
    expect(wrong.status).toBe(401)
    expect(problem).toMatchObject({ code: 'signed-out', reason: 'wrong-sign-in' })
    expect(unknown.body).toMatchObject(problem)
  })

  onSqlite('stops guessing at one account, and forgets the count after a right try', async () => {
    const { site } = await start()
    for (let n = 0; n < 9; n += 1) await site.browser().signIn('wren', 'guess')
    expect((await site.browser().signIn('wren')).status).toBe(201)
    for (let n = 0; n < 10; n += 1) await site.browser().signIn('wren', 'guess')
    const stopped = await site.browser().signIn('wren')
    expect(stopped.status).toBe(429)
    expect(Number(stopped.headers.get('retry-after'))).toBeGreaterThan(0)
    expect((await site.browser().signIn('tomasz')).status).toBe(201) // only this account is stopped
    expect((await later(site, 2).browser().signIn('wren')).status).toBe(201)
  })

  onSqlite(
    'counts before it looks at the password: of many guesses at once no more are looked at',
    async () => {
      const { site } = await start()
      const guesses = Array.from({ length: 30 }, () => site.browser().signIn('wren', 'guess'))
      const answers = (await Promise.all(guesses)).map(({ status }) => status)
      expect(answers.filter((status) => status === 401)).toHaveLength(10)
      expect(answers.filter((status) => status === 429)).toHaveLength(20)
    },
  )

  onSqlite('keeps the way in open on a device that is known, whatever others try', async () => {
    const { site } = await start()
    const known = site.browser()
    await known.signIn('wren')
    await known.delete('/api/session')
    for (let n = 0; n < 20; n += 1) await site.browser().signIn('wren', 'guess')
    expect((await site.browser().signIn('wren')).status).toBe(429)
    expect((await known.signIn('wren')).status).toBe(201)
    // Known for one person is not known for another, and guessing there is limited as anywhere.
    for (let n = 0; n < 10; n += 1) await known.signIn('tomasz', 'guess')
    expect((await known.signIn('tomasz')).status).toBe(429)
    for (let n = 0; n < 10; n += 1) await known.signIn('wren', 'guess')
    expect((await known.signIn('wren')).status).toBe(429)
  })

  onSqlite(
    'shuts nobody of a school out for more than a minute, whoever guesses behind its address',
    async () => {
      const { site } = await start()
      const known = site.browser()
      await known.signIn('tomasz')
      const guesses = Array.from({ length: 305 }, (_, n) => site.browser().signIn(`name${n}`, 'guess'))
      await Promise.all(guesses)
      expect((await known.signIn('tomasz')).status).toBe(201)
      const elsewhere = await site.browser().signIn('wren')
      expect([elsewhere.status, elsewhere.headers.get('retry-after')]).toEqual([429, '60'])
      expect((await later(site, 1.1).browser().signIn('wren')).status).toBe(201)
    },
  )

  it('changes the token at each sign-in and ends the session before', async () => {
    const { site } = await start()
    const browser = site.browser()
    await browser.signIn('wren')
    const before = browser.cookie
    await browser.signIn('wren')
    expect(browser.cookie).not.toBe(before)
    const thief = site.browser()
    thief.cookie = before
    expect((await thief.get('/api/session')).body).toEqual({ state: 'signed-out' })
  })

  onSqlite('keeps no token and no password that could be used', async () => {
    const { site } = await start()
    const browser = site.browser()
    await browser.signIn('wren')
    const token = browser.cookie.split('=')[1] ?? ''
    const { sql } = site.services.database.reader()
    const saved = JSON.stringify([await sql('sessions').select(), await sql('passwords').select()])
    expect(saved).not.toContain(token)
    expect(saved).not.toContain(TEST_PASSWORD)
    expect(saved).toContain('$argon2id$')
  })

  onSqlite('signs juniors out after a quarter of an hour, and not while they are seen', async () => {
    const { site } = await start()
    const browser = site.browser()
    await browser.signIn('kit')
    const at = (minutes: number) => {
      const next = later(site, minutes).browser()
      next.cookie = browser.cookie
      return next
    }
    expect((await at(10).get('/api/classes')).status).toBe(200) // a sign of life
    expect((await at(20).get('/api/classes')).status).toBe(200)
    const lost = await at(36).get('/api/classes')
    expect(lost.status).toBe(401)
    expect(lost.body.reason).toBe('signed-out')
  })

  onSqlite('does not take what the page asks by itself for a sign of life', async () => {
    const { site } = await start()
    const browser = site.browser()
    await browser.signIn('kit')
    const at10 = later(site, 10).browser()
    at10.cookie = browser.cookie
    expect((await at10.ask('GET', '/api/news', undefined, { 'valise-background': '1' })).status).toBe(200)
    const at20 = later(site, 20).browser()
    at20.cookie = browser.cookie
    expect((await at20.get('/api/classes')).status).toBe(401)
  })

  onSqlite('ends after the absolute limit whatever one does', async () => {
    const { site } = await start()
    const browser = site.browser()
    await browser.signIn('kit')
    for (let minutes = 14; minutes < 240; minutes += 14) {
      const seen = later(site, minutes).browser()
      seen.cookie = browser.cookie
      expect((await seen.put('/api/session/seen', undefined)).status).toBe(204)
    }
    const after = later(site, 241).browser()
    after.cookie = browser.cookie
    expect((await after.get('/api/classes')).status).toBe(401)
  })

  it('shows where one is signed in, and signs out there', async () => {
    const { site } = await start()
    const [here, there, third] = [site.browser(), site.browser(), site.browser()]
    for (const browser of [here, there, third]) await browser.signIn('wren')
    const list = (await here.get('/api/sessions')).body
    expect(list).toHaveLength(3)
    expect(list.filter((one: { here: boolean }) => one.here)).toHaveLength(1)
    const other = list.find((one: { here: boolean }) => !one.here)
    expect((await here.delete(`/api/sessions/${other.id}`)).status).toBe(204)
    expect((await here.delete('/api/sessions')).status).toBe(204)
    const states = await Promise.all(
      [here, there, third].map(async (one) => (await one.get('/api/session')).body.state),
    )
    expect(states).toEqual(['signed-in', 'signed-out', 'signed-out'])
  })

  onSqlite("does not end somebody else's session", async () => {
    const { site } = await start()
    const [wren, tomasz] = [site.browser(), site.browser()]
    await wren.signIn('wren')
    await tomasz.signIn('tomasz')
    const [session] = (await wren.get('/api/sessions')).body
    expect((await tomasz.delete(`/api/sessions/${session.id}`)).status).toBe(404)
    expect((await wren.get('/api/session')).body.state).toBe('signed-in')
  })

  onSqlite('changes the password with the present one, and signs out everywhere else', async () => {
    const { site } = await start()
    const [here, there] = [site.browser(), site.browser()]
    await here.signIn('wren')
    await there.signIn('wren')
    const change = (present: string, next: string) => here.put('/api/password', { present, next })
    expect((await change('wrong', 'mud between the toes')).body.errors).toEqual([
      { path: '/present', reason: 'password-wrong' },
    ])
    expect((await change(TEST_PASSWORD, 'short')).body).toMatchObject({
      status: 422,
      reason: 'password-short',
    })
    expect((await change(TEST_PASSWORD, 'mud between the toes')).status).toBe(204)
    expect((await here.get('/api/session')).body.state).toBe('signed-in')
    expect((await there.get('/api/session')).body.state).toBe('signed-out')
    expect((await site.browser().signIn('wren')).status).toBe(401)
    expect((await site.browser().signIn('wren', 'mud between the toes')).status).toBe(201)
    expect((await here.get('/api/news')).body.items[0].kind).toBe('password-changed')
  })

  it('keeps language and letter keys', async () => {
    const { site } = await start()
    const browser = site.browser()
    await browser.signIn('wren')
    expect((await browser.patch('/api/preferences', {})).status).toBe(422)
    await browser.patch('/api/preferences', { language: 'es', letterKeys: false })
    expect((await browser.get('/api/session')).body).toMatchObject({ language: 'es', letterKeys: false })
  })

  it('sends a link to whoever forgot the password, without telling who exists', async () => {
    const { site } = await start()
    const admin = site.browser()
    await admin.signIn('mireille')
    await admin.post('/api/people', personNamed('Ada Quay', { email: 'ada@marram.example' }))
    const visitor = site.browser()
    for (const signInName of ['ada', 'wren', 'nobody']) {
      expect((await visitor.post('/api/password/forgotten', { signInName })).status).toBe(204)
    }
    expect(site.mails).toHaveLength(1) // the others have no address, or are nobody
    const token = /#(\S+)/.exec(site.mails[0]?.text ?? '')?.[1] ?? ''
    const chosen = await visitor.post('/api/password/chosen', { token, password: 'quayside in the rain' })
    expect(chosen.body).toMatchObject({ reason: 'password-like-name' })
    expect(
      (await visitor.post('/api/password/chosen', { token, password: 'boats in the rain' })).status,
    ).toBe(201)
    expect((await visitor.get('/api/session')).body).toMatchObject({ fullName: 'Ada Quay' })
    expect((await visitor.get('/api/news')).body.items).toEqual([]) // a first password is no news
    const again = await site.browser().post('/api/password/chosen', { token, password: 'boats in the sun' })
    expect(again).toMatchObject({ status: 410, body: { reason: 'sign-in-link-gone' } })
  })

  onSqlite('lets only the newest link open, and only in its time', async () => {
    const { site, school } = await start()
    const admin = site.browser()
    await admin.signIn('mireille')
    const make = async () =>
      (await admin.post(`/api/people/${school.people.wren}/sign-in-link`)).body.address.split('#')[1]
    const first = await make()
    const second = await make()
    const choose = (on: typeof site, token: string) =>
      on.browser().post('/api/password/chosen', { token, password: 'boats in the rain' })
    expect((await choose(site, first)).status).toBe(410)
    expect((await choose(later(site, 3 * 24 * 60 + 1), second)).status).toBe(410)
    expect((await choose(site, second)).status).toBe(201)
  })
})
