// Background work on the ways in: following documents of the shared drive.
import type { JobHandler } from '../jobs/index.ts'
import type { GatheringServices } from './services.ts'
import { followDocument } from './driveService.ts'
import { FOLLOW_DOCUMENT } from './jobNames.ts'

export function gatheringJobs(services: GatheringServices): Readonly<Record<string, JobHandler>> {
  return { [FOLLOW_DOCUMENT]: { run: ({ evidenceId }) => followDocument(services, String(evidenceId)) } }
}
