// How somebody's ratings of one set went over time: a line for each attribute, on one scale, and what they tell.
import type { Option } from '../pages/index.ts'
import type { Localized } from '../people/index.ts'
import type { LocalDay } from '../time/index.ts'
import type { Rating } from './schema.ts'

interface GrowthPoint {
  readonly rating: Rating
  /** On the scale of today, from 1; between two steps where the scale of its day had others. */
  readonly place: number
  /** Whether it was made on a scale that is no longer that of the set. */
  readonly isFormer: boolean
}

export interface GrowthLine {
  readonly attributeId: string
  readonly name: Localized
  /** The oldest first. */
  readonly points: readonly GrowthPoint[]
}

/** How an attribute went from its first rating to its last one. */
export interface GrowthChange {
  readonly line: GrowthLine
  /** In steps of today's scale; negative where it went down, 0 where it stayed. */
  readonly steps: number
  readonly since: LocalDay
}

interface SetNow {
  readonly steps: readonly Option[]
  readonly attributes: readonly { readonly id: string; readonly name: Localized }[]
}

/**
 * Arranges ratings into lines, one for each attribute, in the order of the set; attributes that the set has no more come
 * last, as they were called.
 *
 * A rating whose step is that of the one before in the same piece is the same rating with other words: it stands once, as
 * it reads now.
 *
 * @param set the set as it is now; without it, the scale is that of the newest rating
 */
export function growthOf(ratings: readonly Rating[], set: SetNow | null): GrowthLine[] {
  const ordered = [...ratings].sort(byDay)
  const most = scaleOf(ordered, set).length
  const known = set?.attributes ?? []
  const former = new Map(
    ordered
      .filter(({ attributeId }) => !known.some(({ id }) => id === attributeId))
      .map(({ attributeId, name }) => [attributeId, name]),
  )
  return [...known, ...[...former].map(([id, name]) => ({ id, name }))].flatMap(({ id, name }) => {
    const own = withoutRewordings(ordered.filter(({ attributeId }) => attributeId === id))
    const points = own.map((rating) => toPoint(rating, set, most))
    return points.length === 0 ? [] : [{ attributeId: id, name, points }]
  })
}

/**
 * Returns the names of the steps, the lowest first: those of the set as it is now; without it, those of the newest rating,
 * as far as they were chosen.
 */
export function scaleOf(ratings: readonly Rating[], set: Pick<SetNow, 'steps'> | null): Localized[] {
  if (set) return set.steps.map(({ label }) => label)
  const ordered = [...ratings].sort(byDay)
  const of = ordered.at(-1)?.step.of ?? 1
  const known = ordered.filter(({ step }) => step.of === of)
  return Array.from(
    { length: of },
    (_, n) => known.findLast(({ step }) => step.place === n + 1)?.step.label ?? {},
  )
}

/** Returns the change that says most: the greatest one, of equal ones the latest. Null where nothing was rated twice. */
export function greatestChange(lines: readonly GrowthLine[]): GrowthChange | null {
  const changes = lines.flatMap((line) => {
    const change = changeOf(line)
    return change ? [change] : []
  })
  return changes.reduce<GrowthChange | null>((best, change) => {
    if (best === null) return change
    const more = Math.abs(change.steps) - Math.abs(best.steps)
    return more > 0 || (more === 0 && lastDay(change.line) > lastDay(best.line)) ? change : best
  }, null)
}

/** Returns how an attribute went from its first rating to its last one; null where there is only one. */
export function changeOf(line: GrowthLine): GrowthChange | null {
  const [first] = line.points
  const last = line.points.at(-1)
  if (!first || !last || first === last) return null
  return { line, steps: Math.round(last.place - first.place), since: first.rating.day }
}

function lastDay({ points }: GrowthLine): LocalDay {
  return points.at(-1)?.rating.day ?? ''
}

function withoutRewordings(ratings: readonly Rating[]): Rating[] {
  return ratings.reduce<Rating[]>((kept, rating) => {
    const before = kept.findIndex(({ pieceId, n }) => pieceId === rating.pieceId && n === rating.n - 1)
    const same = kept[before]
    if (same?.step.id !== rating.step.id) return [...kept, rating]
    return kept.with(before, { ...rating, day: same.day })
  }, [])
}

/** By the step itself where the scale still has it; else as far up as it was on the scale of its day. */
function toPoint(rating: Rating, set: SetNow | null, most: number): GrowthPoint {
  const { id, place, of } = rating.step
  const now = set ? set.steps.findIndex((step) => step.id === id) : of === most ? place - 1 : -1
  if (now >= 0) return { rating, place: now + 1, isFormer: false }
  return { rating, place: of <= 1 ? 1 : 1 + ((place - 1) * (most - 1)) / (of - 1), isFormer: true }
}

/** Compares ratings by their days, the oldest first. */
export function byDay(a: Rating, b: Rating): number {
  return a.day < b.day ? -1 : a.day > b.day ? 1 : a.id < b.id ? -1 : 1
}
