// The marks by which lines of a plot are told apart, in the words of the plot library and as a drawing of 12 by 12.

interface LineMark {
  readonly symbol: string
  /** The mark as a sign, before the name of its line. */
  readonly sign: string
  /** The token of its colour; the mark alone tells lines apart. */
  readonly colour: string
  readonly path: string
  readonly isHollow: boolean
}

const marks: readonly [LineMark, ...LineMark[]] = [
  { symbol: 'square', sign: '■', colour: '--data', path: 'M2 2h8v8H2z', isHollow: false },
  { symbol: 'diamond-open', sign: '◇', colour: '--tan-text', path: 'M6 1l5 5-5 5-5-5z', isHollow: true },
  { symbol: 'triangle-up', sign: '▲', colour: '--data2', path: 'M6 1.5l5 9H1z', isHollow: false },
  {
    symbol: 'cross',
    sign: '✚',
    colour: '--moss',
    path: 'M4.5 1h3v3.5H11v3H7.5V11h-3V7.5H1v-3h3.5z',
    isHollow: false,
  },
  { symbol: 'square-open', sign: '□', colour: '--tan-text', path: 'M2 2h8v8H2z', isHollow: true },
  { symbol: 'diamond', sign: '◆', colour: '--data2', path: 'M6 1l5 5-5 5-5-5z', isHollow: false },
  { symbol: 'triangle-up-open', sign: '△', colour: '--data', path: 'M6 1.5l5 9H1z', isHollow: true },
  { symbol: 'triangle-down', sign: '▼', colour: '--moss', path: 'M6 10.5l5-9H1z', isHollow: false },
]

/** @param n the place of the line among all lines of the set, from 0 */
export function markOf(n: number): LineMark {
  return marks[n % marks.length] ?? marks[0]
}
