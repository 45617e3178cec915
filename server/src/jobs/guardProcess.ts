// The guard of a process that does work of unknown size: ends it when it outgrows its memory, or its parent is gone.
import { Worker } from 'node:worker_threads'

/** Short enough that little is allocated between two looks. */
const LOOK_EVERY_MS = 10

/** It has a thread of its own, so that no computation of the process keeps it from looking. */
const GUARD = `
const { workerData } = require('node:worker_threads')
setInterval(() => {
  const isOrphan = process.ppid !== workerData.parent
  if (isOrphan || process.memoryUsage.rss() > workerData.bytes) process.kill(process.pid, 'SIGKILL')
}, ${LOOK_EVERY_MS})
`

export interface GuardLimits {
  /** Of memory in all, native memory included, that the process may take. */
  readonly megabytes: number
  /** The parent process, passed as an argument, since it may be gone before this one can look it up. */
  readonly parent: number
}

export function guardProcess({ megabytes, parent }: GuardLimits): void {
  const bytes = megabytes * 1_048_576
  const guard = new Worker(GUARD, { eval: true, workerData: { parent, bytes } })
  guard.unref()
}
