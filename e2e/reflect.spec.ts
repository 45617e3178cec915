// Logbooks: an entry is written beside its evidence, dated, and stands on a page as well.
import type { Page } from '@playwright/test'
import { beginEntry, beginPage, dayField, saved, writeDay } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

test('a logbook is begun, an entry written beside its evidence, dated, and put on a page', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/logbooks')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('4 logbooks.')
  await page.getByLabel('Title of the logbook').fill('Winter')
  await page.getByRole('button', { name: 'Start a logbook' }).click()
  await expect(page.getByText('No entries yet.')).toBeVisible()
  await page.getByRole('button', { name: 'New entry' }).click()
  await page.getByLabel('Title of the entry').fill('First frost')
  await page.getByRole('textbox', { name: 'What you think' }).click()
  await page.keyboard.type('I set out at seven. The gate was frozen shut.')
  await expect(page.getByText('10 words')).toBeVisible()
  await page.getByRole('button', { name: 'Put everything here' }).click()
  const beside = page.getByRole('region', { name: 'Evidence with this entry' })
  await expect(beside.getByRole('listitem')).toHaveCount(6)
  await beside.getByRole('button', { name: 'Remove: Sketch sheet 12' }).click()
  await beside.getByLabel('Caption of Transect map').fill('Where I went')
  await beside.getByRole('button', { name: 'Up: Transect map' }).click()
  await writeDay(page, 'Day', '20112026')
  await saved(page)

  await page.reload()
  await expect(page.getByLabel('Title of the entry')).toHaveValue('First frost')
  await expect(dayField(page, 'Day').locator('input')).toHaveValue('20/11/2026')
  await expect(page.locator('.ProseMirror')).toHaveText('I set out at seven. The gate was frozen shut.')
  await expect(beside.getByRole('listitem')).toHaveCount(5)
  await expect(beside.getByLabel('Caption of Transect map')).toHaveValue('Where I went')
  await page.getByRole('link', { name: 'Winter' }).click()
  const line = page.getByRole('listitem').filter({ hasText: 'First frost' })
  await expect(line).toContainText('20 Nov')
  await expect(line).toContainText('10 words, 5 things with it')

  await page.goto('/pages')
  await page.getByRole('button', { name: 'New page' }).click()
  await page.getByRole('button', { name: 'Entry', exact: true }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /First frost/ })
    .click()
  const paper = page.locator('article.paper')
  await expect(paper.getByRole('heading', { name: 'First frost' })).toBeVisible()
  await expect(paper).toContainText('The gate was frozen shut.')
  await expect(paper).toContainText('20 November 2026')
})

test('a new entry begins in its words, but not for one who began in its title', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  const words = page.getByRole('textbox', { name: 'What you think' })
  await page.goto('/logbooks')
  await page.getByRole('link', { name: 'Odds and ends' }).click()
  await page.getByRole('button', { name: 'New entry' }).click()
  await expect(words).toBeFocused()
  await page.keyboard.type('Frost.')
  await expect(words).toHaveText('Frost.')

  // Watched from the logbook on: a change of the entry before would be taken for one of the next.
  await page.getByRole('link', { name: 'Odds and ends' }).click()
  await expect(words).toHaveCount(0)
  // Quicker than anybody: the title is taken in the moment in which it is there.
  await page.evaluate(() => {
    const seen = new MutationObserver(() => {
      const title = document.querySelector<HTMLElement>('[aria-label="Title of the entry"]')
      if (title && document.querySelector('.ProseMirror')) seen.disconnect()
      if (title) title.focus()
    })
    seen.observe(document.body, { subtree: true, childList: true })
  })
  await page.getByRole('button', { name: 'New entry' }).click()
  await expect(words).toBeEditable()
  await page.keyboard.type('Thaw')
  await expect(page.getByLabel('Title of the entry')).toHaveValue('Thaw')
})

test('an entry goes into the bin and out of it', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/logbooks')
  await page.getByRole('link', { name: 'Odds and ends' }).click()
  await page.getByRole('link', { name: 'Words I looked up' }).click()
  await page.getByRole('button', { name: 'Put entry in bin' }).click()
  await expect(page.getByRole('button', { name: 'New entry' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Words I looked up' })).toHaveCount(0)
  await page.goto('/bin')
  await page.getByRole('button', { name: /^Take .*Words I looked up/ }).click()
  await expect(page.getByText('Words I looked up')).toHaveCount(0)
  await page.goto('/logbooks')
  await page.getByRole('link', { name: 'Odds and ends' }).click()
  await expect(page.getByRole('link', { name: 'Words I looked up' })).toBeVisible()
})

test('who has just begun is told what a logbook is for, and an assessor sees none of anybody', async ({
  browser,
}) => {
  const sefa = await site.pageAs(browser, 'Sefa')
  await sefa.goto('/logbooks')
  await expect(sefa.getByText('No logbooks yet.')).toBeVisible()
  const wren = await site.pageAs(browser, 'Wren')
  const [entry] = (await (await wren.request.get('/api/entries?limit=1')).json()).items
  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto(`/entries/${entry.id}`)
  await expect(odalys.getByText('Valise cannot find this')).toBeVisible()
})

test('a minute is spoken in an entry, with its moments and what is said, and no text is needed', async ({
  browser,
}) => {
  const wren = await site.pageAs(browser, 'Wren')
  await beginEntry(wren, 'On the causeway')
  const spoken = wren.getByRole('region', { name: 'What you say aloud' })
  await spoken.getByRole('button', { name: 'Record your voice' }).click()
  const dialog = wren.getByRole('dialog', { name: 'Record your voice' })
  await dialog.getByRole('button', { name: 'Record', exact: true }).click()
  await expect(dialog.getByRole('timer')).toHaveText('0:01')
  await dialog.getByRole('button', { name: 'Mark this moment' }).click()
  await expect(dialog.getByText('1 moment marked')).toBeVisible()
  await dialog.getByRole('button', { name: 'Stop recording' }).click()
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await spoken.getByLabel(/^What it is about at 0:0[1-9]/).fill('The causeway is dry')
  await spoken.getByLabel('What is said in it?').fill('I am on the causeway and it is dry.')
  await spoken.getByRole('button', { name: 'Mark this moment' }).click()
  await expect(spoken.getByRole('listitem')).toHaveCount(2)
  await saved(wren)
  await wren.reload()
  await expect(spoken.getByLabel(/^What it is about at 0:0[1-9]/)).toHaveValue('The causeway is dry')
  await expect(spoken.getByLabel('What is said in it?')).toHaveValue('I am on the causeway and it is dry.')

  await wren.getByRole('link', { name: 'Odds and ends' }).first().click()
  await wren.getByRole('button', { name: 'Spoken', exact: true }).click()
  await expect(wren.getByRole('link', { name: 'On the causeway' })).toBeVisible()
})

test('what is pasted from a word processor keeps its structure, and its pictures become evidence', async ({
  browser,
}) => {
  const wren = await site.pageAs(browser, 'Wren')
  await beginEntry(wren, 'From my notes')
  await wren.getByRole('textbox', { name: 'What you think' }).click()
  await pasteInto(wren, notes)
  const text = wren.getByRole('textbox', { name: 'What you think' })
  await expect(text.getByRole('heading', { name: 'Visit 3' })).toBeVisible()
  await expect(text.getByRole('listitem')).toHaveText(['boots', 'a rope'])
  await expect(text.getByRole('cell', { name: '41' })).toBeVisible()
  await expect(text.locator('[style*="mso"], [class*="Mso"], img')).toHaveCount(0)
  await expect(wren.getByText(/1 picture came along.* 1 picture could not come along/)).toBeVisible()
  const beside = wren.getByRole('region', { name: 'Evidence with this entry' })
  await expect(beside.getByLabel(/^Caption of/)).toHaveCount(1)
  await saved(wren)
  await wren.reload()
  await expect(text.getByRole('listitem')).toHaveText(['boots', 'a rope'])
  await expect(beside.getByLabel(/^Caption of/)).toHaveCount(1)
})

test('a logbook stands on a page in two clicks, is narrowed there, and knows the page', async ({
  browser,
}) => {
  const wren = await site.pageAs(browser, 'Wren')
  await beginPage(wren, 'My autumn')
  await wren.getByRole('button', { name: 'Logbook', exact: true }).click()
  await wren
    .getByRole('dialog', { name: 'Choose a logbook' })
    .getByRole('button', { name: /One stake/ })
    .click()
  const paper = wren.locator('article.paper')
  await expect(paper.locator('details.entry')).toHaveCount(3)
  await wren.getByRole('button', { name: 'Which entries' }).click()
  await wren.getByLabel('Order').selectOption('Oldest first')
  await wren.getByLabel('At most').fill('2')
  await expect(paper.locator('details.entry > summary')).toHaveText([/^Visit 1/, /^Visit 2/])
  await saved(wren)
  await wren.getByRole('link', { name: 'Open logbook' }).click()
  await wren.getByRole('link', { name: 'My autumn' }).click()
  await expect(paper.locator('details.entry')).toHaveCount(2)
})

const line = (words: string) =>
  `<p class=MsoListParagraph style='mso-list:l0 level1 lfo1'><span style='mso-list:Ignore'>·</span>${words}</p>`
const dot = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='
const notes = [
  `<h1 class=MsoTitle style='mso-margin-top-alt:auto'>Visit 3</h1>${line('boots')}${line('a rope')}`,
  `<table class=MsoTableGrid><tr><td style='mso-border-alt:solid'><p class=MsoNormal>41</p></td></tr></table>`,
  `<p><img alt="Stake at low water" src="data:image/png;base64,${dot}"><img src="https://marsh.invalid/map.png"></p>`,
].join('')

/** Pastes HTML where one writes. */
async function pasteInto(page: Page, html: string): Promise<void> {
  await page.evaluate((pasted) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/html', pasted)
    clipboardData.setData('text/plain', 'Visit 3')
    const event = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true })
    document.activeElement?.dispatchEvent(event)
  }, html)
}
