import { addMinutes } from '@valise/core/time'
import { shiftedClock } from '../system/index.ts'
import type { Database } from '../database/index.ts'
import { describeEachDatabase, TEST_START } from '../testing/index.ts'
import { countTry, forgetTries } from './index.ts'

describeEachDatabase('rate limits', (open) => {
  const waits = { firstWaitMinutes: 1, longestWaitMinutes: 8, minutes: 60 }
  const account = { bucket: 'account', free: 3, ...waits }
  const address = { bucket: 'address', free: 5, ...waits }
  const after = (database: Database, minutes: number) => ({
    ...database,
    clock: shiftedClock(addMinutes(TEST_START, minutes)),
  })
  const refusedFor = (minutes: number) => ({ code: 'too-many', params: { minutes } })

  it('let through until one of them is used up, and say how long to wait; a refused try is not counted', async () => {
    const database = await open()
    for (let n = 0; n < 3; n += 1) await countTry(database, [account, address])
    await expect(countTry(database, [account, address])).rejects.toMatchObject(refusedFor(1))
    await expect(countTry(database, [address])).resolves.toBeUndefined()
    const { sql } = database.reader()
    expect(await sql('rateLimits').orderBy('bucket').select('bucket', 'count')).toEqual([
      { bucket: 'account', count: 3 },
      { bucket: 'address', count: 4 },
    ])
  })

  it('let no more through of tries that come at once', async () => {
    const database = await open()
    const tries = await Promise.allSettled([1, 2, 3, 4, 5, 6].map(() => countTry(database, [account])))
    expect(tries.filter(({ status }) => status === 'fulfilled')).toHaveLength(3)
  })

  it('double the wait with each further try, up to the longest', async () => {
    const database = await open()
    for (let n = 0; n < 3; n += 1) await countTry(database, [account])
    let minute = 0
    for (const wait of [1, 2, 4, 8, 8]) {
      await expect(countTry(after(database, minute + wait - 0.5), [account])).rejects.toThrow()
      minute += wait + 0.1
      await countTry(after(database, minute), [account])
    }
  })

  it('begin anew after their window; a right try forgets its own and takes itself back from the shared', async () => {
    const database = await open()
    for (let n = 0; n < 3; n += 1) await countTry(database, [account, address])
    await forgetTries(database, { own: [account], shared: [address] })
    const counts = () => database.reader().sql('rateLimits').select('bucket', 'count')
    expect(await counts()).toEqual([{ bucket: 'address', count: 2 }])
    await countTry(after(database, 70), [account])
    expect(await counts()).toEqual([{ bucket: 'account', count: 1 }])
  })
})
