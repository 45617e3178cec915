// Running other programs from the commands; plain Node, because nothing may be installed yet.
import { spawn, spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The project's own folder. */
export const root = fileURLToPath(new URL('../..', import.meta.url))

/** Runs a program to its end, with its output on the screen or where given; returns its exit code. */
export function show(program, args, env = {}, stdio = 'inherit') {
  const { status, error } = spawnSync(program, args, {
    cwd: root,
    stdio,
    env: { ...process.env, ...env },
  })
  if (error) throw error
  return status ?? 1
}

/** Runs a program to its end and gives its exit code and all that it said. */
export function hear(program, args, env = {}) {
  const { status, stdout, stderr } = spawnSync(program, args, {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 200_000_000,
    env: { ...process.env, ...env },
  })
  return { status: status ?? 1, output: `${stdout ?? ''}${stderr ?? ''}` }
}

/** The same, while other things go on. */
export function hearMeanwhile(program, args) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    let output = ''
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (text) => (output += text))
    child.on('error', reject)
    child.on('close', (code) => resolve({ status: code ?? 1, output }))
  })
}

/** Runs a program beside this one and hands on the signals that end it; ends with its exit code. */
export function become(program, args, env = {}, folder = '') {
  const child = spawn(program, args, {
    cwd: join(root, folder),
    stdio: 'inherit',
    env: { ...process.env, ...env },
  })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  child.on('exit', (code) => process.exit(code ?? 1))
  return child
}

/** The program of a package, run by this very Node. */
export const bin = (path) => [process.execPath, `node_modules/${path}`]

/** Stops with one clear line. */
export function giveUp(line) {
  process.stderr.write(`${line}\n`)
  process.exit(1)
}
