import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals'
import { InfiniteQueryObserver, QueryClient, QueryObserver } from '@tanstack/react-query'
import { ApiProblem } from './ApiProblem.ts'
import { isOvertaken, tellChanged } from './changes.ts'
import type { Topic } from './changes.ts'

let client: QueryClient
let asked: string[]
const leave: (() => void)[] = []
beforeEach(() => {
  client = new QueryClient()
  asked = []
})
afterEach(() => leave.splice(0).forEach((stop) => stop()))

/** A screen that shows what was fetched under a key. */
async function watch(key: readonly string[], follows: readonly Topic[]): Promise<void> {
  const queryFn = () => asked.push(key.join(' '))
  const observer = new QueryObserver(client, {
    queryKey: key,
    queryFn,
    staleTime: Infinity,
    meta: { follows },
  })
  leave.push(observer.subscribe(() => undefined))
  await client.ensureQueryData({ queryKey: key, queryFn })
}

describe('a change on the server', () => {
  it('is heard by whatever follows it, in any room, and by nothing else', async () => {
    await watch(['pages', 'list'], ['pages', 'bin'])
    await watch(['counts', 'pages'], ['pages', 'bin'])
    await watch(['people', 'list'], ['people'])
    asked = []
    await tellChanged(client, ['pages', 'passes'])
    expect(asked.sort()).toEqual(['counts pages', 'pages list'])
  })

  it('makes nobody ask about a thing that is gone', async () => {
    await watch(['pages', 'one', 'creek'], ['bin'])
    await watch(['pages', 'list'], ['bin'])
    asked = []
    await tellChanged(client, ['bin'], ['creek'])
    expect(asked).toEqual(['pages list'])
    expect(client.getQueryState(['pages', 'one', 'creek'])?.isInvalidated).toBe(true)
  })

  it('leaves a list that was scrolled far as it stands until it is opened again', async () => {
    const queryFn = jest.fn(({ pageParam }: { pageParam: number }) => pageParam)
    const far = new InfiniteQueryObserver(client, {
      ...{
        queryKey: ['far'],
        queryFn,
        initialPageParam: 0,
        staleTime: Infinity,
        meta: { follows: ['evidence'] },
      },
      getNextPageParam: (last: number) => last + 1,
    })
    leave.push(far.subscribe(() => undefined))
    for (let n = 0; n < 6; n += 1) await far.fetchNextPage()
    const before = queryFn.mock.calls.length
    await tellChanged(client, ['evidence'])
    expect(queryFn.mock.calls).toHaveLength(before)
    expect(client.getQueryState(['far'])?.isInvalidated).toBe(true)
  })

  it('is fetched also where a write was refused because somebody was faster', () => {
    const problem = (code: string) => new ApiProblem({ code, reason: code, status: 400, params: {} } as never)
    expect(['stale', 'conflict', 'gone', 'not-found'].every((code) => isOvertaken(problem(code)))).toBe(true)
    expect(['invalid', 'unreachable'].some((code) => isOvertaken(problem(code)))).toBe(false)
    expect(isOvertaken(new Error('a defect'))).toBe(false)
  })
})
