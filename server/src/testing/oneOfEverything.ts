// One of everything that a person can own, each with a real id, and a link to another page of theirs that somebody holds.
import { personNamed, systemActor } from '@valise/core/people'
import { newEvidencePiece, textOf } from '@valise/core/pages'
import { textPieceOf } from '@valise/core/reflections'
import { shippedSheets } from '@valise/core/sheets'
import { createClass } from '../classes/index.ts'
import { inTransaction } from '../database/index.ts'
import type { Drive } from '../outside/index.ts'
import { createMembership, createPerson, savePassword } from '../people/index.ts'
import { fieldAttributes } from './attributes.ts'
import { addTextRow, sendEdit, writeText } from './editing.ts'
import { makeEveryThing } from './everyThing.ts'
import type { ThingOfEachKind } from './everyThing.ts'
import { publishEveryPiece, voiceBytes } from './everyPiece.ts'
import type { PageOfEveryPiece } from './everyPiece.ts'
import { answerIn, askedIn, sealedVisits, setGuide, startGuide, twoVisits } from './sampleGuides.ts'
import { everyRequirementWanted, handInSealed, setAssignment } from './handingIn.ts'
import { makePicture } from './pictures.ts'
import { TEST_PASSWORD } from './site.ts'
import type { TestBrowser, TestSite } from './site.ts'
import type { SmallSchool } from './smallSchool.ts'
import { beginUpload, upload } from './upload.ts'

/**
 * Ids by the thing that they identify; `file` is the name of a file in the sealed copy, `piece` the id of a piece on
 * the page.
 */
export type ThingIds = Readonly<Record<(typeof thingNames)[number], string>>

export const thingNames = [
  ...([
    'assignment',
    'attributeSet',
    'class',
    'collage',
    'collection',
    'driveDocument',
    'entry',
    'entryVersion',
  ] as const),
  ...(['file', 'link', 'logbook', 'membership', 'note', 'otherVersion', 'page', 'pass', 'person'] as const),
  ...(['phoneLink', 'picture', 'piece', 'savedQuery', 'session', 'sheet', 'submission', 'upload'] as const),
  ...(['statementVersion', 'voice'] as const),
  ...(['guide', 'guideCopy', 'copyPiece', 'copyVersion', 'tides'] as const),
]

/** A shared drive with one document, for the test site. */
export const driveOfOne: Drive = {
  folder: async (_person, id) => ({ id, name: 'Top', above: [], folders: [], documents: [document] }),
  document: async () => document,
  content: async () => new Response('Visit 1'),
}
const document = {
  ...{ id: 'log', name: 'Crew log.txt', mime: 'text/plain', bytes: 7, revision: '1' },
  changedAt: '2026-11-20T08:00:00.000Z',
}

export interface OneOfEverything {
  readonly ids: ThingIds
  /** A page with pieces of every kind, which nobody else may see. */
  readonly everyPiece: PageOfEveryPiece
  /** One thing of each kind, in no collection and shown by nothing. */
  readonly things: ThingOfEachKind
  /** Signed in as their owner. */
  readonly owner: TestBrowser
  /** Holds a link to another page of theirs, and has opened it. */
  readonly visitor: TestBrowser
}

/** Makes one of everything as a student of a class that the others of the small school are not in. */
export async function makeOneOfEverything(site: TestSite, school: SmallSchool): Promise<OneOfEverything> {
  const night = await addNightSurvey(site, school.people.wren)
  const [owner, assessor] = [site.browser(), site.browser()]
  await owner.signIn('wren')
  await assessor.signIn('rufus')
  const create = async (path: string, body: object) => (await owner.post(path, body)).body.id as string
  const drain = () => site.services.jobs.drain()

  const picture = await bring(owner, 'sheet.jpg', await makePicture())
  await drain()
  await owner.put(`/api/evidence/${picture}/versions/1/recipe`, { schema: 1, steps: [] }, 0)
  await owner.put(`/api/tray/${picture}`, undefined)
  const voiceId = (await upload(owner, { name: 'silt.webm', content: voiceBytes, about: picture })).body
    .outcome.evidenceId as string
  const statement = `/api/evidence/${picture}/statement`
  const { document } = (await owner.post(statement, { lang: 'en' })).body.draft
  const statementVersion = await loseAnEdit(owner, statement, 1, textPieceOf(document)?.id ?? '')
  const begun = await beginUpload(owner, { name: 'later.txt', content: Buffer.from('later') })

  const page = await create('/api/pages', { title: 'Transect 3', lang: 'en' })
  const operations = [
    addTextRow('text', 'silt'),
    {
      op: 'insert-row' as const,
      row: {
        id: 'r',
        pieces: [{ ...newEvidencePiece('map', { id: picture, kind: 'picture' }), alternativeText: 'A map' }],
      },
      after: null,
    },
  ]
  await sendEdit(owner, `/api/pages/${page}`, { base: 1, operations })
  const otherVersion = await loseAnEdit(owner, `/api/pages/${page}`, 2, 'text')
  const { revision } = (await owner.get(`/api/pages/${page}`)).body.draft
  await owner.ask('POST', `/api/pages/${page}/published`, undefined, { 'if-match': `"r${revision}"` })

  const logbook = await create('/api/logbooks', { title: 'Visits' })
  const entry = await create(`/api/logbooks/${logbook}/entries`, { day: '2026-11-24', title: '', lang: 'en' })
  await sendEdit(owner, `/api/entries/${entry}`, { base: 1, operations: [addTextRow('words', 'mud')] })
  const entryVersion = await loseAnEdit(owner, `/api/entries/${entry}`, 2, 'words')

  const { link: pass, visitor } = await showAnotherPage(site, owner)
  const assignment = await setAssignment(assessor, night.classId, { requirements: everyRequirementWanted })
  const submission = await handInSealed(site, owner, assignment, [{ kind: 'page', id: page }])
  const { sql } = site.services.database.reader()
  const sealed = await sql('sealedFiles').where({ submissionId: submission }).first('path')
  const sessions = (await owner.get('/api/sessions')).body
  const things = await makeEveryThing(site, owner)
  const guides = await makeGuides({ owner, assessor }, { classId: night.classId, picture, page })
  const ids = {
    ...{
      picture,
      statementVersion,
      voice: voiceId,
      page,
      piece: 'map',
      otherVersion,
      logbook,
      entry,
      entryVersion,
      pass,
    },
    ...{
      assignment,
      submission,
      file: String(sealed?.path).split('/').at(-1) ?? '',
      session: sessions[0].id,
    },
    ...{ class: night.classId, membership: night.membershipId, person: night.personId },
    upload: (begun.headers.get('location') ?? '').split('/').at(-1) ?? '',
    collection: await create('/api/collections', { title: 'Shore year' }),
    note: await create('/api/notes', { text: textOf('Low water at seven'), landing: {} }),
    link: await create('/api/links', { address: 'https://marsh.invalid/tides', landing: {} }),
    driveDocument: await create('/api/drive/documents', { documentId: 'log', how: 'connected', landing: {} }),
    collage: await create('/api/collages', { size: 'wide', pictures: [picture] }),
    savedQuery: await create('/api/evidence/queries', { name: 'Birds', query: 'tag=birds' }),
    sheet: await publishSheet(owner),
    attributeSet: await publishAttributeSet(owner),
    phoneLink: await create('/api/phone-links', {}),
    ...guides,
  }
  await drain()
  const everyPiece = await publishEveryPiece(owner, drain)
  return { ids, everyPiece, things, owner, visitor }
}

async function publishSheet(owner: TestBrowser): Promise<string> {
  const [first] = shippedSheets
  const { id } = (await owner.post('/api/sheets', { title: { en: 'My week' }, from: first?.id })).body
  const published = await owner.ask('POST', `/api/sheets/${id}/versions`, {}, { 'if-match': '"r1"' })
  expect(published.status).toBe(200)
  return id
}

async function publishAttributeSet(owner: TestBrowser): Promise<string> {
  const { id } = (await owner.post('/api/attribute-sets', { title: { en: 'Field' } })).body
  await owner.put(`/api/attribute-sets/${id}`, { content: fieldAttributes }, 1)
  const published = await owner.ask('POST', `/api/attribute-sets/${id}/versions`, {}, { 'if-match': '"r2"' })
  expect(published.status).toBe(200)
  return id
}

interface GuideWish {
  readonly classId: string
  readonly picture: string
  readonly page: string
}

/** A guide that the owner writes for a class of theirs, and their copy of one that is set for them. */
export async function makeGuides(
  { owner, assessor }: { readonly owner: TestBrowser; readonly assessor: TestBrowser },
  { classId, picture, page }: GuideWish,
) {
  const { memberships } = (await owner.get('/api/session')).body
  const tides = memberships.find(({ className }: { className: string }) => className === 'Tide Watch').classId
  const items = [{ id: picture, kind: 'picture' as const }]
  const stages = twoVisits.stages.map((stage) => ({
    ...stage,
    blocks: stage.blocks.map((block) => ('items' in block ? { ...block, items } : block)),
  }))
  const guide = await setGuide(owner, [tides], { ...twoVisits, stages })
  const guideCopy = await startGuide(owner, await setGuide(assessor, [classId], sealedVisits))
  const path = `/api/guide-copies/${guideCopy}`
  await answerIn(owner, guideCopy, 'page', { pages: [{ id: page, title: 'Transect 3' }] })
  const { draft } = (await owner.get(path)).body
  const { row, piece } = askedIn({ draft }, 'photo')
  const shown = newEvidencePiece('shot', { id: picture, kind: 'picture' })
  await sendEdit(owner, path, {
    base: draft.revision,
    operations: [{ op: 'insert-piece', rowId: row.id, piece: shown, after: piece.id }],
  })
  const asked = askedIn({ draft }, 'stake').piece
  for (const text of ['first', 'second']) {
    const written = { ...asked, given: { ...asked.given, answer: { text } } } as typeof asked
    await sendEdit(owner, path, { base: draft.revision, operations: [{ op: 'set-piece', piece: written }] })
  }
  const copyVersion = (await owner.get(path)).body.draft.otherVersions[0].id as string
  return { guide, guideCopy, copyPiece: 'shot', copyVersion, tides: tides as string }
}

async function bring(browser: TestBrowser, name: string, content: Buffer): Promise<string> {
  return (await upload(browser, { name, content })).body.outcome.evidenceId
}

/** Two windows write one piece from the same revision; gives the id of the version that lost. */
async function loseAnEdit(browser: TestBrowser, path: string, base: number, piece: string): Promise<string> {
  for (const words of ['first', 'second'])
    await sendEdit(browser, path, { base, operations: [writeText(piece, words)] })
  return (await browser.get(path)).body.draft.otherVersions[0].id
}

async function showAnotherPage(site: TestSite, owner: TestBrowser) {
  const id = (await owner.post('/api/pages', { title: 'Shown to family', lang: 'en' })).body.id as string
  await sendEdit(owner, `/api/pages/${id}`, { base: 1, operations: [addTextRow('p', 'sand')] })
  await owner.ask('POST', `/api/pages/${id}/published`, undefined, { 'if-match': '"r2"' })
  const pass = { audience: { kind: 'link', name: 'Family' }, rights: ['look'], firstDay: null, lastDay: null }
  const { body } = await owner.post('/api/passes', { ...pass, thing: { kind: 'page', id } })
  const visitor = site.browser()
  await visitor.get(body.address)
  expect((await visitor.get(`/api/pages/${id}/published`)).status).toBe(200)
  return { link: body.id as string, visitor }
}

/** A class with an assessor of its own, in which Wren studies. */
async function addNightSurvey({ services }: TestSite, wren: string) {
  const hash = await services.passwords.hash(TEST_PASSWORD)
  return inTransaction(services.database, async (trx) => {
    const actor = systemActor('test')
    const { id: classId } = await createClass(trx, actor, { name: 'Night Survey', code: 'NIGHT' })
    const { person } = await createPerson(trx, actor, personNamed('Rufus Brandt-Osei'))
    await savePassword(trx, person.id, hash)
    const days = { firstDay: null, lastDay: null }
    await createMembership(trx, actor, person.id, { classId, role: 'assessor', ...days })
    const { id } = await createMembership(trx, actor, wren, { classId, role: 'student', ...days })
    return { classId, membershipId: id, personId: person.id }
  })
}
