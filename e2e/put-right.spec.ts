// Putting pictures right: a photo of a crooked sheet in three acts, and the bench by pointer and by keys.
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { Locator, Page } from '@playwright/test'
import journeys from './playwright.config.ts'
import { gatherFiles, justGathered, saved } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

/** A written sheet, drawn and then photographed askew in uneven light; a camera of one picture. */
const SHEET = fileURLToPath(new URL('support/crookedSheet.mjpeg', import.meta.url))
const launchOptions = journeys.use?.launchOptions
test.use({
  launchOptions: {
    ...launchOptions,
    args: [...(launchOptions?.args ?? []), `--use-file-for-fake-video-capture=${SHEET}`],
  },
})

const site = useSite()

const handle = (page: Page, name: string): Locator => page.getByRole('button', { name, exact: true }).first()
const tool = (page: Page, name: string): Locator =>
  page.getByRole('group', { name: 'Tools' }).getByRole('button', { name, exact: true })
const recipe = (page: Page): Locator => page.getByRole('complementary').getByRole('list').last()

async function openBench(page: Page, title: string): Promise<void> {
  await page.goto('/evidence')
  await page.getByRole('button', { name: new RegExp(`^${title}`) }).click()
  await page.getByRole('link', { name: 'Fix the picture' }).click()
  await expect(page.getByRole('heading', { name: 'Can you show this picture?' })).toBeVisible()
}

interface Seen {
  readonly width: number
  readonly height: number
  /** The share of points that are white, and of a part of the picture that is dark. */
  readonly white: number
  readonly dark: number
}

/** What a rendition holds; `part` is left, top, right, bottom as parts of its sides. */
function seenAt(page: Page, address: string, area: readonly [number, number, number, number]): Promise<Seen> {
  return page.evaluate(
    async ([from, [left, top, right, bottom]]) => {
      const bitmap = await createImageBitmap(await (await fetch(from)).blob())
      const { width, height } = bitmap
      const context = new OffscreenCanvas(width, height).getContext('2d')
      context?.drawImage(bitmap, 0, 0)
      const { data } = context?.getImageData(0, 0, width, height) ?? { data: new Uint8ClampedArray() }
      let [white, dark, inside] = [0, 0, 0]
      for (let y = 0; y < height; y += 1) {
        for (let x = 0; x < width; x += 1) {
          const value = data[(y * width + x) * 4 + 1] ?? 0
          if (value > 240) white += 1
          if (x < left * width || x > right * width || y < top * height || y > bottom * height) continue
          inside += 1
          if (value < 60) dark += 1
        }
      }
      return { width, height, white: white / (width * height), dark: dark / inside }
    },
    [address, area] as const,
  )
}

async function screenOf(page: Page, title: string): Promise<string> {
  let renderRevision = 0
  const { items } = await (await page.request.get('/api/evidence?limit=100')).json()
  const item = items.find((one: { title: string }) => one.title === title)
  await expect(async () => {
    const { version } = await (await page.request.get(`/api/evidence/${item.id}`)).json()
    renderRevision = version.renderRevision
    expect([version.preview, version.renderRevision > 0]).toEqual(['there', true])
  }).toPass()
  // Under its own address, because the browser caches what was shown before.
  return `/api/evidence/${item.id}/versions/1/screen?renderRevision=${renderRevision}`
}

test('a crooked, dark photo with a name on it is straight, white and nameless in three acts', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Sefa')
  await page.goto('/')
  await page.getByRole('button', { name: 'Take a photo' }).first().click()
  await page.getByRole('button', { name: 'Take the photo', exact: true }).click()
  const dialog = page.getByRole('dialog', { name: 'Take a photo' })
  await expect(dialog.getByRole('img', { name: 'The photo, fixed' })).toBeVisible()
  await expect(dialog.getByText('1 place that may be a name is covered.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await justGathered(page).getByLabel('Title').fill('Quadrat 7')
  await page.keyboard.press('Tab')
  await saved(page)
  const seen = await seenAt(page, await screenOf(page, 'Quadrat 7'), [0.68, 0.05, 0.9, 0.065])
  expect(seen.width / seen.height).toBeGreaterThan(0.68)
  expect(seen.width / seen.height).toBeLessThan(0.84)
  expect(seen.white).toBeGreaterThan(0.8)
  expect(seen.dark).toBeGreaterThan(0.95)
  // The original is there for its owner, as it was taken.
  await openBench(page, 'Quadrat 7')
  await expect(recipe(page).getByRole('listitem')).toHaveCount(3)
  await expect(page.getByText('Covered in every copy that others get')).toBeVisible()
})

/** How far from the left a handle stands, in percent. */
const shareOf = (style: string | null) => Number(/left: ([\d.]+)%/.exec(style ?? '')?.[1])

test('the bench is worked by keys alone, and keeps all of it over a reload', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await openBench(page, 'Sketch sheet 12')
  // What is only suggested covers nothing, and leaving asks what is to become of it.
  await expect(page.getByText('It is only a suggestion.')).toBeVisible()
  await expect(page.getByText('Covered in every copy that others get')).toBeHidden()
  await page.getByRole('button', { name: 'Back to evidence' }).press('Enter')
  const asked = page.getByRole('dialog', { name: 'Use the suggested changes?' })
  await asked.getByRole('button', { name: 'Cancel' }).press('Enter')
  await page.getByRole('button', { name: 'Back to evidence' }).press('Enter')
  await asked.getByRole('button', { name: 'Use the changes' }).press('Enter')
  await openBench(page, 'Sketch sheet 12')
  await expect(page.getByText('Covered in every copy that others get')).toBeVisible()
  await expect(recipe(page).getByRole('listitem')).toHaveCount(3)
  await tool(page, 'Square up').press('Enter')
  const corner = handle(page, 'Top left corner')
  const before = await corner.getAttribute('style')
  await corner.press('Shift+ArrowLeft')
  await expect(corner).not.toHaveAttribute('style', before ?? '')
  await expect(recipe(page).getByText('4 corners, 1 set by hand')).toBeVisible()
  // It stays where the keys put it: only a corner that is dragged snaps to the edges of the sheet.
  expect(shareOf(await corner.getAttribute('style'))).toBeLessThan(shareOf(before) - 0.1)
  // Buttons move it as well, and say where it stands.
  const pad = page.getByRole('group', { name: 'Move: Top left corner' })
  const spoken = await pad.getByRole('status').textContent()
  await pad.getByRole('button', { name: 'Right' }).press('Enter')
  await expect(pad.getByRole('status')).not.toHaveText(spoken ?? '')
  await expect(corner).not.toHaveAttribute('style', before ?? '')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(corner).toHaveAttribute('style', before ?? '')
  await page.keyboard.press('Control+Shift+z')
  await tool(page, 'Crop').press('Enter')
  await handle(page, 'Lower side').press('Shift+ArrowUp')
  await expect(recipe(page).getByText('Crop', { exact: true })).toBeVisible()
  await tool(page, 'Cover').press('Enter')
  await page.getByRole('button', { name: 'Add a box' }).press('Enter')
  const region = page.getByRole('button', { name: 'Cover 2', exact: true }).last()
  await region.press('Shift+ArrowDown')
  await expect(recipe(page).getByText('2 places')).toBeVisible()
  await region.press('Delete')
  await expect(recipe(page).getByText('1 place', { exact: true })).toBeVisible()
  await recipe(page).getByRole('switch', { name: 'Use this step: Even light' }).press('Space')
  await expect(recipe(page).getByText('Turned off')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(recipe(page).getByRole('listitem')).toHaveCount(4)
  await expect(recipe(page).getByText('Turned off')).toBeVisible()
  await page.getByRole('button', { name: 'Remove: Crop' }).press('Enter')
  await expect(recipe(page).getByRole('listitem')).toHaveCount(3)
  await saved(page)
  const seen = await seenAt(page, await screenOf(page, 'Sketch sheet 12'), [0.68, 0.055, 0.9, 0.07])
  expect(seen.dark).toBeGreaterThan(0.9)
})

test('by pointer: corners that cross are told, parts are drawn, a line is levelled, the divider moves', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Juno')
  await page.goto('/evidence')
  await gatherFiles(page, { name: 'sheet.jpg', mimeType: 'image/jpeg', buffer: readFileSync(SHEET) })
  await expect(justGathered(page)).toBeVisible()
  await openBench(page, 'sheet')
  await page.getByRole('button', { name: 'Keep the original' }).click()
  await expect(page.getByText('No steps yet.')).toBeVisible()
  await tool(page, 'Square up').click()
  await expect(recipe(page).getByText('Square up')).toBeVisible()
  await drag(page, handle(page, 'Top left corner'), 200, 120)
  await expect(page.getByText(/The corners cross|Three of the corners lie in a line/)).toBeVisible()
  await page.getByRole('button', { name: 'Find the sheet' }).click()
  await tool(page, 'Cover').click()
  const result = page.getByRole('region', { name: 'What others see' })
  const picture = result.getByRole('img', { name: 'What others see' })
  const box = await picture.boundingBox()
  if (!box) throw new Error('the result is not shown')
  await page.mouse.move(box.x + 40, box.y + box.height * 0.7)
  await page.mouse.down()
  await page.mouse.move(box.x + 120, box.y + box.height * 0.8, { steps: 4 })
  await page.mouse.up()
  await expect(recipe(page).getByText('1 place', { exact: true })).toBeVisible()
  await page.getByText('Large squares').click()
  await page.getByRole('button', { name: 'Look for names' }).click()
  await expect(page.getByText(/may be (a name|names) (is|are) covered now/)).toBeVisible()
  await tool(page, 'Turn').click()
  await page.getByRole('button', { name: 'Trace a level line' }).click()
  await drag(page, handle(page, 'Right end of the level line'), 0, 12)
  await expect(recipe(page).getByText(/by/)).toBeVisible()
  const divider = page.getByRole('separator', { name: 'Line between the original and what others see' })
  const at = Number(await divider.getAttribute('aria-valuenow'))
  await divider.press('ArrowLeft')
  await expect(divider).toHaveAttribute('aria-valuenow', String(at - 2))
  await page.getByRole('button', { name: 'Back to evidence' }).click()
  await expect(page).toHaveURL(/\/evidence/)
})

test('what matters is drawn on, written on and numbered, and stays where it was put', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await openBench(page, 'Quadrat 7')
  await tool(page, 'Draw').click()
  const picture = page.getByRole('region', { name: 'What others see' }).getByRole('img')
  await expect(picture).toHaveAttribute('data-ready', 'true')
  const box = await picture.boundingBox()
  if (!box) throw new Error('the result is not shown')
  const from = { x: box.x + box.width * 0.2, y: box.y + box.height * 0.3 }
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x + 60, from.y + 40, { steps: 4 })
  await page.mouse.up()
  await expect(recipe(page).getByText('1 mark', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Add one in the middle' }).press('Enter')
  await page.getByRole('button', { name: 'Arrow, mark 2' }).press('Shift+ArrowUp')
  await tool(page, 'Number').press('Enter')
  await page.getByRole('button', { name: 'Add a number' }).press('Enter')
  await expect(page.getByRole('textbox', { name: 'What 1 shows' })).toBeFocused()
  await page.keyboard.type('Tall tufts')
  await tool(page, 'Write').press('Enter')
  await page.getByRole('button', { name: 'Add text' }).press('Enter')
  await page.keyboard.type('Count again')
  await page.keyboard.press('Tab')
  await expect(recipe(page).getByText('4 marks', { exact: true })).toBeVisible()
  await saved(page)
  await page.reload()
  await tool(page, 'Number').click()
  await expect(page.getByRole('textbox', { name: 'What 1 shows' })).toHaveValue('Tall tufts')
  await page.getByRole('button', { name: 'Number 1', exact: true }).press('Delete')
  await expect(recipe(page).getByText('3 marks', { exact: true })).toBeVisible()
})

test('a voice speaks of a picture and points at places while it does', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.clock.resume()
  await openBench(page, 'Quadrat 7')
  await tool(page, 'Speak').click()
  await page.getByRole('button', { name: 'Speak about it' }).click()
  await page.getByRole('button', { name: 'Record', exact: true }).click()
  const picture = page.getByRole('region', { name: 'What others see' }).getByRole('img')
  await picture.click({ position: { x: 40, y: 40 }, force: true })
  await page.getByRole('button', { name: 'Mark this moment' }).click()
  await page.getByRole('button', { name: 'Stop recording' }).click()
  await expect(page.getByText('2 moments marked')).toBeVisible()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  const voice = page.getByRole('region', { name: 'Recording 1' })
  await expect(voice.getByRole('button', { name: /go to this moment$/ })).toHaveCount(2)
  await voice
    .getByLabel(/^What it is about at/)
    .first()
    .fill('The wire square')
  await page.keyboard.press('Tab')
  await saved(page)
  await page.reload()
  await tool(page, 'Speak').click()
  await expect(voice.getByLabel(/^What it is about at/).first()).toHaveValue('The wire square')
  await page.getByRole('button', { name: 'Back to evidence' }).click()
  await voice.getByRole('button', { name: 'Remove it' }).click()
  await expect(voice).toHaveCount(0)
})

test('a page of a document becomes a picture to be marked, and is found again', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  const open = async () => {
    await page.goto('/evidence')
    await page.getByRole('button', { name: /^Field report 2(?!, page)/ }).click()
    await page.getByRole('button', { name: 'Mark this page' }).click()
    await expect(page).toHaveURL(/\/bench$/)
  }
  await open()
  const id = /evidence\/([^/]+)\/bench/.exec(page.url())?.[1] ?? ''
  await expect(tool(page, 'Draw')).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'Add one in the middle' }).click()
  await saved(page)
  const { recipe: made } = await (await page.request.get(`/api/evidence/${id}/versions/1/recipe`)).json()
  expect(made.steps.map(({ kind }: { kind: string }) => kind)).toEqual(['mark'])
  const { title, rightsState } = await (await page.request.get(`/api/evidence/${id}`)).json()
  expect(title).toBe('Field report 2, page 1')
  expect(rightsState).toBe('mine')
  await open()
  expect(page.url()).toContain(id)
  await expect(page.getByRole('button', { name: 'Arrow, mark 1' })).toBeVisible()
})

async function drag(page: Page, what: Locator, x: number, y: number): Promise<void> {
  const box = await what.boundingBox()
  if (!box) throw new Error('there is nothing to drag')
  const [fromX, fromY] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(fromX, fromY)
  await page.mouse.down()
  await page.mouse.move(fromX + x, fromY + y, { steps: 5 })
  await page.mouse.up()
}
