// What pages have done in worker processes: comparing two states of one.
import { differencePages } from '@valise/core/pages'
import type { PageChange, ShownDocument } from '@valise/core/pages'

export type PageTasks = {
  readonly compare: {
    readonly input: { readonly before: ShownDocument | null; readonly after: ShownDocument }
    readonly output: { readonly changes: PageChange[] }
  }
}

export const pageTasks = {
  compare: async ({ before, after }: PageTasks['compare']['input']) => ({
    changes: differencePages(before, after),
  }),
}
