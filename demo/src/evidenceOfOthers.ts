// What the others have gathered: Tomasz half of it, Juno a little, Sefa nothing yet; and what assessors show in guides.
import type { SampleItem } from './evidenceOfWren.ts'

const photo = (
  title: string,
  daysAgo: number,
  scene: 'quadrat' | 'stake' | 'marsh' | 'bird' | 'pool' | 'strandline' | 'tallyCard',
  seed: number,
  rights: SampleItem['rights'] = { state: 'mine' },
): SampleItem => ({
  title,
  fileName: `P${1_000_000 + seed}.jpg`,
  daysAgo,
  hour: 9 + (seed % 7),
  tags: [],
  rights,
  content: { scene, seed, camera: true },
})

export const evidenceOfTomasz: readonly SampleItem[] = [
  photo('Quadrat 1', 12, 'quadrat', 201),
  photo('Quadrat 2', 12, 'quadrat', 202),
  photo('', 18, 'marsh', 203, { state: 'missing' }),
  photo('Stake 2, visit 1', 30, 'stake', 204),
  photo('', 30, 'stake', 205, { state: 'missing' }),
  photo('Something with long legs', 44, 'bird', 206, { state: 'missing' }),
]

export const evidenceOfJuno: readonly SampleItem[] = [
  photo('My first rock pool', 6, 'pool', 211),
  photo('For grandmother: the strand', 15, 'strandline', 212),
  photo('Low marsh', 25, 'marsh', 213),
]

export const evidenceOfNell: readonly SampleItem[] = [
  photo('Tally card', 5, 'tallyCard', 221),
  photo('Shells', 5, 'strandline', 222),
]

export const evidenceOfOdalys: readonly SampleItem[] = [
  photo('A stake, and how to read it', 30, 'stake', 231),
]

export const evidenceOfRufus: readonly SampleItem[] = [
  photo('Where the last wave stopped', 30, 'strandline', 241),
  photo('Put it back', 30, 'pool', 242),
]

/** What others of both classes put into their guides. */
export const evidenceOfMore = {
  bram: [photo('Stake 14', 20, 'stake', 251)],
  dov: [photo('Stake 9', 19, 'stake', 252)],
  abel: [photo('Three shells', 12, 'strandline', 253)],
  cosmo: [photo('Shells in a row', 2, 'strandline', 254)],
} as const satisfies Record<string, readonly SampleItem[]>
