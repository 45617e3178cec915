// Work that takes a while: it pauses after each portion, says how far it is, and can be left where it stands.

/** Yields the progress (0 to 1) after each chunk of work and returns the result. Stopping the iteration cancels it. */
export type Work<T> = Generator<number, T, void>

/** Runs the work to its end without a pause. */
export function finish<T>(work: Work<T>): T {
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
  }
}

/** Maps the progress of a piece of work from 0 to 1 to the range `from` to `to` of a larger one. */
export function* asStretch<T>(work: Work<T>, from: number, to: number): Work<T> {
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
    yield from + step.value * (to - from)
  }
}
