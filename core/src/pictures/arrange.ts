// Arranging layers: moved, resized, turned, aligned, distributed, ordered, grouped; each gives new layers and changes none.
import type { Point } from './matrix.ts'
import type { Box } from './schema.ts'
import type { Layer } from './collageSchema.ts'

export type Edge = 'left' | 'middle' | 'right' | 'top' | 'centre' | 'bottom'

/** Returns the bounding box of a turned layer. */
export function boundsOf({ x, y, width, height, turn }: Layer): Box {
  const angle = (turn * Math.PI) / 180
  const [sine, cosine] = [Math.abs(Math.sin(angle)), Math.abs(Math.cos(angle))]
  const across = width * cosine + height * sine
  const down = width * sine + height * cosine
  return { x: x + (width - across) / 2, y: y + (height - down) / 2, width: across, height: down }
}

/** Returns the bounding box of several layers; null for none. */
export function boundsOfAll(layers: readonly Layer[]): Box | null {
  if (layers.length === 0) return null
  const boxes = layers.map(boundsOf)
  const [left, top] = [Math.min(...boxes.map(({ x }) => x)), Math.min(...boxes.map(({ y }) => y))]
  const right = Math.max(...boxes.map(({ x, width }) => x + width))
  const bottom = Math.max(...boxes.map(({ y, height }) => y + height))
  return { x: left, y: top, width: right - left, height: bottom - top }
}

/** Returns the selected ids together with all layers of their groups. */
export function withGroups(layers: readonly Layer[], ids: ReadonlySet<string>): Set<string> {
  const groups = new Set(
    layers.filter(({ id, group }) => ids.has(id) && group !== null).map(({ group }) => group),
  )
  return new Set(
    layers
      .filter(({ id, group }) => ids.has(id) || (group !== null && groups.has(group)))
      .map(({ id }) => id),
  )
}

/** Applies a change to the selected layers; locked layers stay as they are. */
export function changeLayers(
  layers: readonly Layer[],
  ids: ReadonlySet<string>,
  change: (layer: Layer) => Layer,
): Layer[] {
  return layers.map((layer) => (ids.has(layer.id) && !layer.isLocked ? change(layer) : layer))
}

export function moveLayers(layers: readonly Layer[], ids: ReadonlySet<string>, by: Point): Layer[] {
  return changeLayers(layers, ids, (layer) => ({ ...layer, x: layer.x + by.x, y: layer.y + by.y }))
}

/** Resizes the selected layers together: the box `from` becomes the box `to`. */
export function resizeLayers(
  layers: readonly Layer[],
  ids: ReadonlySet<string>,
  from: Box,
  to: Box,
): Layer[] {
  const [across, down] = [to.width / from.width, to.height / from.height]
  return changeLayers(layers, ids, (layer) => {
    // A layer that is turned keeps its shape: stretching it along the board would make it lean.
    const isUpright = Math.abs(layer.turn % 180) < 0.01
    const isLying = Math.abs(Math.abs(layer.turn % 180) - 90) < 0.01
    const even = Math.sqrt(across * down)
    const width = Math.max(4, layer.width * (isUpright ? across : isLying ? down : even))
    const height = Math.max(4, layer.height * (isUpright ? down : isLying ? across : even))
    const middle = {
      x: to.x + (layer.x + layer.width / 2 - from.x) * across,
      y: to.y + (layer.y + layer.height / 2 - from.y) * down,
    }
    return { ...layer, x: middle.x - width / 2, y: middle.y - height / 2, width, height }
  })
}

/** Turns the selected layers about their common centre. */
export function turnLayers(layers: readonly Layer[], ids: ReadonlySet<string>, degrees: number): Layer[] {
  const all = boundsOfAll(layers.filter(({ id, isLocked }) => ids.has(id) && !isLocked))
  if (!all) return [...layers]
  const pivot = { x: all.x + all.width / 2, y: all.y + all.height / 2 }
  const angle = (degrees * Math.PI) / 180
  const [sine, cosine] = [Math.sin(angle), Math.cos(angle)]
  return changeLayers(layers, ids, (layer) => {
    const [dx, dy] = [layer.x + layer.width / 2 - pivot.x, layer.y + layer.height / 2 - pivot.y]
    const middle = { x: pivot.x + dx * cosine - dy * sine, y: pivot.y + dx * sine + dy * cosine }
    return {
      ...layer,
      x: middle.x - layer.width / 2,
      y: middle.y - layer.height / 2,
      turn: normalTurn(layer.turn + degrees),
    }
  })
}

/** Normalizes an angle to the range -180 to 180. */
export function normalTurn(degrees: number): number {
  const turned = ((degrees % 360) + 360) % 360
  return turned >= 180 ? turned - 360 : turned
}

/** Aligns the selected layers at an edge of their common box; a single layer at the board. Groups move as one. */
export function alignLayers(
  layers: readonly Layer[],
  ids: ReadonlySet<string>,
  edge: Edge,
  board: Box,
): Layer[] {
  const units = unitsOf(layers, ids)
  const within = units.length > 1 ? boundsOfAll(units.flat()) : board
  if (!within) return [...layers]
  return units.reduce<Layer[]>(
    (all, unit) => {
      const box = boundsOfAll(unit)
      if (!box) return all
      return moveLayers(all, new Set(unit.map(({ id }) => id)), towardEdge(box, within, edge))
    },
    [...layers],
  )
}

function towardEdge(box: Box, within: Box, edge: Edge): Point {
  const across = {
    left: within.x - box.x,
    middle: within.x + within.width / 2 - box.x - box.width / 2,
    right: within.x + within.width - box.x - box.width,
  }
  const down = {
    top: within.y - box.y,
    centre: within.y + within.height / 2 - box.y - box.height / 2,
    bottom: within.y + within.height - box.y - box.height,
  }
  return edge in across
    ? { x: across[edge as keyof typeof across], y: 0 }
    : { x: 0, y: down[edge as keyof typeof down] }
}

/** Makes the gaps between neighbours equal; the outermost layers stay. Fewer than three layers stay as they are. */
export function distributeLayers(
  layers: readonly Layer[],
  ids: ReadonlySet<string>,
  along: 'across' | 'down',
): Layer[] {
  const start = (box: Box) => (along === 'across' ? box.x : box.y)
  const length = (box: Box) => (along === 'across' ? box.width : box.height)
  const units = unitsOf(layers, ids)
    .map((unit) => ({ unit, box: boundsOfAll(unit) }))
    .filter((one): one is { unit: Layer[]; box: Box } => one.box !== null)
    .sort((a, b) => start(a.box) + length(a.box) / 2 - start(b.box) - length(b.box) / 2)
  const [first, last] = [units[0], units.at(-1)]
  if (units.length < 3 || !first || !last) return [...layers]
  const room = start(last.box) + length(last.box) - start(first.box)
  const gap = (room - units.reduce((sum, { box }) => sum + length(box), 0)) / (units.length - 1)
  let at = start(first.box)
  return units.reduce<Layer[]>(
    (all, { unit, box }) => {
      const off = at - start(box)
      at += length(box) + gap
      const by = along === 'across' ? { x: off, y: 0 } : { x: 0, y: off }
      return moveLayers(all, new Set(unit.map(({ id }) => id)), by)
    },
    [...layers],
  )
}

/** What is chosen, each group as one. */
function unitsOf(layers: readonly Layer[], ids: ReadonlySet<string>): Layer[][] {
  const units = new Map<string, Layer[]>()
  for (const layer of layers) {
    if (!ids.has(layer.id) || layer.isLocked) continue
    const key = layer.group ?? layer.id
    units.set(key, [...(units.get(key) ?? []), layer])
  }
  return [...units.values()]
}

/** Moves the selected layers forward or back, past the next unselected layer or all the way. */
export function orderLayers(
  layers: readonly Layer[],
  ids: ReadonlySet<string>,
  where: 'nearer' | 'further' | 'nearest' | 'furthest',
): Layer[] {
  const chosen = layers.filter(({ id }) => ids.has(id))
  const others = layers.filter(({ id }) => !ids.has(id))
  if (where === 'nearest') return [...others, ...chosen]
  if (where === 'furthest') return [...chosen, ...others]
  const towards = where === 'nearer' ? [...layers] : [...layers].reverse()
  const result = [...towards]
  for (let at = result.length - 2; at >= 0; at -= 1) {
    const [own, next] = [result[at], result[at + 1]]
    if (own && next && ids.has(own.id) && !ids.has(next.id)) [result[at], result[at + 1]] = [next, own]
  }
  return where === 'nearer' ? result : result.reverse()
}
