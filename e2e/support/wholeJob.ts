// The whole job: gathered, reflected on, put on a page, into a collection, shown, handed in, answered, and the answer seen.
import type { Browser } from '@playwright/test'
import { addText, beginPage, chooseFiles, justGathered, saved, picture, publish } from './acts.ts'
import { expect, test } from './site.ts'
import type { Site } from './site.ts'

/** From a picture on the device to a level on the page. */
export async function doWholeJob(site: Site, browser: Browser): Promise<void> {
  test.setTimeout(600_000)
  const sefa = await site.pageAs(browser, 'Sefa')
  const odalys = await site.pageAs(browser, 'Odalys')
  const plan = sefa.getByRole('list', { name: 'What to do next' })
  const step = plan.getByRole('listitem').filter({ hasText: 'Hand in One plant, one season' })

  await test.step('gather', async () => {
    await sefa.goto('/')
    await expect(step).toContainText('0 of 2 done')
    // Due before Sefa came.
    await expect(plan).not.toContainText('After a storm')
    await chooseFiles(sefa, 'Choose files', [
      picture('sea lavender in June'),
      picture('sea lavender in July'),
    ])
    const gathered = justGathered(sefa)
    await expect(gathered.getByRole('heading')).toHaveText('2 things just added')
    await gathered.getByRole('button', { name: 'Made by me' }).click()
    await expect(gathered.getByText('Made by you.')).toBeVisible()
  })

  await test.step('reflect', async () => {
    await sefa.goto('/logbooks')
    await sefa.getByLabel('Title of the logbook').fill('Summer on the marsh')
    await sefa.getByRole('button', { name: 'Start a logbook' }).click()
    await sefa.getByRole('button', { name: 'New entry' }).click()
    await sefa.getByLabel('Title of the entry').fill('What I had not seen')
    await sefa.getByRole('textbox', { name: 'What you think' }).click()
    await sefa.keyboard.type('In June I looked at the flowers only. In July I looked where they stand.')
    await sefa.getByRole('button', { name: 'Put everything here' }).click()
    await saved(sefa)
  })

  await test.step('arrange', async () => {
    await beginPage(sefa, 'Sea lavender, June to July')
    await addText(sefa, 'It stands where the spring tides reach, and no further.')
    await sefa.keyboard.press('Escape')
    await sefa.getByRole('button', { name: /^Put all in row/ }).click()
    await sefa.getByRole('button', { name: 'Entry', exact: true }).click()
    await sefa
      .getByRole('dialog')
      .getByRole('button', { name: /What I had not seen/ })
      .click()
    // Two on the page, and the same two beside the entry that stands on it.
    await expect(sefa.locator('article.paper .picture-piece')).toHaveCount(4)
    await saved(sefa)
    await publish(sefa)
    await sefa.goto('/collections')
    await sefa.getByRole('button', { name: 'New collection' }).click()
    await sefa.getByLabel('Title of the collection').fill('My first season')
    await sefa.getByRole('button', { name: 'Add pages' }).click()
    await sefa
      .getByRole('dialog')
      .getByRole('checkbox', { name: /^Sea lavender/ })
      .check()
    await sefa.getByRole('dialog').getByRole('button', { name: 'Add 1' }).click()
    await saved(sefa)
  })

  await test.step('show', async () => {
    await sefa.goto('/sharing')
    await sefa.getByRole('button', { name: 'My first season', exact: true }).first().click()
    await sefa.getByRole('button', { name: 'Share My first season' }).click()
    const dialog = sefa.getByRole('dialog')
    await dialog.getByRole('radio', { name: /^Assessors of Shore Methods/ }).check()
    await dialog.getByRole('button', { name: 'Share' }).click()
    await expect(dialog).toBeHidden()
    await odalys.goto('/shared-with-me')
    await odalys.getByRole('link', { name: 'My first season' }).click()
    await expect(odalys.getByRole('heading', { level: 1, name: 'My first season' })).toBeVisible()
  })

  await test.step('hand in', async () => {
    await sefa.goto('/')
    await step.getByRole('link', { name: 'Choose a page' }).click()
    const readiness = sefa.getByRole('region', { name: 'What is needed' })
    await readiness.getByRole('button', { name: 'Add pages' }).click()
    const dialog = sefa.getByRole('dialog', { name: 'Which pages do you hand in?' })
    await dialog.getByRole('checkbox', { name: /^Sea lavender/ }).check()
    await dialog.getByRole('button', { name: 'Add 1 page' }).click()
    await expect(readiness.getByText('2 of 2 done')).toBeVisible()
    const panel = sefa.getByRole('region', { name: 'Hand in', exact: true })
    await expect(panel.getByText('Odalys Fenn and Rufus Brandt-Osei, FLD-204')).toBeVisible()
    await expect(panel.getByRole('button', { name: 'Hand in', exact: true })).toBeDisabled()
    for (const term of await panel.getByRole('checkbox').all()) await term.check()
    await panel.getByRole('button', { name: 'Hand in', exact: true }).click()
    await expect(sefa.getByText('Handed in, not opened yet')).toBeVisible()
    await expect(sefa.getByText(/^MB-\d{4}$/)).toBeVisible()
    await expect(sefa.getByRole('article')).toContainText('It stands where the spring tides reach')
  })

  await test.step('read, and ask for changes', async () => {
    await odalys.goto('/')
    await odalys.getByRole('link', { name: 'Read: One plant, one season' }).click()
    await odalys.getByRole('link', { name: /^Sefa Marlowe/ }).click()
    await expect(odalys.getByText('Nothing has changed since it was handed in.')).toBeVisible()
    const copy = odalys.getByRole('article')
    await expect(copy).toContainText('It stands where the spring tides reach')
    await expect(copy).toContainText('In July I looked where they stand.')
    await expect(copy.locator('.picture-piece img')).toHaveCount(4)
    await odalys.getByLabel('Feedback', { exact: true }).fill('Good: you changed your question.')
    await odalys.getByRole('button', { name: 'Send feedback', exact: true }).click()
    await expect(odalys.getByRole('listitem').filter({ hasText: 'you changed your question' })).toContainText(
      'Only Sefa Marlowe and the teachers',
    )
    await odalys.getByRole('button', { name: 'Ask for changes' }).click()
    await odalys.getByLabel('What should change?').fill('Say how you know where the tides reach.')
    await odalys.getByRole('button', { name: /^Ask (for changes|and open next)$/ }).click()
    await expect(odalys.getByText(/^You asked .* for changes\.$/)).toBeVisible()
  })

  await test.step('change, and hand in again', async () => {
    await sefa.goto('/')
    await expect(
      sefa.getByRole('region', { name: 'Latest feedback' }).getByText(/how you know where the tides/),
    ).toBeVisible()
    await sefa.getByRole('button', { name: /^News/ }).click()
    await expect(sefa.getByText(/^Odalys Fenn asked you to change/).first()).toBeVisible()
    await sefa.goto('/pages')
    await sefa.getByRole('link', { name: 'Sea lavender, June to July' }).click()
    const answers = sefa.getByRole('region', { name: 'Handed in' })
    await expect(answers).toContainText('Say how you know where the tides reach.')
    await sefa.getByRole('button', { name: /^Write in Text/ }).click()
    await expect(sefa.locator('.ProseMirror')).toBeFocused()
    await sefa.keyboard.press('Control+End')
    await sefa.keyboard.type(' The line of dry weed shows it.')
    await saved(sefa)
    await sefa.goto('/')
    await sefa.getByRole('link', { name: 'Read and change: One plant, one season' }).click()
    await expect(sefa.getByText('1 newer change is not in it:')).toBeVisible()
    await sefa.getByRole('button', { name: 'Hand in the draft' }).click()
    await expect(sefa.getByText('You hand in the draft.', { exact: true })).toBeVisible()
    const panel = sefa.getByRole('region', { name: 'Hand in', exact: true })
    for (const term of await panel.getByRole('checkbox').all()) await term.check()
    await panel.getByRole('button', { name: 'Hand in', exact: true }).click()
    await expect(sefa).toHaveURL(/\/submissions\/[0-9a-f-]{36}$/)
    await expect(sefa.getByText('Hand-in 2')).toBeVisible()
    await expect(sefa.getByText(/^MB-\d{4}$/)).toBeVisible()
  })

  await test.step('see what changed, accept, undo, accept', async () => {
    await odalys.goto('/review-desk')
    await odalys.goto(new URL(sefa.url()).pathname)
    await odalys.getByRole('button', { name: '1 change since the last hand-in' }).click()
    const changes = odalys.getByRole('dialog', { name: 'Changed since the last hand-in' })
    await expect(changes.locator('ins')).toHaveText(' The line of dry weed shows it.')
    await changes.getByRole('button', { name: 'Close' }).click()
    await odalys.getByText('With help', { exact: true }).click()
    await odalys.getByRole('button', { name: /^Accept/ }).click()
    await odalys.getByRole('button', { name: 'Undo', exact: true }).click()
    await expect(odalys.getByRole('heading', { name: /^Sefa Marlowe/ })).toBeVisible()
    await expect(odalys.getByRole('radio', { name: 'With help' })).toBeChecked()
    await odalys.getByText('On my own', { exact: true }).click()
    await odalys.getByRole('button', { name: /^Accept/ }).click()
    await expect(odalys.getByText(/^You accepted .*: On my own\.$/)).toBeVisible()
  })

  await test.step('see the answer where the work is', async () => {
    await sefa.goto('/submissions')
    const line = sefa.getByRole('listitem').filter({ hasText: 'Hand-in 2' })
    await expect(line).toContainText('Accepted')
    await expect(line).toContainText('On my own')
    await sefa.goto('/pages')
    await sefa.getByRole('link', { name: 'Sea lavender, June to July' }).click()
    const answers = sefa.getByRole('region', { name: 'Handed in' })
    await expect(answers).toContainText('On my own')
    await sefa.getByRole('button', { name: /^News/ }).click()
    await expect(sefa.getByText(/^Odalys Fenn accepted/).first()).toBeVisible()
  })
}
