// Laying things of mixed widths out in rows of one height that end flush.

export interface RowRules {
  readonly width: number
  readonly height: number
  readonly gap: number
  /** The narrowest and the widest that one thing may be, before rows are made to end flush. */
  readonly least: number
  readonly most: number
}

/** How much wider than it wants a thing of the last row may become. */
const LAST_ROW_STRETCH = 1.15

/**
 * Computes widths in whole pixels, row by row, in the order of `ratios` (width to height of each item).
 *
 * The widths and gaps of a full row add up to `width`. Proportions stay roughly the same: items are cropped to fit.
 */
export function layOutRows(ratios: readonly number[], rules: RowRules): number[][] {
  const { width, height, gap, least, most } = rules
  const rows: number[][] = []
  let row: number[] = []
  const taken = (widths: readonly number[]) =>
    widths.reduce((sum, one) => sum + one, gap * (widths.length - 1))
  for (const ratio of ratios) {
    const wanted = Math.min(width, Math.max(least, Math.min(most, ratio * height)))
    if (row.length > 0 && taken([...row, wanted]) > width) {
      rows.push(stretched(row, width, gap, Infinity))
      row = []
    }
    row.push(wanted)
  }
  if (row.length > 0) rows.push(stretched(row, width, gap, LAST_ROW_STRETCH))
  return rows
}

function stretched(row: readonly number[], width: number, gap: number, mostTimes: number): number[] {
  const free = width - gap * (row.length - 1)
  const wanted = row.reduce((sum, one) => sum + one, 0)
  const times = Math.min(free / wanted, mostTimes)
  const widths = row.map((one) => Math.floor(one * times))
  // Pixels that rounding left over go to the first ones, one each.
  const left = times === free / wanted ? free - widths.reduce((sum, one) => sum + one, 0) : 0
  return widths.map((one, n) => (n < left ? one + 1 : one))
}
