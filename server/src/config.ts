// What the server is told from outside, read once at the start.
import { join, resolve } from 'node:path'

export interface Config {
  readonly dataFolder: string
  readonly host: string
  readonly port: number
  /** Where people reach this server, without a slash at the end; links in messages begin with it. */
  readonly publicAddress: string
  /** A PostgreSQL connection string; null means SQLite in the data folder. */
  readonly postgres: string | null
  /** `smtp://…` of the mail server, or null where messages cannot be sent. */
  readonly mail: string | null
  /** Whether the address of the client stands in X-Forwarded-For, set by a proxy of one's own. */
  readonly behindProxy: boolean
  /** The moment at which the clock is to stand at the start; only demo and tests may shift it. */
  readonly clock: string | null
  /** The built web site, or null to serve the API alone. */
  readonly webFolder: string | null
  readonly logLevel: 'silent' | 'error' | 'info'
}

type Environment = Readonly<Record<string, string | undefined>>

/** @throws Error with one clear line when a setting cannot be used. */
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

function readLogLevel(text: string | undefined): Config['logLevel'] | null {
  if (text === undefined) return null
  if (text === 'silent' || text === 'error' || text === 'info') return text
  throw new Error(`VALISE_LOG is silent, error or info, not ${text}`)
}
