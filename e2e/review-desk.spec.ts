// The review desk: a whole queue by keys, nothing that was written is lost, and every answer can be undone for a minute.
import type { Locator, Page } from '@playwright/test'
import { unsentOnDevice } from './support/device.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

const answerOf = (page: Page) => page.getByRole('complementary', { name: /^(Your answer to|Tu respuesta a)/ })
const feedbackOf = (page: Page) => page.getByRole('textbox', { name: 'Feedback', exact: true })
const copyName = (page: Page) => page.locator('main header h1')
const toRead = (page: Page) => page.getByRole('link', { name: /^Review desk/ })

/** Opens the first copy of the queue over all assignments, by its key. */
async function beginReading(page: Page, agrees = 'Nothing has changed since it was handed in.') {
  await page.goto('/review-desk')
  await expect(page.locator('main li a[href^="/submissions/"]').first()).toBeVisible()
  await page.keyboard.press('n')
  await expect(page.getByText(agrees)).toBeVisible()
}

async function isInView(part: Locator): Promise<boolean> {
  return part.evaluate((element) => {
    const { top, bottom, left, width } = element.getBoundingClientRect()
    const middle = document.elementFromPoint(left + width / 2, (top + bottom) / 2)
    return top >= 0 && bottom <= window.innerHeight && element.contains(middle)
  })
}

test('everything needed to answer is in view, and letters can be switched off', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys')
  await beginReading(page)
  const answer = answerOf(page)
  await expect(answer).toBeFocused()
  await page.keyboard.press('Control+Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Choose a level' })).toBeAttached()
  await page.keyboard.press('1')
  for (const part of [
    ...(await answer.getByRole('listitem').first().all()),
    feedbackOf(page),
    ...(await answer.locator('label:has(input[name="level"])').all()),
    answer.getByRole('button', { name: 'Ask for changes' }),
    answer.getByRole('button', { name: 'Accept and open next' }),
  ])
    expect(await isInView(part)).toBe(true)
  // Each of the three columns scrolls; the screen around them does not.
  expect(await page.locator('main').evaluate((main) => main.scrollHeight - main.clientHeight)).toBe(0)
  await page.setViewportSize({ width: 1280, height: 520 })
  const paper = page.getByRole('region', { name: /^Sealed copy of/ })
  await page.keyboard.press('PageDown')
  await expect.poll(() => paper.evaluate((element) => element.scrollTop)).toBeGreaterThan(0)
  await page.setViewportSize({ width: 1280, height: 800 })

  const first = (await copyName(page).textContent()) ?? ''
  await page.getByRole('button', { name: 'Turn letter keys off' }).click()
  await expect(page.getByRole('button', { name: 'Turn letter keys on' })).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.press('3')
  await expect(copyName(page)).toHaveText(first)
  await expect(answer.getByRole('radio', { name: 'Not yet' })).toBeChecked()
  // No single letter: it acts all the same.
  await page.keyboard.press('Control+Enter')
  await expect(copyName(page)).not.toHaveText(first)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(copyName(page)).toHaveText(first)
  await page.getByRole('button', { name: 'Turn letter keys on' }).click()
  await expect(page.getByRole('button', { name: 'Turn letter keys off' })).toBeVisible()
})

test('changes are asked for with a sentence; each copy keeps what is written on it', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys')
  await beginReading(page)
  const first = (await copyName(page).textContent()) ?? ''
  await page.keyboard.press('b')
  await expect(page.getByText('This is the first copy.')).toBeAttached()
  await page.keyboard.press('f')
  // In a field, letters and digits are words.
  await page.keyboard.type('nb 3 and r')
  await expect(feedbackOf(page)).toHaveValue('nb 3 and r')
  await page.keyboard.press('Escape')
  await expect(answerOf(page)).toBeFocused()
  await page.keyboard.press('n')
  await expect(copyName(page)).not.toHaveText(first)
  await expect(answerOf(page)).toBeFocused()
  const row = page.locator('main li a').filter({ hasText: first }).first()
  await expect(row).toContainText('Feedback not sent yet')

  await page.keyboard.press('r')
  const request = page.getByRole('textbox', { name: 'What should change?' })
  await expect(request).toBeFocused()
  await page.keyboard.press('Control+Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Write what should change first.' })).toBeAttached()
  await page.keyboard.type('Say how you chose the places.')
  const second = (await copyName(page).textContent()) ?? ''
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText(`You asked ${second} for changes.`)).toBeVisible()
  await page.keyboard.press('u')
  await expect(copyName(page)).toHaveText(second)
  await expect(request).toHaveValue('Say how you chose the places.')
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('group', { name: 'Level' })).toBeVisible()

  await page.keyboard.press('b')
  await expect(copyName(page)).toHaveText(first)
  await expect(feedbackOf(page)).toHaveValue('nb 3 and r')
})

test('an answer is undone with its level and its words, also for the student', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys')
  await page.goto('/review-desk')
  await page.getByRole('link', { name: /^Wren/ }).first().click()
  await expect(page.getByText('Nothing has changed since it was handed in.')).toBeVisible()
  const address = new URL(page.url()).pathname
  await page.keyboard.press('3')
  await page.keyboard.press('f')
  await page.keyboard.type('The second look was worth it.')
  await expect(page.getByText('Your feedback is sent with the answer.')).toBeVisible()
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText(/You accepted Wren/)).toBeVisible()
  const wren = await site.pageAs(browser, 'Wren')
  await wren.goto(address)
  await expect(wren.getByText('The second look was worth it.')).toBeVisible()

  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page).toHaveURL(new RegExp(address))
  await expect(feedbackOf(page)).toHaveValue('The second look was worth it.')
  await expect(answerOf(page).getByRole('radio', { name: 'On my own' })).toBeChecked()
  await wren.reload()
  await expect(wren.getByText('Handed in and opened')).toBeVisible()
  await expect(wren.getByText('The second look was worth it.')).toHaveCount(0)
  // What is written goes alone too, and the field is empty then.
  await page.getByRole('button', { name: 'Send feedback', exact: true }).click()
  await expect(feedbackOf(page)).toHaveValue('')
  await wren.reload()
  await expect(wren.getByText('The second look was worth it.')).toBeVisible()
})

test('an answer that is ready before its copy is open is given as soon as it is', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys')
  const held: (() => void)[] = []
  await page.route(/\/api\/submissions\/[^/]+\/open$/, (route) => {
    held.push(() => void route.continue())
  })
  await page.goto('/review-desk')
  await page.locator('main li a').filter({ hasNotText: 'opened' }).first().click()
  await expect(answerOf(page)).toBeVisible()
  await page.keyboard.press('2')
  await page.keyboard.press('Control+Enter')
  await expect.poll(() => held.length).toBe(1)
  await expect(page.getByText(/^You accepted/)).toHaveCount(0)
  for (const goOn of held.splice(0)) goOn()
  await expect(page.getByText(/^You accepted .*: With help\.$/)).toBeVisible()
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(answerOf(page).getByRole('radio', { name: 'With help' })).toBeChecked()
})

test('of two assessors who answer one copy, the second hears it and comes back to it', async ({
  browser,
}) => {
  const desks = await Promise.all(['Odalys', 'Rufus'].map((who) => site.pageAs(browser, who)))
  const [odalys, rufus] = desks as [Page, Page]
  await beginReading(odalys)
  const name = (await copyName(odalys).textContent()) ?? ''
  await rufus.goto(odalys.url()) // reads in Spanish
  await expect(rufus.getByText('Nada ha cambiado desde que se entregó.')).toBeVisible()
  await rufus.keyboard.press('3')
  await odalys.keyboard.press('3')
  await odalys.keyboard.press('Control+Enter')
  await expect(odalys.getByText(/^You accepted/)).toBeVisible()
  await rufus.getByRole('textbox', { name: 'Comentario' }).fill('Bien visto.')
  await rufus.getByRole('button', { name: 'Aceptar y seguir' }).click()
  const note = rufus.getByRole('alert').filter({ hasText: 'Mientras tanto esto se respondió' })
  await expect(note).toContainText('Lo que escribiste está a salvo')
  await note.getByRole('button', { name: 'Abrir' }).click()
  await expect(copyName(rufus)).toHaveText(name)
  await expect(rufus.getByText('Aceptado', { exact: true }).first()).toBeVisible()
  await expect(rufus.getByRole('textbox', { name: 'Comentario' })).toHaveValue('Bien visto.')
  await odalys.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(copyName(odalys)).toHaveText(name)
})

test('an answer that is half written waits on the device, for its writer alone', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys')
  await beginReading(page)
  await feedbackOf(page).fill('You looked twice, and')
  await page.getByText('On my own', { exact: true }).click()
  await expect.poll(() => unsentOnDevice(page)).toContain('#feedback')
  expect(await unsentOnDevice(page)).not.toContain('looked twice')
  await page.reload()
  await expect(feedbackOf(page)).toHaveValue('You looked twice, and')
  await expect(answerOf(page).getByRole('radio', { name: 'On my own' })).toBeChecked()
  await page.getByRole('button', { name: 'Send feedback', exact: true }).click()
  await expect(feedbackOf(page)).toHaveValue('')
  await page.reload()
  await expect(page.getByText('You looked twice, and')).toBeVisible()
  await expect(feedbackOf(page)).toHaveValue('')
})

test('on a phone the queue leads to a copy and back', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys', { viewport: { width: 360, height: 740 }, hasTouch: true })
  await page.goto('/review-desk')
  await page
    .getByRole('link', { name: /^Nell Sorrel/ })
    .first()
    .tap()
  await expect(page.getByRole('heading', { level: 1, name: 'Nell Sorrel' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Copies to read' })).toBeHidden()
  await page.getByRole('link', { name: 'Back to the copies' }).tap()
  await expect(page.getByRole('link', { name: /^Nell Sorrel/ }).first()).toContainText('opened')
})

// The last one: it leaves nothing to read.
test('a queue of 23 copies takes at most four key presses a copy, besides typing', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys')
  let presses = 0
  const press = async (key: string) => {
    presses += 1
    await page.keyboard.press(key)
  }
  await page.goto('/review-desk')
  await expect(toRead(page)).toContainText('23')
  await press('n')
  for (let n = 23; n > 0; n -= 1) {
    await expect(answerOf(page)).toBeFocused()
    const name = await copyName(page).textContent()
    await press(String((n % 4) + 1))
    await press('f')
    await page.keyboard.type(`Copy ${n}: say how you chose the places.`)
    await press('Control+Enter')
    await expect(page.getByText(`You accepted ${name}’s copy:`)).toBeVisible()
  }
  expect(presses).toBeLessThanOrEqual(4 * 23)
  await expect(page.getByText('Nothing to read just now.')).toBeVisible()
  await page.getByText('Read, 36', { exact: true }).click()
  const lines = page.locator('main li a[href^="/submissions/"]')
  await expect(lines).toHaveCount(36)
  await expect(lines.filter({ hasText: 'Feedback not sent yet' })).toHaveCount(0)
})
