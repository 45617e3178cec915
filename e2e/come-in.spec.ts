// Coming in and going out: by password, by one click, by a link after a forgotten password.
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

test('a student signs in with name and password, lands where they wanted to go, and signs out', async ({
  browser,
}) => {
  const page = await site.pageOfNobody(browser)
  await page.goto('/settings')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Come in')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText('Fill this in.')).toHaveCount(2)

  await page.getByLabel('Sign-in name').fill('Wren')
  await page.getByRole('textbox', { name: 'Password' }).fill('not this one')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('do not match')

  await page.getByRole('textbox', { name: 'Password' }).fill('low water at seven')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Settings')

  await page.getByRole('button', { name: /your menu/ }).click()
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Come in')
  await page.goBack()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Come in')
})

test('one click signs in as a person of the sample world', async ({ browser }) => {
  const page = await site.pageOfNobody(browser)
  await page.goto('/')
  await page.getByRole('button', { name: /Odalys Fenn/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Odalys.')
  await expect(page.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText([
    'Today',
    /^Review desk/,
    'Classes',
    /^Shared with me/,
    /^Assignments/,
    'Guides',
    'Question sheets',
    'Attributes',
  ])
})

test('a forgotten password is replaced through the mail room, once', async ({ browser }) => {
  const page = await site.pageOfNobody(browser)
  await page.goto('/')
  await page.getByRole('button', { name: 'I forgot my password' }).click()
  await page.getByLabel('Sign-in name').fill('tomasz')
  await page.getByRole('button', { name: 'Send the link' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'a link is on its way' })).toBeVisible()

  await expect(async () => {
    await page.goto(site.mailRoom)
    await expect(page.getByText('Simulated. Nothing leaves this machine.')).toBeVisible()
    await expect(
      page.getByRole('heading', { name: 'Choose your password for Marram Bay Field College' }),
    ).toBeVisible({ timeout: 500 })
  }).toPass()
  const link = page.getByRole('article').getByRole('link')
  const address = (await link.getAttribute('href')) ?? ''
  await link.click()
  await page.getByLabel('New password').fill('short')
  await page.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(page.getByText('The password is too short.')).toBeVisible()
  await page.getByLabel('New password').fill('curlew over the creek')
  await page.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tomasz.')

  const other = await site.pageOfNobody(browser)
  await other.goto(address)
  await other.getByLabel('New password').fill('curlew over the creek')
  await other.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(other.getByRole('alert')).toContainText('was already used')
})

test('the door speaks Spanish, and each person their own language', async ({ browser }) => {
  const page = await site.pageOfNobody(browser)
  await page.goto('/')
  await page.getByText('Español', { exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Entra')
  await expect(page.locator('html')).toHaveAttribute('lang', 'es')
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Entra')
  await page.getByRole('button', { name: /Rufus Brandt-Osei/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Rufus.')
  await expect(page.getByRole('link', { name: 'Clases' })).toBeVisible()
})
