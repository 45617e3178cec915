// Wren's fourteen pages: some published, some published with a newer draft, some never shown to anybody.
import { entry, line, logbook, text, thing } from './sampleBlocks.ts'
import type { SampleBlock } from './sampleBlocks.ts'

export interface SamplePage {
  readonly title: string
  readonly daysAgo: number
  /** How long ago it was published; what `later` says came after that. */
  readonly publishedDaysAgo: number | null
  readonly rows: readonly (readonly SampleBlock[])[]
  readonly later?: {
    readonly title?: string
    /** The first text, written anew. */
    readonly text?: string
    readonly rows: readonly (readonly SampleBlock[])[]
  }
}

const bank = 'We walked transect 3 at low water and took turbidity every ten metres.'

export const pagesOfWren: readonly SamplePage[] = [
  {
    title: 'What the creek does to its bank',
    daysAgo: 12,
    publishedDaysAgo: 5,
    rows: [
      [
        text(`${bank} Where the bank is bare, the water carries more mud than below the glasswort.`, 7),
        thing(
          'Transect map',
          'A map: ten stops on a line from the mouth of the creek up to the upper marsh.',
          'Transect 3, ten stops from the creek mouth up to the upper marsh.',
          5,
        ),
      ],
      [
        thing(
          'Turbidity plot',
          'A plot of turbidity over distance. It is highest at 90 metres, where people cross.',
          'Bare bank above, glasswort below.',
        ),
        thing('Quadrat 7, low marsh', '', 'Quadrat 7, one metre by one.'),
      ],
      [
        text(
          '# What I would tell a beginner\n- Write the time of low water on every sheet.\n- Two people read the tube, and neither says a number first.',
        ),
      ],
      [line],
      [
        thing('Field report 2', '', 'The whole report, four pages.', 6),
        thing('Glasswort in autumn', 'Glasswort turned red, seen from above.', '', 6),
      ],
    ],
    later: {
      title: 'What the creek does to its bank',
      text: `${bank} Where the bank is bare, the water carries almost twice the mud that it does below the glasswort.\nI had expected the bend to be worst. It was not: the worst place is where people cross.`,
      rows: [
        [entry('The third line was not straight')],
        [text('# Next\nThe same ten stops in January, at the same height of water.')],
      ],
    },
  },
  {
    title: 'One stake, five visits',
    daysAgo: 40,
    publishedDaysAgo: 20,
    rows: [
      [
        text(
          'The same stake, five times, from the same place. The bank behind it moved before I noticed that it could.',
        ),
      ],
      [1, 2, 3].map((n) =>
        thing(`Stake 4, visit ${n}`, `Stake 4 on visit ${n}, with the bank behind it.`, `Visit ${n}`, 4),
      ),
      [entry('Visit 3, after the storm')],
    ],
  },
  {
    title: 'Repairing the second bank',
    daysAgo: 30,
    publishedDaysAgo: 9,
    rows: [
      [
        text('Six days with spades, hazel and six people who had never done it.', 6),
        thing('Bank repair, day 6', 'A finished bank of woven hazel.', 'Day 6', 6),
      ],
      [
        thing('Bank repair, day 1', 'The open bank before work began.', 'Day 1'),
        thing('Bank repair, day 3', 'Hazel stakes in a row, half woven.', 'Day 3'),
      ],
      [logbook('Bank repair', 'oldest')],
    ],
    later: { rows: [[text('> It held through the spring tide.')]] },
  },
  {
    title: 'Glasswort, from green to red',
    daysAgo: 35,
    publishedDaysAgo: 16,
    rows: [
      [
        text(
          'Glasswort turns before anything else does. I counted it on the low marsh and on the second terrace.',
        ),
      ],
      [
        thing('Quadrat 3, second terrace', 'A quadrat with few green stems.'),
        thing('Glasswort in autumn', 'Glasswort turned red, seen from above.'),
      ],
    ],
  },
  {
    title: 'Birds of the north creek',
    daysAgo: 25,
    publishedDaysAgo: 11,
    rows: [
      [text('Four birds I can tell apart now, and how.')],
      [
        thing('Greenshank, north creek', 'A long-legged grey bird at the water’s edge.', 'Greenshank', 6),
        thing('Redshank in rain', 'A bird with red legs in rain.', 'Redshank', 6),
      ],
      [thing('Curlew at the creek', '', 'The curlew, heard before it was seen.', 6)],
    ],
  },
  {
    title: 'How I read a tide table',
    daysAgo: 60,
    publishedDaysAgo: 44,
    rows: [
      [
        text('Height first, then time. A low water at noon can still be too high to cross.', 7),
        thing('Tides of November', '', 'The month as a table.', 5),
      ],
    ],
  },
  {
    title: 'Walking a line',
    daysAgo: 18,
    publishedDaysAgo: 14,
    rows: [
      [
        thing('Walking transect 3', '', 'Ranging poles in line, and a drift to the left.', 8),
        text('The film shows what I did not feel: I drift to the left.', 4),
      ],
    ],
  },
  {
    title: 'The strandline, counted',
    daysAgo: 50,
    publishedDaysAgo: null,
    rows: [
      [text('# What the gale left\nFour kinds of shell, sorted by size, and more string than shells.')],
      [thing('Shells by size', 'Shells laid in rows from small to large.')],
    ],
  },
  {
    title: 'Pools under the ledge',
    daysAgo: 22,
    publishedDaysAgo: null,
    rows: [[thing('Pool under the ledge, 1', ''), thing('Pool under the ledge, 2', '')]],
  },
  {
    title: 'What I want to learn by spring',
    daysAgo: 8,
    publishedDaysAgo: null,
    rows: [[text('To level a transect alone. To explain turbidity without the word.')]],
  },
  {
    title: 'Sketches I kept',
    daysAgo: 28,
    publishedDaysAgo: null,
    rows: [
      [
        thing('Sketch sheet 12', 'A pencil drawing of glasswort.', 'Sheet 12'),
        thing('Sketch sheet 11', '', 'Sheet 11'),
      ],
    ],
  },
  {
    title: 'Beach clean, north strand',
    daysAgo: 33,
    publishedDaysAgo: null,
    rows: [
      [text('Six of us, two hours, one card.'), thing('Wrack line', 'A dark line of weed along the beach.')],
    ],
  },
  {
    title: 'Season in the marsh',
    daysAgo: 2,
    publishedDaysAgo: null,
    rows: [[thing('Dawn on the low marsh', 'The marsh at dawn, mist over the channels.', '', 12)]],
  },
  { title: '', daysAgo: 1, publishedDaysAgo: null, rows: [] },
]
