// Finding again: the sentence, the toggles, the ribbon, three views, many at once, and what files show of themselves.
import { gatherFiles, saved } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

test('the sentence narrows by tag, kind and time; the address says it, and a name keeps it', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  await expect(page.getByText('61 of 61')).toBeVisible()
  await page.getByRole('button', { name: 'Tags' }).click()
  const tags = page.getByRole('dialog', { name: 'Which tags' })
  await tags.getByLabel('Find a tag').fill('tran')
  await tags.getByRole('checkbox', { name: /^Transect/ }).check()
  await page.keyboard.press('Escape')
  await expect(page).toHaveURL(/tag=Transect/)
  await page.getByRole('button', { name: 'evidence' }).click()
  const kinds = page.getByRole('dialog', { name: 'Which kinds' })
  await expect(kinds.getByText('Data table')).toBeVisible()
  await kinds.getByRole('checkbox', { name: /^Link/ }).check()
  await kinds.getByRole('checkbox', { name: /^Data table/ }).check()
  await page.keyboard.press('Escape')
  await expect(page.getByText('2 of 61')).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('data tables or links')
  await page.getByRole('button', { name: 'Saved searches' }).click()
  await page.getByLabel('Name of this search').fill('Numbers and links')
  await page.getByRole('button', { name: 'Save this search' }).click()
  await expect(page.getByRole('button', { name: 'Numbers and links', exact: true })).toBeVisible()
  await expect(page.getByLabel('Name of this search')).toBeFocused()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Show everything' }).click()
  await expect(page.getByText('61 of 61')).toBeVisible()
  await page.getByRole('button', { name: 'Saved searches' }).click()
  await page.getByRole('button', { name: 'Numbers and links', exact: true }).click()
  await expect(page.getByText('2 of 61')).toBeVisible()
  await page.reload()
  await expect(page.getByText('2 of 61')).toBeVisible()
})

test('toggles say how many there are before they are pressed', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  for (const name of ['Not used yet', 'No maker named', 'No description', 'Shared', 'Look alike']) {
    const toggle = page.getByRole('button', { name: new RegExp(`^${name} \\d+$`) })
    const count = /\d+$/.exec((await toggle.textContent()) ?? '')?.[0] ?? ''
    await toggle.click()
    await expect(toggle).toHaveAttribute('aria-pressed', 'true')
    await expect(page.getByText(`${count} of 61`)).toBeVisible()
    await toggle.click()
    await expect(page.getByText('61 of 61')).toBeVisible()
  }
})

test('words are found also inside documents, and the plain form asks for the same', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  await page.getByLabel('Search evidence').fill('brushwood two storms')
  // A PDF and a word-processor document hold them.
  await expect(page.getByText('2 of 61')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Field report 2/ })).toBeVisible()
  await page.getByRole('button', { name: 'Remove the words “brushwood two storms”' }).press('Enter')
  await expect(page.getByLabel('Search evidence')).toHaveValue('')
  // The button has gone with its clause: the sentence has the focus, and is heard as it is now.
  await expect(page.locator(':focus')).toHaveText('All my evidence, newest first', {
    useInnerText: true,
  })
  await page.getByRole('button', { name: 'Change the search' }).click()
  const form = page.getByRole('dialog', { name: 'What are you looking for?' })
  await form.getByLabel('Words').fill('heron')
  await form.getByRole('checkbox', { name: /^No maker named/ }).check()
  await form.getByRole('button', { name: 'Show 1 item' }).click()
  await expect(page.getByRole('button', { name: /^Heron at the weir/ })).toBeVisible()
  await page.getByLabel('Search evidence').fill('nothing like it')
  await expect(page.getByText('Nothing matches.')).toBeVisible()
})

test('the ribbon narrows by keyboard and by pointer', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  const first = page.getByRole('slider', { name: 'First week' })
  await first.focus()
  for (let step = 0; step < 3; step += 1) await page.keyboard.press('PageUp')
  await expect(page).toHaveURL(/from=2026-/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('since')
  await expect(page.getByText(/^[1-5]?\d of 61$/)).toBeVisible()
  await page.keyboard.press('Home')
  await expect(page.getByText('61 of 61')).toBeVisible()
  const last = page.getByRole('slider', { name: 'Last week' })
  const box = (await last.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x - 300, box.y + 8, { steps: 4 })
  await page.mouse.up()
  await expect(page).toHaveURL(/until=2026-/)
})

test('the same things stand in a grid, along a line of days and in a table, and open there', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  await page.getByText('Time line').click()
  await expect(page).toHaveURL(/view=time/)
  await expect(page.getByRole('heading', { name: 'Tue 24 Nov' })).toBeVisible()
  await page.getByRole('button', { name: /^Dawn on the low marsh/ }).click()
  await expect(page.getByRole('region', { name: 'Dawn on the low marsh' })).toBeVisible()
  await expect(page).toHaveURL(/\/evidence\/[\w-]+\?view=time/)
  await page.keyboard.press('Escape')
  await page.getByText('Table', { exact: true }).click()
  const table = page.getByRole('table', { name: 'Evidence' })
  await table.getByRole('button', { name: 'Title' }).click()
  await expect(table.getByRole('columnheader', { name: 'Title' })).toHaveAttribute('aria-sort', 'ascending')
  await expect(table.getByRole('row').nth(1)).toContainText('August light')
  await table.getByRole('button', { name: 'August light', exact: true }).click()
  await expect(page.getByRole('region', { name: 'August light' })).toBeVisible()
})

test('several are tagged, credited, picked up and binned at once', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Tomasz')
  await page.goto('/evidence?only=no-rights')
  await expect(page.getByText(/^3 of 6$/)).toBeVisible()
  await page.getByRole('checkbox').first().check({ force: true })
  const bar = page.getByRole('toolbar')
  await expect(bar).toContainText('1 chosen')
  await bar.getByRole('button', { name: 'All 3' }).click()
  await expect(bar).toContainText('3 chosen')
  await bar.getByRole('button', { name: 'Tag', exact: true }).click()
  await page.getByLabel('Tags to add').fill('To sort')
  await page.getByRole('button', { name: 'Tag 3 items' }).click()
  await expect(bar).toContainText('You tagged 3 items.')
  await bar.getByRole('button', { name: 'Pick it up' }).click()
  await expect(bar).toContainText('3 items are in the Tray.')
  await bar.getByRole('button', { name: 'Say who made them' }).click()
  await page
    .getByRole('dialog', { name: 'Say who made them' })
    .getByRole('button', { name: 'Made by me' })
    .click()
  await expect(page.getByText('Nothing matches.')).toBeVisible()
  // While the form is still closing, Escape is the form's.
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('Escape')
  await expect(bar).toHaveCount(0)
  await page.goto('/evidence?tag=To+sort')
  await expect(page.getByText('3 of 6')).toBeVisible()
  await page.getByRole('checkbox').first().check({ force: true })
  await page
    .getByRole('checkbox')
    .nth(2)
    .click({ force: true, modifiers: ['Shift'] })
  await expect(bar).toContainText('3 chosen')
  await bar.getByRole('button', { name: 'Bin' }).click()
  await expect(page.getByText('3 things are in the bin.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('3 of 6')).toBeVisible()
})

test('a tag is renamed, and two become one', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  await page.getByRole('button', { name: 'Tags' }).click()
  await page.getByRole('button', { name: 'Rename or merge tags' }).click()
  await page.getByLabel('Tag', { exact: true }).click()
  await page.getByRole('option', { name: /^Sound/ }).click()
  await page.getByLabel('New name').fill('Film')
  await expect(page.getByText(/You already have Film\. Sound and Film become one tag/)).toBeVisible()
  await page.getByRole('button', { name: 'Merge the tags' }).click()
  await expect(page.getByText('Sound is now Film.')).toBeVisible()
  await page.goto('/evidence?tag=Film')
  await expect(page.getByRole('button', { name: /^Marsh at low water/ })).toBeVisible()
})

test('pictures that look alike are compared side by side, and the others go', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence?words=pool+under')
  await page.getByRole('button', { name: /^Pool under the ledge, 1/ }).click()
  await page.getByRole('link', { name: /similar pictures?/ }).click()
  await page.getByRole('button', { name: 'Compare side by side' }).click()
  const dialog = page.getByRole('dialog', { name: 'Which of these do you want to keep?' })
  await expect(dialog.getByRole('listitem')).toHaveCount(3)
  await dialog
    .getByRole('listitem')
    .filter({ hasText: 'Pool under the ledge, 2' })
    .getByRole('button', { name: 'Keep only this one' })
    .click()
  await expect(page.getByText('2 things are in the bin.')).toBeVisible()
})

test('files show what they hold: table and plot, PDF, document, old text, sound; the rest says what it is', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  const problems: string[] = []
  page.on('console', (message) => message.type() === 'error' && problems.push(message.text()))
  const open = async (words: string, name: string) => {
    await page.goto(`/evidence?words=${encodeURIComponent(words)}`)
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click()
    return page.getByRole('region', { name: new RegExp(`^${name}`) })
  }
  const table = await open('turbidity rows', 'Turbidity, 400 rows')
  await expect(table.getByText('400 rows, 200 shown')).toBeVisible()
  await table.getByText('Plot').click()
  await expect(
    table.getByRole('img', { name: 'Plot of Turbidity, 400 rows: water level m over hours' }),
  ).toBeVisible()
  await expect(table.locator('.main-svg').first()).toBeVisible()

  const report = await open('field report', 'Field report 2')
  await expect(report.getByRole('status')).toHaveText('Page 1 of 3')
  await report.getByRole('button', { name: 'Next page' }).click()
  await expect(report.getByRole('status')).toHaveText('Page 2 of 3')
  await expect(report.getByText(/The creek on the low marsh was walked/).first()).toBeAttached()

  const notes = await open('notes from visit', 'Notes from visit 3')
  await expect(notes.getByText(/Glasswort stood in seven of nine quadrats/)).toBeVisible()

  const sound = await open('marsh low water', 'Marsh at low water')
  await expect(sound.getByLabel('Marsh at low water')).toBeVisible()
  await expect(sound.locator('svg rect[height="88"]').first()).toBeAttached()

  await page.goto('/evidence')
  await gatherFiles(page, [
    {
      name: 'old letter.txt',
      mimeType: 'text/plain',
      buffer: Buffer.from('Der D\xe4mm h\xe4lt. \xdcber f\xfcnf Fl\xfcsse.', 'latin1'),
    },
    {
      name: 'box.zip',
      mimeType: 'application/zip',
      buffer: Buffer.from('PK\x05\x06' + '\0'.repeat(18), 'latin1'),
    },
    { name: 'broken.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.7\nnonsense') },
    {
      name: 'no film.mp4',
      mimeType: 'video/mp4',
      buffer: Buffer.concat([
        Buffer.from('\0\0\0\x18ftypmp42\0\0\0\0mp42isom', 'latin1'),
        Buffer.alloc(400, 7),
      ]),
    },
  ])
  await saved(page)
  const letter = await open('old letter', 'old letter')
  await expect(letter.getByText('Der Dämm hält.')).toBeVisible()
  await expect(letter.getByText(/Read as/)).toBeVisible()
  await expect((await open('box', 'box')).getByText(/application\/zip/)).toBeVisible()
  await expect((await open('broken', 'broken')).getByText('This document is damaged')).toBeVisible()
  const film = await open('no film', 'no film')
  await expect(film.getByText('This browser cannot play this video.')).toBeVisible()
  await expect(film.getByRole('link', { name: 'Download' })).toBeVisible()
  expect(problems.filter((text) => text.includes('Content Security Policy'))).toEqual([])
})
