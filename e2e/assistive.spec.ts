// What assistive technology meets: where the focus goes, what is heard, what windows are called, and paper.
import type { Page } from '@playwright/test'
import { saved } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

/** What has the focus: its name or its words, and never nothing. */
const focused = (page: Page) => page.locator(':focus')

async function openItem(page: Page, title: string): Promise<void> {
  await page.goto('/evidence')
  await page.getByRole('button', { name: new RegExp(`^${title}`) }).click()
  await expect(page.getByRole('region', { name: title })).toBeFocused()
}

test('in the drawer the focus comes back from rights, date, speaking and from going back', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await openItem(page, 'Transect map')
  const drawer = page.getByRole('region', { name: 'Transect map' })
  const rights = drawer.getByRole('button', { name: 'Change who made it' })
  await rights.press('Enter')
  const maker = drawer.getByRole('textbox', { name: 'Who made it' })
  await maker.fill('Ilse Marrow')
  // Escape closes the form alone, and what was typed stands there again.
  await page.keyboard.press('Escape')
  await expect(rights).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(maker).toHaveValue('Ilse Marrow')
  await drawer.getByRole('button', { name: 'Cancel' }).press('Enter')
  await expect(rights).toBeFocused()

  const date = drawer.getByRole('button', { name: 'Change', exact: true })
  await date.press('Enter')
  await page.keyboard.press('Tab')
  await drawer.getByRole('spinbutton').first().press('Escape')
  await expect(date).toBeFocused()

  const speak = drawer.getByRole('button', { name: /^Speak/ })
  await speak.press('Enter')
  await expect(drawer.getByRole('button', { name: 'Record', exact: true })).toBeEnabled()
  await page.keyboard.press('Escape')
  await expect(speak).toBeFocused()
  await expect(drawer).toBeVisible()

  await expect(page).toHaveTitle(/^Transect map · /)
  await page.goBack()
  await expect(page.getByRole('button', { name: /^Transect map/ })).toBeFocused()
  await expect(page).toHaveTitle(/^Evidence · /)
})

test('on a page the focus stays with what was written, and goes on after publishing', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/pages')
  await page.getByRole('button', { name: 'New page' }).press('Enter')
  await expect(page.getByLabel('Title of the page')).toBeFocused()
  await page.keyboard.type('Low water')
  await page.getByRole('button', { name: 'Text', exact: true }).click()
  await expect(page.locator('.ProseMirror')).toBeFocused()
  await page.keyboard.type('The bank is bare.')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /^Write in/ })).toBeFocused()
  await saved(page)
  await page.getByRole('button', { name: 'Publish', exact: true }).press('Enter')
  await page.getByRole('dialog').getByRole('button', { name: 'Publish' }).press('Enter')
  await expect(page.getByRole('dialog')).toBeHidden()
  await expect(page.getByRole('region', { name: 'Draft and published' })).toBeFocused()
})

test('a page that is begun and left as it is leaves nothing', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Sefa')
  await page.goto('/pages')
  const count = page.getByRole('heading', { level: 1 })
  await expect(count).toHaveText(/pages?\.$/)
  const before = await count.textContent()
  await page.getByRole('button', { name: 'New page' }).click()
  await expect(page.getByLabel('Title of the page')).toBeFocused()
  await page.getByRole('link', { name: /^Collections/ }).click()
  await page.getByRole('button', { name: 'New collection' }).click()
  await expect(page.getByLabel('Title of the collection')).toBeFocused()
  await page.getByRole('link', { name: /^Pages/ }).click()
  await expect(count).toHaveText(before ?? '')
  await page.getByRole('link', { name: /^Collections/ }).click()
  await expect(page.getByText('No collections yet.')).toBeVisible()
})

test('sending feedback and accepting leave the focus in the answer', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys')
  await page.goto('/review-desk')
  const next = page.getByRole('link', { name: /^Read / })
  await expect(next).toBeVisible()
  // The first screen leaves the focus where the browser had it.
  await expect(page.locator('body')).toBeFocused()
  await next.click()
  const answer = page.getByRole('complementary', { name: /^Your answer to/ })
  await answer.getByLabel('Feedback', { exact: true }).fill('You looked twice.')
  await answer.getByRole('button', { name: 'Send feedback' }).press('Enter')
  await expect(answer.getByLabel('Feedback', { exact: true })).toBeFocused()
  await expect(page).toHaveTitle(/^Sealed copy of .*, .* · /)
  await answer.locator('label:has(input[name="level"])').first().click()
  await answer.getByRole('button', { name: /^Accept/ }).press('Enter')
  await expect(answer).toBeFocused()
})

test('new screens are heard by their names, whoever signs in begins in the work area', async ({
  browser,
}) => {
  const page = await site.pageOfNobody(browser)
  await page.goto('/')
  await page.getByLabel('Sign-in name').fill('wren')
  await page.getByRole('textbox', { name: 'Password' }).fill('low water at seven')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('main')).toBeFocused()
  await page.getByRole('link', { name: /^Pages/ }).click()
  await expect(page.getByRole('status').filter({ hasText: /^Pages$/ })).toHaveCount(1)
  await expect(page.getByRole('main')).toBeFocused()
  // A list is found where it was left.
  await page.setViewportSize({ width: 1280, height: 520 })
  const main = page.getByRole('main')
  const tideTable = page.getByRole('link', { name: 'How I read a tide table' }).first()
  await expect(tideTable).toBeVisible()
  await main.evaluate(
    (element) =>
      new Promise((resolve) => {
        element.addEventListener('scroll', resolve, { once: true })
        element.scrollTo(0, 200)
      }),
  )
  // Pressed where it stands: a pointer of the test's own would scroll to it first.
  await tideTable.evaluate((link: HTMLElement) => link.click())
  await expect(page.getByLabel('Title of the page')).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/pages\.$/)
  await expect.poll(() => main.evaluate((element) => element.scrollTop)).toBe(200)
})

test('what is heard of saving is the last of it: a missing connection at once, and that all is saved', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/pages')
  await page.getByRole('link', { name: 'How I read a tide table' }).first().click()
  const heard = page.locator('header [role="status"]').first()
  await page.getByLabel('Title of the page').fill('How I read a tide table, again')
  await expect(heard).toHaveText(/^Saved /)
  await page.context().setOffline(true)
  await expect(heard).toHaveText(/no connection/i)
  await page.getByLabel('Title of the page').fill('How I read a tide table')
  await expect(heard).toHaveText(/on this device/)
  await page.context().setOffline(false)
  await expect(heard).toHaveText(/^Saved /)
})

test('on paper there is the page itself, on as many sheets as it needs', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/pages')
  await page.getByRole('link', { name: 'What the creek does to its bank' }).first().click()
  await expect(page.locator('article.paper .picture-piece img').first()).toBeVisible()
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' })
  for (const gone of ['banner', 'navigation', 'complementary'] as const)
    await expect(page.getByRole(gone).first()).toBeHidden()
  await expect(page.getByRole('region', { name: 'Tray' })).toBeHidden()
  await expect(page.locator('article.paper')).toBeVisible()
  const sheet = await page.evaluate(() => ({
    height: document.documentElement.scrollHeight,
    width: document.querySelector('article.paper')?.clientWidth ?? 0,
    colour: getComputedStyle(document.querySelector('article.paper p') ?? document.body).color,
  }))
  expect(sheet.height).toBeGreaterThan(1200)
  // Nothing is left of the columns of the screen: the page has the sheet to itself.
  expect(sheet.width).toBeGreaterThan(600)
  expect(sheet.colour).toBe('rgb(0, 0, 0)')
})

test('where the system takes the colours, chosen tools and filled buttons can still be told', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.emulateMedia({ forcedColors: 'active' })
  await page.goto('/pages')
  await expect(page.getByRole('button', { name: 'New page' })).toHaveCSS('border-top-width', '1px')
  await page.goto('/evidence')
  const here = page.getByRole('link', { name: /^Evidence/ })
  const other = page.getByRole('link', { name: /^Pages/ })
  const colourOf = (locator: typeof here) =>
    locator.evaluate((element) => getComputedStyle(element).backgroundColor)
  expect(await colourOf(here)).not.toBe(await colourOf(other))
  await expect(focused(page)).toHaveCount(0)
})
