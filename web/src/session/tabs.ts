// What the tabs of one browser tell each other: that somebody is there, what they prefer now, and that they have left.

export type TabMessage = 'alive' | 'preferences' | 'left'

let opened: BroadcastChannel | null = null
/** Opened when it is first needed: whatever merely asks the server needs none. */
const channel = () => (opened ??= new BroadcastChannel('valise'))

/** Sends a message to the other tabs. */
export function tellTabs(message: TabMessage): void {
  channel().postMessage(message)
}

/** Subscribes to messages of other tabs; returns a function that unsubscribes. */
export function hearTabs(listener: (message: TabMessage) => void): () => void {
  const hear = ({ data }: MessageEvent<TabMessage>) => listener(data)
  channel().addEventListener('message', hear)
  return () => channel().removeEventListener('message', hear)
}

let leaving = false

/** Returns whether the page is being left because the person must leave: then no question may block it. */
export const isLeaving = () => leaving

/** Leaves the page, so that nothing of this person stays in it. */
export function leavePage(): void {
  leaving = true
  window.location.assign('/')
}
