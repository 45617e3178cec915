// What Wren gathered from elsewhere: links to made-up sites, notes, and a document of the shared drive.
import { LINK_MIME } from '@valise/core/evidence'
import type { Link } from '@valise/core/evidence'
import { textOf } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import {
  createNote,
  indexWords,
  insertDriveDocument,
  saveContent,
  streamOf,
  saveLink,
  shiftedClock,
  takeOutOfTray,
  updateEvidence,
} from '@valise/server'
import type { Services } from '@valise/server'

/** Where the stand-ins answer when nobody says otherwise. */
const USUAL_ORIGIN = 'http://127.0.0.1:7401'

export async function buildOutside(services: Services, owner: PersonActor, today: LocalDay): Promise<void> {
  const origin = services.config.innerOrigins[0] ?? USUAL_ORIGIN
  const on = (daysAgo: number): Services => {
    const clock = shiftedClock(`${addDays(today, -daysAgo)}T15:20:00.000Z`)
    return { ...services, database: { ...services.database, clock, reader: services.database.reader } }
  }
  for (const { daysAgo, title, tags, link } of linksFrom(origin)) {
    const { evidenceId } = await saveContent(on(daysAgo), owner, {
      content: streamOf(Buffer.from(`# ${title}\r\n${link.address}\r\n`)),
      mime: LINK_MIME,
      fileName: '127.0.0.1.url.txt',
      title,
      tags,
      classId: null,
      also: async (trx, saved) => {
        await saveLink(trx, owner, saved.evidenceId, link)
        await indexWords(trx, saved.evidenceId)
      },
    })
    await updateEvidence(on(daysAgo).database, owner, evidenceId, 2, { rights: { state: 'mine' } })
  }
  for (const { daysAgo, title, text, tags } of notes) {
    const note = await createNote(on(daysAgo), owner, { text, title, landing: {} })
    await updateEvidence(on(daysAgo).database, owner, note.id, note.revision, { tags })
    await takeOutOfTray(services.database, owner, note.id)
  }
  await buildDriveDocument(on(12), owner)
}

interface SampleLink {
  readonly daysAgo: number
  readonly title: string
  readonly tags: readonly string[]
  readonly link: Omit<Link, 'checkedAt'>
}

function linksFrom(origin: string): SampleLink[] {
  return [
    {
      daysAgo: 19,
      title: 'Walking a transect, step by step',
      tags: ['Transect', 'Film'],
      link: {
        address: `${origin}/web/tide-hall/films/walking-a-transect`,
        siteName: 'Tide Hall',
        description: 'Two people, one line, eleven stakes: how a crew walks a line.',
        frame: {
          kind: 'player',
          address: `${origin}/web/tide-hall/player/walking-a-transect`,
          site: 'Tide Hall',
        },
        state: 'there',
      },
    },
    {
      daysAgo: 34,
      title: 'The tide clock',
      tags: ['Water'],
      link: {
        address: `${origin}/web/marsh-lab/tools/tide-clock`,
        siteName: 'Marsh Lab',
        description: 'Turn the hours and see how high the water stands at the weir.',
        frame: { kind: 'embed', address: `${origin}/web/marsh-lab/frame/tide-clock`, site: 'Marsh Lab' },
        state: 'there',
      },
    },
  ]
}

const list = (...lines: readonly string[]): RichText['content'][number] => ({
  type: 'bulletList',
  content: lines.map((line) => ({ type: 'listItem', content: textOf(line).content })),
})

const notes: readonly {
  readonly daysAgo: number
  readonly title: string
  readonly tags: string[]
  readonly text: RichText
}[] = [
  {
    daysAgo: 11,
    title: 'What I would do differently on the next line',
    tags: ['Transect', 'Field notes'],
    text: {
      type: 'doc',
      content: [
        ...textOf('Three things went wrong on line 3, and none of them was the weather.').content,
        list(
          'Set the first stake before low water, not at it.',
          'One reads, one writes. Never the same person.',
          'Count twice where the stems stand close.',
        ),
      ],
    },
  },
  {
    daysAgo: 44,
    title: 'Questions for Odalys',
    tags: ['Field notes'],
    text: textOf('Does silt count as repair when it comes by itself?', 'How long must a bank hold?'),
  },
]

async function buildDriveDocument(services: Services, owner: PersonActor): Promise<void> {
  const lines = [
    'Crew log, line 3',
    'Visit 1: eleven stakes set, low water at 07:10.',
    'Visit 2: stake 6 leans, silt up by two centimetres.',
  ]
  const { evidenceId } = await saveContent(services, owner, {
    content: streamOf(Buffer.from(`${lines.join('\n')}\n`)),
    fileName: 'Crew log, line 3.txt',
    tags: ['Transect', 'Crew'],
    rights: { state: 'mine' },
    classId: null,
    also: async (trx, saved) => {
      const document = { documentId: 'crew-log', isConnected: true, revision: '3', changedAt: trx.now }
      await insertDriveDocument(trx, {
        evidenceId: saved.evidenceId,
        ownerId: owner.personId,
        ...document,
      })
      await services.jobs.enqueue(trx, {
        kind: 'follow-document',
        payload: { evidenceId: saved.evidenceId },
        dedupeKey: `follow-document:${saved.evidenceId}`,
      })
    },
  })
  return void evidenceId
}
