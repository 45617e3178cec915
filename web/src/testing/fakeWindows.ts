// What browsers have between their windows, for the one process of a test: locks, and channels that do not keep it.

/** Gives this process fake windows and locks; a lock is held until its work ends. */
export function fakeWindows(): void {
  const held = new Set<string>()
  const request = async (name: string, _: LockOptions, work: (lock: Lock | null) => unknown) => {
    if (held.has(name)) return work(null)
    held.add(name)
    try {
      return await work({ name, mode: 'exclusive' })
    } finally {
      held.delete(name)
    }
  }
  Object.defineProperty(globalThis, 'navigator', { configurable: true, value: { locks: { request } } })

  const Channel = globalThis.BroadcastChannel
  globalThis.BroadcastChannel = class extends Channel {
    constructor(name: string) {
      super(name)
      if ('unref' in this && typeof this.unref === 'function') this.unref()
    }
  }
}
