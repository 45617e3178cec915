// The concealing tool's own state: which part is chosen, how the next one is drawn, and what a drawing in a view becomes.
import type { ConcealFill, Geometry, Point, PictureRecipe } from '@valise/core/pictures'
import { useState } from 'react'
import { newSeed } from '../desk/index.ts'
import type { Drawing, RegionInView } from './ConcealOverlay.tsx'
import { cornersOf, regionInView, scaleAt } from './regions.ts'
import { regionsOf, withRegions } from './recipeChanges.ts'

export interface Concealing {
  readonly drawing: Drawing
  readonly fill: ConcealFill
  readonly chosen: number | null
  setDrawing(drawing: Drawing): void
  choose(n: number | null): void
  setFill(fill: ConcealFill): void
  inView(geometry: Geometry): readonly RegionInView[]
  draw(region: RegionInView, geometry: Geometry): void
  change(n: number, points: readonly Point[], geometry: Geometry): void
  done(): void
  drop(n: number): void
  /** A box in the middle of what others get, for those who do not draw with a pointer. */
  add(geometry: Geometry): void
}

interface ConcealingProps {
  readonly recipe: PictureRecipe
  readonly onShow: (recipe: PictureRecipe) => void
  readonly onSave: (recipe: PictureRecipe) => void
}

export function useConcealing({ recipe, onShow, onSave }: ConcealingProps): Concealing {
  const [drawing, setDrawing] = useState<Drawing>('box')
  const [chosen, choose] = useState<number | null>(null)
  const [nextFill, setNextFill] = useState<ConcealFill>('cover')
  const parts = regionsOf(recipe)
  const fill = (chosen === null ? undefined : parts[chosen]?.fill) ?? nextFill
  const append = (region: RegionInView, { toOriginal }: Geometry) => {
    const middle = region.points[0] ?? { x: 0, y: 0 }
    const radius = region.radius === 0 ? 0 : Math.max(1, region.radius * scaleAt(toOriginal, middle))
    const added = { corners: cornersOf(region.points, toOriginal), radius, fill: nextFill, seed: newSeed() }
    onSave(withRegions(recipe, [...parts, added]))
    choose(parts.length)
  }
  return {
    drawing,
    fill,
    chosen: chosen !== null && chosen < parts.length ? chosen : null,
    setDrawing,
    choose,
    setFill: (wanted) => {
      setNextFill(wanted)
      if (chosen !== null && parts[chosen])
        onSave(
          withRegions(
            recipe,
            parts.map((region, n) => (n === chosen ? { ...region, fill: wanted } : region)),
          ),
        )
    },
    inView: ({ toResult }) => parts.map((region) => regionInView(region, toResult)),
    draw: append,
    change: (n, points, { toOriginal }) =>
      onShow(
        withRegions(
          recipe,
          parts.map((region, at) =>
            at === n ? { ...region, corners: cornersOf(points, toOriginal) } : region,
          ),
        ),
      ),
    done: () => onSave(recipe),
    drop: (n) => {
      choose(null)
      onSave(
        withRegions(
          recipe,
          parts.filter((_, at) => at !== n),
        ),
      )
    },
    add: (geometry) => {
      const { width, height } = geometry.size
      const [x, y] = [width * 0.35, height * 0.47]
      const points = [
        { x, y },
        { x: width * 0.65, y },
        { x: width * 0.65, y: height * 0.53 },
        { x, y: height * 0.53 },
      ]
      append({ points, radius: 0 }, geometry)
    },
  }
}
