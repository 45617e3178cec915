// Background work: handlers by kind, run beside the requests; a job that fails is tried again.
import type { Instant } from '@valise/core/time'
import type { Database, Trx } from '../database/index.ts'
import type { RequestLog } from '../http/index.ts'
import { insertJob, noteFailure, postponeJob, prolongLease, removeJob, takeJob } from './store.ts'
import type { JobPayload, NewJob, TakenJob } from './store.ts'

/** Does the jobs of one kind. */
export interface JobHandler {
  /**
   * It may be run twice, also at once after a server fell silent, so it must come to the same thing.
   *
   * @returns when it is to be run again, or nothing when it is done
   */
  run(payload: JobPayload): Promise<Instant | void>
  /** After the last try failed: whoever looks at what it was for must not be left hoping. */
  giveUp?(payload: JobPayload): Promise<void>
}

export interface Jobs {
  /** Adds a job in the transaction that wants it; it begins after the commit. */
  enqueue(trx: Trx, job: NewJob): Promise<void>
  /** Says who does jobs of a kind; each kind once. */
  handle(kind: string, handler: JobHandler): void
  /** Begins to do jobs as they become due. */
  start(): void
  /** Takes no more jobs and lets the present ones end. */
  stop(): Promise<void>
  /** Does all that is due now; for tests and for building a world. Failures are thrown. */
  drain(): Promise<void>
}

const AT_ONCE = 2
const LOOK_EVERY_MS = 1000
const PROLONG_EVERY_MS = 30_000

export function makeJobs(database: Database, log: Pick<RequestLog, 'failed'>): Jobs {
  const handlers = new Map<string, JobHandler>()
  const running = new Set<Promise<void>>()
  let timer: NodeJS.Timeout | null = null
  let isLooking = false

  function wake(): void {
    if (timer !== null) void look()
  }

  /** Takes jobs while there are some and hands are free. */
  async function look(): Promise<void> {
    if (isLooking) return
    isLooking = true
    try {
      while (timer !== null && running.size < AT_ONCE) {
        const job = await takeJob(database)
        if (!job) return
        const work = doJob(job, (error) => log.failed(job.id, error)).finally(() => {
          running.delete(work)
          wake()
        })
        running.add(work)
      }
    } catch (error) {
      log.failed('jobs', error)
    } finally {
      isLooking = false
    }
  }

  async function doJob(job: TakenJob, onError: (error: unknown) => void): Promise<void> {
    const prolonging = setInterval(() => {
      prolongLease(database, job.id).catch((error: unknown) => log.failed(job.id, error))
    }, PROLONG_EVERY_MS)
    const handler = handlers.get(job.kind)
    try {
      if (!handler) throw new Error(`nobody does jobs of the kind ${job.kind}`)
      const again = await handler.run(job.payload)
      await (again ? postponeJob(database, job.id, again) : removeJob(database, job.id))
    } catch (error) {
      const isOver = await noteFailure(database, job)
      if (isOver) await handler?.giveUp?.(job.payload)
      onError(error)
    } finally {
      clearInterval(prolonging)
    }
  }

  return {
    async enqueue(trx, job) {
      await insertJob(trx, job)
      trx.afterCommit(wake)
    },
    handle(kind, handler) {
      if (handlers.has(kind)) throw new Error(`two do jobs of the kind ${kind}`)
      handlers.set(kind, handler)
    },
    start() {
      timer ??= setInterval(wake, LOOK_EVERY_MS)
      wake()
    },
    async stop() {
      if (timer !== null) clearInterval(timer)
      timer = null
      await Promise.all(running)
    },
    async drain() {
      for (let job = await takeJob(database); job !== null; job = await takeJob(database)) {
        await doJob(job, (error) => {
          throw error
        })
      }
    },
  }
}
