// How Wren rated the same four attributes over a year: entries with ratings on Field Attributes.

/** A step from 1, the reason, and the title of evidence that shows it. */
export type SampleRating = readonly [step: number, reason: string, shows?: string]

export interface RatedEntry {
  readonly title: string
  readonly daysAgo: number
  /** By the ids of attributes. */
  readonly ratings: Readonly<Record<string, SampleRating>>
}

export const ratedEntriesOfWren: readonly RatedEntry[] = [
  {
    title: 'Where I stand, before I begin',
    daysAgo: 352,
    ratings: {
      noticing: [
        2,
        'On the open day I saw the birds when they flew up, and nothing of what they had been eating.',
      ],
      asking: [1, 'I pulled out a pole to see how deep it was. It was somebody’s.'],
      notrace: [2, 'I took my lunch box home. My footprints stayed.'],
      passing: [1, 'I have told nobody about it but my aunt.'],
    },
  },
  {
    title: 'After the summer on the sea wall',
    daysAgo: 196,
    ratings: {
      noticing: [3, 'When Dad asks what is new on the wall, I can name three things.'],
      passing: [2, 'My cousin asked why the bank slips, and I drew it for her.'],
    },
  },
  {
    title: 'First weeks in Shore Methods',
    daysAgo: 61,
    ratings: {
      noticing: [
        3,
        'Odalys said: look low, look high, look behind you. I need her voice for it still.',
        'Ranging line 1',
      ],
      asking: [2, 'I asked about the first pole after I had counted it.'],
      notrace: [3, 'I walk in the old steps when somebody goes ahead.'],
    },
  },
  {
    title: 'Half of the visits done',
    daysAgo: 24,
    ratings: {
      noticing: [
        4,
        'At visit 3 I saw the step in the mud before anybody said so, and wrote it down first.',
        'Transect map',
      ],
      asking: [3, 'The checklist asks for me. Without it I would have begun.'],
      passing: [2, 'I answer well, but I still wait for the question.'],
    },
  },
  {
    title: 'Before the second bank',
    daysAgo: 5,
    ratings: {
      asking: [4, 'I asked the warden where the plovers sit before we chose the path.'],
      notrace: [4, 'We carried the stakes along the wall, which took an hour more and left no track.'],
      passing: [4, 'My page on the first bank is what Bram used for his.'],
    },
  },
]
