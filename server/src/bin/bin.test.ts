import { BIN_KEPT_DAYS } from '@valise/core/bin'
import type { BinnedThing } from '@valise/core/bin'
import { thingKinds } from '@valise/core/things'
import { addMinutes } from '@valise/core/time'
import { shiftedClock } from '../system/index.ts'
import {
  allRows,
  describeEachDatabase,
  makeEveryThing,
  makeSmallSchool,
  makeTestSite,
  TEST_START,
} from '../testing/index.ts'
import { planBinSweep } from './index.ts'

describeEachDatabase('the bin', (open, onSqlite) => {
  async function start() {
    let minutes = 0
    const ticking = shiftedClock(TEST_START)
    const clock = { now: () => addMinutes(ticking.now(), minutes) }
    const site = makeTestSite(await open({ clock }))
    await makeSmallSchool(site.services)
    const wren = site.browser()
    await wren.signIn('wren')
    const things = await makeEveryThing(site, wren)
    const binned = async (): Promise<BinnedThing[]> => (await wren.get('/api/bin')).body.items
    const passDays = (days: number) => void (minutes += days * 24 * 60)
    return { site, wren, things, binned, passDays }
  }
  type Started = Awaited<ReturnType<typeof start>>

  /** The tables in which an id stands, in any column and inside any text, but for what is written down for ever. */
  async function tablesWith({ site }: Started, id: string): Promise<string[]> {
    const rows = await allRows(site.services.database, ['auditRecords', 'jobs'])
    return Object.keys(rows).filter((table) => JSON.stringify(rows[table]).includes(id))
  }

  it.each(thingKinds)(
    'takes a thing of the kind %s, says until when it is there, and gives it back',
    async (kind) => {
      const { wren, things, binned } = await start()
      const id = things[kind]
      expect((await wren.put(`/api/things/${id}/bin`, undefined)).status).toBe(204)
      const [there, ...others] = await binned()
      expect(others).toEqual([])
      expect(there).toMatchObject({ kind, id, title: kind })
      expect((await wren.get('/api/bin')).body.count).toBe(1)
      // It keeps the day on which it was put there.
      await wren.put(`/api/things/${id}/bin`, undefined)
      expect(await binned()).toEqual([there])
      expect((await wren.delete(`/api/things/${id}/bin`)).status).toBe(204)
      expect(await binned()).toEqual([])
      expect((await wren.get(`/api/things/${id}/uses`)).body).toEqual([])
    },
  )

  it.each(thingKinds)('leaves nothing of a thing of the kind %s that is removed for good', async (kind) => {
    const started = await start()
    const { wren, things } = started
    const id = things[kind]
    expect(await tablesWith(started, id)).toContain('things')
    await wren.put(`/api/things/${id}/bin`, undefined)
    expect((await wren.delete(`/api/things/${id}`)).status).toBe(204)
    expect(await tablesWith(started, id)).toEqual([])
    const others = Object.values(things).filter((one) => one !== id)
    for (const other of others) expect(await tablesWith(started, other)).toContain('things')
  })

  it('is swept after its days, whatever lies in it, and not before', async () => {
    const started = await start()
    const { site, wren, things, binned, passDays } = started
    await wren.put('/api/bin', { ids: Object.values(things) })
    expect((await binned()).map(({ kind }) => kind).sort()).toEqual([...thingKinds].sort())
    const sweep = async (days: number) => {
      passDays(days)
      await planBinSweep(site.services)
      await site.services.jobs.drain()
    }
    await sweep(BIN_KEPT_DAYS - 1)
    for (const id of Object.values(things)) expect(await tablesWith(started, id)).toContain('things')
    await sweep(1)
    for (const id of Object.values(things)) expect(await tablesWith(started, id)).toEqual([])
  })

  onSqlite('takes several at once: all of them, or none', async () => {
    const { wren, things, binned } = await start()
    const absent = '01890000-0000-7000-8000-000000000000'
    const ids = [things.page, things.evidence]
    expect((await wren.put('/api/bin', { ids: [...ids, absent] })).status).toBe(404)
    expect(await binned()).toEqual([])
    await wren.put(`/api/things/${things.page}/bin`, undefined)
    const [page] = await binned()
    expect((await wren.put('/api/bin', { ids })).status).toBe(204)
    expect(await binned()).toContainEqual(page)
    expect((await binned()).map(({ id }) => id).sort()).toEqual(ids.sort())
  })

  onSqlite('shows its pages one after the other, last binned first', async () => {
    const { wren, things } = await start()
    for (const id of Object.values(things)) await wren.put(`/api/things/${id}/bin`, undefined)
    const seen: string[] = []
    for (let next: string | null = ''; next !== null;) {
      const { body } = await wren.get(
        `/api/bin?limit=2${next === '' ? '' : `&cursor=${encodeURIComponent(next)}`}`,
      )
      expect(body.count).toBe(thingKinds.length)
      seen.push(...body.items.map(({ id }: BinnedThing) => id))
      next = body.next
    }
    expect(seen).toEqual(Object.values(things).reverse())
  })

  onSqlite('takes no logbook that holds entries, since entries go one by one', async () => {
    const { wren, things } = await start()
    const { logbookId } = (await wren.get(`/api/entries/${things.entry}`)).body
    for (const refused of [
      await wren.put(`/api/things/${logbookId}/bin`, undefined),
      await wren.delete(`/api/things/${logbookId}`),
    ])
      expect([refused.status, refused.body.reason]).toEqual([409, 'logbook-not-empty'])
    expect((await wren.delete(`/api/things/${things.logbook}`)).status).toBe(204)
  })
})
