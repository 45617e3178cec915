// Programs that say when they are ready, started for a row and stopped after it.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../..', import.meta.url))

export interface StartedProgram {
  readonly port: number
  readonly pid: number
  stop(): Promise<void>
}

/** Starts a program of this project and waits until it prints `ready` with its port. */
export async function startProgram(
  file: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv = {},
): Promise<StartedProgram> {
  const child = spawn(process.execPath, [join(root, file), ...args], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, ...env },
  })
  const port = await new Promise<number>((resolve, reject) => {
    child.stdout.on('data', (text: Buffer) => {
      const found = /ready (\d+)/.exec(String(text))
      if (found) resolve(Number(found[1]))
    })
    child.once('exit', (code) => reject(new Error(`${file} ended with ${code}`)))
  })
  return {
    port,
    pid: child.pid ?? 0,
    stop: () =>
      new Promise((resolve) => {
        child.removeAllListeners('exit').once('exit', () => resolve())
        child.kill('SIGTERM')
        setTimeout(() => child.kill('SIGKILL'), 5000).unref()
      }),
  }
}

/** Starts the demo server over a data folder. */
export function startDemo(
  folder: string,
  port: number,
  more: readonly string[] = [],
  env: NodeJS.ProcessEnv = {},
): Promise<StartedProgram> {
  const args = ['--port', String(port), '--data', folder, '--quiet', ...more]
  return startProgram('server/dist/serve.js', args, env)
}
