// Handing in: what is missing is mended in place, what is sealed stays, and nothing that was typed is lost.
import { createHash, createPublicKey, verify } from 'node:crypto'
import type { Page } from '@playwright/test'
import { chooseFiles, dayField, justGathered, saved, writeDay } from './support/acts.ts'
import { unsentOnDevice } from './support/device.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

const sixtyWords = Array.from({ length: 60 }, (_, n) => `word${n}`).join(' ')
const readinessOf = (page: Page) => page.getByRole('region', { name: 'What is needed' })
const panelOf = (page: Page) => page.getByRole('region', { name: 'Hand in', exact: true })

async function openAssignment(page: Page, title: string) {
  await page.goto('/submissions')
  // What was handed in has links of the same name, and may be there first.
  const open = page.locator('a[href^="/assignments/"]')
  await open.and(page.getByRole('link', { name: title, exact: true })).click()
  await expect(readinessOf(page)).toBeVisible()
}

async function agree(page: Page) {
  await expect(panelOf(page).getByRole('checkbox').first()).toBeVisible()
  for (const term of await panelOf(page).getByRole('checkbox').all()) await term.check()
}

/** On the screen of what was handed in, once its copy is sealed; Submit tells of the last hand-in as well. */
async function sealedAt(page: Page): Promise<void> {
  await expect(page).toHaveURL(/\/submissions\/[0-9a-f-]{36}$/)
  await expect(page.getByText('Handed in, not opened yet')).toBeVisible()
}

test('what is missing is mended where it is named; a gap that stays is handed in by name', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await openAssignment(page, 'Transect portfolio')
  const readiness = readinessOf(page)
  await expect(readiness.getByText('1 of 3 done')).toBeVisible()
  const gaps = readiness.getByRole('listitem')
  await expect(gaps.first()).toContainText('required')
  await expect(panelOf(page).getByText(/^Tick all the terms first\./)).toBeVisible()

  await readiness.getByRole('button', { name: 'Write it' }).click()
  // Something was said freely before; the questions of the assignment are answered beside it.
  await expect(readiness.getByText('15 words of at least 60')).toBeVisible()
  await readiness.getByRole('button', { name: 'Answer them one by one' }).click()
  await expect(readiness.getByText('0 of 4 questions answered')).toBeVisible()
  await readiness.getByRole('textbox', { name: 'What did you set out to find?' }).click()
  await page.keyboard.insertText(sixtyWords)
  await expect(readiness.getByText('75 words of at least 60')).toBeVisible()
  await saved(page)
  await expect(readiness.getByText('2 of 3 done')).toBeVisible()
  await page.reload()
  await expect(readiness.getByText('2 of 3 done')).toBeVisible()
  await expect(readiness.getByText('1 of 4 questions answered')).toBeVisible()
  await expect(readiness.getByRole('textbox', { name: 'What did you set out to find?' })).toHaveText(
    sixtyWords,
  )

  await agree(page)
  await expect(panelOf(page).getByText(/Still missing: 1 required thing\./)).toBeVisible()
  await panelOf(page).getByRole('button', { name: 'Hand in anyway' }).click()
  await sealedAt(page)
  await expect(page.getByText('1 thing missing', { exact: true })).toBeVisible()

  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto(page.url())
  const asked = odalys.getByRole('complementary', { name: 'Answer' })
  await expect(asked.getByText('2 of 3 done')).toBeVisible()
  await expect(asked.getByText(/still needs a data table\.$/)).toBeVisible()
})

test('an item of which nobody knows who made it is declared on the way', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Sefa')
  await page.goto('/')
  await chooseFiles(page, 'Choose files', [
    { name: 'tide table.txt', mimeType: 'text/plain', buffer: Buffer.from('High water 09:12') },
  ])
  await expect(justGathered(page)).toBeVisible()
  await openAssignment(page, 'One plant, one season')
  await page.getByRole('button', { name: 'Add evidence' }).first().click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /tide table/ })
    .click()
  const rights = readinessOf(page).getByRole('listitem').filter({ hasText: 'Who made each thing' })
  await expect(rights).toContainText('Still to say who made: tide table.')
  await rights.getByRole('button', { name: 'Say who made it' }).click()
  await rights.getByRole('button', { name: 'Made by me' }).click()
  await expect(rights.getByRole('status').first()).toHaveText('Done')
  await rights.getByRole('button', { name: 'Close' }).click()
  await expect(rights).toContainText('1 item')
})

test('what is newer is published first; taken back until it is opened, and not after', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await openAssignment(page, 'Reading the tide')
  const parts = page.getByRole('region', { name: 'What you hand in' })
  await parts.getByRole('button', { name: 'Add pages' }).click()
  const dialog = page.getByRole('dialog', { name: 'Which pages do you hand in?' })
  await dialog.getByRole('checkbox', { name: /^What the creek does to its bank/ }).check()
  await dialog.getByRole('button', { name: 'Add 1 page' }).click()
  const part = parts.getByRole('listitem').filter({ hasText: 'What the creek does to its bank' })
  await expect(part).toContainText('newer changes are not in it:')
  await part.getByRole('button', { name: 'Publish them first' }).click()
  await expect(part).toContainText('No newer changes.')
  await agree(page)
  await panelOf(page).getByRole('button', { name: 'Hand in', exact: true }).click()
  await sealedAt(page)

  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByText('Taken back', { exact: true })).toBeVisible()
  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto(page.url())
  await expect(odalys.getByRole('heading', { name: 'Valise cannot find this' })).toBeVisible()

  await page.getByRole('link', { name: 'Change and hand in' }).click()
  await agree(page)
  await panelOf(page).getByRole('button', { name: 'Hand in', exact: true }).click()
  await sealedAt(page)
  // The student's window has not heard of the opening yet: its questions are held until the button was pressed.
  const held: (() => void)[] = []
  await page.route(/\/api\/submissions\/[^/]+$/, (route) => {
    if (route.request().method() === 'GET') held.push(() => void route.continue())
    else void route.continue()
  })
  await odalys.goto(page.url())
  await expect(odalys.getByText('Nothing has changed since it was handed in.')).toBeVisible()
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByRole('alert')).toContainText('opened')
  for (const goOn of held) goOn()
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await expect(page.getByText('Handed in and opened')).toBeVisible()
})

test('the receipt proves what was handed in, without asking the school', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/submissions')
  await page.getByRole('link', { name: 'One plant, one season' }).first().click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save the signed receipt' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/^MB-\d{4}\.json$/)
  const chunks: Buffer[] = []
  for await (const chunk of await download.createReadStream()) chunks.push(Buffer.from(chunk))
  const { receipt, signature, publicKey, manifest } = JSON.parse(Buffer.concat(chunks).toString('utf8'))
  const key = createPublicKey(publicKey)
  const signed = Buffer.from(signature, 'base64url')
  expect(verify(null, Buffer.from(receipt), key, signed)).toBe(true)
  expect(verify(null, Buffer.from(receipt.replace('Wren', 'Wrem')), key, signed)).toBe(false)
  expect(JSON.parse(receipt).manifestSha256).toBe(createHash('sha256').update(manifest).digest('hex'))
})

test('an assignment is set, found by its students in their language, changed by two, and ended', async ({
  browser,
}) => {
  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto('/assignments')
  await odalys.getByRole('link', { name: 'Set an assignment' }).click()
  await odalys.getByLabel('Title').fill('Two winters')
  await odalys.getByText('Spanish', { exact: true }).click()
  await odalys.getByLabel('Title').fill('Dos inviernos')
  await writeDay(odalys, 'Due', '201220261700')
  await odalys.getByRole('button', { name: 'A text about one item' }).click()
  await odalys.getByLabel('Fewest words').fill('25')
  await expect.poll(() => unsentOnDevice(odalys)).toContain('/assignments/new')
  await odalys.reload() // what was not set yet is still there
  await expect(odalys.getByLabel('Fewest words')).toHaveValue('25')
  await odalys.getByRole('button', { name: 'Set the assignment' }).click()
  await expect(odalys.getByRole('heading', { level: 1 })).toHaveText('Two winters')

  const tomasz = await site.pageAs(browser, 'Tomasz')
  await tomasz.goto('/')
  await tomasz.getByRole('button', { name: /^News/ }).click()
  await expect(tomasz.getByText(/Two winters/).first()).toBeVisible()
  await openAssignment(tomasz, 'Two winters')
  await expect(readinessOf(tomasz)).toContainText('At least 25 words about one item')

  const rufus = await site.pageAs(browser, 'Rufus') // reads in Spanish
  await rufus.goto(odalys.url())
  await expect(rufus.getByRole('heading', { level: 1 })).toHaveText('Dos inviernos')
  await odalys.getByLabel('Title').fill('Two winters, one bank')
  await odalys.getByRole('button', { name: 'Save the changes' }).click()
  await expect(odalys.getByText('Saved.', { exact: true })).toBeVisible()
  await writeDay(rufus, 'Fecha límite', '211220261700')
  await rufus.getByRole('button', { name: 'Guardar los cambios' }).click()
  await expect(rufus.getByRole('alert')).toBeVisible()
  await rufus.getByRole('button', { name: 'Guardar los cambios' }).click()
  await expect(rufus.getByRole('alert')).toHaveCount(0)
  await odalys.reload()
  await expect(odalys.getByLabel('Title')).toHaveValue('Two winters, one bank')
  await expect(dayField(odalys, 'Due').locator('input')).toHaveValue('21/12/2026 17:00')

  await odalys.getByRole('button', { name: 'End the assignment' }).click()
  await expect(odalys.getByText(/Nobody can hand in\.$/)).toBeVisible()
  await tomasz.reload()
  await expect(panelOf(tomasz).getByRole('button', { name: 'Hand in', exact: true })).toBeDisabled()
})
