// Wren's four logbooks: what was thought on which day, and the evidence beside it.

import type { MarkedMoment } from '@valise/core/pages'

/** The sheets that ship, by what they are about. */
export const shippedSheetIds = {
  work: '5ee70000-0000-7000-8000-000000000001',
  days: '5ee70000-0000-7000-8000-000000000002',
  week: '5ee70000-0000-7000-8000-000000000003',
  thing: '5ee70000-0000-7000-8000-000000000004',
  outdoors: '5ee70000-0000-7000-8000-000000000006',
} as const

/** One that ships, or that of Odalys for every visit to the stake. */
export type SampleSheet = keyof typeof shippedSheetIds | 'stake'

export interface SampleEntry {
  readonly title: string
  readonly daysAgo: number
  /** What is told freely. */
  readonly words: string
  /**
   * The sheet that it goes along, and what is answered to its questions, by their ids: a text, the id of an option, or
   * the title of evidence.
   */
  readonly along?: SampleSheet
  readonly answers?: Readonly<Record<string, string>>
  readonly tags?: readonly string[]
  /** The recording that it is told in, by its title, and what is said when. */
  readonly spoken?: { readonly thing: string; readonly moments: readonly MarkedMoment[] }
  /** Titles of the evidence beside the words. */
  readonly beside?: readonly string[]
}
export interface SampleLogbook {
  readonly title: string
  readonly summary: string
  /** The title of the evidence that is its cover. */
  readonly cover: string | null
  readonly usualSheet: SampleSheet | null
  /** Whether it is kept for Shore Methods. */
  readonly isForClass: boolean
  readonly entries: readonly SampleEntry[]
}

export const logbooksOfWren: readonly SampleLogbook[] = [
  {
    title: 'Transect 3',
    summary: 'Three lines down the shore, and what each visit taught me about walking them.',
    cover: 'Transect map',
    usualSheet: 'work',
    isForClass: true,
    entries: [
      {
        title: 'First line, first mistakes',
        daysAgo: 66,
        words:
          'I set out to walk ten stops and walked eleven, because nobody had counted the first pole.\nNext time the first pole is stop one, said aloud.',
        beside: ['Ranging line 1'],
      },
      {
        title: 'The third line was not straight',
        daysAgo: 16,
        words: '',
        along: 'work',
        answers: {
          setout: 'To walk the third line as straight as the first two, and to see on film whether I do.',
          turnedout:
            'I watched the film twice. At every second pole I drift to the left, and I would have sworn that I walked straight.\nThe tube was right and I was wrong: the stop that looked cleanest had the most mud.',
          beginner: 'Let somebody film you. What you feel in your feet is not where you walk.',
        },
        tags: ['Transect', 'Film'],
        beside: ['Walking transect 3', 'Transect map'],
      },
      {
        title: 'Numbers before opinions',
        daysAgo: 9,
        words: '',
        along: 'work',
        answers: {
          setout: 'To guess before I measure. Odalys had us write our guess down before we read the tube.',
          turnedout: 'My guess was half of what it was, at seven stops of ten, and always on the low side.',
          beginner: 'Write the number down before you look. Afterwards everybody knew it all along.',
          next: 'Ten stops, ten guesses, and a line through both.',
        },
        tags: ['Transect', 'FLD-204'],
        beside: ['Quadrat 7, low marsh'],
      },
    ],
  },
  {
    title: 'One stake',
    summary: 'The same stake, five times in one autumn.',
    cover: 'Stake 4, visit 3',
    usualSheet: 'stake',
    isForClass: true,
    entries: [
      {
        title: 'Visit 1',
        daysAgo: 58,
        words: 'A stake, a bank, and nothing to see. I took the picture anyway.',
        beside: ['Stake 4, visit 1'],
      },
      {
        title: 'Visit 2',
        daysAgo: 44,
        words: '',
        along: 'stake',
        answers: {
          photo: 'Stake 4, visit 2',
          wind: 'east',
          changed:
            'The grass at its foot is flat and lies seaward. Behind me the bank has a first crack, as long as my arm, that I would have missed without the hint.',
          sure: 's2',
        },
        tags: ['Stake 4'],
      },
      {
        title: 'Visit 3, after the storm',
        daysAgo: 30,
        words: '',
        along: 'days',
        answers: {
          before: 'I expect the stake to lean. The storm came from the west, straight onto the bank.',
          during: 'The stake stands. The bank behind it is gone by the width of my boot.',
          after:
            'I only see it because of the first picture. I had thought that the water takes the bank. It takes what is under it, and the bank falls.',
        },
        tags: ['Storm'],
        beside: ['Stake 4, visit 3'],
      },
    ],
  },
  {
    title: 'Bank repair',
    summary: 'Hazel, mud and six people who have to move as one.',
    cover: 'Bank repair, day 1',
    usualSheet: 'week',
    isForClass: false,
    entries: [
      {
        title: 'Day 1',
        daysAgo: 62,
        words: 'Nobody tells you how heavy wet hazel is.',
        beside: ['Bank repair, day 1'],
      },
      {
        title: 'What six people need',
        daysAgo: 38,
        words: 'One of us weaves, one of us looks, and then we change.',
        along: 'week',
        answers: {
          did: 'This week I showed six people how hazel is woven, and talked too much.',
          stayed: 'They needed to hear when to stop, not how to begin.',
          felt: 'o3',
        },
        beside: ['Crew on the second line'],
      },
    ],
  },
  {
    title: 'Odds and ends',
    summary: '',
    cover: null,
    usualSheet: null,
    isForClass: false,
    entries: [
      {
        title: '',
        daysAgo: 3,
        words: 'Heron at the weir again. It stood until I wrote this down.',
        beside: ['Heron at the weir'],
      },
      {
        title: 'Curlews, on the way back',
        daysAgo: 53,
        words: '',
        tags: ['Birds'],
        spoken: {
          thing: 'Curlew at the creek',
          moments: [
            { atMs: 1000, words: 'The call' },
            { atMs: 4000, words: 'The tide has turned' },
          ],
        },
      },
      {
        title: 'Words I looked up',
        daysAgo: 21,
        words: 'Turbidity, sediment, terrace. None of them is hard once you have had it in your boots.',
      },
    ],
  },
]
