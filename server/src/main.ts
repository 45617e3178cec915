// The server of a school: reads its settings from the environment and listens.
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { createApp } from './app.ts'
import { readConfig } from './config.ts'
import { closeServices, listen, openServices, startJobs, StartError } from './start.ts'

const builtWeb = fileURLToPath(new URL('../../web/dist', import.meta.url))

try {
  const config = readConfig(process.env, existsSync(builtWeb) ? { webFolder: builtWeb } : {})
  const services = await openServices(config, process.env['NODE_ENV'] === 'test')
  const server = await listen(createApp(services), config)
  const warn = (line: string) => process.stderr.write(`${line}\n`)
  if (process.env['VALISE_ADDRESS'] === undefined && !['127.0.0.1', '::1', 'localhost'].includes(config.host))
    warn(
      'Set VALISE_ADDRESS to the address at which people open Valise: what is sent from any other is refused.',
    )
  await startJobs(services, warn)
  process.stdout.write(`Valise listens on http://${config.host}:${server.port}\n`)
  const stop = async () => {
    await server.close()
    await closeServices(services)
    process.exit(0)
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
} catch (error) {
  if (!(error instanceof StartError)) throw error
  process.stderr.write(`${error.message}\n`)
  process.exit(1)
}
