// Today over HTTP, beside the plan of assignments.
import { computeStageSteps, todayStagesSchema } from '@valise/core/today'
import { listGuidesToDo } from '../guides/index.ts'
import { route } from '../http/index.ts'
import { getWeek } from './weekStore.ts'

export const todayRoutes = [
  route(
    {
      method: 'get',
      path: '/api/today/stages',
      summary: 'The stages of my guides that are next to be done, and what I wrote and gathered this week',
      who: 'signed-in',
      answer: todayStagesSchema,
    },
    async ({ reader, actor }) => ({
      stages: computeStageSteps(await listGuidesToDo(reader, actor)),
      week: await getWeek(reader, actor),
    }),
  ),
]
