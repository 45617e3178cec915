// The collage of a season: six pictures of Wren's along an arrow, numbered, with what they say to each other.
import type { PersonActor } from '@valise/core/people'
import { boardSizes } from '@valise/core/pictures'
import type { Collage, Layer } from '@valise/core/pictures'
import type { LocalDay } from '@valise/core/time'
import { addDays } from '@valise/core/time'
import { createCollage, getCollage, shiftedClock, updateCollage, updateEvidence } from '@valise/server'
import type { Services } from '@valise/server'

const DAYS_AGO = 12
const SHOWN = [
  ['Spring tide over the causeway', 'The tide still covers it all'],
  ['Quadrat 5, second terrace', 'The first stems, and the crust'],
  ['Stake 4, visit 5', 'Two centimetres of new mud'],
  ['Glasswort in autumn', 'It turns red, and stays'],
  ['Bank after the second storm', 'The storm takes the edge'],
  ['Dawn on the low marsh', 'What is left, seen from the dyke'],
] as const

const common = { turn: 0, isLocked: false, group: null } as const
const writing = { font: 'text', ink: 'ink' } as const

export async function buildCollage(services: Services, owner: PersonActor, today: LocalDay): Promise<void> {
  const clock = shiftedClock(`${addDays(today, -DAYS_AGO)}T17:20:00.000Z`)
  const { database } = services
  const then = { ...services, database: { ...database, clock, reader: database.reader } }
  const own: { id: string; title: string }[] = await database
    .reader()
    .sql('things')
    .where({ ownerId: owner.personId, kind: 'evidence' })
    .select('id', 'title')
  const pictures = SHOWN.flatMap(([title]) => own.find((one) => one.title === title)?.id ?? [])
  const title = 'One season on the low marsh'
  const item = await createCollage(then, owner, { size: 'wide', pictures, title })
  const { collage, revision } = await getCollage(then.database.reader(), owner, item.id)
  await updateCollage(then, owner, item.id, revision, laidOut(collage))
  const alternativeText =
    'Six pictures along an arrow from left to right, numbered: the flooded marsh, first stems in a quadrat, a stake with new mud, red glasswort, a broken bank, and the marsh at dawn.'
  const { revision: said } = item
  await updateEvidence(then.database, owner, item.id, said, {
    alternativeText,
    tags: ['Low marsh', 'Season'],
  })
}

/** The pictures turned a little, above and below the arrow, each with its number. */
function laidOut(collage: Collage): Collage {
  const { width, height } = boardSizes[collage.size]
  const step = (width - 160) / SHOWN.length
  const shown = collage.layers.filter((layer) => layer.kind === 'picture')
  const pictures = shown.map((layer, n): Layer => {
    const isAbove = n % 2 === 0
    return {
      ...layer,
      x: 40 + n * step,
      y: isAbove ? 96 : height - 356,
      width: step * 1.4,
      height: 260,
      turn: [-3, 2, -1, 3, -2, 1][n] ?? 0,
      shape: n === 3 ? 'ellipse' : 'rounded',
    }
  })
  const numbers = shown.map((_, n): Layer => {
    const x = 40 + n * step + step * 0.7 - 30
    const colour = 'petrol' as const
    const note = SHOWN[n]?.[1] ?? ''
    return {
      ...common,
      id: `number-${n + 1}`,
      kind: 'number',
      x,
      y: 420,
      width: 60,
      height: 60,
      colour,
      note,
    }
  })
  const arrow: Layer = {
    ...{ ...common, id: 'arrow', kind: 'arrow', x: 60, y: 425, width: width - 110, height: 50 },
    ...{ colour: 'tan', lineWidth: 14, bend: 0, hasHead: true },
  }
  const head: Layer = {
    ...{ ...common, ...writing, id: 'title', kind: 'text', x: 50, y: 18, width: 900, height: 66 },
    ...{ words: 'One season on the low marsh', size: 50, font: 'serif', align: 'left' },
  }
  const bubble: Layer = {
    ...{
      ...common,
      ...writing,
      id: 'bubble',
      kind: 'shape',
      shape: 'speech',
      x: 1130,
      y: 26,
      width: 400,
      height: 116,
    },
    ...{ fill: 'sheet', line: 'ink', lineWidth: 4, tail: [-110, 130], size: 30, align: 'center' },
    words: 'Where the bank broke, it is back first.',
  }
  return { ...collage, layers: [...pictures, arrow, ...numbers, head, bubble] }
}
