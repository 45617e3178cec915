// Wren's evidence since summer: sixty items, each with the number of days since it was made.
import type { Rights } from '@valise/core/evidence'
import type { PictureWish } from './drawPicture.ts'

export interface SampleItem {
  readonly title: string
  readonly fileName: string
  readonly daysAgo: number
  /** The hour of the day at which it was made. */
  readonly hour: number
  readonly tags: readonly string[]
  readonly rights: Rights
  readonly content:
    | (Omit<PictureWish, 'takenAt'> & { readonly camera: boolean })
    | { readonly file: 'turbidity' | 'tides' | 'report' | 'notes' | 'sound' | 'film'; readonly seed: number }
  /** What it shows, in words; where it is left out, the scene says it. Empty where nobody said it yet. */
  readonly shows?: string
  /** What is said in a recording. */
  readonly transcript?: string
  readonly inTray?: true
  readonly binned?: true
}

const mine: Rights = { state: 'mine' }
const photo = (
  title: string,
  daysAgo: number,
  tags: readonly string[],
  picture: Omit<PictureWish, 'takenAt' | 'format'>,
  more: Partial<SampleItem> = {},
): SampleItem => ({
  title,
  fileName: `IMG_${2000 + daysAgo * 7 + picture.seed}.jpg`,
  daysAgo,
  hour: 8 + (picture.seed % 9),
  tags,
  rights: mine,
  content: { ...picture, camera: true },
  ...more,
})
const made = (
  title: string,
  fileName: string,
  daysAgo: number,
  tags: readonly string[],
  content: SampleItem['content'],
  more: Partial<SampleItem> = {},
): SampleItem => ({ title, fileName, daysAgo, hour: 17, tags, rights: mine, content, ...more })

/** The newest ones by hand, in the words of the people who made them; the long tail in series below. */
const newest: readonly SampleItem[] = [
  photo(
    'Dawn on the low marsh',
    2,
    ['Low marsh', 'Season'],
    { scene: 'marsh', seed: 3, place: true },
    { shows: '' },
  ),
  photo(
    'Quadrat 7, low marsh',
    9,
    ['Transect', 'Glasswort', 'Low marsh'],
    { scene: 'quadrat', seed: 7, place: true },
    { inTray: true },
  ),
  made('Turbidity, 400 rows', 'turbidity_creek_mouth.csv', 14, ['Transect', 'Water'], {
    file: 'turbidity',
    seed: 4,
  }),
  made('Walking transect 3', 'transect3.webm', 16, ['Transect', 'Film'], { file: 'film', seed: 0 }),
  photo(
    'Heron at the weir',
    21,
    ['Birds'],
    { scene: 'bird', seed: 2 },
    { rights: { state: 'missing' }, shows: '' },
  ),
  made(
    'Marsh at low water',
    'low_water.wav',
    23,
    ['Low marsh', 'Sound'],
    { file: 'sound', seed: 1 },
    { inTray: true },
  ),
  photo('Bank after the second storm', 26, ['Bank repair'], { scene: 'bank', seed: 5, shape: 'wide' }),
  made(
    'Transect map',
    'transect_map.webp',
    28,
    ['Transect', 'Map'],
    { scene: 'map', seed: 1, format: 'webp', camera: false },
    { inTray: true },
  ),
  made(
    'Turbidity plot',
    'turbidity_plot.png',
    29,
    ['Transect', 'Water'],
    { scene: 'plot', seed: 1, format: 'png', camera: false },
    { inTray: true },
  ),
  photo(
    'Sketch sheet 12',
    31,
    ['Field notes'],
    { scene: 'notedSheet', seed: 4, place: true },
    { inTray: true },
  ),
  made(
    'Field report 2',
    'field-report-2.pdf',
    33,
    ['Transect', 'Report'],
    { file: 'report', seed: 0 },
    {
      inTray: true,
    },
  ),
  photo('Tally card, north strand', 36, ['Beach clean'], { scene: 'tallyCard', seed: 2, shape: 'portrait' }),
  photo('Crew on the second line', 38, ['Transect', 'Crew'], { scene: 'crew', seed: 4, place: true }),
  made('Notes from visit 3', 'visit 3 notes.docx', 40, ['Field notes'], { file: 'notes', seed: 0 }),
  made(
    'Glasswort in autumn',
    'glasswort-autumn.jpg',
    42,
    ['Glasswort'],
    { scene: 'quadrat', seed: 31, camera: false },
    {
      rights: {
        state: 'licensed',
        maker: 'Ilse Marrow',
        source: 'https://picture-shelf.example/glasswort-autumn',
        licence: 'cc-by-4.0',
      },
    },
  ),
  made(
    'Spring tide over the causeway',
    'spring-tide.jpg',
    47,
    ['Water'],
    { scene: 'marsh', seed: 33, camera: false, shape: 'wide' },
    {
      rights: {
        state: 'licensed',
        maker: 'Teo Vance',
        source: 'https://picture-shelf.example/spring-tide',
        licence: 'cc-by-sa-4.0',
      },
    },
  ),
  made('Tides of November', 'tides_november.tsv', 50, ['Water'], { file: 'tides', seed: 0 }),
  made(
    'Curlew at the creek',
    'voice_note.wav',
    53,
    ['Birds', 'Sound'],
    { file: 'sound', seed: 6 },
    {
      transcript:
        'That is a curlew, far off, over the creek. The tide has turned and they come in from the mud. I stood still and counted nine.',
    },
  ),
]

/** Several of one sort, at even steps back in time. */
function series(
  count: number,
  first: number,
  step: number,
  one: (
    n: number,
  ) => [title: string, tags: readonly string[], picture: Omit<PictureWish, 'takenAt' | 'format'>],
): SampleItem[] {
  return Array.from({ length: count }, (_, n) => {
    const [title, tags, picture] = one(n)
    return photo(title, first + n * step, tags, picture)
  })
}

export const evidenceOfWren: readonly SampleItem[] = [
  ...newest,
  ...series(6, 56, 3, (n) => [
    `Quadrat ${n < 6 ? 6 - n : n + 2}, ${n % 2 ? 'second terrace' : 'low marsh'}`,
    ['Transect', 'Glasswort'],
    { scene: 'quadrat', seed: 40 + n },
  ]),
  ...series(5, 58, 14, (n) => [
    `Stake 4, visit ${5 - n}`,
    ['One stake'],
    { scene: 'stake', seed: 50 + n, shape: n % 2 ? 'portrait' : 'landscape' },
  ]),
  ...series(6, 61, 9, (n) => [
    `Bank repair, day ${6 - n}`,
    ['Bank repair'],
    { scene: 'bank', seed: 60 + n, shape: n % 3 === 0 ? 'wide' : 'landscape' },
  ]),
  // Three that hardly differ, as one takes them.
  ...series(3, 70, 0, (n) => [`Pool under the ledge, ${n + 1}`, ['Pools'], { scene: 'pool', seed: 70 }]).map(
    (item, n) => ({ ...item, hour: 11 + n, fileName: `IMG_25${30 + n}.jpg` }),
  ),
  ...series(3, 75, 11, (n) => [
    ['Greenshank, north creek', 'Redshank in rain', 'Egret, far bank', 'Heron before the storm'][n] ?? '',
    ['Birds'],
    { scene: 'bird', seed: 80 + n, shape: n === 2 ? 'portrait' : 'landscape' },
  ]),
  ...series(4, 78, 12, (n) => [
    [
      'Dusk from the causeway',
      'Marsh in mist',
      'August light',
      'High water at the sluice',
      'First look at the marsh',
    ][n] ?? '',
    ['Season'],
    { scene: 'marsh', seed: 90 + n, shape: n % 2 ? 'wide' : 'landscape' },
  ]),
  ...series(3, 82, 13, (n) => [
    `Sketch sheet ${11 - n}`,
    ['Field notes'],
    { scene: 'sketch', seed: 100 + n },
  ]),
  ...series(4, 88, 10, (n) => [
    ['Strandline after the gale', 'Cockles, west strand', 'Wrack line', 'Shells by size'][n] ?? '',
    ['Beach clean'],
    { scene: 'strandline', seed: 110 + n },
  ]),
  ...series(3, 96, 15, (n) => [
    `Ranging line ${3 - n}`,
    ['Transect'],
    { scene: 'transectLine', seed: 120 + n },
  ]),
  photo('Blurred, do not use', 84, [], { scene: 'crew', seed: 133 }, { binned: true }),
]
