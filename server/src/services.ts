// What the use cases work with, made once at the start and handed down.
import { binJobs } from './bin/index.ts'
import { collageJobs } from './collages/index.ts'
import type { Config } from './config.ts'
import type { Database } from './database/index.ts'
import { evidenceJobs } from './evidence/index.ts'
import { gatheringJobs } from './gathering/index.ts'
import type { FileStore } from './files/index.ts'
import type { RequestLog } from './http/index.ts'
import type { Jobs, Workers } from './jobs/index.ts'
import type { ServerKeys } from './keys.ts'
import type { MailSender } from './mail/index.ts'
import type { Drive, LinkReader, Shelf } from './outside/index.ts'
import { submissionJobs } from './submissions/index.ts'
import type { WorkerTasks } from './workerTasks.ts'
import type { PasswordHasher } from './people/passwordHasher.ts'

export interface Services {
  readonly config: Config
  readonly database: Database
  readonly files: FileStore
  readonly jobs: Jobs
  readonly keys: ServerKeys
  readonly mail: MailSender
  readonly passwords: PasswordHasher
  readonly log: RequestLog
  readonly workers: Workers<WorkerTasks>
  readonly outside: Outside
}

/** The outside services; null for those that the school has not set up. */
export interface Outside {
  readonly drive: Drive | null
  readonly shelf: Shelf | null
  readonly links: LinkReader
}

/** Registers the job handlers of every room. */
export function withJobs(services: Services): Services {
  const handlers = {
    ...evidenceJobs(services),
    ...collageJobs(services),
    ...gatheringJobs(services),
    ...binJobs(services),
    ...submissionJobs(services),
  }
  for (const [kind, handler] of Object.entries(handlers)) services.jobs.handle(kind, handler)
  return services
}
