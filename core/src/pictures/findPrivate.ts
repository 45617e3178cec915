// Finds what may be private: short lines that look like writing, near the edges of a sheet. Nothing is read.
import { shrink, greyOf, type Raster } from './raster.ts'
import type { Box } from './schema.ts'

/** A line of writing near the edge of a picture, in its pixels. */
export interface WritingFound {
  readonly box: Box
  /** Whether it stands alone in a corner, where names are written; such ones are proposed at once. */
  readonly isInCorner: boolean
}

/** Writing is looked for in a picture of this size: a line of it is then some ten pixels high. */
const LOOKED_AT = 900
/** How near to the upper or lower edge names are written, and how near to a side, as parts of the picture. */
const [NEAR_EDGE, NEAR_SIDE] = [0.13, 0.12]
/** Higher than this is no line of writing but a drawing; lower, a ruled line. As parts of the picture's height. */
const [LEAST_HEIGHT, MOST_HEIGHT] = [0.006, 0.075]
/** Darker than the paper about it by this much, as a part of that, is ink. */
const INK = 0.14
/** Lines that begin within this part of the width begin at one margin. */
const SAME_MARGIN = 0.045
const MOST_FOUND = 12

/**
 * Finds lines that look like writing near the edges; those in a corner come first.
 *
 * Ink is darker than the paper around it; neighbouring strokes are merged into lines (F. Wahl, K. Wong and R. Casey,
 * "Block segmentation and text extraction in mixed text/image documents", 1982). A line counts as writing when it is
 * longer than high and consists of many strokes with gaps.
 *
 * @param raster a sheet that was squared up, so that its edges are those of the picture
 */
export function findPrivate(raster: Raster): WritingFound[] {
  const small = shrink(raster, LOOKED_AT)
  const ink = findInk(small)
  const scale = raster.width / small.width
  const lines = findLinesOf(ink, small.width, small.height)
  return lines
    .filter((line) => isNearEdge(line, small))
    .map((line) => ({
      box: widened(line, scale),
      isInCorner: isInCorner(line, small) && !isOfText(line, lines, small),
    }))
    .sort((a, b) => Number(b.isInCorner) - Number(a.isInCorner))
    .slice(0, MOST_FOUND)
}

interface Extent {
  left: number
  top: number
  right: number
  bottom: number
}

/** One where a pixel is darker than the mean of a field about it (a running-sum table gives each mean at once). */
function findInk(raster: Raster): Uint8Array {
  const { width, height } = raster
  const grey = greyOf(raster)
  const sums = sumsOf(grey, width, height)
  const reach = Math.max(6, Math.round(height / 50))
  const ink = new Uint8Array(width * height)
  for (let y = 0; y < height; y += 1) {
    const [top, bottom] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)]
    for (let x = 0; x < width; x += 1) {
      const [left, right] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)]
      const sum =
        (sums[bottom * (width + 1) + right] as number) -
        (sums[top * (width + 1) + right] as number) -
        (sums[bottom * (width + 1) + left] as number) +
        (sums[top * (width + 1) + left] as number)
      const mean = sum / ((bottom - top) * (right - left))
      ink[y * width + x] = (grey[y * width + x] as number) < mean * (1 - INK) ? 1 : 0
    }
  }
  return ink
}

function sumsOf(grey: Uint8Array, width: number, height: number): Float64Array {
  const sums = new Float64Array((width + 1) * (height + 1))
  for (let y = 0; y < height; y += 1) {
    let row = 0
    for (let x = 0; x < width; x += 1) {
      row += grey[y * width + x] as number
      sums[(y + 1) * (width + 1) + x + 1] = (sums[y * (width + 1) + x + 1] as number) + row
    }
  }
  return sums
}

/** Strokes run together into words, words beside each other into lines, and these are judged. */
function findLinesOf(ink: Uint8Array, width: number, height: number): Extent[] {
  const gap = Math.max(3, Math.round(height * 0.016))
  const joined = new Uint8Array(ink)
  for (let y = 0; y < height; y += 1) {
    // A ruled line or an edge must not tie the words on it together.
    eraseRuledLines(ink, joined, y, width, height)
    let last = -1
    for (let x = 0; x < width; x += 1) {
      if (joined[y * width + x] === 0) continue
      if (last >= 0 && x - last <= gap) joined.fill(1, y * width + last, y * width + x)
      last = x
    }
  }
  const words = piecesOf(joined, width, height).filter(
    ({ top, bottom }) => bottom - top >= height * LEAST_HEIGHT && bottom - top <= height * MOST_HEIGHT,
  )
  return joinWords(words).filter((line) => isWriting(line, ink, width, height))
}

/** Words that stand beside each other, with less between them than two and a half times their height. */
function joinWords(words: readonly Extent[]): Extent[] {
  const lines: Extent[] = []
  for (const word of [...words].sort((a, b) => a.left - b.left)) {
    const line = lines.find((one) => isBeside(one, word))
    if (!line) lines.push({ ...word })
    else {
      line.right = Math.max(line.right, word.right)
      line.top = Math.min(line.top, word.top)
      line.bottom = Math.max(line.bottom, word.bottom)
    }
  }
  return lines
}

function isBeside(line: Extent, word: Extent): boolean {
  const lower = Math.min(line.bottom - line.top, word.bottom - word.top)
  const shared = Math.min(line.bottom, word.bottom) - Math.max(line.top, word.top)
  return (
    shared > lower * 0.5 &&
    word.left - line.right < Math.max(line.bottom - line.top, word.bottom - word.top) * 2.5
  )
}

function eraseRuledLines(
  ink: Uint8Array,
  joined: Uint8Array,
  y: number,
  width: number,
  height: number,
): void {
  const long = height * 0.045
  let start = 0
  for (let x = 0; x <= width; x += 1) {
    if (x < width && ink[y * width + x] === 1) continue
    if (x - start > long && isThin(ink, { left: start, right: x, y }, width, height))
      joined.fill(0, y * width + start, y * width + x)
    start = x + 1
  }
}

/** Whether a run has little ink above and below it: the feet of thick letters run together, too, but have letters above. */
function isThin(
  ink: Uint8Array,
  { left, right, y }: { left: number; right: number; y: number },
  width: number,
  height: number,
): boolean {
  const off = Math.max(3, Math.round(height * 0.006))
  const share = (row: number) => {
    if (row < 0 || row >= height) return 0
    let count = 0
    for (let x = left; x < right; x += 1) count += ink[row * width + x] as number
    return count / (right - left)
  }
  return share(y - off) < 0.3 && share(y + off) < 0.3
}

/** What hangs together, over sides and corners, as the boxes about it. */
function piecesOf(mask: Uint8Array, width: number, height: number): Extent[] {
  const seen = new Uint8Array(mask.length)
  const pieces: Extent[] = []
  const stack: number[] = []
  for (let start = 0; start < mask.length; start += 1) {
    if (mask[start] === 0 || seen[start] === 1) continue
    const extent = { left: width, top: height, right: 0, bottom: 0 }
    stack.push(start)
    seen[start] = 1
    for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
      const [x, y] = [at % width, Math.floor(at / width)]
      extent.left = Math.min(extent.left, x)
      extent.right = Math.max(extent.right, x + 1)
      extent.top = Math.min(extent.top, y)
      extent.bottom = Math.max(extent.bottom, y + 1)
      for (let row = Math.max(0, y - 1); row <= Math.min(height - 1, y + 1); row += 1) {
        for (let column = Math.max(0, x - 1); column <= Math.min(width - 1, x + 1); column += 1) {
          const next = row * width + column
          if (mask[next] === 0 || seen[next] === 1) continue
          seen[next] = 1
          stack.push(next)
        }
      }
    }
    pieces.push(extent)
  }
  return pieces
}

/** Longer than high, neither empty nor solid, and with many changes between ink and paper along its middle rows. */
function isWriting(
  { left, top, right, bottom }: Extent,
  ink: Uint8Array,
  width: number,
  height: number,
): boolean {
  const [across, down] = [right - left, bottom - top]
  if (down < height * LEAST_HEIGHT || down > height * MOST_HEIGHT || across < 2.2 * down) return false
  let [filled, changes] = [0, 0]
  for (let y = top; y < bottom; y += 1) {
    for (let x = left; x < right; x += 1) {
      const own = ink[y * width + x] as number
      filled += own
      if (x > left && own !== ink[y * width + x - 1]) changes += 1
    }
  }
  const share = filled / (across * down)
  // Strokes stand about as far apart as they are high, often nearer: each brings two changes in most rows.
  return share > 0.06 && share < 0.75 && changes / down > Math.max(5, (across / down) * 0.9)
}

function isNearEdge({ left, top, right, bottom }: Extent, { width, height }: Raster): boolean {
  const isAcross = top < height * NEAR_EDGE || bottom > height * (1 - NEAR_EDGE)
  const isBeside = right < width * NEAR_SIDE * 2 || left > width * (1 - NEAR_SIDE * 2)
  return isAcross || isBeside
}

function isInCorner({ left, top, right, bottom }: Extent, { width, height }: Raster): boolean {
  const isAcross = top < height * NEAR_EDGE || bottom > height * (1 - NEAR_EDGE)
  const isBeside = left < width * NEAR_SIDE || right > width * (1 - NEAR_SIDE)
  return isAcross && isBeside && right - left < width * 0.6
}

/** Whether it begins at the margin of the text: titles and running text do, a name in a corner stands for itself. */
function isOfText(line: Extent, lines: readonly Extent[], { width }: Raster): boolean {
  if (line.left > width * 0.4) return false
  const others = lines.filter(
    (other) => other !== line && Math.abs(other.left - line.left) < width * SAME_MARGIN,
  )
  return others.length >= 2
}

/** A little more than the ink, in the large picture's pixels: the tips of letters are thin. */
function widened({ left, top, right, bottom }: Extent, scale: number): Box {
  const more = Math.max(2, (bottom - top) * 0.3)
  const [x, y] = [Math.max(0, left - more), Math.max(0, top - more)]
  return {
    x: x * scale,
    y: y * scale,
    width: (right + more - x) * scale,
    height: (bottom + more - y) * scale,
  }
}
