// The settings of the server, read once at the start.
import { readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import type { UploadSettings } from './evidence/index.ts'
import type { LogLevel } from './log/index.ts'
import type { MailSettings } from './mail/index.ts'
import { parseInput } from './validation/index.ts'
import { mediaHostSchema } from './outside/index.ts'
import type { MediaHost, OutsideSettings } from './outside/index.ts'
import { Type } from 'typebox'

export interface Config extends MailSettings, OutsideSettings, UploadSettings {
  readonly dataFolder: string
  readonly host: string
  readonly port: number
  /** Where people reach this server, without a slash at the end; links in messages begin with it. */
  readonly publicAddress: string
  /** A PostgreSQL connection string; null means SQLite in the data folder. */
  readonly postgres: string | null
  /** Whether the address of the client stands in X-Forwarded-For, set by a proxy of one's own. */
  readonly behindProxy: boolean
  /** The moment at which the clock is to stand at the start; only demo and tests may shift it. */
  readonly clock: string | null
  /** The built web site, or null to serve the API alone. */
  readonly webFolder: string | null
  readonly logLevel: LogLevel
}

const MEGABYTE = 1_048_576

type Environment = Readonly<Record<string, string | undefined>>

/** Reads the settings. @throws Error with one clear line when a setting is invalid */
export function readConfig(environment: Environment, defaults: Partial<Config> = {}): Config {
  const host = environment['VALISE_HOST'] ?? defaults.host ?? '127.0.0.1'
  const port = readPort(environment['VALISE_PORT']) ?? defaults.port ?? 7400
  return {
    dataFolder: resolve(environment['VALISE_DATA'] ?? defaults.dataFolder ?? 'data'),
    host,
    port,
    publicAddress: (
      environment['VALISE_ADDRESS'] ??
      defaults.publicAddress ??
      `http://localhost:${port}`
    ).replace(/\/$/, ''),
    postgres: environment['VALISE_POSTGRES'] ?? defaults.postgres ?? null,
    mail: environment['VALISE_MAIL'] ?? defaults.mail ?? null,
    behindProxy: environment['VALISE_BEHIND_PROXY'] === '1',
    largestFile: readMegabytes('VALISE_LARGEST_FILE', environment) ?? defaults.largestFile ?? 2048 * MEGABYTE,
    quota: readMegabytes('VALISE_QUOTA', environment) ?? defaults.quota ?? 20_480 * MEGABYTE,
    drive: environment['VALISE_DRIVE'] ?? defaults.drive ?? null,
    shelf: environment['VALISE_SHELF'] ?? defaults.shelf ?? null,
    mediaHosts: readMediaHosts(environment['VALISE_MEDIA_HOSTS']) ?? defaults.mediaHosts ?? [],
    blockedHosts:
      environment['VALISE_BLOCKED_HOSTS']?.split(',').map((host) => host.trim()) ??
      defaults.blockedHosts ??
      [],
    innerOrigins: defaults.innerOrigins ?? [],
    clock: environment['VALISE_CLOCK'] ?? defaults.clock ?? null,
    webFolder: defaults.webFolder ?? null,
    logLevel: readLogLevel(environment['VALISE_LOG']) ?? defaults.logLevel ?? 'info',
  }
}

export function databaseFile(config: Config): string {
  return join(config.dataFolder, 'valise.sqlite')
}

function readPort(text: string | undefined): number | null {
  if (text === undefined) return null
  const port = Number(text)
  if (!Number.isInteger(port) || port < 0 || port > 65_535) throw new Error(`VALISE_PORT is no port: ${text}`)
  return port
}

/** The sites stand in a file of JSON. */
function readMediaHosts(file: string | undefined): readonly MediaHost[] | null {
  if (file === undefined) return null
  // Checked against the very schema.
  return parseInput(Type.Array(mediaHostSchema), JSON.parse(readFileSync(file, 'utf8'))) as MediaHost[]
}

/** Sizes are set in megabytes of 1,048,576 bytes. */
function readMegabytes(name: string, environment: Environment): number | null {
  const text = environment[name]
  if (text === undefined) return null
  const megabytes = Number(text)
  if (!Number.isInteger(megabytes) || megabytes < 1)
    throw new Error(`${name} is no number of megabytes: ${text}`)
  return megabytes * MEGABYTE
}

function readLogLevel(text: string | undefined): Config['logLevel'] | null {
  if (text === undefined) return null
  if (text === 'silent' || text === 'error' || text === 'info') return text
  throw new Error(`VALISE_LOG is silent, error or info, not ${text}`)
}
