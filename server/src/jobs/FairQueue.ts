// A queue that serves people in turn, so that nobody waits behind all that one other has asked for.

export class FairQueue<T> {
  /** In the order in which people are served next. */
  readonly #waiting = new Map<string, T[]>()

  get size(): number {
    return [...this.#waiting.values()].reduce((sum, { length }) => sum + length, 0)
  }

  add(personId: string, item: T): void {
    const own = this.#waiting.get(personId)
    if (own) own.push(item)
    else this.#waiting.set(personId, [item])
  }

  /** Takes the first item of whoever is next; they are served again after everybody else. */
  take(): T | null {
    const [next] = this.#waiting
    if (!next) return null
    const [personId, [item, ...rest]] = next
    this.#waiting.delete(personId)
    if (rest.length > 0) this.#waiting.set(personId, rest)
    return item ?? null
  }

  /** @returns false where it was taken already */
  remove(personId: string, item: T): boolean {
    const own = this.#waiting.get(personId) ?? []
    const left = own.filter((one) => one !== item)
    if (left.length === own.length) return false
    if (left.length > 0) this.#waiting.set(personId, left)
    else this.#waiting.delete(personId)
    return true
  }
}
