// All that the rooms work with, made once at the start. Each room names what it needs; only the composition sees it whole.
import type { AccessServices } from './access/index.ts'
import { binJobs } from './bin/index.ts'
import type { BinServices } from './bin/index.ts'
import { collageJobs } from './collages/index.ts'
import type { Config } from './config.ts'
import { entryJobs } from './reflections/index.ts'
import { evidenceJobs } from './evidence/index.ts'
import type { EvidenceServices } from './evidence/index.ts'
import { gatheringJobs } from './gathering/index.ts'
import type { GatheringServices } from './gathering/index.ts'
import type { HttpServices } from './http/index.ts'
import type { Workers } from './jobs/index.ts'
import type { PeopleServices } from './people/index.ts'
import { guideJobs } from './guides/index.ts'
import { submissionJobs } from './submissions/index.ts'
import type { SubmissionServices } from './submissions/index.ts'
import type { WorkerTasks } from './workerTasks.ts'

type ServicesOfRooms = HttpServices &
  PeopleServices &
  AccessServices &
  EvidenceServices &
  GatheringServices &
  SubmissionServices &
  BinServices

export interface Services extends ServicesOfRooms {
  readonly config: Config
  readonly workers: Workers<WorkerTasks>
}

/** Registers the job handlers of every room. */
export function withJobs(services: Services): Services {
  const handlers = {
    ...evidenceJobs(services),
    ...entryJobs(services),
    ...collageJobs(services),
    ...gatheringJobs(services),
    ...binJobs(services),
    ...submissionJobs(services),
    ...guideJobs(services),
  }
  for (const [kind, handler] of Object.entries(handlers)) services.jobs.handle(kind, handler)
  return services
}
