// Writing far beyond what is usual: a megabyte pasted into one answer, and two hundred questions in a row.
import type { Page } from '@playwright/test'
import { expect, test, useSite } from './support/site.ts'
import { beginEntry, saved } from './support/acts.ts'

const site = useSite()
const WORDS = 'Where the bank is bare, the water carries more mud. '

async function paste(page: Page, text: string): Promise<void> {
  await page.evaluate((pasted) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', pasted)
    const event = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true })
    document.activeElement?.dispatchEvent(event)
  }, text)
}

test('a megabyte that is pasted into one place is refused in a sentence, stays, and is saved once it is shorter', async ({
  browser,
}) => {
  const wren = await site.pageAs(browser, 'Wren')
  await beginEntry(wren, 'A whole book')
  await saved(wren)
  const text = wren.getByRole('textbox', { name: 'What you think' })
  await text.click()
  await paste(wren, WORDS.repeat(20_000))
  await expect(wren.getByText(/This text is too long for one place\. Move part of it/)).toBeVisible()
  await expect(text).toContainText('Where the bank is bare')
  // What is on this device alone survives that the window goes, and still says so.
  await wren.reload()
  await expect(wren.getByText(/saved on this device only/).first()).toBeAttached()

  await text.click()
  await wren.keyboard.press('Control+A')
  await wren.keyboard.type('Only the end of it.')
  await saved(wren)
  await wren.reload()
  await expect(text).toHaveText('Only the end of it.')
})

test('a sheet of two hundred questions is written, and the last one is answered', async ({ browser }) => {
  test.setTimeout(180_000)
  const odalys = await site.pageAs(browser, 'Odalys')
  const { request } = odalys.context()
  const headers = { origin: site.address }
  const begun = await (
    await request.post('/api/sheets', { data: { title: { en: 'Two hundred' } }, headers })
  ).json()
  const shared = { hint: {}, weight: 'should', words: { least: 0, most: null }, kind: 'short' }
  const questions = Array.from({ length: 200 }, (_, n) => ({
    ...{ ...shared, id: `q${n}`, asks: { en: `Stake ${n + 1}?` } },
  }))
  const path = `/api/sheets/${begun.id}`
  const at = (revision: number) => ({ ...headers, 'if-match': `"r${revision}"` })
  const written = await request.put(path, {
    data: { content: { title: { en: 'Two hundred' }, about: {}, questions } },
    headers: at(begun.revision),
  })
  expect([written.status(), await written.text()]).toEqual([200, expect.anything()])
  await request.post(`${path}/versions`, { data: {}, headers: at(begun.revision + 1) })
  const classes: { memberships: { classId: string; className: string }[] } = await (
    await request.get('/api/session')
  ).json()
  const classId = classes.memberships.find(({ className }) => className === 'Shore Methods')?.classId
  await request.put(`${path}/offers`, { data: { classIds: [classId] }, headers: at(begun.revision + 2) })

  const wren = await site.pageAs(browser, 'Wren')
  await wren.goto('/entries/new')
  await wren.getByRole('combobox', { name: 'Questions' }).click()
  await wren.getByRole('option', { name: 'Two hundred' }).click()
  await wren.getByRole('button', { name: 'Write entry' }).click()
  const last = wren.getByRole('textbox', { name: 'Stake 200?' })
  await last.fill('Gone')
  await saved(wren)
  await expect(wren.getByText('1 of 200 questions answered')).toBeVisible()
  await wren.reload()
  await expect(last).toHaveValue('Gone')
})
