// What the tabs of one browser tell each other: that somebody is there, what they prefer now, and that they have left.

export type TabMessage = 'alive' | 'preferences' | 'left'

let opened: BroadcastChannel | null = null
/** Opened when it is first needed: whatever merely asks the server needs none. */
const channel = () => (opened ??= new BroadcastChannel('valise'))

/** Tells the other tabs; the one that tells does not hear it. */
export function tellTabs(message: TabMessage): void {
  channel().postMessage(message)
}

/** Listens to the other tabs; gives the way to stop listening. */
export function hearTabs(listener: (message: TabMessage) => void): () => void {
  const hear = ({ data }: MessageEvent<TabMessage>) => listener(data)
  channel().addEventListener('message', hear)
  return () => channel().removeEventListener('message', hear)
}

let leaving = false

/** Whether the page goes because the person must leave: then nothing may hold it up with a question. */
export const isLeaving = () => leaving

/** Leaves the page, so that nothing of this person stays in it. */
export function leavePage(): void {
  leaving = true
  window.location.assign('/')
}
