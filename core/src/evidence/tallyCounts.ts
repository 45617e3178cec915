// The counts beside the filters: from groups of like items, what each filter would leave of the others' result.
import { addDays } from '../time/index.ts'
import type { LocalDay } from '../time/index.ts'
import { evidenceMarks } from './valueLists.ts'
import type { EvidenceKind, EvidenceMark } from './valueLists.ts'

/** Items that are equal in everything that filters ask for, counted together. */
export interface LikeItems {
  readonly kind: EvidenceKind
  /** The Monday of the week in which they were made. */
  readonly week: LocalDay
  readonly marks: readonly EvidenceMark[]
  readonly count: number
}

export interface Tallied {
  readonly matching: number
  readonly kinds: Partial<Record<EvidenceKind, number>>
  readonly marks: Record<EvidenceMark, number>
}

/**
 * Counts items per kind and per mark. The count of a kind applies the chosen marks; the count of a mark applies the
 * chosen kinds and the other chosen marks.
 */
export function tallyCounts(
  groups: readonly LikeItems[],
  chosen: { readonly kinds: readonly EvidenceKind[]; readonly marks: readonly EvidenceMark[] },
): Tallied {
  const kinds: Partial<Record<EvidenceKind, number>> = {}
  const marks = { unused: 0, 'no-rights': 0, 'no-alternative': 0, shared: 0, alike: 0 }
  let matching = 0
  for (const group of groups) {
    const isOfKind = chosen.kinds.length === 0 || chosen.kinds.includes(group.kind)
    const lacking = chosen.marks.filter((mark) => !group.marks.includes(mark))
    if (lacking.length === 0) kinds[group.kind] = (kinds[group.kind] ?? 0) + group.count
    if (!isOfKind) continue
    if (lacking.length === 0) matching += group.count
    for (const mark of evidenceMarks)
      if (group.marks.includes(mark) && lacking.length === 0) marks[mark] += group.count
  }
  return { matching, kinds, marks }
}

/** Counts items per week, from the first to the last week without gaps, at most `most` weeks. */
export function tallyWeeks(
  groups: readonly LikeItems[],
  chosen: { readonly kinds: readonly EvidenceKind[]; readonly marks: readonly EvidenceMark[] },
  most = 520,
): { week: LocalDay; count: number }[] {
  const counts = new Map<LocalDay, number>()
  for (const { kind, marks, week, count } of groups) {
    if (chosen.kinds.length > 0 && !chosen.kinds.includes(kind)) continue
    if (chosen.marks.some((mark) => !marks.includes(mark))) continue
    counts.set(week, (counts.get(week) ?? 0) + count)
  }
  const all = groups.map(({ week }) => week).sort()
  const last = all.at(-1)
  const first = all[0]
  if (first === undefined || last === undefined) return []
  const weeks: { week: LocalDay; count: number }[] = []
  for (let week = last; week >= first && weeks.length < most; week = addDays(week, -7))
    weeks.unshift({ week, count: counts.get(week) ?? 0 })
  return weeks
}
