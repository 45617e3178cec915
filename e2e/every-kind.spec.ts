// Whatever the lists of kinds offer, a new one without being told: chosen on the screen, and its screen as it stands.
import type { Page } from '@playwright/test'
import { addressOf, beginPage, saved } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'
import { expectWhole, findingsOf, paleHintsOf } from './support/variants.ts'

const site = useSite()

test('a piece of every kind that is offered is added, chosen, and shown to readers', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await beginPage(page, 'One of each')
  const offers = page.locator('section', { hasText: 'Add to the page' }).locator('li button')
  const kinds = await offers.allInnerTexts()
  expect(kinds.length).toBeGreaterThan(4)
  const pieces = page.locator('[data-piece]')
  for (const [n, kind] of kinds.entries()) {
    await offers.nth(n).click()
    await takeTheFirst(page)
    await expect(pieces, kind).toHaveCount(n + 1)
    await expect(page.locator('[data-piece][data-chosen="true"]'), kind).toHaveCount(1)
    const bar = page.getByRole('toolbar', { name: 'What to do with this' })
    await expect(bar, kind).toBeVisible()
    for (const opener of await bar.locator('[aria-expanded]').all()) {
      await opener.click()
      // One goes on in the first of its fields.
      await expect(bar.locator('textarea:focus, input:focus, select:focus'), kind).toHaveCount(1)
      await expectFit(page, kind)
      await page.keyboard.press('Escape')
    }
    await expectFit(page, kind)
  }
  await saved(page)
  await page.reload()
  await expect(pieces).toHaveCount(kinds.length)
  await page.getByRole('button', { name: 'Publish', exact: true }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click()
  await expect(page.getByText('No changes since')).toBeVisible()
  await page.getByRole('button', { name: 'Preview' }).click()
  const paper = page.locator('article.paper')
  await expect(paper.locator(':scope > .row > .piece')).toHaveCount(kinds.length)
  await expect(paper.locator('.gone')).toHaveCount(0)
  await expectFit(page, 'all of them as readers see them')
})

test('a requirement of every kind is asked for, and met by a student where it stands', async ({
  browser,
}) => {
  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto('/assignments/new')
  await odalys.getByLabel('Title').fill('One of each')
  const offers = odalys.getByRole('group', { name: 'Add a requirement' }).getByRole('button')
  const kinds = await offers.allInnerTexts()
  expect(kinds.length).toBeGreaterThan(2)
  for (const [n, kind] of kinds.entries()) {
    await offers.nth(n).click()
    await expect(odalys.getByRole('combobox', { name: `Requirement ${n + 1}` }), kind).toBeVisible()
  }
  await expectFit(odalys, 'the form')
  await odalys.getByRole('button', { name: 'Set the assignment' }).click()
  await expect(odalys.getByRole('heading', { level: 1 })).toHaveText('One of each')

  const wren = await site.pageAs(browser, 'Wren')
  await wren.goto(addressOf(odalys))
  const rows = wren.getByRole('region', { name: 'What is needed' }).getByRole('listitem')
  await expect(rows).toHaveCount(kinds.length)
  for (const row of await rows.all()) {
    const name = (await row.locator('b').first().innerText()).trim()
    expect(name).not.toBe('')
    await row.getByRole('button').first().click()
    await expect(row.locator('[aria-expanded="true"]'), name).toBeVisible()
    await expectFit(wren, name)
    await row.locator('[aria-expanded="true"]').click()
  }
})

test('an audience of every kind that is offered is chosen, and shared with', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/sharing')
  await page.getByRole('button', { name: 'Birds of the north creek', exact: true }).first().click()
  const share = page.getByRole('button', { name: 'Share Birds of the north creek' })
  const dialog = page.getByRole('dialog')
  const before = await passesOf(page)
  await share.click()
  const count = await dialog.getByRole('radio').count()
  expect(count).toBeGreaterThan(3)
  for (let n = 0; n < count; n += 1) {
    if (n > 0) await share.click()
    await dialog.getByRole('radio').nth(n).check()
    const asked = dialog.locator('[data-on="true"]')
    for (const choice of await asked.getByRole('combobox').all()) {
      await choice.click()
      await page.getByRole('option').nth(1).click()
    }
    for (const field of await asked.getByRole('textbox').all()) await field.fill('Somebody')
    await expectFit(page, `audience ${n + 1}`)
    await dialog.getByRole('button', { name: 'Share', exact: true }).click()
    await expect.poll(() => passesOf(page)).toBe(before + n + 1)
    // An address is shown until it is left.
    await page.keyboard.press('Escape')
    await expect(dialog).toHaveCount(0)
  }
})

async function passesOf(page: Page): Promise<number> {
  const { passes } = await (await page.request.get('/api/sharing')).json()
  return passes.length
}

/** Where one chooses what a piece shows, the first of what is there. */
async function takeTheFirst(page: Page): Promise<void> {
  const dialog = page.getByRole('dialog')
  const asks = await dialog
    .waitFor({ state: 'visible', timeout: 1500 })
    .then(() => true)
    .catch(() => false)
  if (asks) await dialog.locator('li button').first().click()
  await expect(dialog).toHaveCount(0)
}

/** The screen as it stands, in light and dark, wide and on a phone. */
async function expectFit(page: Page, name: string): Promise<void> {
  await page.emulateMedia({ colorScheme: 'light' })
  await page.setViewportSize({ width: 1280, height: 800 })
  await expectWhole(page, `${name}, wide`)
  expect.soft(await findingsOf(page, 'all', name)).toEqual([])
  expect.soft([name, await paleHintsOf(page)]).toEqual([name, []])
  await page.emulateMedia({ colorScheme: 'dark' })
  await page.setViewportSize({ width: 360, height: 740 })
  await expectWhole(page, `${name}, phone`)
  expect.soft(await findingsOf(page, 'contrast', `${name}, dark`)).toEqual([])
  await page.emulateMedia({ colorScheme: 'light' })
  await page.setViewportSize({ width: 1280, height: 800 })
}
