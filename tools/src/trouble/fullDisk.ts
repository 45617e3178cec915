// The disk fills up: reading goes on, writes are refused in words, and everything goes on once there is room.
import { spawnSync } from 'node:child_process'
import { closeSync, mkdtempSync, openSync, rmSync, statfsSync, writeSync } from 'node:fs'
import { tmpdir, userInfo } from 'node:os'
import { join } from 'node:path'
import { finding } from './trial.ts'
import type { Finding, Trial } from './trial.ts'
import { pause, TroubledServer } from './TroubledServer.ts'
import type { Caller } from './TroubledServer.ts'

const SIZE = '400m'

export const fullDisk: Trial = {
  name: 'Full disk',
  run: async () => {
    const disk = mkdtempSync(join(tmpdir(), 'valise-disk-'))
    const isMounted =
      userInfo().uid === 0 &&
      spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE}`, 'tmpfs', disk]).status === 0
    if (!isMounted) {
      rmSync(disk, { recursive: true })
      return [finding('a small disk of its own', 'could not be mounted: run as root', 'mounted', false)]
    }
    const data = join(disk, 'data')
    const server = new TroubledServer(data)
    try {
      return await fillUp(server, join(disk, 'filler'))
    } finally {
      await server.end('SIGKILL')
      spawnSync('umount', [disk])
      rmSync(disk, { recursive: true, force: true })
    }
  },
}

async function fillUp(server: TroubledServer, filler: string): Promise<Finding[]> {
  await server.start()
  const caller = await server.signIn('Wren')
  const begun = await caller.beginUpload('later.bin', 8_000_000)
  fill(filler)
  const findings = [await uploadRefused(caller, begun), ...(await readingAndWriting(caller, 'full'))]
  // Jobs look for work every second, and the sweep would write.
  await pause(4000)
  findings.push(
    finding(
      'the server after some seconds of it',
      server.isRunning() ? 'up' : 'down',
      'up',
      server.isRunning(),
    ),
  )
  await server.end('SIGTERM')
  const isUp = await server.start()
  const lines = server.said.trim().split('\n')
  const said = lines.filter((line) => line.includes('disk'))
  findings.push(
    finding(
      'lines about it at the start',
      said.length,
      '1',
      said.length === 1 && !server.said.includes('    at '),
    ),
  )
  if (isUp) findings.push(...(await readingAndWriting(caller, 'full, after a start')))
  else
    findings.push(
      finding(
        'start on a full disk',
        said[0] ?? server.said.slice(0, 200),
        'one clear line',
        said.length === 1,
      ),
    )
  rmSync(filler)
  if (!isUp) await server.start()
  const after = await (
    await server.signIn('Wren')
  ).ask('POST', '/api/pages', { title: 'Room again', lang: 'en' })
  findings.push(finding('a write once there is room', after.status, '201', after.status === 201))
  return findings
}

async function uploadRefused(caller: Caller, address: string | { status: number }): Promise<Finding> {
  if (typeof address !== 'string') return finding('an upload begun before', address.status, '201', false)
  const { status, type } = await caller.sendPart(address, Buffer.alloc(8_000_000, 1))
  const isProblem = type.includes('application/problem+json')
  return finding('an upload into it', `${status} ${type}`, '507 problem details', status === 507 && isProblem)
}

async function readingAndWriting(caller: Caller, when: string): Promise<Finding[]> {
  const paths = ['/api/session', '/api/today', '/api/evidence', '/api/pages', '/api/news', '/api/assignments']
  const statuses = await Promise.all(paths.map(async (path) => (await caller.ask('GET', path)).status))
  const readable = statuses.filter((status) => status === 200).length
  const write = await caller.ask('POST', '/api/pages', { title: 'x'.repeat(200), lang: 'en' })
  const many: number[] = []
  // Some still fit into the room that the database has of its own: its log is written over from the start again.
  for (let n = 0; n < 1000 && !many.includes(507); n += 1)
    many.push((await caller.ask('POST', '/api/logbooks', { title: 'y'.repeat(100) })).status)
  const isRefused = [write.status, ...many].some((status) => status === 507)
  return [
    finding(
      `reads that answer (${when})`,
      `${readable} of ${paths.length}`,
      'all',
      readable === paths.length,
    ),
    finding(`a write (${when})`, isRefused ? '507' : write.status, '507', isRefused),
  ]
}

/** Writes until nothing more fits. */
function fill(path: string): void {
  const file = openSync(path, 'w')
  try {
    for (let size = 1_048_576; size >= 1; size = Math.floor(size / 4)) {
      const block = Buffer.alloc(size, 1)
      for (;;) {
        try {
          writeSync(file, block)
        } catch {
          // No room for a block of this size; smaller ones may still fit.
          break
        }
      }
    }
  } finally {
    closeSync(file)
  }
  if (statfsSync(path).bavail > 0) throw new Error('the disk is not full')
}
