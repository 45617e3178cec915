// A program for worker processes in tests: tasks that wait, grow, compute without a pause, and tell who they are.
import { serveTasks } from '../jobs/serveTasks.ts'

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))
const held: Buffer[] = []

const tasks: Readonly<Record<string, (amount: number) => Promise<object>>> = {
  pid: async () => ({ pid: process.pid }),
  wait: async (milliseconds) => {
    await pause(milliseconds)
    return { pid: process.pid }
  },
  grow: async (megabytes) => {
    for (let n = 0; n < megabytes; n += 1) {
      held.push(Buffer.alloc(1_048_576, 1))
      if (n % 16 === 0) await pause(1)
    }
    return { pid: process.pid }
  },
  spin: async () => {
    for (;;);
  },
  fail: async () => {
    throw Object.assign(new Error('the disk is full'), { code: 'ENOSPC' })
  },
}

serveTasks(() => (task, input) => {
  const run = tasks[task]
  if (!run) throw new Error(`no task ${task}`)
  return run('amount' in input ? Number(input.amount) : 0)
})
