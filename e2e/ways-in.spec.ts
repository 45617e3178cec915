// Every way in, driven as people do: camera, microphone, phone, link, drive, shelf, note, paste; and how little it takes.
import type { Page } from '@playwright/test'
import { chooseSource, justGathered, saved } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

const web = (path: string) => site.mailRoom.replace('/mail', `/web/${path}`)
const drawerOf = (page: Page, name: string | RegExp) => page.getByRole('region', { name })

test('a tagged, titled, credited photo takes at most seven actions from signing in', async ({ browser }) => {
  const page = await site.pageOfNobody(browser)
  let actions = 0
  const act = async (one: Promise<unknown>) => {
    actions += 1
    await one
  }
  await page.goto('/')
  await act(page.getByRole('button', { name: /^Sefa Marlowe/ }).click())
  await act(page.getByRole('button', { name: 'Take a photo' }).first().click())
  await act(page.getByRole('button', { name: 'Take the photo' }).click())
  await act(page.getByRole('button', { name: 'Save', exact: true }).click())
  // The one field has the focus: what is typed is the title.
  await expect(page.getByLabel('Title')).toBeFocused()
  await act(page.keyboard.type('Sea lavender'))
  await act(page.keyboard.press('Tab'))
  await page.keyboard.press('Tab')
  await act(page.keyboard.type('Summer,'))
  expect(actions).toBeLessThanOrEqual(7)
  await saved(page)
  await expect(justGathered(page).getByText('Made by you.')).toBeVisible()
  await page.goto('/evidence?tag=Summer')
  await page.getByRole('button', { name: /^Sea lavender/ }).click()
  const drawer = drawerOf(page, 'Sea lavender')
  await expect(drawer.getByText('Made by me', { exact: true })).toBeVisible()
  await expect(drawer.getByText('the title “Sea lavender” is read out instead')).toBeVisible()
  await expect(drawer.getByRole('button', { name: 'Take out of Tray' })).toBeVisible()
})

test('a photo can be taken again and after a while, and is kept as the camera saw it', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Juno')
  await page.goto('/evidence')
  await chooseSource(page, 'Take a photo')
  const dialog = page.getByRole('dialog', { name: 'Take a photo' })
  // The laptop's camera looks at whoever sits there: they see a mirror.
  await expect(dialog.getByLabel('What the camera sees')).toHaveAttribute('data-mirrored', 'true')
  await page.clock.resume()
  await dialog.getByText('In 3 seconds').click()
  await dialog.getByRole('button', { name: 'Take the photo' }).click()
  await expect(dialog.getByRole('timer')).toHaveText('3')
  await expect(dialog.getByAltText('The photo you took')).toBeVisible()
  await dialog.getByRole('button', { name: 'Take another one' }).click()
  await dialog.getByText('Now').click()
  await dialog.getByRole('button', { name: 'Take the photo', exact: true }).click()
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(justGathered(page)).toBeVisible()
  await justGathered(page)
    .getByRole('link', { name: /^Show it/ })
    .click()
  await expect(page.getByText(/Picture\. .* \d+ by \d+/)).toBeVisible()
})

test('a voice is recorded, paused, gone on with and kept with its length', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/')
  await page.getByRole('button', { name: 'speak' }).first().click()
  const dialog = page.getByRole('dialog', { name: 'Record your voice' })
  await expect(dialog.getByRole('meter', { name: 'How loud it is' })).toBeVisible()
  await dialog.getByRole('button', { name: 'Record', exact: true }).click()
  await expect(dialog.getByRole('timer')).toHaveText('0:02')
  await dialog.getByRole('button', { name: 'Pause' }).click()
  const atPause = await dialog.getByRole('timer').textContent()
  await page.waitForTimeout(1200)
  expect(await dialog.getByRole('timer').textContent()).toBe(atPause)
  await dialog.getByRole('button', { name: 'Resume' }).click()
  await expect(dialog.getByRole('timer')).toHaveText('0:04')
  await dialog.getByRole('button', { name: 'Stop recording' }).click()
  await expect(dialog.getByLabel('Your recording')).toBeVisible()
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await justGathered(page).getByLabel('Title').fill('The tide turns')
  await saved(page)
  await justGathered(page)
    .getByRole('link', { name: /^Show it/ })
    .click()
  const drawer = drawerOf(page, 'The tide turns')
  await expect(drawer.getByText(/^Sound\. .*0:0[45]\./)).toBeVisible()
  await drawer.getByLabel('What is said in it?').fill('Now it goes out.')
  await saved(page)
  await page.goto('/evidence?words=goes+out')
  await expect(page.getByRole('button', { name: /^The tide turns/ })).toBeVisible()
})

test('a film is recorded and gets its picture', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Tomasz')
  await page.goto('/evidence')
  await chooseSource(page, 'Record a video')
  const dialog = page.getByRole('dialog', { name: 'Record a video' })
  await dialog.getByRole('button', { name: 'Record', exact: true }).click()
  await expect(dialog.getByRole('timer')).toHaveText('0:03')
  await dialog.getByRole('button', { name: 'Stop recording' }).click()
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await justGathered(page).getByLabel('Title').fill('Bank in wind')
  await saved(page)
  const tile = page.getByRole('button', { name: /^Bank in wind/ })
  await expect(tile).toContainText('Video 0:0')
  await expect(tile.locator('img')).toBeVisible()
})

test('a recording whose window goes in the middle is found again, and no more than two seconds short', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  await chooseSource(page, 'Record your voice')
  await page.getByRole('button', { name: 'Record', exact: true }).click()
  await expect(page.getByRole('timer')).toHaveText('0:05')
  const context = page.context()
  await page.close({ runBeforeUnload: false })
  const next = await context.newPage()
  await next.goto('/evidence')
  const left = next.getByRole('region', { name: 'Unfinished recordings' })
  await expect(left.getByText(/stopped after 0:0[3-6]/)).toBeVisible()
  await left.getByRole('button', { name: 'Save it' }).click()
  await expect(justGathered(next)).toBeVisible()
  await expect(left).toHaveCount(0)
})

test('whoever refuses the camera is told how to allow it', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Juno')
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () =>
      Promise.reject(new DOMException('Permission denied', 'NotAllowedError'))
  })
  await page.goto('/evidence')
  await chooseSource(page, 'Take a photo')
  const help = page.getByRole('alert')
  await expect(help.getByRole('heading')).toHaveText('The browser does not let Valise use the camera')
  await expect(help.getByRole('listitem')).toHaveCount(3)
  await expect(page.getByRole('button', { name: 'Take the photo' })).toBeDisabled()
})

test('a phone lends its camera once, and what it takes lands in the laptop’s slot', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Tomasz')
  await page.goto('/')
  await page.getByRole('button', { name: 'Use your phone' }).last().click()
  const dialog = page.getByRole('dialog', { name: 'Your phone as the camera' })
  await expect(dialog.getByRole('img', { name: /Code that opens/ })).toBeVisible()
  const address = (await dialog.getByRole('link').getAttribute('href')) ?? ''
  const options = { viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true }
  const phone = await (await browser.newContext({ ...options, locale: 'en-GB' })).newPage()
  await phone.goto(address)
  await expect(phone.getByRole('heading')).toHaveText('Camera for Tomasz')
  await expect(dialog.getByText('Your phone is connected.')).toBeVisible()
  const [chooser] = await Promise.all([
    phone.waitForEvent('filechooser'),
    phone.getByRole('button', { name: 'Take a photo' }).tap(),
  ])
  const content = await phone.screenshot({ type: 'jpeg' })
  await chooser.setFiles({ name: 'stake nine.jpg', mimeType: 'image/jpeg', buffer: content })
  await expect(phone.getByText('Sent')).toBeVisible()
  await expect(dialog.getByText('1 thing came from your phone')).toBeVisible()
  const second = await (await browser.newContext({ ...options, locale: 'en-GB' })).newPage()
  await second.goto(address)
  await expect(second.getByRole('alert')).toContainText('is not connected to anybody')
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(justGathered(page).getByLabel('Title')).toHaveValue('stake nine')
  // With the dialog the lending ends.
  await phone.reload()
  await expect(phone.getByRole('heading')).toHaveText('This code does not work any more')
})

test('the camera page works with a sign-in as well', async ({ browser }) => {
  const options = { viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true }
  const page = await site.pageAs(browser, 'Nell Quillan', options)
  await page.goto('/camera')
  await expect(page.getByRole('heading')).toHaveText('Camera for Nell')
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take a photo' }).tap(),
  ])
  await chooser.setFiles({
    name: 'tally two.jpg',
    mimeType: 'image/jpeg',
    buffer: await page.screenshot({ type: 'jpeg' }),
  })
  await expect(page.getByText('Sent')).toBeVisible()
  await page.goto('/evidence')
  await expect(page.getByRole('button', { name: /^tally two/ })).toBeVisible()
})

test('a link brings its title and picture, plays in a shut frame, and is pasted from anywhere', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/pages')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.evaluate((address) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', address)
    document.body.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
    )
  }, web('tide-hall/films/walking-a-transect'))
  const dialog = page.getByRole('dialog', { name: 'Add a link' })
  await expect(dialog.getByLabel('Address')).toHaveValue(web('tide-hall/films/walking-a-transect'))
  await dialog.getByRole('button', { name: 'Look it up' }).click()
  await expect(dialog.getByText('It plays here, from Tide Hall.')).toBeVisible()
  await dialog.getByLabel('Title').fill('How a crew walks')
  await dialog.getByRole('button', { name: 'Save the link' }).click()
  const drawer = drawerOf(page, 'How a crew walks')
  await drawer.getByRole('button', { name: 'Play here, from Tide Hall' }).click()
  const frame = drawer.locator('iframe')
  await expect(frame).toHaveAttribute('sandbox', 'allow-scripts')
  await expect(frame.contentFrame().locator('video')).toBeVisible()
  // The script that the site sent as oEmbed's html never ran.
  await expect(page).not.toHaveTitle('taken over')
  await drawer.getByRole('button', { name: 'Close' }).click()

  await chooseSource(page, 'Add a link')
  await dialog.getByLabel('Address').fill(web('marsh-lab/tools/tide-clock'))
  await dialog.getByRole('button', { name: 'Look it up' }).click()
  await dialog.getByRole('button', { name: 'Save the link' }).click()
  const tool = page.getByRole('region', { name: 'The tide clock' })
  await tool.getByRole('button', { name: 'Use it here, from Marsh Lab' }).click()
  await tool.locator('iframe').contentFrame().getByLabel('Hour of the day').fill('9')
  await expect(tool.locator('iframe').contentFrame().getByRole('status')).toContainText('Water at')
})

test('addresses that are dead, blocked or unsafe are told apart', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Juno')
  await page.goto('/evidence')
  await chooseSource(page, 'Add a link')
  const dialog = page.getByRole('dialog', { name: 'Add a link' })
  const preview = async (address: string) => {
    await dialog.getByLabel('Address').fill(address)
    await dialog.getByRole('button', { name: 'Look it up' }).click()
  }
  await preview(web('nowhere'))
  await expect(dialog.getByText('This address does not work.')).toBeVisible()
  await preview(web('blocked'))
  await expect(dialog.getByText('Your school’s network blocks this site.')).toBeVisible()
  await preview(web('leads-inside'))
  await expect(dialog.getByRole('alert')).toContainText('does not lead to a public web site')
  await preview('http://192.168.1.1/')
  await expect(dialog.getByRole('alert')).toContainText('does not lead to a public web site')
  await preview('something else')
  await expect(dialog.getByRole('alert')).toContainText('This is not a web address.')
  await preview(web('slow'))
  await expect(dialog.getByText('The site is slow to answer.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Save the link' }).click()
  await expect(page.getByRole('button', { name: /^slow/ })).toBeVisible({ timeout: 20_000 })
})

test('a document of the shared drive is copied or followed, and lost access is told kindly', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Tomasz')
  const drive = await (await browser.newContext()).newPage()
  await page.goto('/evidence')
  await chooseSource(page, 'From the shared drive')
  const dialog = page.getByRole('dialog', { name: 'From the shared drive' })
  await dialog.getByRole('button', { name: 'Shore Methods' }).click()
  await dialog.getByRole('button', { name: 'Line 3' }).click()
  await dialog.getByRole('button', { name: 'Connect it Crew log, line 3.txt' }).click()
  const drawer = drawerOf(page, 'Crew log, line 3')
  await expect(drawer.getByText(/^Connected\. Last changed there/)).toBeVisible()
  await drive.goto(site.mailRoom.replace('/mail', '/drive'))
  const log = drive.getByRole('article').filter({ hasText: 'Crew log' })
  await log.getByRole('button', { name: 'Write the next line' }).click()
  await drawer.getByRole('button', { name: 'Check for changes' }).click()
  await expect(drawer.getByText('Version 2')).toBeVisible()
  await expect(drawer.getByText(/^Visit 3: stake 6 set again/)).toBeVisible()
  await log.getByRole('button', { name: 'Take access away' }).click()
  await drawer.getByRole('button', { name: 'Check for changes' }).click()
  await expect(
    drawer.getByText(/does not let you open this document.*The last version is saved here/),
  ).toBeVisible()
  await log.getByRole('button', { name: 'Give access back' }).click()
  await drawer.getByRole('button', { name: 'Disconnect it' }).click()
  await expect(drawer.getByText('A copy from the shared drive')).toBeVisible()
})

test('a picture of the shelf brings its credit along, and a bad one is reported', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Sefa')
  await page.goto('/evidence')
  await chooseSource(page, 'From the picture shelf')
  const dialog = page.getByRole('dialog', { name: 'From the picture shelf' })
  await expect(dialog.getByText('12 pictures')).toBeVisible()
  await dialog.getByLabel('What do you want to show?').fill('glasswort')
  await expect(dialog.getByText('2 pictures', { exact: true })).toBeVisible()
  await dialog.getByRole('button', { name: 'Report it Young glasswort' }).click()
  await dialog.getByLabel('What is wrong with it?').fill('That is samphire')
  await dialog.getByRole('button', { name: 'Send the report' }).click()
  await expect(dialog.getByText('1 picture', { exact: true })).toBeVisible()
  await dialog.getByRole('button', { name: 'Use this picture Glasswort in September' }).click()
  const drawer = drawerOf(page, 'Glasswort in September')
  await expect(drawer.getByText('By Ilse Marrow,')).toBeVisible()
  await expect(drawer.getByRole('link', { name: 'CC BY 4.0' })).toBeVisible()
  await expect(drawer.getByLabel('Describe it for people who cannot see it')).toHaveValue(
    'Red and green stems of glasswort on bare mud.',
  )
  // The youngest see what is fit for them.
  const nell = await site.pageAs(browser, 'Nell Quillan')
  await nell.goto('/evidence')
  await chooseSource(nell, 'From the picture shelf')
  await expect(nell.getByText('10 pictures')).toBeVisible()
})

test('a note is kept while it is written, and what is pasted comes in clean', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Juno')
  await page.goto('/')
  await page.getByRole('button', { name: 'write' }).first().click()
  const editor = page.getByRole('textbox', { name: 'Note' })
  await editor.click()
  await editor.evaluate((element) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData(
      'text/html',
      `<html><body><h2 class="MsoHeading" style="color:red;mso-x:1">Visit 4</h2>
       <p style="font-family:Papyrus"><span style="font-size:40pt">The bank <b>held</b>.</span></p>
       <ul><li>silt up</li></ul>
       <table style="width:300px"><tr><th>stake</th></tr><tr><td width="50">6</td></tr></table>
       <p><a href="https://marsh.example/log">the log</a><a href="javascript:alert(1)">bad</a><script>1</script></p></body></html>`,
    )
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  })
  await expect(editor.getByRole('heading', { name: 'Visit 4' })).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: 'Done' }).click()
  await justGathered(page)
    .getByRole('link', { name: /^Show it/ })
    .click()
  const note = drawerOf(page, 'Visit 4').getByRole('group', { name: 'Note' })
  await expect(note.getByRole('listitem')).toHaveText('silt up')
  await expect(note.getByRole('cell', { name: '6' })).toBeVisible()
  await expect(note.getByRole('link', { name: 'the log' })).toHaveAttribute(
    'href',
    'https://marsh.example/log',
  )
  expect(await note.innerHTML()).not.toMatch(/style=|class=|javascript|script|width/)
  await drawerOf(page, 'Visit 4').getByRole('button', { name: 'Edit' }).click()
  await page.getByRole('textbox', { name: 'Note' }).press('Control+End')
  await page.keyboard.type(' Written on later.')
  await drawerOf(page, 'Visit 4').getByRole('button', { name: 'Done' }).click()
  await page.reload()
  await expect(note).toContainText('Written on later.')
})

test('a slot of an assignment takes what is gathered right done', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Sefa')
  await page.goto('/')
  await page
    .getByRole('link', { name: /One plant, one season/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Add evidence' }).first().click()
  const dialog = page.getByRole('dialog').first()
  await dialog.getByRole('button', { name: 'Gather' }).click()
  await page.getByRole('menuitem', { name: 'Take a photo' }).click()
  await page.getByRole('button', { name: 'Take the photo' }).click()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText('1 of 1 will be handed in')).toBeVisible()
})
