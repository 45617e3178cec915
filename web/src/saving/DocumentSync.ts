// One whole document in one window: changed optimistically, saved one change after the other, merged with what other
// windows saved, and on the device until then.
import { isSame, mergeBase } from '@valise/core/json'
import { ApiProblem } from '../api/index.ts'
import { isLater } from './delivery.ts'
import type { DeliveryState } from './delivery.ts'
import { beginHistory, change, redo, undo } from './history.ts'
import type { History } from './history.ts'

const TRY_AGAIN_MS = 3000
/** The most unanswered saves that are remembered: working on without a connection sends again and again. */
const MOST_SENT = 3

export interface SavedOnServer<T> {
  readonly document: T
  /** Null for a document that is begun with its first save. */
  readonly revision: number | null
}

/** On the device: the document as it is in the window, and what the server had when it was changed. */
export interface DocumentOnDevice<T> {
  readonly document: T
  readonly base: T
  /** What was sent since and not answered yet. */
  readonly sent?: readonly T[]
}

/** What a kind of documents brings: where one is saved, and how two windows' changes of it are taken together. */
export interface DocumentStore<T> {
  /** The key under which it waits on the device. */
  readonly address: string
  put(document: T, revision: number | null): Promise<SavedOnServer<T>>
  read(): Promise<SavedOnServer<T>>
  /** What two windows did since both knew the same. */
  merge(base: T, mine: T, theirs: T): T
  /** Called whenever every change so far is saved, or nothing more can be done for now. */
  onSettled(): void
}

/** The device of one person. */
export interface DocumentPorts<T> {
  readLeft(): Promise<DocumentOnDevice<T> | undefined>
  writeLeft(left: DocumentOnDevice<T> | undefined): void
  /** Resolves after some time. */
  wait(milliseconds: number): Promise<void>
}

export interface DocumentState<T> {
  readonly document: T
  readonly canUndo: boolean
  readonly canRedo: boolean
  readonly delivery: DeliveryState
  /** Why the last change was not saved. */
  readonly refused: unknown
  /** Goes up whenever changes of another window were taken in: what is being written must be read anew. */
  readonly fromElsewhere: number
}

export class DocumentSync<T, Store extends DocumentStore<T> = DocumentStore<T>> {
  readonly store: Store
  readonly #ports: DocumentPorts<T>
  readonly #listeners = new Set<() => void>()
  /** What the server has, as far as this window knows. */
  #known: SavedOnServer<T>
  #history: History<T>
  /** What was sent since `#known`: nobody knows yet whether it arrived. */
  #sent: readonly T[] = []
  #waiting: { readonly document: T } | null = null
  #isSending = false
  #restored: Promise<void> | null = null
  #state: DocumentState<T>

  constructor(saved: SavedOnServer<T>, store: Store, ports: DocumentPorts<T>) {
    this.store = store
    this.#ports = ports
    this.#known = saved
    this.#history = beginHistory(saved.document)
    this.#state = {
      document: saved.document,
      ...{ canUndo: false, canRedo: false, delivery: 'delivered', refused: null, fromElsewhere: 0 },
    }
  }

  state = (): DocumentState<T> => this.#state

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  /** Changes the document: one step of the way back. */
  set = (document: T): void => this.#move(change(this.#history, document))

  /** Replaces the document without a step of the way back, for editors that have one of their own. */
  write = (document: T): void => this.#move({ ...this.#history, present: document })

  undo = (): void => this.#move(undo(this.#history))

  redo = (): void => this.#move(redo(this.#history))

  /** Whether nothing newer is known of the server than what is here. */
  isAsNewAs({ revision }: SavedOnServer<T>): boolean {
    return revision !== null && (this.#known.revision ?? 0) >= revision
  }

  /**
   * Merges what an earlier window left on the device with what is here, and saves it; once, however often it is called.
   * A device that cannot be read takes nothing away: what the server has stands here.
   */
  restore(): Promise<void> {
    this.#restored ??= this.#restore().catch(() => undefined)
    return this.#restored
  }

  async #restore(): Promise<void> {
    const left = await this.#ports.readLeft()
    if (left === undefined) return
    const { merge } = this.store
    const { present } = this.#history
    const base = mergeBase(merge, left.base, left.sent ?? [], present)
    const merged = merge(base, left.document, present)
    this.#history = change(this.#history, merged)
    this.#save(merged, { fromElsewhere: this.#state.fromElsewhere + 1 })
  }

  /** Takes what the server has where it is newer; not while something of this window waits, which is merged anyway. */
  accept(newest: SavedOnServer<T>): void {
    if (this.#isSending || this.#waiting || this.#state.delivery !== 'delivered' || this.isAsNewAs(newest))
      return
    if (newest.revision === null) return
    const isNews = !isSame(newest.document, this.#history.present)
    this.#known = newest
    if (!isNews) return
    this.#history = change(this.#history, newest.document)
    this.#changed({ fromElsewhere: this.#state.fromElsewhere + 1 })
  }

  /** Sends once more what was refused. */
  deliverNow(): void {
    if (this.#state.delivery === 'refused') this.#save(this.#history.present)
  }

  /**
   * Sends what waits behind an unanswered save as if that save had arrived, for when the window closes. If it had not,
   * the server refuses this one, and the device has it.
   */
  flush(): void {
    const { revision } = this.#known
    if (!this.#waiting || revision === null) return
    const { document } = this.#waiting
    const { length } = this.#sent
    this.#noteSent(document)
    // Nobody is there to hear the answer; a window that comes back sends it again and takes in what there is.
    this.store.put(document, revision + length).catch(() => undefined)
  }

  /** Resolves once nothing waits any more, or nothing more can be done for now. */
  settled(): Promise<DeliveryState> {
    return new Promise((resolve) => {
      const check = () => {
        if (this.#state.delivery === 'delivering') return
        stop()
        resolve(this.#state.delivery)
      }
      const stop = this.subscribe(check)
      check()
    })
  }

  #move(history: History<T>): void {
    if (history === this.#history || isSame(history.present, this.#history.present)) return
    this.#history = history
    this.#save(history.present)
  }

  #save(document: T, more: Partial<DocumentState<T>> = {}): void {
    this.#ports.writeLeft({ document, base: this.#known.document, sent: this.#sent })
    this.#waiting = { document }
    const isOnDevice = this.#state.delivery === 'on-device'
    this.#changed({ delivery: isOnDevice ? 'on-device' : 'delivering', ...more })
    void this.#deliver()
  }

  async #deliver(): Promise<void> {
    if (this.#isSending) return
    this.#isSending = true
    while (this.#waiting) {
      const { document } = this.#waiting
      this.#waiting = null
      await this.#send(document)
    }
    this.#isSending = false
    if (this.#state.delivery === 'delivering') this.#changed({ delivery: 'delivered' })
    this.store.onSettled()
  }

  async #send(document: T): Promise<void> {
    const before = this.#sent
    this.#noteSent(document)
    try {
      const { revision } = await this.store.put(document, this.#known.revision)
      this.#known = { document, revision }
      this.#sent = []
      if (!this.#waiting) this.#ports.writeLeft(undefined)
      this.#changed({ refused: null, delivery: 'delivering' })
    } catch (error) {
      if (isLater(error)) return this.#sendLater(document)
      // Another window was faster, or this very change had arrived before: what there is is taken in.
      if (error instanceof ApiProblem && error.code === 'stale') return this.#takeIn(document)
      this.#sent = before
      this.#refuse(error)
    }
  }

  async #sendLater(document: T): Promise<void> {
    this.#waiting ??= { document }
    this.#changed({ delivery: 'on-device' })
    await this.#ports.wait(TRY_AGAIN_MS)
  }

  async #takeIn(document: T): Promise<void> {
    try {
      const theirs = await this.store.read()
      // Whoever went on meanwhile has a newer one waiting.
      const mine = this.#waiting ? this.#waiting.document : document
      this.#mergeWith(theirs, mine)
    } catch (problem) {
      if (isLater(problem)) return this.#sendLater(document)
      this.#refuse(problem)
    }
  }

  #mergeWith(theirs: SavedOnServer<T>, mine: T): void {
    const { merge } = this.store
    const base = mergeBase(merge, this.#known.document, this.#sent, theirs.document)
    const merged = merge(base, mine, theirs.document)
    const isNews = !isSame(merged, this.#history.present)
    this.#known = theirs
    this.#sent = []
    this.#history = change(this.#history, merged)
    // Where this very change had arrived before, there is nothing left to send.
    const isThere = isSame(merged, theirs.document)
    this.#waiting = isThere ? null : { document: merged }
    if (isThere) this.#ports.writeLeft(undefined)
    const { fromElsewhere } = this.#state
    this.#changed({ fromElsewhere: fromElsewhere + (isNews ? 1 : 0), refused: null, delivery: 'delivering' })
  }

  /** It stays in the window and on the device, and goes with the next change. */
  #refuse(error: unknown): void {
    this.#changed({ refused: error, delivery: 'refused' })
  }

  #noteSent(document: T): void {
    this.#sent = [...this.#sent, document].slice(-MOST_SENT)
  }

  #changed(change: Partial<DocumentState<T>>): void {
    const { past, present, future } = this.#history
    this.#state = {
      ...this.#state,
      ...{ document: present, canUndo: past.length > 0, canRedo: future.length > 0 },
      ...change,
    }
    for (const listener of this.#listeners) listener()
  }
}
