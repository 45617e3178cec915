import { shiftedClock } from '../system/index.ts'
import type { Clock } from '../system/index.ts'
import { inTransaction } from '../database/index.ts'
import { describeEachDatabase, TEST_START } from '../testing/index.ts'
import { makeJobs } from './index.ts'
import { noteFailure, postponeJob, prolongLease, releaseJob, removeJob, takeJob } from './store.ts'

describeEachDatabase('jobs', (open) => {
  /** A clock that a test moves by itself. */
  async function start() {
    let ahead = 0
    const clock: Clock = { now: () => new Date(Date.parse(TEST_START) + ahead).toISOString() }
    const database = await open({ clock })
    const failures: unknown[] = []
    const jobs = makeJobs(database, { failed: (_, error) => failures.push(error) })
    const add = (kind: string, more: { dedupeKey?: string; runAt?: string } = {}) =>
      inTransaction(database, (trx) => jobs.enqueue(trx, { kind, payload: { n: 7 }, ...more }))
    const rows = () => database.reader().sql('jobs').orderBy('id')
    return { database, jobs, add, rows, failures, pass: (minutes: number) => (ahead += minutes * 60_000) }
  }

  it('are done once each, when they are due, and then gone', async () => {
    const { jobs, add, rows, pass } = await start()
    const done: unknown[] = []
    jobs.handle('count', { run: async (payload) => void done.push(payload) })
    await add('count')
    await add('count', { runAt: '2026-11-26T10:45:00.000Z' })
    await jobs.drain()
    expect(done).toEqual([{ n: 7 }])
    pass(4)
    await jobs.drain()
    await jobs.drain()
    expect([done.length, await rows()]).toEqual([2, []])
  })

  it('that are wanted twice under one key are there once, and never of an act that failed', async () => {
    const { database, jobs, add, rows } = await start()
    await add('one', { dedupeKey: 'k' })
    await add('one', { dedupeKey: 'k' })
    await add('one')
    const failed = inTransaction(database, async (trx) => {
      await jobs.enqueue(trx, { kind: 'one', payload: {} })
      throw new Error('no')
    })
    await expect(failed).rejects.toThrow('no')
    expect(await rows()).toHaveLength(2)
  })

  it('are taken by one server at a time, and by another when the first falls silent', async () => {
    const { database, add, pass } = await start()
    await add('one')
    const both = await Promise.all([takeJob(database), takeJob(database)])
    expect(both.filter((job) => job !== null)).toHaveLength(1)
    expect(await takeJob(database)).toBeNull()
    pass(2)
    expect(await takeJob(database)).toMatchObject({ kind: 'one', attempts: 2 })
  })

  it('are ended by whoever holds the lease, and not by a server that was silent too long', async () => {
    const { database, add, rows, pass } = await start()
    await add('one')
    const first = await takeJob(database)
    pass(2)
    const second = await takeJob(database)
    if (!first || !second) throw new Error('it was not taken twice')
    const now = database.clock.now()
    expect(await removeJob(database, first)).toBe(0)
    expect(await postponeJob(database, first, now)).toBe(0)
    expect(await prolongLease(database, first)).toBe(0)
    expect(await releaseJob(database, first)).toBe(0)
    expect(await noteFailure(database, first, true)).toBe(false)
    expect(await takeJob(database)).toBeNull()
    expect(await removeJob(database, second)).toBe(1)
    expect(await rows()).toEqual([])
  })

  it('are each taken by another server, where several look at the same moment', async () => {
    const { database, add } = await start()
    for (const kind of ['one', 'two', 'three']) await add(kind)
    const taken = await Promise.all([takeJob(database), takeJob(database), takeJob(database)])
    expect(taken.map((job) => job?.kind).sort()).toEqual(['one', 'three', 'two'])
  })

  it('that fail are tried again later each time, and rest after the fifth', async () => {
    const { jobs, add, rows, failures, pass } = await start()
    let tries = 0
    const givenUp: unknown[] = []
    jobs.handle('bad', {
      run: async () => {
        tries += 1
        throw new Error('broken')
      },
      giveUp: async (payload) => void givenUp.push(payload),
    })
    await add('bad', { dedupeKey: 'k' })
    for (let minute = 0; minute < 200; minute += 1) {
      await jobs.drain().catch((error: unknown) => failures.push(error))
      pass(1)
    }
    expect([tries, failures.length, givenUp]).toEqual([5, 5, [{ n: 7 }]])
    expect(await rows()).toMatchObject([{ attempts: 5, dedupeKey: null }])
    expect((await rows())[0].failedAt).not.toBeNull()
  })

  it('may ask to be done again', async () => {
    const { jobs, add, pass } = await start()
    let times = 0
    jobs.handle('hourly', {
      run: async () => {
        times += 1
        return new Date(Date.parse(TEST_START) + times * 3_600_000).toISOString()
      },
    })
    await add('hourly', { dedupeKey: 'hourly' })
    await jobs.drain()
    await jobs.drain()
    expect(times).toBe(1)
    pass(61)
    await jobs.drain()
    expect(times).toBe(2)
  })

  it('are done for people in turn, and for one at a time of each', async () => {
    const { database } = await start()
    const live = makeJobs({ ...database, clock: shiftedClock(TEST_START) }, { failed: () => undefined })
    const order: string[] = []
    let concurrently = 0
    live.handle('work', {
      run: async ({ who }) => {
        order.push(String(who))
        concurrently += who === 'wren' ? 1 : 0
        expect(concurrently).toBeLessThanOrEqual(1)
        await new Promise((resolve) => setTimeout(resolve, 20))
        concurrently -= who === 'wren' ? 1 : 0
      },
    })
    await inTransaction(database, async (trx) => {
      for (const who of ['wren', 'wren', 'wren', 'wren', 'ines', 'tomasz'])
        await live.enqueue(trx, { kind: 'work', payload: { who }, personId: who })
    })
    live.start()
    while (order.length < 6) await new Promise((resolve) => setTimeout(resolve, 10))
    await live.stop()
    expect(order.slice(0, 3).sort()).toEqual(['ines', 'tomasz', 'wren'])
  })

  it('whose failure cannot be written down, as on a full disk, stay to be done and end nothing', async () => {
    const { database, jobs, add, rows, pass } = await start()
    const failures: string[] = []
    const full = makeJobs(
      {
        ...database,
        writer: new Proxy(database.writer, {
          get: (target, name) => {
            if (name === 'transaction' && isFull)
              return () => Promise.reject(Object.assign(new Error('full'), { code: 'SQLITE_FULL' }))
            return Reflect.get(target, name)
          },
        }),
      },
      { failed: (_, error) => failures.push(String(error)) },
    )
    let isFull = false
    full.handle('one', {
      run: async () => {
        isFull = true
        throw new Error('no room for what was made')
      },
    })
    await add('one')
    await expect(full.drain()).rejects.toThrow('no room')
    expect(failures).toEqual([expect.stringContaining('full')])
    isFull = false
    expect(await rows()).toHaveLength(1)
    pass(2)
    jobs.handle('one', { run: async () => undefined })
    await jobs.drain()
    expect(await rows()).toEqual([])
  })

  it('begin by themselves after the commit that wants them, and stop when asked', async () => {
    const { database } = await start()
    const live = makeJobs({ ...database, clock: shiftedClock(TEST_START) }, { failed: () => undefined })
    const heard = new Promise<unknown>((resolve) =>
      live.handle('hear', { run: async (payload) => resolve(payload) }),
    )
    live.start()
    await inTransaction(database, (trx) => live.enqueue(trx, { kind: 'hear', payload: { word: 'tide' } }))
    expect(await heard).toEqual({ word: 'tide' })
    await live.stop()
  })
})
