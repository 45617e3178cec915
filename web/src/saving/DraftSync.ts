// One draft in one window: what is confirmed, what is on its way, and how the two are brought together.
import { applyOperations, invertOperations } from '@valise/core/pages'
import type { Edit, EditAnswer, Operation, PageDocument } from '@valise/core/pages'
import type { Instant } from '@valise/core/time'
import type { DeliveryState } from './delivery.ts'
import { applyWhatFits, carried, isAbout, isWriting, merge, without } from './queuedEdits.ts'
import type { ConfirmedDraft, QueuedEdit } from './queuedEdits.ts'

/** Everything that another window needs to continue after this one has closed. */
export interface DraftSnapshot {
  readonly windowId: string
  readonly confirmed: ConfirmedDraft
  readonly queue: readonly QueuedEdit[]
}

/** How a failed delivery ended. */
export type Failure =
  /** The server cannot be had, or knows us no more: it is tried again. */
  | { readonly kind: 'later' }
  /** Somebody else wrote the same piece; the server saved our text as another version. */
  | { readonly kind: 'lost'; readonly pieceId: string }
  /** It will never be taken. */
  | { readonly kind: 'refused'; readonly error: unknown }

export interface DraftPorts {
  send(edit: Edit): Promise<EditAnswer>
  /** The newest draft, asked for when a text lost or another window wrote. */
  fetch(): Promise<ConfirmedDraft>
  toFailure(error: unknown): Failure
  newId(): string
  /** The time of the server as this device knows it; null where it does not. */
  now(): Instant | null
  /** Calls back after some time; gives what calls it off. */
  wait(milliseconds: number, then: () => void): () => void
  /** Called at each change of what is here; the snapshot has an empty queue when all is delivered. */
  saveOnDevice(snapshot: DraftSnapshot): void
}

export interface DraftState {
  readonly document: PageDocument
  readonly revision: number
  readonly delivery: DeliveryState
  readonly queued: number
  readonly canUndo: boolean
  /** Goes up whenever the document was changed by others: what is being written must be read anew. */
  readonly fromElsewhere: number
  readonly error: unknown
}

/** Writing goes out this long after its first word, also while somebody writes on and on. */
const PAUSE_MS = 1500
const AGAIN_MS = [2000, 5000, 10_000, 15_000]
const MOST_UNDONE = 200
const delivered = { delivery: 'delivered', error: null } as const

/**
 * Applies operations optimistically, delivers them in order, and rebases them onto edits of other windows.
 *
 * The visible document is the confirmed draft plus the queue. Typing in one piece is one queued edit, however many
 * keys it took, until it is sent.
 */
export class DraftSync {
  readonly #ports: DraftPorts
  readonly #windowId: string
  readonly #listeners = new Set<() => void>()
  readonly #flushers = new Set<() => void>()
  #confirmed: ConfirmedDraft
  #queue: QueuedEdit[]
  #inFlight: QueuedEdit | null = null
  #undo: Operation[][] = []
  #tries = 0
  #callOff: (() => void) | null = null
  #state: DraftState

  constructor(snapshot: DraftSnapshot, ports: DraftPorts) {
    this.#ports = ports
    this.#windowId = snapshot.windowId
    this.#confirmed = snapshot.confirmed
    this.#queue = [...snapshot.queue]
    this.#state = {
      document: this.#localDocument(),
      revision: snapshot.confirmed.revision,
      delivery: this.#queue.length > 0 ? 'delivering' : 'delivered',
      queued: this.#queue.length,
      canUndo: false,
      fromElsewhere: 0,
      error: null,
    }
  }

  state = (): DraftState => this.#state

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  /**
   * Registers a callback that passes on what an open editor has not passed on yet. It is called before remote changes
   * are merged and before the window goes.
   *
   * @returns a function that removes it
   */
  registerFlush = (flush: () => void): (() => void) => {
    this.#flushers.add(flush)
    return () => this.#flushers.delete(flush)
  }

  /** Takes what open editors hold into the queue. */
  flush(): void {
    for (const flush of this.#flushers) flush()
  }

  /** Changes the draft. @returns false where the operations do not fit what is there, and nothing was done */
  act(operations: readonly Operation[]): boolean {
    const inverse = invertOperations(this.#state.document, operations)
    const document = applyOperations(this.#state.document, operations)
    if (!inverse || !document) return false
    const isContinued = this.#enqueue(operations)
    if (!isContinued) this.#undo = [...this.#undo, inverse].slice(-MOST_UNDONE)
    this.#changed({ document, delivery: 'delivering' })
    this.#deliverAfter(operations.every(isWriting) ? PAUSE_MS : 0)
    return true
  }

  undo(): void {
    const last = this.#undo.pop()
    if (!last) return
    const document = applyOperations(this.#state.document, last)
    // What others did meanwhile may have taken its ground away; then the one before it is next.
    if (!document) return this.undo()
    this.#enqueue(last)
    this.#changed({
      document,
      delivery: 'delivering',
      fromElsewhere: this.#state.fromElsewhere + 1,
    })
    this.#deliverAfter(0)
  }

  /** Delivers what waits now, for when the window goes or the session is back. */
  deliverNow(): void {
    this.#tries = 0
    this.#deliverAfter(0)
  }

  /** Looks whether another window wrote. Nothing is asked while something of this one waits: delivering joins. */
  async refresh(): Promise<void> {
    if (this.#queue.length > 0 || this.#inFlight) return
    const newest = await this.#ports.fetch()
    this.flush()
    if (this.#queue.length > 0 || this.#inFlight || newest.revision <= this.#confirmed.revision) return
    this.#confirm(newest)
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

  /** @returns whether the operations went into an edit that was waiting already */
  #enqueue(operations: readonly Operation[]): boolean {
    const last = this.#queue.at(-1)
    const now = this.#ports.now()
    const written = { operations, ...(now !== null && { writtenAt: now }) }
    const merged = last && last !== this.#inFlight ? merge(last, written) : null
    if (last && merged) this.#queue[this.#queue.length - 1] = { ...last, ...written, operations: merged }
    else this.#queue.push({ editId: this.#ports.newId(), ...written })
    return merged !== null
  }

  #deliverAfter(milliseconds: number): void {
    if (milliseconds === PAUSE_MS && this.#callOff) return
    this.#callOff?.()
    this.#callOff = null
    // At once means in this very call: a window that closes gets no later one.
    if (milliseconds === 0) void this.#deliver()
    else
      this.#callOff = this.#ports.wait(milliseconds, () => {
        this.#callOff = null
        void this.#deliver()
      })
  }

  async #deliver(): Promise<void> {
    if (this.#inFlight) return
    for (let next = this.#queue[0]; next; next = this.#queue[0]) {
      this.#inFlight = next
      const failure = await this.#send(next)
      this.#inFlight = null
      if (failure?.kind === 'later') return this.#again()
      if (failure?.kind === 'lost') await this.#lose(next, failure.pieceId)
      if (failure?.kind === 'refused') {
        this.#changed({ delivery: 'refused', error: failure.error })
        return
      }
    }
    if (this.#state.delivery !== 'delivered') this.#changed(delivered)
  }

  async #send({ editId, base, operations, writtenAt }: QueuedEdit): Promise<Failure | null> {
    try {
      const answer = await this.#ports.send({
        base: base ?? this.#confirmed.revision,
        editId,
        windowId: this.#windowId,
        operations: [...operations],
        ...(writtenAt !== undefined && { writtenAt }),
      })
      this.#tries = 0
      this.#accept(answer)
      return null
    } catch (error) {
      return this.#ports.toFailure(error)
    }
  }

  #again(): void {
    const pause = AGAIN_MS[Math.min(this.#tries, AGAIN_MS.length - 1)] ?? 0
    this.#tries += 1
    this.#changed({ delivery: 'on-device' })
    this.#deliverAfter(pause)
  }

  /** The first queued edit was saved: the confirmed draft advances, and the rest is rebased. */
  #accept({ revision, others, operations }: EditAnswer): void {
    if (others.length > 0) this.flush()
    const [own, ...rest] = this.#queue
    const before = this.#confirmed
    const document = applyOperations(before.document, [...others, ...operations])
    if (!document || !own) return this.#changed({ delivery: 'refused' })
    this.#queue = others.length === 0 ? rest : carried(before, others, this.#queue, this.#ports.newId)
    this.#confirmed = { revision, document }
    this.#changed({
      document: this.#localDocument(),
      revision,
      ...(others.length > 0 && { fromElsewhere: this.#state.fromElsewhere + 1 }),
      // Told in one: each change is rendered.
      ...(this.#queue.length === 0 && delivered),
    })
  }

  /** Our text of a piece lost: what else waits goes on, the piece shows what the others wrote. */
  async #lose(edit: QueuedEdit, pieceId: string): Promise<void> {
    const waiting = this.#queue.slice(1)
    const isLost = (operation: Operation) => isAbout(operation, pieceId)
    const newest = waiting
      .flatMap(({ operations }) => operations)
      .filter(isLost)
      .at(-1)
    if (newest) await this.#sendLost(newest)
    const left = without(edit, isLost)
    // An edit of which nothing is about the piece lost as a whole; sent again it would lose again, for ever.
    const isWhole = left.operations.length === edit.operations.length
    const others = [...(isWhole ? [] : [left]), ...waiting.map((one) => without(one, isLost))]
    const fixed = others.filter(({ base, operations }) => base !== undefined && operations.length > 0)
    const unfixed = others.filter(({ base }) => base === undefined)
    const rest = unfixed.flatMap(({ operations }) => operations)
    // One edit, so that all of it reaches the server on the same base.
    const joined = { ...unfixed.at(-1), editId: this.#ports.newId(), operations: rest }
    this.#queue = [...(rest.length > 0 ? [joined] : []), ...fixed]
    if (this.#queue.length > 0) return
    try {
      this.#confirm(await this.#ports.fetch())
    } catch {
      // The server is unreachable again; the losing text is saved there, and the next poll shows it.
      this.#changed({ document: this.#localDocument() })
    }
  }

  /** What was written while the losing text was being sent is saved as the newer other version. */
  async #sendLost(operation: Operation): Promise<void> {
    const { revision: base } = this.#confirmed
    const ids = { editId: this.#ports.newId(), windowId: this.#windowId }
    await this.#ports.send({ base, ...ids, operations: [operation] }).catch(() => undefined)
  }

  /** Gives up the edit that was refused, so that the others can go on. */
  dropRefused(): void {
    if (this.#state.delivery !== 'refused') return
    this.#queue = this.#queue.slice(1)
    this.#changed({
      document: this.#localDocument(),
      delivery: 'delivering',
      fromElsewhere: this.#state.fromElsewhere + 1,
      error: null,
    })
    this.deliverNow()
  }

  #confirm(newest: ConfirmedDraft): void {
    this.#confirmed = { revision: newest.revision, document: newest.document }
    this.#changed({
      document: this.#localDocument(),
      revision: newest.revision,
      fromElsewhere: this.#state.fromElsewhere + 1,
    })
  }

  #localDocument(): PageDocument {
    return this.#queue.reduce(
      (document, { operations }) => applyWhatFits(document, operations),
      this.#confirmed.document,
    )
  }

  #changed(change: Partial<DraftState>): void {
    this.#state = {
      ...this.#state,
      ...change,
      queued: this.#queue.length,
      canUndo: this.#undo.length > 0,
    }
    this.#ports.saveOnDevice({
      windowId: this.#windowId,
      confirmed: this.#confirmed,
      queue: this.#queue,
    })
    for (const listener of this.#listeners) listener()
  }
}
