import { newsKinds } from '@valise/core/news'
import { anyNews } from '@valise/core/news/testing'
import fc from 'fast-check'
import { inTransaction } from '../database/index.ts'
import { describeEachDatabase, startSealed } from '../testing/index.ts'
import { deleteThings, insertThing } from '../things/index.ts'
import { tellNews } from './index.ts'
import type { NewsToTell } from './index.ts'

/** News that can be told apart by a number. */
const joined = (n: string) => ({ kind: 'joined-class', params: { className: n, role: 'student' } }) as const

describeEachDatabase('news', (open, onSqlite) => {
  it('come page by page, the newest first, each once, and each person has their own', async () => {
    const { site, school, wren, odalys } = await startSealed(open)
    const { body: before } = await wren.get('/api/news')
    for (let n = 0; n < 45; n += 1)
      await inTransaction(site.services.database, (trx) =>
        tellNews(trx, { personId: school.people.wren, ...joined(String(n)) }),
      )
    const first = (await wren.get('/api/news')).body
    const second = (await wren.get(`/api/news?cursor=${encodeURIComponent(first.next)}`)).body
    const items = [...first.items, ...second.items]
    expect(first.items).toHaveLength(30)
    expect(items).toHaveLength(45 + before.items.length)
    expect(new Set(items.map(({ id }: { id: string }) => id)).size).toBe(items.length)
    expect(items[0].params).toEqual({ className: '44', role: 'student' })
    expect(second.next).toBeNull()
    expect(first.unseen).toBe(45 + before.unseen)
    expect((await odalys.get('/api/news')).body.items).not.toContainEqual(items[0])
  })

  onSqlite('are seen up to the one that was shown: what came meanwhile stays new', async () => {
    const { site, school, wren } = await startSealed(open)
    const tell = () =>
      inTransaction(site.services.database, (trx) =>
        tellNews(trx, { personId: school.people.wren, kind: 'password-changed', params: {} }),
      )
    const shown = await tell()
    await tell()
    await wren.put('/api/news/seen', { upTo: shown })
    const { unseen, items } = (await wren.get('/api/news')).body
    expect(unseen).toBe(1)
    expect(items.map(({ seen }: { seen: boolean }) => seen).slice(0, 2)).toEqual([false, true])
  })

  onSqlite('stand in the order of time, also where a clock went back', async () => {
    const { site, school, wren } = await startSealed(open)
    const tell = (n: string) =>
      inTransaction(site.services.database, async (trx) => {
        const id = await tellNews(trx, {
          personId: school.people.wren,
          ...joined(n),
        })
        await trx
          .sql('news')
          .where({ id })
          .update({ at: `2026-12-0${n}T08:00:00.000Z` })
        return id
      })
    await tell('3')
    await tell('1')
    const second = await tell('2')
    const { items, unseen } = (await wren.get('/api/news')).body
    expect(
      items.slice(0, 3).map(({ params }: { params: { className: string } }) => params.className),
    ).toEqual(['3', '2', '1'])
    expect(unseen).toBeGreaterThan(2)
    await wren.put('/api/news/seen', { upTo: second })
    expect((await wren.get('/api/news')).body.unseen).toBe(1)
  })

  onSqlite('of a cursor that was made up get a refusal, not a failure', async () => {
    const { wren } = await startSealed(open)
    expect((await wren.get('/api/news?cursor=no-such')).status).toBe(422)
  })

  it('of a thing go when it is removed for good', async () => {
    const { site, school, wren } = await startSealed(open)
    const id = '01890000-0000-7000-8000-000000000000'
    await inTransaction(site.services.database, async (trx) => {
      await insertThing(trx, { id, kind: 'page', ownerId: school.people.tomasz, title: 'Transect 3' })
      const params = { name: 'Tomasz', kind: 'page', thingId: id } as const
      await tellNews(trx, { personId: school.people.wren, kind: 'shared-with-me', params })
    })
    const told = async () => JSON.stringify((await wren.get('/api/news')).body).includes(id)
    expect(await told()).toBe(true)
    await inTransaction(site.services.database, (trx) => deleteThings(trx, [id]))
    expect(await told()).toBe(false)
  })

  onSqlite.each(newsKinds)('of the kind %s are read as they were told', async (kind) => {
    const { site, school, wren } = await startSealed(open)
    const told = fc.sample(anyNews(kind), { seed: 8, numRuns: 3 })
    for (const news of told)
      await inTransaction(site.services.database, async (trx) => {
        const { params } = news
        if ('thingId' in params)
          await insertThing(trx, {
            id: params.thingId,
            kind: params.kind,
            ownerId: school.people.tomasz,
            title: '',
          })
        await tellNews(trx, { ...news, personId: school.people.wren } as NewsToTell)
      })
    const { items } = (await wren.get('/api/news')).body
    expect(items.slice(0, 3)).toMatchObject(told.map(({ params }) => ({ kind, params })).reverse())
  })
})
