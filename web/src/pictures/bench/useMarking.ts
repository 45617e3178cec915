// The marking tools' own state: with what is drawn, which mark is chosen, and what a drawing in the view becomes.
import { MOST_PEN_POINTS } from '@valise/core/pictures'
import type { Geometry, LineMarkKind, Mark, MarkColour, PictureRecipe, Point } from '@valise/core/pictures'
import { useState } from 'react'
import { moveMark, moveMarkEnd } from './marks.ts'
import { boxBetween, cornersOf, scaleAt } from './regions.ts'
import { marksOf, withMarks } from './recipeChanges.ts'

export type DrawKind = 'pen' | LineMarkKind

export interface Marking {
  readonly marks: readonly Mark[]
  readonly chosen: string | null
  readonly kind: DrawKind
  readonly colour: MarkColour
  /** From 1, thin or small, to 5. */
  readonly weight: number
  setKind(kind: DrawKind): void
  setColour(colour: MarkColour): void
  setWeight(weight: number): void
  choose(id: string | null): void
  /** A stroke, or a line from its first to its last point; in pixels of the view. */
  draw(points: readonly Point[], geometry: Geometry): void
  write(at: Point, geometry: Geometry): void
  /** A pin, with the region that was drawn about it or none. */
  point(at: Point, region: readonly [Point, Point] | null, geometry: Geometry): void
  move(id: string, by: Point): void
  moveEnd(id: string, end: 'from' | 'to', to: Point): void
  /** Changes what a mark says, and keeps it. */
  say(id: string, words: string): void
  done(): void
  drop(id: string): void
}

interface MarkingProps {
  readonly recipe: PictureRecipe
  readonly onShow: (recipe: PictureRecipe) => void
  readonly onSave: (recipe: PictureRecipe) => void
}

/** Strokes are a part of the picture's longer side, so that they look the same on every size. */
const STROKE = 0.0022
const LETTERS = 0.012

export function useMarking({ recipe, onShow, onSave }: MarkingProps): Marking {
  const [kind, setKind] = useState<DrawKind>('arrow')
  const [colour, setNextColour] = useState<MarkColour>('brick')
  const [weight, setNextWeight] = useState(3)
  const [chosen, choose] = useState<string | null>(null)
  const marks = marksOf(recipe)
  const current = marks.find(({ id }) => id === chosen)
  const add = (mark: Mark) => {
    onSave(withMarks(recipe, [...marks, mark]))
    choose(mark.id)
  }
  const changed = (id: string, change: (mark: Mark) => Mark) =>
    withMarks(
      recipe,
      marks.map((mark) => (mark.id === id ? change(mark) : mark)),
    )
  const sizeIn = (fraction: number, at: Point, { size, toOriginal }: Geometry) =>
    Math.max(size.width, size.height) * fraction * weight * scaleAt(toOriginal, at)
  const spot = (point: Point, { toOriginal }: Geometry) => cornersOf([point], toOriginal)[0] ?? [0, 0]
  return {
    marks,
    chosen: current?.id ?? null,
    kind,
    colour: current && 'colour' in current ? current.colour : colour,
    weight,
    setKind: (wanted) => {
      setKind(wanted)
      choose(null)
    },
    setColour: (wanted) => {
      setNextColour(wanted)
      if (current && 'colour' in current)
        onSave(changed(current.id, (mark) => ({ ...mark, colour: wanted }) as Mark)) // it has one
    },
    setWeight: (wanted) => {
      setNextWeight(wanted)
      if (!current || current.kind === 'pin') return
      const factor = wanted / weight
      onSave(
        changed(current.id, (mark) => {
          if (mark.kind === 'text') return { ...mark, size: mark.size * factor }
          return mark.kind === 'pin' ? mark : { ...mark, width: mark.width * factor }
        }),
      )
    },
    choose,
    draw: (points, geometry) => {
      const [first, last] = [points[0], points.at(-1)]
      if (!first || !last) return
      const width = Math.max(0.5, sizeIn(STROKE, first, geometry))
      const id = crypto.randomUUID()
      if (kind === 'pen') {
        const corners = cornersOf(points, geometry.toOriginal, MOST_PEN_POINTS)
        return add({ id, kind, points: corners, colour, width })
      }
      add({ id, kind, from: spot(first, geometry), to: spot(last, geometry), colour, width })
    },
    write: (at, geometry) =>
      add({
        ...{ id: crypto.randomUUID(), kind: 'text', words: '', colour },
        at: spot(at, geometry),
        size: Math.max(4, sizeIn(LETTERS, at, geometry)),
      }),
    point: (at, region, geometry) => {
      const outline = region && cornersOf(boxBetween(...region), geometry.toOriginal)
      add({ id: crypto.randomUUID(), kind: 'pin', at: spot(at, geometry), region: outline, note: '' })
    },
    move: (id, by) => onShow(changed(id, (mark) => moveMark(mark, by))),
    moveEnd: (id, end, to) => onShow(changed(id, (mark) => moveMarkEnd(mark, end, to))),
    say: (id, words) =>
      onSave(
        changed(id, (mark) => {
          if (mark.kind === 'text') return { ...mark, words }
          return mark.kind === 'pin' ? { ...mark, note: words } : mark
        }),
      ),
    done: () => onSave(recipe),
    drop: (id) => {
      choose(null)
      onSave(
        withMarks(
          recipe,
          marks.filter((mark) => mark.id !== id),
        ),
      )
    },
  }
}
