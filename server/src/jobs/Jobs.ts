// Background work: handlers by kind, run beside the requests; a job that fails is tried again.
import type { Instant } from '@valise/core/time'
import type { Database, Trx } from '../database/index.ts'
import type { RequestLog } from '../log/index.ts'
import { insertJob, noteFailure, postponeJob, prolongLease, releaseJob, removeJob, takeJob } from './store.ts'
import type { JobPayload, NewJob, TakenJob } from './store.ts'
import { ProcessBurst } from './WorkerProcess.ts'

/** Runs the jobs of one kind. */
export interface JobHandler {
  /**
   * It may be run twice, also at once after a server fell silent, so it must come to the same thing.
   *
   * @returns when it is to be run again, or nothing when it is done
   */
  run(payload: JobPayload): Promise<Instant | void>
  /**
   * After the last try failed: whoever looks at what it was for must not be left hoping. A `ProcessBurst` has one try
   * alone, as whatever outgrew its limits would do so again.
   */
  giveUp?(payload: JobPayload, error: unknown): Promise<void>
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
/** People who were served in this round; with more of them a new round begins. */
const MOST_IN_ROUND = 200

export function makeJobs(database: Database, log: Pick<RequestLog, 'failed'>): Jobs {
  const handlers = new Map<string, JobHandler>()
  const running = new Map<string, { readonly personId: string | null; readonly work: Promise<void> }>()
  const served = new Set<string>()
  let timer: NodeJS.Timeout | null = null
  let isPreviewing = false
  let isStopping = false

  function wake(): void {
    if (timer !== null) void poll()
  }

  /** Takes jobs while there are some and hands are free. */
  async function poll(): Promise<void> {
    if (isPreviewing) return
    isPreviewing = true
    try {
      while (timer !== null && running.size < AT_ONCE) {
        const job = await takeNext()
        if (!job) return
        const work = doJob(job, (error) => log.failed(job.id, error)).finally(() => {
          running.delete(job.id)
          wake()
        })
        running.set(job.id, { personId: job.personId, work })
      }
    } catch (error) {
      log.failed('jobs', error)
    } finally {
      isPreviewing = false
    }
  }

  /** Serves each person once before anybody is served again, and nobody with two hands at the same time. */
  async function takeNext(): Promise<TakenJob | null> {
    const busy = [...running.values()].flatMap(({ personId }) => personId ?? [])
    let job = await takeJob(database, [...new Set([...busy, ...served])])
    if (!job && served.size > 0) {
      served.clear()
      job = await takeJob(database, busy)
    }
    if (served.size >= MOST_IN_ROUND) served.clear()
    if (job?.personId) served.add(job.personId)
    return job
  }

  async function doJob(job: TakenJob, onError: (error: unknown) => void): Promise<void> {
    const prolonging = setInterval(() => {
      prolongLease(database, job).catch((error: unknown) => log.failed(job.id, error))
    }, PROLONG_EVERY_MS)
    const handler = handlers.get(job.kind)
    try {
      if (!handler) throw new Error(`no handler for job kind ${job.kind}`)
      const again = await handler.run(job.payload)
      await (again ? postponeJob(database, job, again) : removeJob(database, job))
    } catch (error) {
      await noteOutcome(job, handler, error).catch((failure: unknown) => log.failed(job.id, failure))
      onError(error)
    } finally {
      clearInterval(prolonging)
    }
  }

  /** Where this cannot be written either, as on a full disk, the lease ends by itself and the job is tried again. */
  async function noteOutcome(job: TakenJob, handler: JobHandler | undefined, error: unknown): Promise<void> {
    if (isStopping) return void (await releaseJob(database, job))
    const isOver = await noteFailure(database, job, error instanceof ProcessBurst)
    if (isOver) await handler?.giveUp?.(job.payload, error)
  }

  return {
    async enqueue(trx, job) {
      await insertJob(trx, job)
      trx.afterCommit(wake)
    },
    handle(kind, handler) {
      if (handlers.has(kind)) throw new Error(`two handlers for job kind ${kind}`)
      handlers.set(kind, handler)
    },
    start() {
      isStopping = false
      timer ??= setInterval(wake, LOOK_EVERY_MS)
      wake()
    },
    async stop() {
      isStopping = true
      if (timer !== null) clearInterval(timer)
      timer = null
      await Promise.all([...running.values()].map(({ work }) => work))
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
