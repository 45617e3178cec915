// Starting the server: open what it works with, migrate, listen, and stop in good order.
import { accessSync, constants, existsSync, mkdirSync } from 'node:fs'
import { Server } from 'node:http'
import { dirname } from 'node:path'
import { serve } from '@hono/node-server'
import type { ServerType } from '@hono/node-server'
import type { Hono } from 'hono'
import type { Config } from './config.ts'
import { databaseFile } from './config.ts'
import { migrateToLatest, openPostgres, openSqlite } from './database/index.ts'
import { planEntryIndex } from './reflections/index.ts'
import { planSweep } from './evidence/index.ts'
import { planCollecting } from './guides/index.ts'
import { planBinSweep } from './bin/index.ts'
import { openFolderStore } from './files/index.ts'
import { openLog } from './log/index.ts'
import { makeJobs, makeProcesses } from './jobs/index.ts'
import type { Lane, LaneOptions } from './jobs/index.ts'
import { openOutside } from './outside/index.ts'
import { makeMailSender } from './mail/index.ts'
import { makePasswordHasher } from './people/index.ts'
import { paperCss } from './paperCss.ts'
import { withJobs } from './services.ts'
import type { Services } from './services.ts'
import { errorCodeOf, isDiskFull, openKeys, shiftedClock, systemClock } from './system/index.ts'
import type { WorkerData } from './worker.ts'
import type { WorkerTasks } from './workerTasks.ts'

const GRACE_MS = 2000
/**
 * How long an idle connection stays open: longer than a proxy in front keeps it (a minute, mostly), which would
 * otherwise send a request into a connection that is just being closed.
 */
const KEEP_ALIVE_MS = 75_000
/** Less than this is used up by the next few writes. */
const LEAST_FREE_BYTES = 1_048_576

/** What one upload may cost in memory, with room for what is allocated between two looks of the guard. */
const MEGABYTES = 384
/** Reading a file has a process to itself: files of many kinds are opened by libraries of many hands. */
const alone = ['read']
const LANES: Readonly<Record<Lane, LaneOptions>> = {
  requests: {
    processes: 1,
    limits: { milliseconds: 30_000, megabytes: MEGABYTES },
    longestWaitMs: 10_000,
    alone,
  },
  jobs: { processes: 2, limits: { milliseconds: 60_000, megabytes: MEGABYTES }, longestWaitMs: null, alone },
}

/** A problem of the environment that a person must fix first; its message is one clear line. */
export class StartError extends Error {
  constructor(message: string, options?: ErrorOptions) {
    super(message, options)
    this.name = 'StartError'
  }
}

/**
 * Opens the data folder and migrates its database.
 *
 * @param mayShiftClock for demo and tests only; elsewhere a shifted clock would make every due time wrong
 * @throws StartError when the folder cannot be written, its disk is full, or the clock may not be shifted
 */
export async function openServices(config: Config, mayShiftClock: boolean): Promise<Services> {
  try {
    return await openAll(config, mayShiftClock)
  } catch (error) {
    if (!isDiskFull(error)) throw error
    const line = `The disk of the data folder is full: ${config.dataFolder}. Nothing was changed. Free some space and start again.`
    throw new StartError(line, { cause: error })
  }
}

async function openAll(config: Config, mayShiftClock: boolean): Promise<Services> {
  assertWritable(config.dataFolder)
  if (config.clock !== null && !mayShiftClock)
    throw new StartError('VALISE_CLOCK works only in the demo and in tests. Unset it.')
  const clock = config.clock === null ? systemClock : shiftedClock(config.clock)
  const database =
    config.postgres === null
      ? openSqlite({ file: databaseFile(config), clock })
      : await openPostgres(config.postgres, clock)
  await migrateToLatest(database).catch((error: unknown) => {
    throw isUnreachable(error) ? unreachable(error) : error
  })
  const log = openLog(config.logLevel)
  const workerData: WorkerData = { dataFolder: config.dataFolder }
  return withJobs({
    config,
    database,
    files: openFolderStore(config.dataFolder),
    jobs: makeJobs(database, log),
    keys: openKeys(config.dataFolder),
    mail: makeMailSender(config),
    passwords: makePasswordHasher(),
    log,
    workers: makeProcesses<WorkerTasks>(programBeside('worker'), workerData, LANES),
    outside: openOutside(config),
    paperCss,
  })
}

/** No such host, port, database or user; see "PostgreSQL Error Codes", classes 08, 28 and 3D. */
function isUnreachable(error: unknown): boolean {
  return /^(08|28|3D)...$|^(ECONN|ENOTFOUND|ENOENT|EAI_|EHOST|ETIMEDOUT)/.test(errorCodeOf(error))
}

function unreachable(error: unknown): StartError {
  const why = error instanceof Error ? error.message : String(error)
  return new StartError(`PostgreSQL cannot be reached: ${why}. Check VALISE_POSTGRES, then start again.`, {
    cause: error,
  })
}

/**
 * Starts the background jobs: what is due, and the sweep every hour. On a full disk it starts all the same, so that
 * it resumes once there is room.
 *
 * @param warn gets one line when nothing can be saved for now
 */
export async function startJobs(services: Services, warn: (line: string) => void): Promise<void> {
  const free = await services.files.freeBytes()
  let isFull = free !== null && free < LEAST_FREE_BYTES
  try {
    await planSweep(services)
    await planCollecting(services)
    await planBinSweep(services)
    await planEntryIndex(services)
  } catch (error) {
    if (!isDiskFull(error)) throw error
    isFull = true
  }
  if (isFull)
    warn('The disk is full. What is there can be read, but nothing can be saved until there is room.')
  services.jobs.start()
}

/** Stops what runs beside the requests, then closes the database. Interrupted jobs are released for later. */
export async function closeServices(services: Services): Promise<void> {
  await Promise.all([services.jobs.stop(), services.workers.close()])
  await services.database.close()
}

/** Worker processes have a program of their own beside this one: built, or as source while one develops. */
function programBeside(name: string): URL {
  return new URL(import.meta.url.endsWith('.ts') ? `./${name}.ts` : `./${name}.js`, import.meta.url)
}

export interface RunningServer {
  readonly port: number
  close(): Promise<void>
}

/** Starts listening. @throws StartError when the port is taken */
export function listen(app: Hono, config: Pick<Config, 'host' | 'port'>): Promise<RunningServer> {
  return new Promise((resolve, reject) => {
    const { host: hostname, port } = config
    const serverOptions = { keepAliveTimeout: KEEP_ALIVE_MS }
    const server = serve({ fetch: app.fetch, hostname, port, serverOptions }, (at) => {
      resolve({ port: at.port, close: () => closeKindly(server) })
    })
    server.on('error', (error: Error) => {
      const taken = `Port ${config.port} is taken. Give another one, such as --port ${config.port + 10}.`
      reject(errorCodeOf(error) === 'EADDRINUSE' ? new StartError(taken, { cause: error }) : error)
    })
  })
}

/** Lets what is being answered finish, for a moment; browsers keep idle connections open much longer than that. */
function closeKindly(server: ServerType): Promise<void> {
  return new Promise((done) => {
    server.close(() => done())
    if (!(server instanceof Server)) return
    server.closeIdleConnections()
    setTimeout(() => server.closeAllConnections(), GRACE_MS).unref()
  })
}

function assertWritable(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true })
    accessSync(folder, constants.W_OK)
  } catch (cause) {
    const where = existsSync(folder) ? folder : dirname(folder)
    throw new StartError(`The data folder cannot be written: ${where}. Give another one with --data.`, {
      cause,
    })
  }
}
