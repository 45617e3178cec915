// Work that takes a while: it pauses after each portion, says how far it is, and can be left where it stands.

/** Yields how much is done (0 to 1) after each portion, and returns what was made. Leaving it cancels it. */
export type Work<T> = Generator<number, T, void>

/** Does the work to its end, without a pause. */
export function finish<T>(work: Work<T>): T {
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
  }
}

/** The work as a part of something larger: its 0 to 1 is told as `from` to `to`. */
export function* asStretch<T>(work: Work<T>, from: number, to: number): Work<T> {
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
    yield from + step.value * (to - from)
  }
}
