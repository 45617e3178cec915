// How long the built server takes from its start to its first answer, against a bare Hono server.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { compare } from '../compare.ts'
import type { Row } from '../compare.ts'

const root = fileURLToPath(new URL('../../..', import.meta.url))
const PORT = 7480

const bare = `
import { serve } from '@hono/node-server'
import { Hono } from 'hono'
const app = new Hono()
app.get('/api/status', (c) => c.json({ status: 'up' }))
serve({ fetch: app.fetch, port: ${PORT}, hostname: '127.0.0.1' })
`

export async function firstAnswer(): Promise<Row> {
  const data = mkdtempSync(join(tmpdir(), 'valise-bench-'))
  // It must lie in the server's folder, so that it finds the same Hono.
  const bareFile = join(root, 'server/dist/bare.mjs')
  writeFileSync(bareFile, bare)
  const environment = { ...process.env, VALISE_PORT: String(PORT), VALISE_DATA: data, VALISE_LOG: 'silent' }
  try {
    return await compare({
      name: 'first answer of the built server',
      limit: 6,
      unit: 'ms',
      ours: () => timeToAnswer(join(root, 'server/dist/main.js'), environment),
      reference: () => timeToAnswer(bareFile, environment),
    })
  } finally {
    rmSync(data, { recursive: true })
    rmSync(bareFile)
  }
}

async function timeToAnswer(file: string, env: NodeJS.ProcessEnv): Promise<number> {
  const started = performance.now()
  const child = spawn(process.execPath, [file], { env, stdio: 'ignore' })
  try {
    while (performance.now() - started < 20_000) {
      if (await answers()) return performance.now() - started
      await new Promise((resolve) => setTimeout(resolve, 2))
    }
    throw new Error(`${file} gave no answer in 20 s`)
  } finally {
    const ended = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGKILL')
    await ended
  }
}

async function answers(): Promise<boolean> {
  try {
    return (await fetch(`http://127.0.0.1:${PORT}/api/status`)).ok
  } catch {
    // Nobody listens yet: that is what is being waited for.
    return false
  }
}
