// What Odalys asks of Shore Methods, and what became of what was handed in for it.
import type { AssignmentInput, Requirement } from '@valise/core/assignments'

export interface SampleAssignment {
  readonly name: AssignmentName
  readonly setDaysAgo: number
  /** Days from today, and the time of day; none where it is never due. */
  readonly due: { readonly inDays: number; readonly time: string }
  readonly input: Omit<AssignmentInput, 'dueLocal'>
}

export type AssignmentName = 'transect' | 'bank' | 'storm' | 'glasswort' | 'tides'

const scale = [
  { id: 'not-yet', name: { en: 'Not yet', es: 'Aún no' } },
  { id: 'with-help', name: { en: 'With help', es: 'Con ayuda' } },
  { id: 'on-my-own', name: { en: 'On my own', es: 'Por mi cuenta' } },
  { id: 'leading', name: { en: 'Leading others', es: 'Guío a otros' } },
]

const terms = [
  {
    en: 'This is my own work. I say who made what is not mine.',
    es: 'Es trabajo mío. Digo quién hizo lo que no es mío.',
  },
  {
    en: 'My assessor and a second marker may read the sealed copy.',
    es: 'Quien me evalúa y una segunda persona pueden leer la copia sellada.',
  },
]

const rights: Requirement = { id: 'rights', kind: 'rights', weight: 'should' }
const aPage: Requirement = {
  id: 'page',
  kind: 'page',
  weight: 'must',
  pieces: [{ sort: 'text', atLeast: 1 }],
}
const shared = { scale, terms, allowsGaps: true }

export const assignmentsOfOdalys: readonly SampleAssignment[] = [
  {
    name: 'transect',
    setDaysAgo: 32,
    due: { inDays: 1, time: '17:00' },
    input: {
      ...shared,
      title: { en: 'Transect portfolio', es: 'Portafolio del transecto' },
      brief: {
        en: 'Walk one transect from the creek mouth up to the marsh and show what you found on one page: a map, the numbers, and what you make of them.',
        es: 'Recorre un transecto desde la boca del canal hasta la marisma y muestra lo que encontraste en una página: un mapa, los números y qué lees en ellos.',
      },
      requirements: [
        {
          id: 'page',
          kind: 'page',
          weight: 'must',
          pieces: [
            { sort: 'picture', atLeast: 1 },
            { sort: 'data-table', atLeast: 1 },
          ],
        },
        {
          id: 'statement',
          kind: 'statement',
          weight: 'must',
          words: 60,
          questions: [
            { en: 'What did you set out to find?', es: '¿Qué querías averiguar?' },
            { en: 'What turned out differently?', es: '¿Qué salió de otra manera?' },
            { en: 'How sure are you, and why?', es: '¿Qué seguridad tienes, y por qué?' },
            { en: 'What would you do next time?', es: '¿Qué harías la próxima vez?' },
          ],
        },
        rights,
      ],
    },
  },
  {
    name: 'bank',
    setDaysAgo: 25,
    due: { inDays: 5, time: '12:00' },
    input: {
      ...shared,
      title: { en: 'Repair a bank', es: 'Reparar una orilla' },
      brief: {
        en: 'Show a repair from the first look to the last stake, and the moment when it held.',
        es: 'Muestra una reparación desde la primera mirada hasta la última estaca, y el momento en que aguantó.',
      },
      requirements: [
        {
          id: 'page',
          kind: 'page',
          weight: 'must',
          pieces: [
            { sort: 'picture', atLeast: 1 },
            { sort: 'video', atLeast: 1 },
          ],
        },
        rights,
      ],
    },
  },
  {
    name: 'storm',
    setDaysAgo: 40,
    due: { inDays: -8, time: '18:00' },
    input: {
      ...shared,
      title: { en: 'After a storm', es: 'Después de un temporal' },
      brief: null,
      requirements: [aPage, rights],
    },
  },
  {
    name: 'glasswort',
    setDaysAgo: 20,
    due: { inDays: 9, time: '17:00' },
    input: {
      ...shared,
      title: { en: 'One plant, one season', es: 'Una planta, una estación' },
      brief: null,
      requirements: [
        { id: 'page', kind: 'page', weight: 'must', pieces: [{ sort: 'picture', atLeast: 2 }] },
        rights,
      ],
    },
  },
  {
    name: 'tides',
    setDaysAgo: 14,
    due: { inDays: 20, time: '17:00' },
    input: {
      ...shared,
      title: { en: 'Reading the tide', es: 'Leer la marea' },
      brief: null,
      requirements: [aPage],
      allowsGaps: false,
    },
  },
]

export type SampleAnswer =
  | { readonly act: 'accept'; readonly level: string; readonly said?: string; readonly isOpen?: true }
  | { readonly act: 'ask'; readonly words: string; readonly said?: string }
  | { readonly act: 'open' }
  | { readonly act: 'take-back' }

export interface SampleHandIn {
  readonly by: string
  readonly to: AssignmentName
  /** The page that goes in, by its title. */
  readonly page: string
  readonly daysAgo: number
  readonly hour?: number
  /** Where its draft is sealed instead of what is published. */
  readonly copy?: 'draft'
  readonly answer?: SampleAnswer
  readonly answeredDaysAgo?: number
}

/** Wren's submissions, one in each state; the first of each assignment comes first. */
export const handInsOfWren: readonly SampleHandIn[] = [
  {
    ...{ by: 'wren', to: 'storm', page: 'The strandline, counted', daysAgo: 22, copy: 'draft' },
    answer: { act: 'ask', words: 'Count the second strip as well, then we can compare.' },
    answeredDaysAgo: 20,
  },
  {
    ...{ by: 'wren', to: 'storm', page: 'The strandline, counted', daysAgo: 12, copy: 'draft' },
    answer: {
      act: 'accept',
      level: 'on-my-own',
      said: 'You kept the strip that turned out dull. That is what makes the other two worth something.',
      isOpen: true,
    },
    answeredDaysAgo: 10,
  },
  {
    ...{ by: 'wren', to: 'bank', page: 'Repairing the second bank', daysAgo: 4 },
    answer: {
      act: 'ask',
      words: 'Your second film is the clearest yet. Show me the exact moment when the brushwood locks in.',
    },
    answeredDaysAgo: 2,
  },
  { by: 'wren', to: 'glasswort', page: 'Glasswort, from green to red', daysAgo: 1 },
  {
    ...{ by: 'wren', to: 'tides', page: 'How I read a tide table', daysAgo: 3 },
    answer: { act: 'take-back' },
    answeredDaysAgo: 3,
  },
]

/** What two students added after they were asked for changes. */
export const addedAfterChanges =
  'I made nine throws. The third fell across the creek, where nothing grew, and I counted it as it lay.'

/** The pages that other students hand in: title and content. */
export const pagesHandedIn: readonly {
  readonly to: AssignmentName
  readonly titles: readonly string[]
  readonly words: readonly string[]
}[] = [
  {
    to: 'transect',
    titles: [
      'Where the bank lets go',
      'Ten stops in the mud',
      'A line across the marsh',
      'From creek to saltgrass',
    ],
    words: [
      'We walked transect 5 at low water and took turbidity every ten metres. I threw the quadrat with my back turned and did not move it, even when it fell on bare mud.',
      'Where the bank is bare, the water carries almost twice the mud. Quadrat 2 had 19 stems of glasswort. In October it had 30.',
      'I read the tube first and Dov read it after me, and neither of us said a number until both had one. Twice we were more than five apart, so we took the water again.',
    ],
  },
  {
    to: 'storm',
    titles: [
      'The morning after',
      'What the sea gave back',
      'Two strips, before and after',
      'Wrack line, north strand',
    ],
    words: [
      'The line of weed lay four metres higher than on Monday. I laid the tape before I looked, so that I could not choose.',
      'In the second strip there was nearly nothing. I left it in: a strip with nothing is a number too.',
      'Most of what came ashore was kelp with its holdfast. That means it was torn off, not cut.',
    ],
  },
  {
    to: 'glasswort',
    titles: [
      'Sea lavender, five weeks',
      'Glasswort at stake 3',
      'A cord-grass diary',
      'Sea purslane, leaf by leaf',
    ],
    words: [
      'Each Tuesday at the same stake, from the same height. In the third week it began to turn at the tips.',
      'The reddest ones stand where the water stays longest. I had expected the opposite.',
    ],
  },
]
