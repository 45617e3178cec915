// What takes more to be answered well than the id of one of everything, and what ends things, in an order that lets each
// do something.
import { personNamed } from '@valise/core/people'
import { isRatingPiece, newEvidencePiece } from '@valise/core/pages'
import { answersOf } from '@valise/core/reflections'
import { planCollecting } from '../guides/index.ts'
import { sendEdit } from './editing.ts'
import { handInSealed, setAssignment } from './handingIn.ts'
import { makeGuides } from './oneOfEverything.ts'
import type { OneOfEverything } from './oneOfEverything.ts'
import { makePicture } from './pictures.ts'
import { TEST_PASSWORD } from './site.ts'
import type { Answer, TestBrowser, TestSite } from './site.ts'
import { answerIn, sealedVisits, setGuide, startGuide } from './sampleGuides.ts'
import { upload } from './upload.ts'

const ANOTHER_PASSWORD = 'nine herons on the bank'

/** Who asks: the student who owns one of everything, their assessor, and who administers the school. */
export interface Askers {
  readonly owner: TestBrowser
  readonly assessor: TestBrowser
  readonly administrator: TestBrowser
}

export async function askSpecially(
  site: TestSite,
  made: OneOfEverything,
  { owner, assessor, administrator }: Askers,
): Promise<void> {
  await askForLists(site, owner, administrator)
  await rateOneself(owner, made.ids)
  await workThroughGuides(site, made.ids, owner, assessor)
  await changeEvidence(owner, made.ids)
  await reviewAndTakeBack(site, made.ids, owner, assessor)
  await administer(made.ids, administrator)
  for (const [browser, path] of endings(made.ids, owner, assessor)) await write(browser, 'DELETE', path)
  await owner.post(`/api/passes/${made.ids.pass}/end`)
  await throwAway(Object.values(made.things), owner)
  await signInAndOut(site, made.ids, owner, administrator)
}

/** Writes with whatever revision a thing has. */
export async function write(
  browser: TestBrowser,
  method: string,
  path: string,
  body?: unknown,
): Promise<Answer> {
  for (let revision = 0; ; revision += 1) {
    const answer = await browser.ask(method, path, body, { 'if-match': `"r${revision}"` })
    if (answer.status !== 412 || revision === 12) return answer
  }
}

async function askForLists(site: TestSite, owner: TestBrowser, administrator: TestBrowser): Promise<void> {
  const counts = { name: 'counts.csv', content: Buffer.from('day,sandpipers\n1,12\n2,9\n') }
  const { body } = await upload(owner, counts)
  await site.services.jobs.drain()
  const table = `/api/evidence/${body.outcome.evidenceId}/versions/1`
  const paths = [
    ...['/api/counts?of=evidence,pages,review-desk', `${table}/inside`, `${table}/table`],
    ...['/api/evidence?words=creek&kind=picture&limit=2', '/api/evidence?tag=birds&order=title'],
    '/api/evidence/counts?kind=picture',
  ]
  for (const path of paths) await owner.get(path)
  await administrator.get('/api/people?text=wr&limit=2')
}

/** Begins an entry with ratings, answers the first, and asks for all of them. */
async function rateOneself(
  owner: TestBrowser,
  { logbook, attributeSet }: OneOfEverything['ids'],
): Promise<void> {
  const rates = { setId: attributeSet, attributeIds: [] }
  const begun = { day: '2026-11-24', title: '', lang: 'en', rates }
  const { id, draft } = (await owner.post(`/api/logbooks/${logbook}/entries`, begun)).body
  const [answer] = answersOf(draft.document)
  if (!answer || !isRatingPiece(answer.piece)) throw new Error('nothing is asked')
  const { given } = answer.piece
  const [step] = given.question.steps
  if (!step) throw new Error('the scale has no steps')
  const rated = { step: { id: step.id, label: step.label, place: 1, of: 3 }, reason: 'silt' }
  const piece = { ...answer.piece, given: { ...given, answer: rated } }
  await sendEdit(owner, `/api/entries/${id}`, {
    base: draft.revision,
    operations: [{ op: 'set-piece', piece }],
  })
  await owner.patch(`/api/entries/${id}`, { day: '2026-11-23' }, 1)
  await owner.get(`/api/ratings?setId=${attributeSet}&limit=1`)
}

/** A guide that is followed, and one that was due before it was begun and is handed in by itself. */
async function workThroughGuides(
  site: TestSite,
  { class: classId }: OneOfEverything['ids'],
  owner: TestBrowser,
  assessor: TestBrowser,
): Promise<void> {
  const followed = await startGuide(owner, await setGuide(assessor, [classId]))
  await answerIn(owner, followed, 'stake', { text: 'B7' })
  await assessor.get(`/api/guide-copies/${followed}/reading`)
  const said = { stageId: '1', pieceId: null, text: 'Which bank?' }
  await assessor.post(`/api/guide-copies/${followed}/feedback`, said)
  await startGuide(
    owner,
    await setGuide(assessor, [classId], { ...sealedVisits, dueLocal: '2026-11-20T17:00' }),
  )
  await planCollecting(site.services)
  await site.services.jobs.drain()
  await writeAndShowGuides(site, classId, owner, assessor)
}

/** Guides with pictures: in an instruction, in an answer, and on a page that answers. */
async function writeAndShowGuides(
  site: TestSite,
  classId: string,
  owner: TestBrowser,
  assessor: TestBrowser,
): Promise<void> {
  const file = { name: 'stake.jpg', content: await makePicture() }
  const picture = (await upload(owner, file)).body.outcome.evidenceId as string
  await site.services.jobs.drain()
  const page = (await owner.post('/api/pages', { title: 'The bank', lang: 'en' })).body.id as string
  const row = { id: 'r', pieces: [newEvidencePiece('map', { id: picture, kind: 'picture' })] }
  await sendEdit(owner, `/api/pages/${page}`, {
    base: 1,
    operations: [{ op: 'insert-row', row, after: null }],
  })
  await write(owner, 'POST', `/api/pages/${page}/published`)
  const made = await makeGuides({ owner, assessor }, { classId, picture, page })
  const copy = `/api/guide-copies/${made.guideCopy}`
  const guide = `/api/guides/${made.guide}`
  for (const path of [`${copy}/pieces/shot/screen`, `${copy}/pages/${page}/map/screen`]) await owner.get(path)
  await owner.get(`${guide}/pieces/how-0/screen`)
  await owner.get(`${guide}/classes/${made.tides}`)
  await owner.put(`${guide}/openings`, { classId: made.tides, stageId: '1', isOpen: true })
  await owner.delete(`${copy}/other-versions/${made.copyVersion}`)
}

async function changeEvidence(owner: TestBrowser, ids: OneOfEverything['ids']): Promise<void> {
  await owner.put('/api/evidence/tagged', { ids: [ids.picture], add: ['gulls'] })
  await owner.put('/api/evidence/tags', { tag: 'gulls', name: 'birds' })
  const path = `/api/collages/${ids.collage}`
  const { collage, revision } = (await owner.get(path)).body
  await owner.put(path, collage, revision)
}

async function reviewAndTakeBack(
  site: TestSite,
  ids: OneOfEverything['ids'],
  owner: TestBrowser,
  assessor: TestBrowser,
): Promise<void> {
  const read = `/api/submissions/${ids.submission}`
  await assessor.post(`${read}/open`)
  await write(assessor, 'POST', `${read}/outcome`, { act: 'accept', levelId: 'own' })
  await assessor.delete(`${read}/outcome`)
  const assignment = await setAssignment(assessor, ids.class)
  const submission = await handInSealed(site, owner, assignment, [{ kind: 'page', id: ids.page }])
  await owner.post(`/api/submissions/${submission}/take-back`)
  await write(assessor, 'PUT', `/api/assignments/${assignment}/end`)
  await write(assessor, 'DELETE', `/api/assignments/${assignment}/end`)
  await write(assessor, 'DELETE', `/api/assignments/${await setAssignment(assessor, ids.class)}`)
}

async function administer(ids: OneOfEverything['ids'], administrator: TestBrowser): Promise<void> {
  const days = { firstDay: null, lastDay: null }
  const person = personNamed('Ada Brandt-Osei', { signInName: 'ada' })
  const { id } = (await administrator.post('/api/people', person)).body.person
  await write(administrator, 'PUT', `/api/people/${id}`, { ...person, firstName: 'Ada' })
  const membership = { classId: ids.class, role: 'student', ...days }
  await administrator.post(`/api/people/${id}/memberships`, membership)
  await write(administrator, 'PATCH', `/api/memberships/${ids.membership}`, days)
  await write(administrator, 'PUT', `/api/classes/${ids.class}`, { name: 'Night Survey', code: 'NIGHT' })
  await write(administrator, 'PUT', `/api/people/${id}/ended`, { ended: true })
}

function endings(
  ids: OneOfEverything['ids'],
  owner: TestBrowser,
  assessor: TestBrowser,
): readonly (readonly [TestBrowser, string])[] {
  return [
    [owner, `/api/evidence/queries/${ids.savedQuery}`],
    [owner, `/api/evidence/${ids.picture}/voices/${ids.voice}`],
    [owner, `/api/tray/${ids.picture}`],
    [owner, `/api/evidence/${ids.driveDocument}/drive`],
    [owner, '/api/phone-links'],
    [owner, `/api/entries/${ids.entry}/other-versions/${ids.entryVersion}`],
    [owner, `/api/pages/${ids.page}/other-versions/${ids.otherVersion}`],
    [owner, `/api/evidence/${ids.picture}/statement/other-versions/${ids.statementVersion}`],
    [assessor, `/api/submissions/${ids.submission}/outcome`],
  ]
}

async function throwAway(ids: readonly string[], owner: TestBrowser): Promise<void> {
  await owner.put('/api/bin', { ids: [...ids] })
  for (const id of ids) {
    await owner.delete(`/api/things/${id}/bin`)
    await owner.put(`/api/things/${id}/bin`, undefined)
  }
  await owner.get('/api/bin')
  // Entries before the logbook that they are in.
  for (const id of [...ids].reverse()) await owner.delete(`/api/things/${id}`)
}

async function signInAndOut(
  site: TestSite,
  ids: OneOfEverything['ids'],
  owner: TestBrowser,
  administrator: TestBrowser,
): Promise<void> {
  const link = (await administrator.post(`/api/people/${ids.person}/sign-in-link`)).body.address
  const token = new URL(link).hash.slice(1)
  await site.browser().post('/api/password/chosen', { token, password: ANOTHER_PASSWORD })
  await owner.put('/api/password', { present: TEST_PASSWORD, next: ANOTHER_PASSWORD })
  const other = site.browser()
  await other.signIn('wren', ANOTHER_PASSWORD)
  for (const { id, here } of (await owner.get('/api/sessions')).body)
    if (!here) await owner.delete(`/api/sessions/${id}`)
  await owner.delete('/api/sessions')
  await owner.delete('/api/session')
}
