// A school in tests that goes through time: for guides, whose stages open and close, and that are due.
import type { GuideCopy, GuideProgress, GuideRow } from '@valise/core/guides'
import { addMinutes, minutesBetween } from '@valise/core/time'
import { planCollecting } from '../guides/index.ts'
import { shiftedClock } from '../system/index.ts'
import { TEST_START } from './databases.ts'
import type { OpenDatabase } from './databases.ts'
import { answerIn, sealedVisits, setGuide, startGuide } from './sampleGuides.ts'
import { makeTestSite } from './site.ts'
import type { TestBrowser } from './site.ts'
import { makeSmallSchool } from './smallSchool.ts'

/** Opens a school whose time goes on only where a test goes there. */
export async function startGuideSite(open: OpenDatabase) {
  let minutes = 0
  const ticking = shiftedClock(TEST_START)
  const site = makeTestSite(await open({ clock: { now: () => addMinutes(ticking.now(), minutes) } }))
  const school = await makeSmallSchool(site.services)
  const browsers = {
    odalys: site.browser(),
    wren: site.browser(),
    tomasz: site.browser(),
    kit: site.browser(),
  }
  const signIn = async () => {
    for (const [name, browser] of Object.entries(browsers)) await browser.signIn(name)
  }
  await signIn()
  await planCollecting(site.services)
  const { methods } = school.classes
  /** Goes to a moment, whoever was signed in signs in anew, and what is due by then is done. */
  const goTo = async (moment: string) => {
    minutes += minutesBetween(site.services.database.reader().now, moment)
    await signIn()
    await site.services.jobs.drain()
    await site.services.jobs.drain()
  }
  return { site, school, ...browsers, methods, goTo }
}

/** The same, where Wren works in a guide that is handed in when it is due, the day after. */
export async function startSealedGuide(open: OpenDatabase) {
  const started = await startGuideSite(open)
  const { odalys, wren, methods } = started
  const guide = await setGuide(odalys, [methods], sealedVisits)
  const copy = await startGuide(wren, guide)
  await answerIn(wren, copy, 'stake', { text: 'B7' })
  const submissions = async () => (await wren.get('/api/submissions')).body.items
  return { ...started, guide, copy, submissions }
}

export async function copyOf(browser: TestBrowser, id: string): Promise<GuideCopy> {
  return (await browser.get(`/api/guide-copies/${id}`)).body
}

export async function listGuides(browser: TestBrowser): Promise<GuideRow[]> {
  return (await browser.get('/api/guide-copies')).body
}

export async function progressOf(
  browser: TestBrowser,
  guide: string,
  classId: string,
): Promise<GuideProgress> {
  return (await browser.get(`/api/guides/${guide}/classes/${classId}`)).body
}

export function studentIn({ students }: GuideProgress, name: string) {
  return students.find((one) => one.name.startsWith(name))
}
