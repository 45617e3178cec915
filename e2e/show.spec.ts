// Show: pages in collections, passes for people and for whoever holds a link, and every answer with its reasons.
import type { Browser, Page } from '@playwright/test'
import { saved, takeUp, writeDay } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

const phone = { viewport: { width: 360, height: 740 } }

/** Sharing, with a thing chosen. */
async function openSharing(page: Page, title: string) {
  await page.goto('/sharing')
  await page.getByRole('button', { name: title, exact: true }).first().click()
}

async function giveLink(page: Page, title: string, name: string): Promise<string> {
  await openSharing(page, title)
  await page.getByRole('button', { name: `Share ${title}` }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radio', { name: /^Anyone with a link/ }).check()
  await dialog.getByLabel('Who or what is the link for?').fill(name)
  await dialog.getByRole('button', { name: 'Share' }).click()
  return dialog.getByRole('textbox', { name: 'Link', exact: true }).inputValue()
}

async function endPass(page: Page, name: RegExp) {
  await page.getByRole('button', { name }).first().click()
  await page.getByRole('button', { name: 'Stop sharing' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
}

test('what is added while something else is on its way comes after it', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/collections')
  await page.getByRole('button', { name: 'New collection' }).click()
  let letGo: () => void = () => undefined
  const held = new Promise<void>((resolve) => (letGo = resolve))
  await page.route('**/api/collections/*', async (route) => {
    if (route.request().method() === 'PATCH') await held
    await route.continue()
  })
  await page.getByRole('button', { name: 'Add pages' }).click()
  const chooser = page.getByRole('dialog')
  await chooser.getByRole('checkbox', { name: /^Walking a line/ }).check()
  await chooser.getByRole('button', { name: 'Add 1' }).click()
  await page.getByRole('button', { name: 'Add a heading' }).click()
  letGo()
  const order = page.getByRole('list', { name: 'Pages in order' })
  await expect(order.getByRole('listitem')).toHaveCount(2)
  await expect(order.getByRole('listitem').first()).toContainText('Walking a line')
})

test('pages come into an order, under dividers, by keyboard; hiding and publishing decide what others read', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/collections')
  await page.getByRole('button', { name: 'New collection' }).click()
  await page.getByLabel('Title of the collection').fill('Creek and marsh')
  await page.getByRole('button', { name: 'Add pages' }).click()
  const chooser = page.getByRole('dialog')
  for (const title of ['Walking a line', 'Birds of the north creek', 'Season in the marsh'])
    await chooser.getByRole('checkbox', { name: new RegExp(`^${title}`) }).check()
  await chooser.getByRole('button', { name: 'Add 3' }).click()
  await page.getByRole('button', { name: 'Add a heading' }).click()
  await page.getByLabel('Name of the heading').fill('By the water')
  await saved(page)

  const order = page.getByRole('list', { name: 'Pages in order' })
  await expect(order.getByRole('listitem')).toHaveCount(4)
  const grip = page.getByRole('button', { name: 'Move By the water' })
  await takeUp(grip, page.getByText('It would go to place 4.'))
  await expect(async () => {
    await page.keyboard.press('ArrowUp')
    await expect(page.getByText('It would go to place 1.')).toBeAttached({ timeout: 500 })
  }).toPass()
  await page.keyboard.press('Space')
  const panel = page.getByRole('complementary', { name: 'What others read' })
  // What is not published is not read.
  await expect(panel.getByRole('listitem').filter({ hasNot: page.getByRole('list') })).toHaveText([
    'Walking a line',
    'Birds of the north creek',
  ])
  await page.getByRole('button', { name: 'Hide: Walking a line' }).click()
  await expect(panel.getByRole('listitem').filter({ hasNot: page.getByRole('list') })).toHaveText([
    'Birds of the north creek',
  ])
  await page.reload()
  await expect(page.getByLabel('Title of the collection')).toHaveValue('Creek and marsh')
  await expect(page.getByLabel('Name of the heading')).toHaveValue('By the water')
  await expect(panel.getByRole('listitem').filter({ hasNot: page.getByRole('list') })).toHaveText([
    'Birds of the north creek',
  ])

  await page.getByRole('button', { name: 'Put collection in bin' }).click()
  await expect(page.getByText('Creek and marsh is in the bin.')).toBeVisible()
  await page.goto('/bin')
  await page.getByRole('button', { name: 'Take it out: Creek and marsh' }).click()
  await page.goto('/collections')
  await expect(page.getByRole('link', { name: 'Creek and marsh' })).toBeVisible()
})

test('a pass lets one person look until it is ended, and nobody else', async ({ browser }) => {
  const wren = await site.pageAs(browser, 'Wren')
  await openSharing(wren, 'Birds of the north creek')
  await wren.getByRole('button', { name: 'Share Birds of the north creek' }).click()
  const dialog = wren.getByRole('dialog', { name: 'Who can look at Birds of the north creek?' })
  await dialog.getByRole('button', { name: 'Share' }).click()
  await expect(dialog.getByRole('alert')).toHaveText('Choose who can look.')
  await dialog.getByRole('radio', { name: /^One person/ }).check()
  await dialog.getByLabel('Who is it?').click()
  await wren.getByRole('option', { name: /^Tomasz Ilves-Barr/ }).click()
  await writeDay(dialog, 'Last day', '12122026')
  await expect(dialog.getByText('They can look from now until 12 Dec.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Share' }).click()
  await expect(dialog).toBeHidden()

  const tomasz = await site.pageAs(browser, 'Tomasz')
  await tomasz.goto('/shared-with-me')
  await expect(tomasz.getByText('with you, until 12 Dec')).toBeVisible()
  await tomasz.getByRole('link', { name: 'Birds of the north creek' }).click()
  await expect(tomasz.getByRole('heading', { level: 1, name: 'Birds of the north creek' })).toBeVisible()
  await expect(tomasz.getByText('By Wren Adeyemi-Holt, 15 Nov')).toBeVisible()
  await expect(tomasz.getByRole('button', { name: /^Publish/ })).toHaveCount(0)
  const address = tomasz.url()
  await tomasz.getByRole('button', { name: /^News/ }).click()
  await expect(tomasz.getByText('Wren Adeyemi-Holt shared a page with you.').first()).toBeVisible()

  const sefa = await site.pageAs(browser, 'Sefa')
  await sefa.goto(address)
  await expect(sefa.getByRole('heading', { name: 'Valise cannot find this' })).toBeVisible()
  await sefa.goto('/pages/01890000-0000-7000-8000-000000000000')
  await expect(sefa.getByRole('heading', { name: 'Valise cannot find this' })).toBeVisible()

  await endPass(wren, /^Tomasz Ilves-Barr: can look 26 Nov to 12 Dec/)
  await tomasz.goto(address)
  await expect(tomasz.getByRole('heading', { name: 'Valise cannot find this' })).toBeVisible()
})

test('a link opens on a phone, signed out, what is published and nothing else; ended, it says so', async ({
  browser,
}) => {
  const wren = await site.pageAs(browser, 'Wren')
  const address = await giveLink(wren, 'Shore year', 'Grandfather')
  expect(new URL(address).pathname).toMatch(/^\/open\/[\w-]{44}$/)

  const visitor = await site.pageOfNobody(browser, phone)
  await visitor.goto(address)
  await expect(visitor.getByRole('heading', { level: 1, name: 'Shore year' })).toBeVisible()
  // The address that stays has no secret in it.
  expect(visitor.url()).toMatch(/\/collections\/[0-9a-f-]{36}$/)
  await expect(visitor.getByText('shared with Grandfather')).toBeVisible()
  await expect(visitor.getByRole('heading', { level: 2 })).toHaveText(['By the creek', 'Further out'])
  await expect(visitor.getByRole('listitem').filter({ hasNot: visitor.getByRole('list') })).toHaveText([
    ...['What the creek does to its bank', 'One stake, five visits', 'Birds of the north creek'],
    ...['Repairing the second bank', 'Glasswort, from green to red'],
  ])
  await visitor.getByRole('link', { name: 'Start reading' }).click()
  await expect(visitor.getByText('carries more mud than below')).toBeVisible()
  // Her newer draft says it otherwise.
  await expect(visitor.getByText('almost twice the mud')).toHaveCount(0)
  await expect(visitor.getByRole('button', { name: /^A map: ten stops/ })).toBeVisible()
  await expect(visitor.getByRole('navigation', { name: 'Places' })).toHaveCount(0)
  await expect(visitor.getByText('Next, page 1 of 5')).toBeVisible()
  await visitor.getByRole('link', { name: 'Next page: One stake, five visits' }).click()
  await expect(visitor.getByRole('heading', { level: 1, name: 'One stake, five visits' })).toBeVisible()
  await visitor.getByRole('button', { name: 'Pages' }).click()
  await visitor.getByRole('dialog').getByRole('link', { name: 'Repairing the second bank' }).click()
  await expect(visitor.getByText('Next, page 4 of 5')).toBeVisible()

  const others = await visitor.request.get('/api/pages')
  expect(others.status()).toBe(401)
  const readable = visitor.url()
  await visitor.goto('/pages/01890000-0000-7000-8000-000000000000')
  await expect(visitor.getByRole('heading', { name: 'Come in' })).toBeVisible()

  await wren.getByRole('button', { name: 'Done' }).click()
  await endPass(wren, /^Link “Grandfather”: can look/)
  await visitor.goto(readable)
  await expect(visitor.getByRole('heading', { level: 1, name: 'This link has ended' })).toBeVisible()
  await expect(visitor.getByText(/Ask the person who gave it to you for a new one/)).toBeVisible()
  expect(await visitor.locator('body').innerText()).not.toMatch(/Shore year|Wren|Grandfather|bank/)
  await visitor.goto('/open/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA')
  await expect(visitor.getByRole('heading', { level: 1, name: 'This link does not work' })).toBeVisible()
})

test('a link can get a new address, and the one before opens nothing', async ({ browser }) => {
  const wren = await site.pageAs(browser, 'Wren')
  const before = await giveLink(wren, 'Walking a line', 'Club evening')
  await wren.getByRole('button', { name: 'Done' }).click()
  await wren
    .getByRole('button', { name: /^Link “Club evening”: can look/ })
    .first()
    .click()
  await wren.getByRole('button', { name: 'Make a new link' }).click()
  const field = wren.getByRole('dialog').getByRole('textbox', { name: 'Link', exact: true })
  await expect(field).not.toHaveValue(before)
  const visitor = await site.pageOfNobody(browser, phone)
  await visitor.goto(before)
  await expect(visitor.getByRole('heading', { level: 1, name: 'This link does not work' })).toBeVisible()
  await visitor.goto(await field.inputValue())
  await expect(visitor.getByRole('heading', { level: 1, name: 'Walking a line' })).toBeVisible()
})

test('looking as somebody says because of what, until when, and what stands in the way', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await openSharing(page, 'Two banks, one winter')
  const panel = page.getByRole('complementary', { name: 'See it as…' })
  await expect(panel.getByRole('heading', { name: 'Odalys Fenn can look until 12 Dec.' })).toBeVisible()
  await expect(
    panel
      .getByRole('listitem')
      .filter({ hasNot: page.getByRole('list') })
      .filter({ hasText: 'is an assessor of Shore Methods' }),
  ).toBeVisible()
  await expect(panel.getByText(/You share Shore year: .*This is in it\./)).toBeVisible()
  await expect(panel.getByText('Season in the marsh')).toBeVisible()
  await expect(panel.getByText('It is not published.')).toBeVisible()
  await expect(panel.getByText('You hid it in Shore year.')).toBeVisible()

  await panel.getByRole('link', { name: 'See it as others do' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Two banks, one winter' })).toBeVisible()
  await expect(page.getByText('as others see it')).toBeVisible()
  await page.getByRole('link', { name: 'Start reading' }).click()
  await expect(page.getByText('Next, page 1 of 2')).toBeVisible()
  await page.goto('/sharing')

  await writeDay(panel, 'When', '201220261000')
  await expect(panel.getByRole('heading', { name: 'Odalys Fenn cannot look.' })).toBeVisible()
  await expect(
    panel.getByText('You shared it until 12 Dec with: Assessors of Shore Methods.').first(),
  ).toBeVisible()
  await panel.getByRole('button', { name: 'Now' }).click()
  await panel.getByLabel('Who').click()
  await page.getByRole('option', { name: /^Anyone with the link “Aunt Pilar”/ }).click()
  await expect(panel.getByRole('heading', { name: /^Anyone with the link can look until/ })).toBeVisible()
  await panel.getByLabel('Who').click()
  await page.getByRole('option', { name: 'Somebody you share nothing with' }).click()
  await expect(
    panel.getByRole('heading', { name: 'Somebody you share nothing with cannot look.' }),
  ).toBeVisible()
  await panel.getByLabel('Who').click()
  await page.getByRole('option', { name: /^Odalys Fenn/ }).click()
  await panel.getByRole('link', { name: 'Show again' }).click()
  await page.getByRole('button', { name: 'Show again: How I read a tide table' }).click()
  await saved(page)
  const read = page.getByRole('complementary', { name: 'What others read' })
  await expect(read.getByRole('link', { name: 'How I read a tide table' })).toBeVisible()
})

test('what the rules forbid is shown with its reason', async ({ browser }) => {
  const page = await beginJuniorPage(browser)
  await page.getByRole('button', { name: 'Share What we counted' }).click()
  const dialog = page.getByRole('dialog')
  for (const name of [/^One person/, /^Anyone with a link/])
    await expect(dialog.getByRole('radio', { name })).toBeDisabled()
  await expect(dialog.getByText('Your school does not let your year group do this')).toHaveCount(2)
  await dialog.getByRole('radio', { name: /^The class Saturday Crew/ }).check()
  await dialog.getByRole('button', { name: 'Share' }).click()
  await expect(page.getByText('Starts when you publish')).toBeVisible()
})

async function beginJuniorPage(browser: Browser): Promise<Page> {
  const page = await site.pageAs(browser, 'Nell Quillan')
  await page.goto('/pages')
  await page.getByRole('button', { name: 'New page' }).click()
  await page.getByLabel('Title of the page').fill('What we counted')
  await saved(page)
  await page.getByRole('link', { name: 'Sharing' }).click()
  await expect(page.getByRole('heading', { name: 'Who can see what, and until when' })).toBeVisible()
  return page
}
