// What pieces of every kind hand out: to readers of the page, in its HTML, and in a sealed copy.
import {
  describeEachDatabase,
  handInSealed,
  publishEveryPiece,
  setAssignment,
  startSubmissions,
} from '../testing/index.ts'

const addressesIn = (html: string) =>
  [...html.matchAll(/(?:src|href)="(\/api\/[^"]+)"/g)].map(([, one]) => one ?? '')

describeEachDatabase('pieces of every kind', (open, onSqlite) => {
  async function start() {
    const { site, wren, ...rest } = await startSubmissions(open)
    const page = await publishEveryPiece(wren, () => site.services.jobs.drain())
    return { ...rest, site, wren, page, base: `/api/pages/${page.id}/published/1/pieces` }
  }

  onSqlite('are fetched by readers wherever the page shows them, and by nobody else', async () => {
    const { site, school, wren, page, base } = await start()
    const tomasz = site.browser()
    await tomasz.signIn('tomasz')
    const files = page.handOuts.map(({ piece, handOut }) => `${base}/${piece}/${handOut}`)
    expect(files.length).toBeGreaterThan(0)
    for (const file of files) expect([file, (await tomasz.get(file)).status]).toEqual([file, 404])
    const audience = { kind: 'person', personId: school.people.tomasz }
    const pass = {
      audience,
      rights: ['look'],
      firstDay: null,
      lastDay: null,
      thing: { kind: 'page', id: page.id },
    }
    expect((await wren.post('/api/passes', pass)).status).toBe(201)
    for (const file of files) expect([file, (await tomasz.get(file)).status]).toEqual([file, 200])
    const { html } = (await tomasz.get(`/api/pages/${page.id}/published`)).body
    expect(new Set(addressesIn(html))).toEqual(new Set(files))
  })

  onSqlite('hand out no file but those', async () => {
    const { wren, page, base } = await start()
    const isHandedOut = (piece: string, name: string) =>
      page.handOuts.some((one) => one.piece === piece && one.handOut === name)
    for (const { id } of page.pieces)
      for (const name of ['screen', 'file', 'thumbnail', 'voice-x'])
        if (!isHandedOut(id, name))
          expect([id, name, (await wren.get(`${base}/${id}/${name}`)).status]).toEqual([id, name, 404])
  })

  onSqlite('take their files along into a sealed copy, as it shows them', async () => {
    const { site, school, wren, odalys, page } = await start()
    const assignment = await setAssignment(odalys, school.classes.methods, { requirements: [] })
    const submission = await handInSealed(site, wren, assignment, [{ kind: 'page', id: page.id }])
    const { html } = (await wren.get(`/api/submissions/${submission}/parts/1`)).body
    const files = addressesIn(html)
    expect(files.length).toBeGreaterThan(0)
    for (const file of files) expect([file, (await wren.get(file)).status]).toEqual([file, 200])
  })
})
