import { describeEachDatabase, makeSmallSchool, makeTestSite } from '../testing/index.ts'

describeEachDatabase('classes', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    return { school, as }
  }

  onSqlite('shows who is in it, assessors first, by the names that others see', async () => {
    const { school, as } = await start()
    const wren = await as('wren')
    const { body } = await wren.get(`/api/classes/${school.classes.methods}`)
    expect(body.class).toMatchObject({ name: 'Shore Methods', code: 'FLD-204', students: 2, assessors: 1 })
    expect(body.members.map((one: { shownName: string }) => one.shownName)).toEqual([
      'Odalys Fenn',
      'Tomasz Ilves-Barr',
      'Wren Adeyemi-Holt',
    ])
    expect(body.members.at(-1)).toMatchObject({ me: true, role: 'student' })
    const crew = await (await as('mireille')).get(`/api/classes/${school.classes.crew}`)
    expect(crew.body.members[0].shownName).toBe('Kit') // juniors are shown by first name
  })

  onSqlite('answers for a class of others exactly as for one that is not there', async () => {
    const { school, as } = await start()
    const wren = await as('wren')
    const strip = ({ status, body: { request: _, ...body } }: Awaited<ReturnType<typeof wren.get>>) => ({
      status,
      body,
    })
    const foreign = strip(await wren.get(`/api/classes/${school.classes.crew}`))
    const absent = strip(await wren.get('/api/classes/01890000-0000-7000-8000-000000000000'))
    const nonsense = strip(await wren.get('/api/classes/nonsense'))
    expect(foreign.status).toBe(404)
    expect(absent).toEqual(foreign)
    expect(nonsense).toEqual(foreign)
  })

  it('is added and changed by administrators, each code once', async () => {
    const { school, as } = await start()
    const admin = await as('mireille')
    expect((await admin.post('/api/classes', { name: 'Tides', code: 'fld-204' })).body.reason).toBe(
      'code-taken',
    )
    expect((await admin.post('/api/classes', { name: 'Tides', code: 'FLD-110' })).status).toBe(201)
    const changed = await admin.put(`/api/classes/${school.classes.crew}`, { name: 'Crew', code: 'SAT' }, 1)
    expect(changed.body).toMatchObject({ name: 'Crew', revision: 2 })
    expect(
      (await admin.put(`/api/classes/${school.classes.crew}`, { name: 'Crew 2', code: 'SAT' }, 1)).status,
    ).toBe(412)
    expect((await admin.get('/api/classes')).body).toHaveLength(3)
    expect((await (await as('wren')).get('/api/classes')).body).toHaveLength(1)
  })
})
