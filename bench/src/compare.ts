// Measuring by comparison: ours and a reference in turns, so that noise of the machine meets both alike.

/**
 * One row of the table. `quartiles` and `median` are of the ratio; `reference` is the median of the reference itself.
 */
export interface Row {
  readonly name: string
  readonly ratio: number
  readonly limit: number
  readonly within: boolean | 'too noisy'
  readonly quartiles: readonly [number, number]
  readonly median: number
  readonly reference: number
  readonly unit: string
}

export interface Comparison {
  readonly name: string
  readonly limit: number
  readonly unit: string
  /** Each gives one measurement; they are called in turns. */
  readonly ours: () => number | Promise<number>
  readonly reference: () => number | Promise<number>
  readonly pairs?: number
  readonly warmUp?: number
}

const LEAST_PAIRS = 15
const MOST_SPREAD = 1.6

/** Runs ours and the reference in turns and compares them pair by pair. */
export async function compare(comparison: Comparison): Promise<Row> {
  const { name, limit, unit, ours, reference, pairs = LEAST_PAIRS, warmUp = 2 } = comparison
  const ratios: number[] = []
  const references: number[] = []
  for (let n = -warmUp; n < Math.max(pairs, LEAST_PAIRS); n += 1) {
    // Which one goes first changes, so that neither always finds the caches warm.
    const isOursFirst = n % 2 === 0
    const first = await (isOursFirst ? ours : reference)()
    const second = await (isOursFirst ? reference : ours)()
    if (n < 0) continue
    const [own, other] = isOursFirst ? [first, second] : [second, first]
    ratios.push(own / other)
    references.push(other)
  }
  return toRow({ name, limit, unit, ratios, references })
}

/** Milliseconds that something takes, on average over some rounds. */
export async function timed(rounds: number, run: () => Promise<unknown>): Promise<number> {
  const started = performance.now()
  for (let round = 0; round < rounds; round += 1) await run()
  return (performance.now() - started) / rounds
}

interface Measured {
  readonly name: string
  readonly limit: number
  readonly unit: string
  readonly ratios: readonly number[]
  readonly references: readonly number[]
}

export function toRow({ name, limit, unit, ratios, references }: Measured): Row {
  const quartiles = [quantile(ratios, 0.25), quantile(ratios, 0.75)] as const
  const median = quantile(ratios, 0.5)
  const isNoisy = quartiles[1] / quartiles[0] > MOST_SPREAD
  const within = isNoisy ? 'too noisy' : quartiles[0] <= limit
  return { name, ratio: median, limit, within, quartiles, median, reference: quantile(references, 0.5), unit }
}

/** Linear interpolation between the closest ranks. */
export function quantile(values: readonly number[], fraction: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  const place = (sorted.length - 1) * fraction
  const below = sorted[Math.floor(place)] ?? Number.NaN
  const above = sorted[Math.ceil(place)] ?? Number.NaN
  return below + (above - below) * (place - Math.floor(place))
}
