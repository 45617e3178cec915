import { describe, expect, it } from '@jest/globals'
import { newDocument, newTextPiece, nothingShown, textOf } from '@valise/core/pages'
import { makeInlineWorkers } from '../jobs/index.ts'
import { comparePages } from './comparePages.ts'
import { pageTasks } from './tasks.ts'
import type { PageTasks } from './tasks.ts'

const page = (words: string) => ({
  document: newDocument('Transect 3', 'en', [{ id: 'r', pieces: [newTextPiece('a', textOf(words))] }]),
  shown: nothingShown,
})
const turn = { lane: 'requests', personId: 'odalys' } as const

function makeWorkers() {
  const asked: string[] = []
  const workers = makeInlineWorkers<PageTasks>(async (task, input) => {
    asked.push(task)
    if (asked.length === 1) throw new Error('the process ended')
    return pageTasks[task](input)
  })
  return { asked, workers }
}

describe('comparing two states of a page', () => {
  it('is done beside the requests, once for each pair, and again only where it failed', async () => {
    const { asked, workers } = makeWorkers()
    const compare = (before: string, after: string) => comparePages(workers, turn, page(before), page(after))
    await expect(compare('silt', 'mud')).rejects.toThrow('the process ended')
    const [one, two] = await Promise.all([compare('silt', 'mud'), compare('silt', 'mud')])
    expect(one).toEqual(two)
    expect(one).toMatchObject([{ what: 'changed', pieceId: 'a' }])
    expect(asked).toHaveLength(2)
    await compare('silt', 'sand')
    expect(asked).toHaveLength(3)
  })
})
