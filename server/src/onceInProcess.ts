// Something that is done once for all threads of a process, before any of them goes on.

const BEFORE = 0
const UNDER_WAY = 1
const DONE = 2

/** How far it is: shared by all the threads. */
export const newProgress = (): SharedArrayBuffer => new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT)

/** The first thread that comes acts; one that comes meanwhile waits, also for ever where the act fails. */
export function onceInProcess(progress: SharedArrayBuffer, act: () => void): void {
  const state = new Int32Array(progress)
  if (Atomics.compareExchange(state, 0, BEFORE, UNDER_WAY) === BEFORE) {
    act()
    Atomics.store(state, 0, DONE)
    Atomics.notify(state, 0)
  } else Atomics.wait(state, 0, UNDER_WAY)
}
