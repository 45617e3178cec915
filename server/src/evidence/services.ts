// What the use cases on evidence work with.
import type { Database } from '../database/index.ts'
import type { FileStore } from '../files/index.ts'
import type { Jobs, Workers } from '../jobs/index.ts'
import type { RequestLog } from '../log/index.ts'
import type { EvidenceTasks } from './tasks.ts'

export interface UploadSettings {
  /** Bytes that one file may have. */
  readonly largestFile: number
  /** Bytes that one person may keep. */
  readonly quota: number
}

export interface EvidenceServices {
  readonly config: UploadSettings
  readonly database: Database
  readonly files: FileStore
  readonly jobs: Jobs
  readonly log: RequestLog
  readonly workers: Workers<EvidenceTasks>
}
