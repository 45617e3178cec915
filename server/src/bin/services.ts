// What emptying the bin works with.
import type { Database } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'

export interface BinServices {
  readonly database: Database
  readonly jobs: Jobs
}
