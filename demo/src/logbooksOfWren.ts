// Wren's four logbooks: what was thought on which day, and the evidence beside it.

interface SampleEntry {
  readonly title: string
  readonly daysAgo: number
  readonly words: string
  /** Titles of the evidence beside the words. */
  readonly beside?: readonly string[]
}
export interface SampleLogbook {
  readonly title: string
  readonly entries: readonly SampleEntry[]
}

export const logbooksOfWren: readonly SampleLogbook[] = [
  {
    title: 'Transect 3',
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
        words:
          'I watched the film twice. At every second pole I drift to the left, and I would have sworn that I walked straight.\nWhat turned out differently: the tube was right and I was wrong. The stop that looked cleanest had the most mud.\nWhat I would tell a beginner: let somebody film you.',
        beside: ['Walking transect 3', 'Transect map'],
      },
      {
        title: 'Numbers before opinions',
        daysAgo: 9,
        words:
          'Odalys had us write our guess down before we read the tube. Mine was half of what it was.\nThe next try: ten stops, ten guesses, and a line through both.',
        beside: ['Quadrat 7, low marsh'],
      },
    ],
  },
  {
    title: 'One stake',
    entries: [
      {
        title: 'Visit 1',
        daysAgo: 58,
        words: 'A stake, a bank, and nothing to see. I took the picture anyway.',
        beside: ['Stake 4, visit 1'],
      },
      {
        title: 'Visit 3, after the storm',
        daysAgo: 30,
        words:
          'The bank behind the stake is gone by the width of my boot. I only see it because of the first picture.\nI had thought that the water takes the bank. It takes what is under it, and the bank falls.',
        beside: ['Stake 4, visit 3'],
      },
    ],
  },
  {
    title: 'Bank repair',
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
        words:
          'I set out to show how it is done. It turned out that they needed to hear when to stop.\nOne of us weaves, one of us looks, and then we change.',
        beside: ['Crew on the second line'],
      },
    ],
  },
  {
    title: 'Odds and ends',
    entries: [
      {
        title: '',
        daysAgo: 3,
        words: 'Heron at the weir again. It stood until I wrote this down.',
        beside: ['Heron at the weir'],
      },
      {
        title: 'Words I looked up',
        daysAgo: 21,
        words: 'Turbidity, sediment, terrace. None of them is hard once you have had it in your boots.',
      },
    ],
  },
]
