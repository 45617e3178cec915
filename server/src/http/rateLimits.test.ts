import { shiftedClock } from '../clock.ts'
import { describeEachDatabase, TEST_START } from '../testing/index.ts'
import { addMinutes } from '@valise/core/time'
import { assertWithinLimits, countTry, forgetTries } from './index.ts'

describeEachDatabase('rate limits', (open) => {
  const account = { bucket: 'account', most: 3, minutes: 15 }
  const address = { bucket: 'address', most: 5, minutes: 15 }

  it('let through until one of them is used up, and say how long to wait', async () => {
    const database = await open()
    for (let n = 0; n < 3; n += 1) {
      await assertWithinLimits(database.reader(), [account, address])
      await countTry(database, [account, address])
    }
    await expect(assertWithinLimits(database.reader(), [account, address])).rejects.toMatchObject({
      code: 'too-many',
      params: { minutes: 15 },
    })
    await assertWithinLimits(database.reader(), [address])
  })

  it('count tries that come at once', async () => {
    const database = await open()
    await Promise.all([1, 2, 3, 4, 5].map(() => countTry(database, [account])))
    expect(await database.reader().sql('rateLimits').first('count')).toEqual({ count: 5 })
  })

  it('begin anew after their window and after being forgotten', async () => {
    const database = await open()
    for (let n = 0; n < 3; n += 1) await countTry(database, [account])
    const later = { ...database.reader(), now: addMinutes(TEST_START, 16) }
    await assertWithinLimits(later, [account])
    await countTry({ ...database, clock: shiftedClock(addMinutes(TEST_START, 16)) }, [account])
    expect(await database.reader().sql('rateLimits').first('count')).toEqual({ count: 1 })
    await forgetTries(database, account.bucket)
    expect(await database.reader().sql('rateLimits')).toEqual([])
  })
})
