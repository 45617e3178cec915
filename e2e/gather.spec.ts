// Gathering: files come in, are named, tagged and credited, picked up, put into the bin and taken out again.
import { chooseFiles, gatherFiles, justGathered, picture } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite({ VALISE_LARGEST_FILE: '60' })

const text = (name: string, words: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(words) })

test('several files come in from Today, get their maker, and lie first in the grid', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Sefa')
  await page.goto('/evidence')
  await expect(page.getByText('No evidence yet.')).toBeVisible()
  await page.goto('/')
  await chooseFiles(page, 'Choose files', [
    picture('rock pool'),
    text('IMG_2041.txt', 'low water'),
    text('x.txt', ''),
  ])
  const list = page.getByRole('region', { name: 'Uploads' })
  await expect(list.getByRole('heading')).toHaveText('Some files were not uploaded')
  await expect(list.getByRole('alert')).toHaveText(/^The file is empty\. Choose another one/)
  const gathered = justGathered(page)
  await expect(gathered.getByRole('heading')).toHaveText('2 things just added')
  await expect(page.getByText('Saved 10:42').first()).toBeVisible()
  await gathered.getByRole('button', { name: 'Made by me' }).click()
  await expect(gathered.getByText('Made by you.')).toBeVisible()
  await gathered.getByRole('link', { name: 'Show it rock pool' }).click()
  await expect(page.getByText('2 of 2')).toBeVisible()
  const drawer = page.getByRole('region', { name: 'rock pool' })
  await expect(drawer.getByLabel('Title')).toHaveValue('rock pool')
  await expect(drawer.getByText('Made by me', { exact: true })).toBeVisible()
  await expect(drawer.getByRole('button', { name: 'Take out of Tray' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^File from 26 Nov/ })).toBeVisible() // only a device spoke there
})

test('dropping files anywhere brings them in, and shows them', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Juno')
  await page.goto('/settings')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  const transfer = await page.evaluateHandle(() => {
    const data = new DataTransfer()
    data.items.add(new File(['tide'], 'dropped tide.txt', { lastModified: 1_764_000_000_000 }))
    return data
  })
  await page.dispatchEvent('body', 'dragenter', { dataTransfer: transfer })
  await expect(page.getByText('Drop it here to add it to your evidence.')).toBeVisible()
  await page.dispatchEvent('body', 'drop', { dataTransfer: transfer })
  await expect(page.getByText('Drop it here to add it to your evidence.')).toBeHidden()
  await expect(page).toHaveURL(/\/evidence$/)
  await expect(page.getByRole('button', { name: /^dropped tide/ })).toBeVisible()
})

test('what is said of an item keeps itself, and stands there after a reload', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  await page.getByRole('button', { name: /^Heron at the weir/ }).click()
  const drawer = page.getByRole('region', { name: /^Heron at the/ })
  await expect(drawer.getByText('Say who made it')).toBeVisible()
  await drawer.getByLabel('Title').fill('Heron at the old weir')
  await drawer.getByLabel('Tags').fill('Transect')
  await page.keyboard.press('Enter')
  await drawer.getByLabel('Tags').fill('Patience')
  await drawer.getByLabel('Title').focus() // leaving the field keeps what was typed
  await expect(drawer.getByText('Patience')).toBeVisible()
  await drawer.getByRole('button', { name: 'Made by somebody else' }).click()
  await drawer.getByRole('button', { name: 'Say who made it' }).click()
  await expect(drawer.getByText('Fill this in.').first()).toBeVisible()
  await drawer.getByLabel('Who made it').fill('Ada Reed')
  await drawer.getByLabel('Where it comes from').fill('https://shelf.example/heron')
  await drawer.getByRole('button', { name: 'Say who made it' }).click()
  await expect(drawer.getByText('By Ada Reed,')).toBeVisible()
  await expect(page.getByText('Saved 10:42').first()).toBeVisible()

  await page.reload()
  const again = page.getByRole('region', { name: 'Heron at the old weir' })
  await expect(again.getByLabel('Title')).toHaveValue('Heron at the old weir')
  for (const tag of ['Birds', 'Transect', 'Patience']) await expect(again.getByText(tag)).toBeVisible()
  await expect(again.getByRole('link', { name: 'CC BY 4.0' })).toHaveAttribute('href', /creativecommons/)
  await expect(again.getByRole('link', { name: 'Source' })).toHaveAttribute(
    'href',
    'https://shelf.example/heron',
  )
})

test('a title that was typed the moment before the window closed is kept', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence?words=wrack')
  await page.getByRole('button', { name: /^Wrack line/ }).click()
  await page.getByLabel('Title').fill('Wrack after the gale')
  const context = page.context()
  await page.close({ runBeforeUnload: true })
  const next = await context.newPage()
  await next.goto('/evidence?words=wrack')
  await expect(next.getByRole('button', { name: /^Wrack after the gale/ })).toBeVisible()
})

test('a title that is typed while another window changes the item is not lost', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  const other = await page.context().newPage()
  for (const window of [page, other]) {
    await window.goto('/evidence')
    await window.getByRole('button', { name: /^Transect map/ }).click()
    await expect(window.getByLabel('Title')).toHaveValue('Transect map')
  }
  await other.getByLabel('Title').fill('Map of transect 3')
  await other.keyboard.press('Enter')
  await expect(other.getByText('Saved 10:42').first()).toBeVisible()
  await page.getByLabel('Title').fill('Map, the long way round')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveText(/Somebody else changed this while you had it open/)
  await expect(page.getByLabel('Title')).toHaveValue('Map, the long way round')
  await page.getByLabel('Title').press('End')
  await page.keyboard.type(' again')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.reload()
  await expect(page.getByLabel('Title')).toHaveValue('Map, the long way round again')
})

test('things are picked up and put back, and the tray goes along', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Tomasz')
  await page.goto('/evidence')
  const tray = page.getByRole('region', { name: 'Tray' })
  await expect(tray.getByText('The Tray is empty')).toBeVisible()
  await page.getByRole('button', { name: 'Pick it up: Quadrat 1' }).click()
  await page.getByRole('button', { name: 'Pick it up: Stake 2, visit 1' }).click()
  await expect(tray.getByText('2 things')).toBeVisible()
  await page.getByRole('link', { name: 'Today' }).click()
  await page.reload()
  await expect(tray.getByText('2 things')).toBeVisible()
  await page.keyboard.press('t')
  await expect(tray.getByRole('listitem').getByRole('link')).toHaveText([/^Quadrat 1/, /^Stake 2, visit 1/])
  await tray.getByRole('button', { name: 'Take Quadrat 1 out of the Tray' }).click()
  await expect(tray.getByText('1 thing', { exact: true })).toBeVisible()
  await tray.getByRole('link', { name: /^Stake 2/ }).click()
  const drawer = page.getByRole('region', { name: 'Stake 2, visit 1' })
  await drawer.getByRole('button', { name: 'Take out of Tray' }).click()
  await expect(
    tray.getByText('The Tray is empty. Press the case on any evidence to pick it up.'),
  ).toBeVisible()
})

test('what is picked up again lies in the Tray, however slow it was to be put back', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Tomasz')
  await page.goto('/evidence')
  await page.getByRole('button', { name: /^Quadrat 1/ }).click()
  const drawer = page.getByRole('region', { name: 'Quadrat 1' })
  const pick = drawer.getByRole('button', { name: 'Pick it up' })
  const putBack = drawer.getByRole('button', { name: 'Take out of Tray' })
  const answerTo = (method: string) =>
    page.waitForResponse((one) => one.request().method() === method && one.url().includes('/api/tray/'))
  const first = answerTo('PUT')
  await pick.click()
  await first
  let letGo: () => void = () => undefined
  const held = new Promise<void>((resolve) => (letGo = resolve))
  await page.route('**/api/tray/*', async (route) => {
    if (route.request().method() === 'DELETE') await held
    await route.continue()
  })
  await putBack.click()
  const second = answerTo('PUT')
  await pick.click()
  letGo()
  await second
  await page.reload()
  await expect(putBack).toBeVisible()
})

test('a better file makes a version, and the first one can come back', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  await page.getByRole('button', { name: /^Turbidity, 400 rows/ }).click()
  const drawer = page.getByRole('region', { name: 'Turbidity, 400 rows' })
  await chooseFiles(page, 'Replace the file', {
    name: 'tides2.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('day\n1\n'),
  })
  await expect(page.getByText('New version of the item')).toBeVisible()
  await expect(drawer.getByRole('listitem')).toHaveText([
    /^tides2\.csvVersion 2/,
    /^turbidity_creek_mouth\.csvVersion 1/,
  ])
  await drawer.getByRole('button', { name: 'Use version 1 again' }).click()
  await expect(drawer.getByRole('listitem').first()).toHaveText(/^turbidity_creek_mouth\.csvVersion 3/)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    drawer.getByRole('link', { name: 'tides2.csv' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('tides2.csv')

  await chooseFiles(page, 'Replace the file', picture('no table'))
  await expect(page.getByRole('alert')).toHaveText(
    /a different kind from this item, so it did not replace it/,
  )
  await expect(drawer.getByRole('listitem')).toHaveCount(3)
})

test('the bin gives back what was put there, until it is removed for good', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  const putIntoBin = async () => {
    await page.getByRole('button', { name: /^Curlew at the creek/ }).click()
    await page.getByRole('button', { name: 'Put in the bin' }).click()
    await expect(page.getByText('Curlew at the creek is in the bin.')).toBeVisible()
    await expect(page.getByRole('button', { name: /^Curlew at the creek/ })).toHaveCount(0)
  }
  // More than once: what is fetched anew meanwhile must neither keep the drawer open nor swallow the note.
  for (let time = 0; time < 3; time += 1) {
    await putIntoBin()
    await expect(page).toHaveURL('/evidence')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText('Curlew at the creek is in the bin.')).toHaveCount(0)
    await expect(page.getByRole('button', { name: /^Curlew at the creek/ })).toBeVisible()
  }
  await putIntoBin()
  await page.getByRole('link', { name: 'Bin' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('2 things in the bin')
  await expect(page.getByText('Here until 26 Dec')).toBeVisible()
  await page.getByRole('button', { name: 'Remove for good: Curlew at the creek' }).click()
  const question = page.getByRole('dialog')
  await question.getByRole('button', { name: 'Cancel' }).click()
  await expect(question).toBeHidden()
  await page.getByRole('button', { name: 'Remove for good: Curlew at the creek' }).click()
  await question.getByRole('button', { name: 'Remove for good' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1 thing in the bin')
  await page.getByRole('button', { name: 'Take it out: Blurred, do not use' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The bin is empty')
})

test('everything goes by keyboard', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  await page.getByRole('button', { name: /^Dawn on the low marsh/ }).focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByRole('button', { name: /^Quadrat 7/ })).toBeFocused()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('checkbox', { name: 'Choose Quadrat 7, low marsh' })).toBeFocused()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'Take out of Tray: Quadrat 7, low marsh' })).toBeFocused()
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'Pick it up: Quadrat 7, low marsh' }).press('Shift+Tab')
  await page.keyboard.press('Shift+Tab')
  await page.keyboard.press('Enter')
  const drawer = page.getByRole('region', { name: 'Quadrat 7, low marsh' })
  await expect(drawer).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(drawer).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Quadrat 7/ })).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('button', { name: /^Walking a transect,/ })).toBeFocused()
  await page.keyboard.press('End')
  await page.keyboard.press('Home')
  await expect(page.getByRole('button', { name: /^Dawn on the low marsh/ })).toBeFocused()
})

test('a picture goes in from a phone', async ({ browser }) => {
  const options = { viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true }
  const page = await site.pageAs(browser, 'Nell Quillan', options)
  await page.goto('/')
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take a photo' }).tap(),
  ])
  expect(await chooser.element().getAttribute('capture')).toBe('environment')
  await chooser.setFiles(picture('crab'))
  await expect(justGathered(page).getByText('Made by you.')).toBeVisible()
  await page.getByRole('link', { name: 'Show it' }).tap()
  await expect(page.getByRole('region', { name: 'crab' })).toBeVisible()
})

test('pictures that cannot be shown say why, and nothing that is kept shuts anybody out', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Juno')
  await page.goto('/evidence')
  const whole = picture('whole').buffer
  const bomb = Buffer.from(whole)
  bomb.writeUInt32BE(60_000, 16)
  bomb.writeUInt32BE(60_000, 20)
  await gatherFiles(page, [
    { name: 'huge.png', mimeType: 'image/png', buffer: bomb },
    { name: 'cut.png', mimeType: 'image/png', buffer: whole.subarray(0, 50) },
    { name: 'too large.bin', mimeType: 'application/octet-stream', buffer: Buffer.alloc(0) },
    text('مستنقع 🌾.txt', 'name in two directions'),
  ])
  await expect(justGathered(page).getByRole('heading')).toHaveText('3 things just added')
  for (const [name, sentence] of [
    ['cut', 'This picture is damaged or incomplete.'],
    ['huge', /This picture .*(60000 by 60000 pixels|damaged)/],
  ] as const) {
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click()
    await expect(page.getByRole('region', { name }).getByText(sentence)).toBeVisible()
    await page.keyboard.press('Escape')
  }
  await expect(page.getByRole('button', { name: /^مستنقع 🌾/ })).toBeVisible()
})
