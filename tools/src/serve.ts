// The demo: the built server over a sample world, with the stand-ins beside it.
import { existsSync, readdirSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import {
  buildWorld,
  cast,
  demoRoutes,
  enlargeWorld,
  markSampleFolder,
  readSampleState,
  SAMPLE_PASSWORD,
  sampleFiles,
} from '@valise/demo'
import {
  closeServices,
  createApp,
  hasSchool,
  listen,
  openServices,
  readConfig,
  shiftedClock,
  startJobs,
  StartError,
  systemClock,
} from '@valise/server'
import type { Config, Services } from '@valise/server'
import { startStandIns } from '@valise/stand-ins'
import type { StandIns } from '@valise/stand-ins'

/** Where the source lies and where the built program lies, this leads to the same file. */
const film = new URL('../../demo/assets/walking-transect.webm', import.meta.url)
const builtWeb = fileURLToPath(new URL('../../web/dist', import.meta.url))

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env['VALISE_PORT'] ?? '7400' },
    data: { type: 'string', default: process.env['VALISE_DATA'] ?? 'data' },
    reset: { type: 'boolean', default: false },
    quiet: { type: 'boolean', default: false },
    large: { type: 'boolean', default: false },
  },
})

try {
  await start()
} catch (error) {
  if (!(error instanceof StartError)) throw error
  process.stderr.write(`${error.message}\n`)
  process.exit(1)
}

async function start(): Promise<void> {
  const port = readPort(values.port)
  const dataFolder = resolve(values.data)
  // First of all, so that nothing is built or emptied for a start that cannot be.
  if (port !== 0) for (const one of [port, port + 1, port + 2]) await assertFree(one)
  makeReady(dataFolder)
  const environment = readConfig({ ...process.env, VALISE_PORT: undefined, VALISE_DATA: undefined })
  const clock = environment.clock === null ? systemClock : shiftedClock(environment.clock)
  const standIns = await startStandIns({ port: port === 0 ? 0 : port + 1, film, now: () => clock.now() })
  const config: Config = {
    ...environment,
    dataFolder,
    port,
    host: '127.0.0.1',
    publicAddress: `http://localhost:${port}`,
    mail: standIns.mailAddress,
    drive: standIns.driveAddress,
    shelf: standIns.shelfAddress,
    mediaHosts: standIns.mediaHosts,
    innerOrigins: [standIns.address],
    // While one develops, Vite serves the web site and nothing may be built yet.
    webFolder: existsSync(builtWeb) ? builtWeb : null,
    logLevel: 'error',
  }
  const services = await openServices(config, true)
  await buildWhereEmpty(services)
  await startJobs(services, (line) => process.stderr.write(`${line}\n`))
  const app = createApp(services, { extraRoutes: demoRoutes(config, standIns.mailRoomAddress) })
  const server = await listen(app, config)
  say(server.port, standIns)

  const stop = async () => {
    await server.close()
    await standIns.close()
    await closeServices(services)
    process.exit(0)
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
}

/** Empties the folder where a new world is wanted. A folder that holds something else is never written to. */
function makeReady(dataFolder: string): void {
  const names = existsSync(dataFolder) ? readdirSync(dataFolder) : []
  const state = names.length === 0 ? 'none' : readSampleState(dataFolder)
  if (names.length > 0 && state === 'none') {
    throw new StartError(
      `${dataFolder} holds other files, not a sample world. Choose another folder with --data.`,
    )
  }
  if (!values.reset && state !== 'building') return
  if (process.env['VALISE_POSTGRES'] !== undefined)
    throw new StartError(
      'The sample world on PostgreSQL is begun anew with an empty database and an empty folder: give both.',
    )
  emptySampleFolder(dataFolder)
}

function emptySampleFolder(dataFolder: string): void {
  for (const name of readdirSync(dataFolder).filter((one) => sampleFiles.test(one)))
    rmSync(join(dataFolder, name), { recursive: true })
}

async function buildWhereEmpty(services: Services): Promise<void> {
  const { dataFolder } = services.config
  const isBuilt = readSampleState(dataFolder) === 'built'
  if (isBuilt !== (await hasSchool(services.database.reader()))) {
    // What was just begun in an empty folder must not stand in the way of the next try.
    if (!isBuilt) emptySampleFolder(dataFolder)
    throw new StartError(
      `The database and ${dataFolder} do not belong together. Give the folder that the database was built with, or an empty database and an empty folder.`,
    )
  }
  if (isBuilt) return
  const started = Date.now()
  markSampleFolder(dataFolder, 'building')
  const { classId } = await buildWorld(services)
  if (values.large)
    await enlargeWorld(services, classId, (words) => !values.quiet && print(`Writing ${words}…`))
  markSampleFolder(dataFolder, 'built')
  if (!values.quiet) print(`Built the sample world in ${((Date.now() - started) / 1000).toFixed(1)} s.`)
}

/** @throws StartError when somebody listens on the port already */
function assertFree(port: number): Promise<void> {
  return new Promise((resolve, reject) => {
    const trial = createServer()
    trial.once('error', (cause) => {
      const advice = `Choose another port with --port. The demo uses that port and the next two.`
      reject(new StartError(`Another program uses port ${port}. ${advice}`, { cause }))
    })
    trial.listen(port, '127.0.0.1', () => trial.close(() => resolve()))
  })
}

function readPort(text: string): number {
  const port = Number(text)
  if (!Number.isInteger(port) || port < 0 || port > 65_533)
    throw new StartError(`--port must be a number up to 65533, not ${text}.`)
  return port
}

function say(port: number, { address, mailRoomAddress }: StandIns): void {
  if (values.quiet) return print(`ready ${port}`)
  print(`\nValise is running:   http://localhost:${port}`)
  print(`Simulated mail room: ${mailRoomAddress}`)
  print(`Other simulated services: ${address}`)
  print(
    `\nSign in as one of the sample people. Press a name on the sign-in page, or type the sign-in name and`,
  )
  print(`the password "${SAMPLE_PASSWORD}":`)
  for (const { fullName, signInName, about } of Object.values(cast)) {
    print(`  ${signInName.padEnd(10)} ${fullName.padEnd(20)} ${about}`)
  }
  print('\nPress Ctrl+C to stop. Your changes stay in the data folder.')
}

function print(line: string): void {
  process.stdout.write(`${line}\n`)
}
