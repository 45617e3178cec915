// Submissions in tests: Wren, whose pages go in, and Odalys, who assesses; the time can be passed.
import { newEvidencePiece } from '@valise/core/pages'
import { addMinutes } from '@valise/core/time'
import { shiftedClock } from '../system/index.ts'
import { TEST_START } from './databases.ts'
import type { OpenDatabase } from './databases.ts'
import { addTextRow, sendEdit } from './editing.ts'
import { handInSealed, rightsWanted, setAssignment } from './handingIn.ts'
import { makePicture } from './pictures.ts'
import { makeSmallSchool } from './smallSchool.ts'
import { makeTestSite } from './site.ts'
import type { Answer, TestBrowser } from './site.ts'
import { upload } from './upload.ts'

/** Starts a site with the acts that tests of submissions need. */
export async function startSubmissions(open: OpenDatabase) {
  const offset = { minutes: 0 }
  const base = shiftedClock(TEST_START)
  const clock = { now: () => addMinutes(base.now(), offset.minutes) }
  const site = makeTestSite(await open({ clock }))
  const school = await makeSmallSchool(site.services)
  const as = async (name: string) => {
    const browser = site.browser()
    await browser.signIn(name)
    return browser
  }
  const [wren, odalys] = [await as('wren'), await as('odalys')]
  const seal = () => site.services.jobs.drain()
  /** A page with words and a picture, published. */
  const addPage = async (title: string, isPublished = true) => {
    const { body } = await upload(wren, { name: 'map.png', content: await makePicture() })
    await seal()
    const picture = newEvidencePiece('map', { id: body.outcome.evidenceId, kind: 'picture' })
    const id = (await wren.post('/api/pages', { title, lang: 'en' })).body.id as string
    const row = { id: 'row-map', pieces: [{ ...picture, alternativeText: 'A map' }] }
    const operations = [
      addTextRow('t', `${title} at low water`),
      { op: 'insert-row' as const, row, after: 'row-t' },
    ]
    await sendEdit(wren, `/api/pages/${id}`, { base: 1, operations })
    if (isPublished) await publish(wren, id, 2)
    return { id, evidenceId: body.outcome.evidenceId as string }
  }
  const publish = (browser: TestBrowser, id: string, revision: number) =>
    browser.ask('POST', `/api/pages/${id}/published`, undefined, { 'if-match': `"r${revision}"` })
  const pass = (minutes: number) => (offset.minutes += minutes)
  return { site, school, as, wren, odalys, seal, addPage, publish, pass }
}
/** Starts a site with Wren's page handed in, sealed and, unless told otherwise, opened by Odalys. */
export async function startSealed(open: OpenDatabase, isOpened = true) {
  const started = await startSubmissions(open)
  const { site, school, wren, odalys, addPage } = started
  const assignment = await setAssignment(odalys, school.classes.methods, { requirements: [rightsWanted] })
  const page = await addPage('Transect 3')
  const id = await handInSealed(site, wren, assignment, [{ kind: 'page', id: page.id }])
  if (isOpened) await odalys.post(`/api/submissions/${id}/open`)
  const reader = () => site.services.database.reader().sql
  return { ...started, assignment, page, id, reader }
}

/** Sends an assessor's outcome for the submission as they see it now. */
export async function answer(browser: TestBrowser, id: string, outcome: object): Promise<Answer> {
  const { body } = await browser.get(`/api/submissions/${id}`)
  return browser.ask('POST', `/api/submissions/${id}/outcome`, outcome, { 'if-match': `"r${body.revision}"` })
}

export const accept = { act: 'accept', levelId: 'own' }
export const ask = { act: 'ask-for-changes', words: 'Say how you chose the places.' }

export async function newsKinds(browser: TestBrowser): Promise<string[]> {
  return (await browser.get('/api/news')).body.items.map(({ kind }: { kind: string }) => kind)
}
