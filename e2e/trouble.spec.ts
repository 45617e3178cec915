// Trouble: the session ends or the server goes away while one types. Nothing that was typed is lost.
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

async function fillNewPerson(page: import('@playwright/test').Page, signInName: string) {
  await page.goto('/people/new')
  await page.getByLabel('Full name').fill('Esteban Quay-Ferrer')
  await page.getByLabel('First name').fill('Esteban')
  await page.getByLabel('Sign-in name').fill(signInName)
}

test('a session that ends in the middle of typing is taken up again over the screen', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Mireille')
  await fillNewPerson(page, 'esteban')
  const elsewhere = await site.pageAs(browser, 'Mireille')
  await elsewhere.goto('/settings')
  await elsewhere.getByRole('button', { name: 'Sign out everywhere else' }).click()
  await expect(elsewhere.getByText('You are signed in on this device only.')).toBeVisible()

  await page.getByRole('button', { name: 'Add', exact: true }).click()
  const dialog = page.getByRole('dialog', { name: 'You were signed out' })
  await dialog.getByLabel('Sign-in name').fill('mireille')
  await dialog.getByRole('textbox', { name: 'Password' }).fill('low water at seven')
  await dialog.getByRole('button', { name: 'Sign in again' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByLabel('Full name')).toHaveValue('Esteban Quay-Ferrer')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Esteban Quay-Ferrer')
})

test('somebody else who signs in over a lost session finds nothing of the first person', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Mireille')
  await fillNewPerson(page, 'esteban.two')
  await page.context().clearCookies()
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  const dialog = page.getByRole('dialog', { name: 'You were signed out' })
  await dialog.getByLabel('Sign-in name').fill('wren')
  await dialog.getByRole('textbox', { name: 'Password' }).fill('low water at seven')
  await dialog.getByRole('button', { name: 'Sign in again' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Wren.')
  await expect(page.getByText('Esteban')).toHaveCount(0)
})

test('while the server is away the screen says so, keeps what was typed, and goes on when it is back', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Mireille')
  await fillNewPerson(page, 'esteban.three')
  await site.stop()
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'There is no connection' })).toBeVisible()
  await expect(page.getByText('Not saved').first()).toBeVisible()
  await expect(page.getByLabel('Sign-in name')).toHaveValue('esteban.three')
  await page.getByRole('button', { name: /your menu/ }).click()
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'There is no connection' })).toHaveCount(2)
  await page.keyboard.press('Escape')
  await site.start()
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Esteban Quay-Ferrer')
})

test('a double press adds one person', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Mireille')
  await fillNewPerson(page, 'esteban.four')
  await page.getByRole('button', { name: 'Add', exact: true }).dblclick()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Esteban Quay-Ferrer')
  await page.goto('/people?text=esteban.four')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1 person')
})

test('a list that cannot be fetched says what to do', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Mireille')
  await page.route('**/api/records*', (route) => route.fulfill({ status: 502, body: 'bad gateway' }))
  await page.goto('/records')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.unroute('**/api/records*')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('table')).toBeVisible()
})

test('off-line the frame stays, says that a screen is not here yet, and opens it by itself', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Where you left off' })).toBeVisible()
  await page.context().setOffline(true)
  await page.getByRole('link', { name: /^Sharing/ }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'This screen has not loaded yet' })).toBeVisible()
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Tray' })).toBeVisible()
  await page.context().setOffline(false)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Who can see what, and until when')
})

test('after a new version was installed a window of the old one opens its screens all the same', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Where you left off' })).toBeVisible()
  // The code that this window knows of is no longer there; a fresh page knows where the new one is.
  await page.route('**/assets/SharingScreen-*', (route) => route.fulfill({ status: 404, body: '' }))
  const reloaded = page.waitForEvent('load')
  await page.getByRole('link', { name: /^Sharing/ }).click()
  await reloaded
  await page.unroute('**/assets/SharingScreen-*')
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Who can see what, and until when')
})
