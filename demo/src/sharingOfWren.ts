// What Wren arranged into collections, and whom she and others gave passes: running, to come, and ended.
import { text, thing } from './sampleBlocks.ts'
import type { SampleBlock } from './sampleBlocks.ts'

export interface SampleCollection {
  readonly title: string
  /** Titles of what lies in it; `# ` begins a divider, a minus hides what follows it. */
  readonly items: readonly string[]
}

/** Ordered so that a collection is built after those inside it. */
export const collectionsOfWren: readonly SampleCollection[] = [
  { title: 'Two banks, one winter', items: ['Repairing the second bank', 'Glasswort, from green to red'] },
  {
    title: 'Shore year',
    items: [
      '# By the creek',
      'What the creek does to its bank',
      'One stake, five visits',
      'Season in the marsh',
      '# Further out',
      'Birds of the north creek',
      '- How I read a tide table',
      'Two banks, one winter',
    ],
  },
  { title: 'For my apprenticeship', items: ['Walking a line', 'Repairing the second bank'] },
]

export interface SamplePass {
  /** The title of a page or a collection. */
  readonly on: string
  /** A sign-in name, a link's name, or the class that all of them are in. */
  readonly to:
    { readonly person: string } | { readonly link: string } | { readonly audience: 'assessors' | 'class' }
  /** Days from the day of the world; none is the day on which it was given. */
  readonly givenDaysAgo: number
  readonly fromIn?: number
  readonly untilIn?: number
  readonly endedDaysAgo?: number
}

export const passesOfWren: readonly SamplePass[] = [
  { on: 'Shore year', to: { audience: 'assessors' }, givenDaysAgo: 40, untilIn: 16 },
  { on: 'Shore year', to: { link: 'Aunt Pilar' }, givenDaysAgo: 6, untilIn: 45 },
  {
    on: 'What the creek does to its bank',
    to: { person: 'tomasz' },
    givenDaysAgo: 4,
    untilIn: 20,
    endedDaysAgo: 1,
  },
  { on: 'Repairing the second bank', to: { audience: 'class' }, givenDaysAgo: 8 },
  {
    on: 'For my apprenticeship',
    to: { link: 'Wetland trust, spring' },
    givenDaysAgo: 1,
    fromIn: 11,
    untilIn: 90,
  },
  { on: 'Walking a line', to: { person: 'rufus' }, givenDaysAgo: 10, untilIn: 3 },
]

export interface SampleShared {
  /** The sign-in name of whoever made and opened it. */
  readonly by: string
  readonly title: string
  readonly daysAgo: number
  readonly rows: readonly (readonly SampleBlock[])[]
  readonly passes: readonly Omit<SamplePass, 'on'>[]
}

/** Pages of others that are shared with Wren and with her assessors. */
export const pagesOfOthers: readonly SampleShared[] = [
  {
    by: 'juno',
    title: 'My first autumn on the shore',
    daysAgo: 6,
    rows: [
      [text('I came to Marram Bay knowing one shell by name. Now I know nine, and two of them in Spanish.')],
      [
        thing(
          'My first rock pool',
          'A rock pool with weed, two periwinkles and a small crab.',
          'Found under the ledge at low water.',
          7,
        ),
        text(
          '# What surprised me\nThat the pool is never the same. I went back after an hour and half of it had walked away.',
          5,
        ),
      ],
      [thing('For grandmother: the strand', 'The strandline at low water, with driftwood.', '', 8)],
    ],
    passes: [
      { to: { link: 'Grandmother and Aunt Pilar' }, givenDaysAgo: 5, untilIn: 60 },
      { to: { audience: 'class' }, givenDaysAgo: 5 },
    ],
  },
  {
    by: 'tomasz',
    title: 'Quadrats, a first try',
    daysAgo: 9,
    rows: [
      [
        text(
          'Two quadrats in the low marsh. I counted stems where I should have counted cover, so I did both again.',
        ),
      ],
      [thing('Quadrat 1', 'A wire square on glasswort, seen from above.', 'Quadrat 1, counted twice.', 6)],
    ],
    passes: [{ to: { person: 'wren' }, givenDaysAgo: 3, untilIn: 12 }],
  },
  {
    by: 'ines',
    title: 'Names of what lives in a pool',
    daysAgo: 15,
    rows: [
      [
        text(
          'A list that grows. Whoever in the class finds another one, tell me.\n- Beadlet anemone\n- Shanny\n- Flat periwinkle',
        ),
      ],
    ],
    passes: [{ to: { audience: 'class' }, givenDaysAgo: 14 }],
  },
]
