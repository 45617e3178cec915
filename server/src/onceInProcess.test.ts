import { Worker } from 'node:worker_threads'
import { newProgress, onceInProcess } from './onceInProcess.ts'

describe('what is done once in a process', () => {
  it('is done by the first alone', () => {
    const progress = newProgress()
    let times = 0
    for (let n = 0; n < 3; n += 1) onceInProcess(progress, () => (times += 1))
    expect(times).toBe(1)
  })

  it('is over before a thread goes on that came meanwhile', async () => {
    const progress = newProgress()
    const done = new SharedArrayBuffer(4)
    // What onceInProcess does, in a thread that finds it under way and acts itself at last.
    const other = new Worker(
      `const { workerData: [progress, done] } = require('node:worker_threads')
       Atomics.store(new Int32Array(progress), 0, 1)
       require('node:worker_threads').parentPort.postMessage('under way')
       setTimeout(() => {
         Atomics.store(new Int32Array(done), 0, 1)
         Atomics.store(new Int32Array(progress), 0, 2)
         Atomics.notify(new Int32Array(progress), 0)
       }, 50)`,
      { eval: true, workerData: [progress, done] },
    )
    await new Promise((resolve) => other.once('message', resolve))
    onceInProcess(progress, () => {
      throw new Error('done twice')
    })
    expect(Atomics.load(new Int32Array(done), 0)).toBe(1)
    await other.terminate()
  })
})
