// The four widths that have a name: what the choice offers, and what any number of columns is called.
import { COLUMNS } from '@valise/core/pages'

export const widths = ['narrow', 'half', 'wide', 'full'] as const
export type Width = (typeof widths)[number]

/** How many columns a named width takes. */
export const spanOf: Readonly<Record<Width, number>> = {
  narrow: COLUMNS / 3,
  half: COLUMNS / 2,
  wide: (COLUMNS * 2) / 3,
  full: COLUMNS,
}

/** The name of a width that may also have been dragged: the widest named one that it reaches, else `narrow`. */
export function widthOf(span: number): Width {
  return widths.findLast((width) => span >= spanOf[width]) ?? 'narrow'
}
