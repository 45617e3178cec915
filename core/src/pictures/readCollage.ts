// What a collage says in numbers, words and pictures: in the order in which it is read.
import type { Collage, Layer, NumberLayer } from './collageSchema.ts'
import type { ShownPicture } from './paintCollage.ts'

/** Returns the numbered labels, numbered from 1 in layer order. */
export function numbersOf({ layers }: Pick<Collage, 'layers'>): NumberLayer[] {
  return layers.filter((layer): layer is NumberLayer => layer.kind === 'number')
}

/** Returns every picture that a collage shows, its background first, each version once. */
export function picturesOf({ background, layers }: Collage): ShownPicture[] {
  const all = [
    ...(background.kind === 'picture' ? [background] : []),
    ...inReadingOrder(layers).flatMap((layer) => (layer.kind === 'picture' ? [layer] : [])),
  ].map(({ evidenceId, n }) => ({ evidenceId, n }))
  return all.filter(
    (one, at) => all.findIndex(({ evidenceId, n }) => evidenceId === one.evidenceId && n === one.n) === at,
  )
}

/** Returns the words on a collage, in reading order. */
export function wordsOn({ layers }: Pick<Collage, 'layers'>): string[] {
  return inReadingOrder(layers).flatMap((layer) => {
    const words = layer.kind === 'text' || layer.kind === 'shape' ? layer.words.trim() : ''
    return words === '' ? [] : [words]
  })
}

/** Sorts layers in bands from top to bottom, and from left to right within a band. */
export function inReadingOrder(layers: readonly Layer[]): Layer[] {
  const band = Math.max(1, Math.min(...layers.map(({ height }) => height), 400) * 0.75)
  const middle = ({ y, height }: Layer) => y + height / 2
  const bands: { readonly at: number; readonly layers: Layer[] }[] = []
  for (const layer of [...layers].sort((a, b) => middle(a) - middle(b))) {
    const last = bands.at(-1)
    if (last && middle(layer) - last.at <= band) last.layers.push(layer)
    else bands.push({ at: middle(layer), layers: [layer] })
  }
  return bands.flatMap((one) => one.layers.sort((a, b) => a.x + a.width / 2 - b.x - b.width / 2))
}
