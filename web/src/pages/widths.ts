// The four widths that have a name: what the choice offers, and what any number of columns is called.
import { COLUMNS } from '@valise/core/pages'

export const widths = ['narrow', 'half', 'wide', 'full'] as const
export type Width = (typeof widths)[number]

/** The columns of each named width. */
export const spanOf: Readonly<Record<Width, number>> = {
  narrow: COLUMNS / 3,
  half: COLUMNS / 2,
  wide: (COLUMNS * 2) / 3,
  full: COLUMNS,
}

/**
 * Returns the name of any span, which may have been dragged: the widest named width that it reaches, else `narrow`.
 */
export function widthOf(span: number): Width {
  return widths.findLast((width) => span >= spanOf[width]) ?? 'narrow'
}
