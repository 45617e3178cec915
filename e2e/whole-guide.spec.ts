// A guide from its making to its hand-in, over two days: an entry, a self-rating, a minute of film, and the logbook on a page.
import { addressOf, beginPage, saved } from './support/acts.ts'
import { addStage, ask, beginGuide, handInWhenDue, publishFor } from './support/guides.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()
const TITLE = 'Three looks at a bank'

test('a guide is made, found, worked through over two days, and handed in by itself; its logbook is read on a page', async ({
  browser,
}) => {
  test.setTimeout(300_000)
  const odalys = await site.pageAs(browser, 'Odalys')
  await beginGuide(odalys, TITLE, 'Look')
  await ask(odalys, /^Entry A dated/, 'What do you see?')
  await addStage(odalys, 'Rate yourself')
  await odalys.getByRole('button', { name: /^Self-rating/ }).click()
  await odalys.getByRole('combobox', { name: 'Attribute' }).click()
  await odalys.getByRole('option', { name: 'Noticing (Field Attributes)' }).click()
  await addStage(odalys, 'Film')
  await ask(odalys, /^Evidence/, 'A minute of film about it')
  await handInWhenDue(odalys, '271120261200')
  await publishFor(odalys, 'Shore Methods')

  // Found in one place, begun with one click; the entry lies in its logbook as well.
  const sefa = await site.pageAs(browser, 'Sefa')
  await sefa.goto('/')
  await sefa.getByRole('link', { name: 'Guides' }).click()
  await sefa.getByRole('button', { name: `Start ${TITLE}` }).click()
  await sefa.getByRole('button', { name: 'Write an entry' }).click()
  await sefa.locator('.ProseMirror').click()
  await sefa.keyboard.type('The grass hangs over the edge.')
  await saved(sefa)
  await expect(sefa.getByRole('link', { name: TITLE, exact: true })).toHaveAttribute('href', /\/logbooks\//)
  await sefa.getByRole('link', { name: 'Back to the guide' }).click()
  await expect(sefa.getByText('The grass hangs over the edge.')).toBeVisible()
  const address = addressOf(sefa)
  const stages = sefa.getByRole('navigation', { name: 'Stages' })

  await stages.getByRole('button', { name: /^Rate yourself/ }).click()
  await sefa.getByRole('radio', { name: /On my own/ }).check()
  await sefa.getByRole('textbox', { name: /^Why/ }).fill('I saw the crack before it fell.')
  await saved(sefa)

  await stages.getByRole('button', { name: /^Film/ }).click()
  await sefa.getByRole('button', { name: 'Choose evidence' }).click()
  await sefa.getByRole('dialog').getByRole('button', { name: 'Gather' }).click()
  await sefa.getByRole('menuitem', { name: 'Record a video' }).click()
  const recording = sefa.getByRole('dialog', { name: 'Record a video' })
  await recording.getByRole('button', { name: 'Record', exact: true }).click()
  await expect(recording.getByRole('timer')).toHaveText('0:03')
  await recording.getByRole('button', { name: 'Stop recording' }).click()
  await recording.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(sefa.getByText(/^1 of 1 question/)).toBeVisible()
  await saved(sefa)

  // The next day it is the same copy, until it is due.
  await site.goTo('2026-11-27T11:50:00.000Z')
  const later = await site.pageAs(browser, 'Sefa')
  await later.goto('/guide-copies')
  await later.getByRole('link', { name: `Open ${TITLE}` }).click()
  await expect(later).toHaveURL(new RegExp(address))
  await site.goTo('2026-11-27T12:00:30.000Z')
  await expect(async () => {
    await later.goto('/submissions')
    await expect(later.getByRole('link', { name: TITLE })).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 60_000 })
  await later.getByRole('link', { name: TITLE }).click()
  await expect(later.getByText('handed in automatically').first()).toBeVisible()
  await expect(later.getByText('The grass hangs over the edge.')).toBeVisible()
  await expect(later.getByText('I saw the crack before it fell.')).toBeVisible()

  await later.goto('/grow')
  await expect(later.getByRole('cell', { name: 'I saw the crack before it fell.' })).toBeVisible()
  await beginPage(later, 'My bank')
  await later.getByRole('button', { name: 'Logbook', exact: true }).click()
  await later
    .getByRole('dialog', { name: 'Choose a logbook' })
    .getByRole('button', { name: new RegExp(TITLE) })
    .click()
  await expect(later.locator('article.paper details.entry')).toHaveCount(1)
})
