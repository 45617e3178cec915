// The frame: by keyboard alone, on a phone, in the dark, with news, and when one forgets to leave.
import { expect, NOW, test, useSite } from './support/site.ts'

const site = useSite()

test('a student reads Today and the class, by the names that others see', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Good morning, Wren.')
  await page.getByRole('link', { name: 'Class', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Who is in Shore Methods')
  await expect(page).toHaveTitle('Shore Methods · Valise')
  await expect(page.getByRole('main').getByRole('list').first().getByRole('listitem')).toHaveText([
    /Odalys Fenn/,
    /Rufus Brandt-Osei/,
  ])
  await expect(page.getByText('Wren Adeyemi-Holt, you')).toBeVisible()
  await expect(page.getByText('Imre Halloway-Stone')).toHaveCount(0) // comes in two weeks

  const junior = await site.pageAs(browser, 'Nell Quillan')
  await junior.goto('/')
  await junior.getByRole('link', { name: 'Class', exact: true }).click()
  await expect(junior.getByText('Hetty')).toBeVisible()
  await expect(junior.getByText('Oyelaran')).toHaveCount(0) // juniors are shown by first name
})

test('an address of others and one that never was show the same', async ({ browser }) => {
  const admin = await site.pageAs(browser, 'Mireille')
  await admin.goto('/classes')
  const href = await admin.getByRole('link', { name: 'Saturday Crew' }).getAttribute('href')
  const page = await site.pageAs(browser, 'Wren')
  for (const address of [
    href ?? '',
    '/classes/01890000-0000-7000-8000-000000000000',
    '/classes/nonsense',
    '/evidence/01890000-0000-7000-8000-000000000000',
    '/evidence/nonsense',
    '/nowhere',
  ]) {
    await page.goto(address)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Valise cannot find this')
    await expect(page).toHaveTitle('Valise cannot find this · Valise')
  }
})

test('everything is reached by keyboard, and letters act only where they may', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'Skip to the content' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('main')).toBeFocused()

  const tray = page.getByRole('region', { name: 'Tray' })
  await page.keyboard.press('t')
  await expect(tray.getByRole('link', { name: /^Quadrat 7/ })).toBeVisible()
  await page.keyboard.press('t')
  await expect(tray.getByRole('link', { name: /^Quadrat 7/ })).toBeHidden()

  const menu = page.getByRole('button', { name: /your menu/ })
  await menu.focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'Settings' })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(menu).toBeFocused()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')

  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Settings')
  await page.getByLabel('Current password').press('t')
  await expect(tray.getByRole('listitem')).toHaveCount(0) // typing never opens it
  await page.getByRole('radio', { name: 'Off' }).focus()
  await page.keyboard.press('Space')
  await expect(page.getByText('Saved 10:42').first()).toBeVisible()
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('t')
  await expect(tray.getByRole('listitem')).toHaveCount(0)
})

test('news are counted until they were looked at', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Sefa')
  await page.goto('/')
  const bell = page.getByRole('button', { name: /News/ })
  await expect(bell).toContainText('1 new')
  await bell.click()
  await expect(page.getByText('You are now a student in Shore Methods.').first()).toBeVisible()
  await bell.click()
  await expect(bell).not.toContainText('new')
  await page.reload()
  await expect(bell).toHaveText('News')
})

test('a phone has its places in the top bar', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Odalys', { viewport: { width: 360, height: 740 }, hasTouch: true })
  await page.goto('/')
  await page.getByRole('button', { name: 'Places' }).tap()
  const places = page.getByRole('dialog', { name: 'Places' })
  await places.getByRole('link', { name: 'Classes' }).tap()
  await expect(places).toBeHidden()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('You are in 1 class')
})

test('colours follow the device until one chooses, and stay chosen', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren', { colorScheme: 'dark' })
  const background = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor)
  await page.goto('/settings')
  await expect.poll(background).toBe('rgb(14, 29, 38)')
  await page.getByText('Light', { exact: true }).click()
  await expect.poll(background).toBe('rgb(240, 231, 215)')
  await page.reload()
  await expect.poll(background).toBe('rgb(240, 231, 215)')
})

test('an unattended screen asks, then signs out', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Nell Quillan')
  await page.clock.install({ time: NOW })
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nell.')
  await page.clock.runFor('13:10')
  const question = page.getByRole('alertdialog', { name: 'Are you still there?' })
  await expect(question).toBeVisible()
  await question.getByRole('button', { name: 'Stay signed in' }).click()
  await expect(question).toBeHidden()
  await page.clock.runFor('15:10')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Come in')
})

test('leaving in one tab leaves all, and being there in one counts for all', async ({ browser }) => {
  const first = await site.pageAs(browser, 'Nell Quillan')
  await first.clock.install({ time: NOW })
  await first.goto('/')
  await expect(first.getByRole('heading', { level: 1 })).toContainText('Nell.')
  const second = await first.context().newPage()
  await second.goto('/settings')
  await expect(second.getByRole('heading', { level: 1 })).toHaveText('Settings')

  await first.clock.runFor('13:10') // the clock of both tabs
  const questions = [first, second].map((page) =>
    page.getByRole('alertdialog', { name: 'Are you still there?' }),
  )
  for (const question of questions) await expect(question).toBeVisible()
  await second.getByRole('button', { name: 'Stay signed in' }).click()
  for (const question of questions) await expect(question).toBeHidden()

  await second.getByRole('button', { name: /your menu/ }).click()
  await second.getByRole('button', { name: 'Sign out', exact: true }).click()
  for (const page of [first, second])
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Come in')
})
