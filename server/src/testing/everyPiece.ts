// A page with pieces of every kind on the list, each showing what it accepts, so that a new kind is tested without being told.
import type { EvidenceKind } from '@valise/core/evidence'
import { definitionOf, handOutsOf, pieceKinds } from '@valise/core/pages'
import type { Piece, PieceKind, Published } from '@valise/core/pages'
import { everyPiece } from '@valise/core/pages/testing'
import { textOf } from '@valise/core/pages'
import fc from 'fast-check'
import { sendEdit } from './editing.ts'
import { makePicture } from './pictures.ts'
import type { TestBrowser } from './site.ts'
import { upload } from './upload.ts'

const VARIANTS = 3

/** What a browser records as a voice: the first bytes of a WebM without pictures. */
export const voiceBytes = Buffer.from('1a45dfa39f4286810142f7810142f2810442f381084282847765626d6d7564', 'hex')
const filmBytes = Buffer.from('00000018667479706d703432000000006d70343269736f6d', 'hex')

interface ThingsToShow {
  readonly evidence: Readonly<Record<EvidenceKind, string>>
  readonly entry: string
  readonly logbook: string
}

export interface PageOfEveryPiece {
  readonly id: string
  readonly pieces: readonly Piece[]
  readonly published: Published
  /** Every file that its readers can fetch. */
  readonly handOuts: readonly { readonly piece: string; readonly handOut: string }[]
}

/** Publishes a page with pieces of every kind, over an item of every kind and an entry that shows a film. */
export async function publishEveryPiece(
  owner: TestBrowser,
  drain: () => Promise<unknown>,
): Promise<PageOfEveryPiece> {
  const evidence = await gatherEveryKind(owner)
  const logbook = (await owner.post('/api/logbooks', { title: 'Each' })).body.id
  const entry = await writeEntry(owner, logbook, evidence.video)
  await drain()
  const pieces = piecesOfEveryKind({ evidence, entry, logbook })
  const { id } = (await owner.post('/api/pages', { title: 'One of each', lang: 'en' })).body
  const operations = pieces.map((piece) => ({
    ...{ op: 'insert-row' as const, after: null },
    row: { id: `row-${piece.id}`, pieces: [piece] },
  }))
  const edited = await sendEdit(owner, `/api/pages/${id}`, { base: 1, operations })
  expect([edited.status, edited.body.detail]).toEqual([200, undefined])
  const answer = await owner.ask('POST', `/api/pages/${id}/published`, undefined, { 'if-match': '"r2"' })
  const published: Published = answer.body.published
  const handOuts = handOutsOf(published.document, published.shown).map(({ pieceId: piece, handOut }) => ({
    ...{ piece, handOut: handOut.name },
  }))
  return { id, pieces, published, handOuts }
}

/** Some pieces of every kind; of one that shows evidence, some for each kind of evidence that it accepts. */
function piecesOfEveryKind({ evidence, ...ids }: ThingsToShow): Piece[] {
  return pieceKinds.flatMap((kind) => {
    const accepted = definitionOf<Piece>({ kind }).evidence?.accepts ?? []
    return accepted.length === 0
      ? samples(kind, kind, { evidence: '', ...ids })
      : accepted.flatMap((one) => samples(kind, `${kind}-${one}`, { evidence: evidence[one], ...ids }))
  })
}

type IdsToShow = Readonly<Record<'evidence' | 'entry' | 'logbook', string>>

function samples(kind: PieceKind, id: string, ids: IdsToShow): Piece[] {
  return fc.sample(everyPiece(kind, ''), { seed: 5, numRuns: VARIANTS }).map((sample, n) => {
    const thingOf = new Map(
      definitionOf(sample)
        .references(sample)
        .map((one) => [one.id, ids[one.thing]]),
    )
    const real = (name: string, value: unknown) =>
      name === 'version' ? 'follow' : typeof value === 'string' ? (thingOf.get(value) ?? value) : value
    return { ...JSON.parse(JSON.stringify(sample, real)), id: `${id}-${n}` }
  })
}

async function gatherEveryKind(owner: TestBrowser): Promise<ThingsToShow['evidence']> {
  const bring = async (name: string, content: Buffer): Promise<string> =>
    (await upload(owner, { name, content })).body.outcome.evidenceId
  const create = async (path: string, body: object): Promise<string> => (await owner.post(path, body)).body.id
  const picture = await bring('shore.jpg', await makePicture({ width: 320 }))
  return {
    picture,
    collage: await create('/api/collages', { size: 'wide', pictures: [picture] }),
    video: await bring('creek.mp4', filmBytes),
    audio: await bring('curlew.webm', voiceBytes),
    'data-table': await bring('stems.csv', Buffer.from('stake,stems\n4,41\n')),
    file: await bring('report.pdf', Buffer.from('%PDF-1.4 silt')),
    link: await create('/api/links', { address: 'https://marsh.invalid/each', landing: {} }),
    note: await create('/api/notes', { text: textOf('Low water at nine'), landing: {} }),
  }
}

/** An entry with a film beside its words. */
async function writeEntry(owner: TestBrowser, logbook: string, film: string): Promise<string> {
  const body = { day: '2026-11-23', title: 'Creek', lang: 'en' }
  const { id } = (await owner.post(`/api/logbooks/${logbook}/entries`, body)).body
  const [piece] = samples('file', 'in-entry', { evidence: film, entry: '', logbook })
  if (!piece) throw new Error('there is no sample of a file')
  const operations = [{ op: 'insert-row' as const, row: { id: 'beside', pieces: [piece] }, after: null }]
  expect((await sendEdit(owner, `/api/entries/${id}`, { base: 1, operations })).status).toBe(200)
  return id
}
