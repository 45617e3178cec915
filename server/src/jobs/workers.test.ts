import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { afterEach, describe, expect, it } from '@jest/globals'
import { FairQueue } from './FairQueue.ts'
import { makeProcesses, ProcessBurst, ProcessStopped } from './index.ts'
import type { LaneOptions, Turn, Workers } from './index.ts'

type Tasks = Record<
  'pid' | 'wait' | 'grow' | 'spin' | 'fail',
  { input: { amount?: number }; output: { pid: number } }
>

const program = new URL('../testing/taskProgram.ts', import.meta.url)
let workers: Workers<Tasks>
afterEach(() => workers.close())

function open(
  change: Partial<LaneOptions> = {},
  limits: Partial<LaneOptions['limits']> = {},
): Workers<Tasks> {
  const lane = {
    processes: 1,
    limits: { milliseconds: 60_000, megabytes: 400, ...limits },
    longestWaitMs: null,
    ...change,
  }
  workers = makeProcesses<Tasks>(program, {}, { requests: lane, jobs: lane })
  return workers
}

const of = (personId: string, lane: Turn['lane'] = 'jobs'): Turn => ({ lane, personId })

describe('work in processes', () => {
  it('goes on in one process, and in another for requests, which wait for no job', async () => {
    const { run } = open()
    const first = await run('pid', {}, of('wren'))
    expect(await run('pid', {}, of('ines'))).toEqual(first)
    const spinning = run('spin', {}, of('wren'))
    expect(await run('pid', {}, of('ines', 'requests'))).not.toEqual(first)
    const stopped = expect(spinning).rejects.toBeInstanceOf(ProcessStopped)
    await workers.close()
    await stopped
  })

  it('is done for people in turn, however much one of them asks for', async () => {
    const { run } = open()
    const order: string[] = []
    const ask = (who: string, amount: number) => run('wait', { amount }, of(who)).then(() => order.push(who))
    await Promise.all([ask('wren', 50), ask('wren', 1), ask('wren', 1), ask('ines', 1), ask('tomasz', 1)])
    expect(order).toEqual(['wren', 'wren', 'ines', 'tomasz', 'wren'])
  })

  it('that outgrows its memory ends its own process alone, and the next task has a new one', async () => {
    const { run } = open()
    const first = await run('pid', {}, of('wren'))
    await expect(run('grow', { amount: 800 }, of('wren'))).rejects.toBeInstanceOf(ProcessBurst)
    expect(await run('pid', {}, of('wren'))).not.toEqual(first)
  })

  it('that held much memory leaves a fresh process behind', async () => {
    const { run } = open()
    const first = await run('grow', { amount: 200 }, of('wren'))
    expect(await run('pid', {}, of('wren'))).not.toEqual(first)
  })

  it('has its time from its own start, and is ended after it though it never pauses', async () => {
    const { run } = open({}, { milliseconds: 4000 })
    const spinning = run('spin', {}, of('wren'))
    const behind = run('wait', { amount: 1000 }, of('ines'))
    await expect(spinning).rejects.toThrow('took more than 4000 ms')
    expect(await behind).toEqual({ pid: expect.any(Number) })
  })

  it('that waits too long for its turn is refused as busy, and not done later', async () => {
    const { run } = open({ longestWaitMs: 200 }, { milliseconds: 3000 })
    const spinning = run('spin', {}, of('wren'))
    await expect(run('pid', {}, of('ines'))).rejects.toMatchObject({ code: 'busy' })
    await expect(spinning).rejects.toBeInstanceOf(ProcessBurst)
  })

  it('has a process to itself where it is told to', async () => {
    const { run } = open({ alone: ['wait'] })
    const first = await run('pid', {}, of('wren'))
    const alone = await run('wait', { amount: 1 }, of('wren'))
    expect(alone).not.toEqual(first)
    expect(await run('pid', {}, of('wren'))).toEqual(first)
  })

  it('tells what failed in it, with the code of the system', async () => {
    const { run } = open()
    await expect(run('fail', {}, of('wren'))).rejects.toMatchObject({ code: 'ENOSPC' })
  })

  it('ends with its parent, however that ends and whatever it is doing', async () => {
    const parent = spawn(
      process.execPath,
      ['--import', 'tsx', fileURLToPath(new URL('../testing/orphanProgram.ts', import.meta.url))],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    )
    const pid = await new Promise<number>((resolve) =>
      parent.stdout.once('data', (text: Buffer) => resolve(Number(text.toString()))),
    )
    expect(process.kill(pid, 0)).toBe(true)
    parent.kill('SIGKILL')
    while (isAlive(pid)) await new Promise((resolve) => setTimeout(resolve, 20))
    open()
  })
})

function isAlive(pid: number): boolean {
  try {
    return process.kill(pid, 0)
  } catch {
    return false
  }
}

describe('a fair queue', () => {
  it('serves people in turn, and knows nothing of what was taken out of it', () => {
    const queue = new FairQueue<string>()
    for (const [who, what] of [
      ['a', 'a1'],
      ['a', 'a2'],
      ['b', 'b1'],
      ['a', 'a3'],
    ] as const)
      queue.add(who, what)
    expect(queue.size).toBe(4)
    expect([queue.remove('a', 'a2'), queue.remove('a', 'a2')]).toEqual([true, false])
    expect([queue.take(), queue.take(), queue.take(), queue.take()]).toEqual(['a1', 'b1', 'a3', null])
    queue.add('c', 'c1')
    expect([queue.remove('c', 'c1'), queue.take()]).toEqual([true, null])
  })
})
