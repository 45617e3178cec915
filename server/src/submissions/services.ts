// What handing in, sealing and reviewing work with.
import type { Database } from '../database/index.ts'
import type { FileStore } from '../files/index.ts'
import type { Jobs, Workers } from '../jobs/index.ts'
import type { PageTasks } from '../pages/index.ts'
import type { ServerKeys } from '../system/index.ts'

export interface SubmissionServices {
  readonly database: Database
  readonly files: FileStore
  readonly jobs: Jobs
  readonly keys: ServerKeys
  readonly workers: Workers<PageTasks>
  /** Returns the style sheet of pages, as it is written into each sealed copy. */
  readonly paperCss: () => string
}
