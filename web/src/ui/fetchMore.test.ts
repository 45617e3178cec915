import { InfiniteQueryObserver, QueryClient } from '@tanstack/react-query'
import { fetchMore } from './fetchMore.ts'

/** A list of numbers, two to a page, that the server may change. */
function list() {
  const client = new QueryClient()
  const server = { items: [1, 2, 3, 4, 5], asked: 0 }
  const observer = new InfiniteQueryObserver(client, {
    queryKey: ['list'],
    queryFn: async ({ pageParam }) => {
      server.asked += 1
      const items = server.items.filter((item) => item > pageParam).slice(0, 2)
      await new Promise((resolve) => setTimeout(resolve, 5))
      return items
    },
    initialPageParam: 0,
    getNextPageParam: (page: number[]) => (page.length < 2 ? null : page.at(-1)),
  })
  return { client, server, observer, stop: observer.subscribe(() => undefined) }
}

const pagesOf = async (observer: ReturnType<typeof list>['observer']) =>
  (await observer.refetch({ cancelRefetch: false })).data?.pages

describe('the next page of a list', () => {
  it('is fetched after the refetch that is under way, and does not bring back what has left', async () => {
    const { client, server, observer, stop } = list()
    await observer.refetch()
    server.items = [2, 3, 4, 5]
    const invalidated = client.invalidateQueries({ queryKey: ['list'] })
    expect(await fetchMore(observer.getCurrentResult())).toMatchObject({
      pages: [
        [2, 3],
        [4, 5],
      ],
    })
    await invalidated
    expect(await pagesOf(observer)).toEqual([
      [2, 3],
      [4, 5],
    ])
    stop()
  })

  it('is fetched once, however often it is asked for', async () => {
    const { server, observer, stop } = list()
    await observer.refetch()
    server.asked = 0
    const first = fetchMore(observer.getCurrentResult())
    const second = fetchMore(observer.getCurrentResult())
    await Promise.all([first, second])
    expect(server.asked).toBe(1)
    stop()
  })
})
