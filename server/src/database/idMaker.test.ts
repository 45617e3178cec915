import { expect, it } from '@jest/globals'
import { validate, version } from 'uuid'
import { createIdMaker } from './idMaker.ts'

it('makes ids that sort in the order of making, within a millisecond and when the clock goes back', () => {
  const newId = createIdMaker()
  const moments = [5, 5, 5, 6, 4, 4, 7, ...Array.from({ length: 1000 }, () => 7)]
  const ids = moments.map((moment) => newId(1_790_000_000_000 + moment))
  expect(ids).toEqual([...ids].sort())
  expect(new Set(ids).size).toBe(ids.length)
  expect(ids.every((id) => validate(id) && version(id) === 7)).toBe(true)
})

it('makes different ids in two makers of one millisecond', () => {
  expect(createIdMaker()(1)).not.toBe(createIdMaker()(1))
})
