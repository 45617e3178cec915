// Typing, and then the window goes: by reload, by closing, by leaving, or because its tab is killed. Every word stays.
import type { Browser, Page } from '@playwright/test'
import { addText, beginPage, saved } from './support/acts.ts'
import { onDevice } from './support/device.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

const DELAYS_MS = [0, 100, 300, 500]

/** A page with a first text that is saved. @returns its address */
async function beginWriting(browser: Browser, title: string): Promise<{ page: Page; address: string }> {
  const page = await site.pageAs(browser, 'Wren')
  await beginPage(page, title)
  await addText(page, 'Low water at seven.')
  await saved(page)
  return { page, address: page.url() }
}

async function goOnWriting(page: Page, words: string): Promise<void> {
  const text = page.locator('.ProseMirror')
  if ((await text.count()) === 0)
    await page
      .getByRole('button', { name: /^Write/ })
      .first()
      .click()
  await expect(text).toBeFocused()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(words)
}

/** What the server has, as another device reads it. */
async function expectSaved(page: Page, address: string, words: string): Promise<void> {
  const id = address.split('/').at(-1)
  await expect(async () => {
    const answer = await page.context().request.get(`/api/pages/${id}`)
    expect(JSON.stringify(await answer.json())).toContain(words)
  }).toPass({ timeout: 15_000 })
}

test('a window that is loaded anew loses no word', async ({ browser }) => {
  const { page, address } = await beginWriting(browser, 'Reload')
  for (const delay of DELAYS_MS) {
    await goOnWriting(page, ` Reloaded after ${delay}.`)
    await page.waitForTimeout(delay)
    await page.reload()
    await expectSaved(page, address, `Reloaded after ${delay}.`)
    await expect(page.getByText(`Reloaded after ${delay}.`)).toBeVisible()
  }
})

test('a window that is closed loses no word', async ({ browser }) => {
  const { page: first, address } = await beginWriting(browser, 'Close')
  let page = first
  for (const delay of DELAYS_MS) {
    await goOnWriting(page, ` Closed after ${delay}.`)
    await page.waitForTimeout(delay)
    await page.close({ runBeforeUnload: true })
    page = await first.context().newPage()
    await page.goto(address)
    await expectSaved(page, address, `Closed after ${delay}.`)
  }
})

test('another address and the way back lose no word', async ({ browser }) => {
  const { page, address } = await beginWriting(browser, 'Leave')
  for (const delay of DELAYS_MS) {
    await goOnWriting(page, ` Left after ${delay}.`)
    await page.waitForTimeout(delay)
    await page.goto('/evidence')
    await expectSaved(page, address, `Left after ${delay}.`)
    await page.goto(address)
    await goOnWriting(page, ` Back after ${delay}.`)
    await page.waitForTimeout(delay)
    await page.goBack()
    await expectSaved(page, address, `Back after ${delay}.`)
    await page.goto(address)
  }
})

test('a tab that is killed loses nothing but what was typed in its last moment', async ({ browser }) => {
  const { page: first, address } = await beginWriting(browser, 'Kill')
  const context = first.context()
  let page = first
  for (const delay of DELAYS_MS) {
    await goOnWriting(page, ` Before ${delay}.`)
    await page.waitForTimeout(300)
    await page.keyboard.type(` Killed after ${delay}.`)
    await page.waitForTimeout(delay)
    const session = await context.newCDPSession(page)
    const crashed = page.waitForEvent('crash')
    void session.send('Page.crash').catch(() => undefined)
    await crashed
    page = await context.newPage()
    // Any screen of the same person delivers what the tab left on the device.
    await page.goto('/evidence')
    await expectSaved(page, address, `Before ${delay}.`)
    if (delay >= 300) await expectSaved(page, address, `Killed after ${delay}.`)
    await page.goto(address)
  }
})

test('a text that is too long says that it is not saved, stays on the device, and is saved once it fits', async ({
  browser,
}) => {
  const { page, address } = await beginWriting(browser, 'Long')
  await page.evaluate(() => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', 'The bank is bare. '.repeat(11_500))
    const paste = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true })
    document.querySelector('.ProseMirror')?.dispatchEvent(paste)
  })
  const state = page.locator('header [data-state="refused"]')
  const words = page.getByRole('alert').filter({ hasText: 'This text is too long for one place.' })
  await expect(state).toContainText('Not saved')
  await expect(words).toBeVisible()

  await page.reload()
  await page
    .getByRole('button', { name: /^Write/ })
    .first()
    .click()
  await expect(words).toBeVisible()
  await expect(page.locator('.ProseMirror')).toContainText('The bank is bare.')

  await page.keyboard.press('Control+A')
  await page.keyboard.type('Low water at nine.')
  await expect(words).toBeHidden()
  await saved(page)
  await expectSaved(page, address, 'Low water at nine.')
})

test('a note that is left while a text of it is on its way is whole when it is seen again', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  const paragraph = { type: 'paragraph', content: [{ type: 'text', text: 'Visit 4.' }] }
  const { id } = await (
    await page.context().request.post('/api/notes', {
      data: { text: { type: 'doc', content: [paragraph] }, landing: {} },
      headers: { origin: site.address },
    })
  ).json()
  await page.goto(`/evidence/${id}`)
  await page.getByRole('button', { name: 'Edit' }).click()
  let isUploading = false
  await page.route(`**/api/notes/${id}`, async (route) => {
    if (route.request().method() !== 'PUT') return route.continue()
    isUploading = true
    await new Promise((resolve) => setTimeout(resolve, 1500))
    // The window that sent it may be gone.
    await route.continue().catch(() => undefined)
  })
  await page.getByRole('textbox', { name: 'Note' }).press('Control+End')
  await page.keyboard.type(' Stake 6')
  await expect(() => expect(isUploading).toBe(true)).toPass()
  await page.keyboard.type(' was set again.')
  await page.waitForTimeout(300)
  await page.unroute(`**/api/notes/${id}`)
  await page.reload()
  await expect(page.getByRole('group', { name: 'Note' })).toContainText('Visit 4. Stake 6 was set again.')
  await expect(async () => {
    const saved = await (await page.context().request.get(`/api/notes/${id}`)).json()
    expect(JSON.stringify(saved)).toContain('Stake 6 was set again.')
  }).toPass({ timeout: 15_000 })
})

test('what is written while the server is away lies on the device without a readable word, and comes back', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/')
  await page.getByRole('button', { name: 'write' }).first().click()
  const editor = page.getByRole('textbox', { name: 'Note' })
  await editor.click()
  await site.stop()
  await page.keyboard.type('Glasswort at stake seven')
  await expect(page.getByText('1 change is saved on this device only').first()).toBeVisible()
  await expect.poll(async () => (await onDevice(page)).map(({ store }) => store)).toContain('valise/sealed')
  // Neither what was typed nor what was read before: words of people lie in no store of the browser.
  const everything = JSON.stringify(await onDevice(page))
  for (const word of ['Glasswort', 'stake', 'seven', 'Wren', 'Shore']) expect(everything).not.toContain(word)

  // The window goes; the note is there when a note is written again, and becomes an item.
  await page.goto('about:blank')
  await site.start()
  await page.goto('/')
  await page.getByRole('button', { name: 'write' }).first().click()
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveText('Glasswort at stake seven')
  await saved(page)
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('Glasswort at stake seven').first()).toBeVisible()
  await expect
    .poll(async () => (await onDevice(page)).filter(({ store }) => store === 'valise/sealed'))
    .toEqual([])
})
