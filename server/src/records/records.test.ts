import { personNamed } from '@valise/core/people'
import { describeEachDatabase, makeSmallSchool, makeTestSite } from '../testing/index.ts'

describeEachDatabase('records', (open) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const admin = site.browser()
    await admin.signIn('mireille')
    return { site, school, admin }
  }

  it('say who did what in which role, newest first', async () => {
    const { admin, school } = await start()
    const { yearGroups, people } = school
    const foundation = yearGroups.get('Foundation') ?? null
    await admin.put(
      `/api/people/${people.wren}`,
      personNamed('Wren Adeyemi-Holt', { yearGroupId: foundation }),
      1,
    )
    const { body } = await admin.get('/api/records')
    expect(body.items[0]).toMatchObject({
      action: 'person-changed',
      actorName: 'Mireille Sund',
      actorRole: 'administrator',
      subjectName: 'Wren Adeyemi-Holt',
      changes: { yearGroup: ['Certificate', 'Foundation'] },
    })
    expect(body.items[1]).toMatchObject({ action: 'signed-in' })
  })

  it('hold refused sign-ins, but no name and no password that was tried', async () => {
    const { admin, site } = await start()
    await site.browser().signIn('wren', 'my-secret-guess')
    await site.browser().signIn('somebody-else', 'my-secret-guess')
    const { body } = await admin.get('/api/records?action=sign-in-refused')
    expect(body.items.map((one: { subjectName: string | null }) => one.subjectName)).toEqual([
      null,
      'Wren Adeyemi-Holt',
    ])
    const { sql } = site.services.database.reader()
    const all = JSON.stringify([await sql('auditRecords').select(), await sql('rateLimits').select()])
    expect(all).not.toMatch(/my-secret-guess|somebody-else/)
  })

  it('are not written when the act fails', async () => {
    const { admin, school } = await start()
    const count = async () => (await admin.get('/api/records?limit=200')).body.items.length
    const before = await count()
    await admin.put(`/api/people/${school.people.wren}`, personNamed('Wren'), 99)
    await admin.post('/api/classes', { name: 'Again', code: 'FLD-204' })
    expect(await count()).toBe(before)
  })

  it('page by cursor', async () => {
    const { admin } = await start()
    const whole = (await admin.get('/api/records?limit=200')).body.items
    const first = (await admin.get('/api/records?limit=3')).body
    const second = (await admin.get(`/api/records?limit=200&cursor=${first.next}`)).body
    expect([...first.items, ...second.items]).toEqual(whole)
    expect(second.next).toBeNull()
  })
})
