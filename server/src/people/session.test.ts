import { describeEachDatabase, makeSmallSchool, makeTestSite } from '../testing/index.ts'

describeEachDatabase('coming in and going out', (open) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    return { site, school }
  }

  it('signs in with name and password, and out again', async () => {
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
    expect(answer.headers.get('set-cookie')).toMatch(/HttpOnly; SameSite=Lax/)
    expect((await browser.get('/api/session')).body.memberships).toEqual([
      { classId: school.classes.methods, className: 'Shore Methods', classCode: 'FLD-204', role: 'student' },
    ])
    expect((await browser.delete('/api/session')).status).toBe(204)
    expect((await browser.get('/api/session')).body).toEqual({ state: 'signed-out' })
  })
})
