import { makePasswordHasher } from './passwordHasher.ts'

const hasher = makePasswordHasher({ memoryCost: 8, timeCost: 1, parallelism: 1 })

describe('password hashes', () => {
  it('are argon2id, salted, and hold only for their password', async () => {
    const [first, second] = [await hasher.hash('low water'), await hasher.hash('low water')]
    expect(first).toMatch(/^\$argon2id\$/)
    expect(first).not.toBe(second)
    expect(await hasher.verify(first, 'low water')).toBe(true)
    expect(await hasher.verify(first, 'high water')).toBe(false)
  })

  it('take the same characters from any keyboard', async () => {
    const composed = await hasher.hash('ma\u00f1ana en la marisma')
    expect(await hasher.verify(composed, 'man\u0303ana en la marisma')).toBe(true)
  })

  it('hold for nobody who has none', async () => {
    expect(await hasher.verify(null, 'nobody has this password')).toBe(false)
  })

  it('are made a few at a time; a rush beyond the line is told to come again', async () => {
    const rush = await Promise.allSettled(Array.from({ length: 100 }, () => hasher.hash('low water')))
    const refused = rush.filter((one) => one.status === 'rejected')
    expect(refused.length).toBe(100 - 62)
    expect(refused[0]).toMatchObject({ reason: { code: 'busy' } })
    expect(await hasher.verify(await hasher.hash('after'), 'after')).toBe(true) // the line is free again
  })
})
