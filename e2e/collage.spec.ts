// Collages: pictures laid along an arrow, arranged by pointer and by keys, drawn on, spoken of; and two windows at once.
import type { Locator, Page } from '@playwright/test'
import { saved } from './support/acts.ts'
import { unsentOnDevice } from './support/device.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

const palette = (page: Page): Locator => page.getByRole('group', { name: 'What you can add' })
const lay = (page: Page, what: string) =>
  palette(page).getByRole('button', { name: what, exact: true }).click()
const board = (page: Page): Locator => page.getByRole('region', { name: 'Board' })
const layer = (page: Page, name: string): Locator =>
  board(page).getByRole('button', { name, exact: true }).first()
const act = (page: Page, name: string) =>
  page.getByRole('complementary').getByRole('button', { name, exact: true }).click()
const listed = (page: Page): Locator => page.getByRole('list', { name: 'On the board' }).getByRole('listitem')

async function begin(page: Page, pictures: readonly string[]): Promise<string> {
  await page.goto('/evidence')
  await page.getByRole('button', { name: 'Gather' }).first().click()
  await page.getByRole('menuitem', { name: 'Make a collage' }).click()
  const dialog = page.getByRole('dialog', { name: 'Pictures for the board' })
  for (const title of pictures)
    await dialog
      .getByRole('button', { name: new RegExp(`^${title}`) })
      .first()
      .click()
  await dialog.getByRole('button', { name: /^Add/ }).click()
  await expect(listed(page)).toHaveCount(pictures.length)
  await saved(page)
  return /evidence\/([^/]+)\/collage/.exec(page.url())?.[1] ?? ''
}

async function place(page: Page, fields: Readonly<Record<string, number>>): Promise<void> {
  for (const [name, value] of Object.entries(fields)) {
    const field = page.getByRole('group', { name: 'Place, size and angle' }).getByLabel(name)
    await field.fill(String(value))
    await field.press('Enter')
  }
}

async function documentOf(page: Page, id: string) {
  const { collage } = await (await page.request.get(`/api/collages/${id}`)).json()
  return collage as { size: string; layers: Record<string, unknown>[]; background: Record<string, unknown> }
}

test('six pictures lie along an arrow, numbered, described and spoken of, and stand on a page', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.clock.resume()
  const titles = ['Quadrat 7', 'Heron at the weir', 'Transect map', 'Turbidity plot', 'Tally card', 'Dawn on']
  const id = await begin(page, titles)
  await lay(page, 'Arrow')
  await place(page, { 'From left': 60, 'From top': 430, Width: 1480 })
  for (const [n, note] of ['Where we began', 'Where we turned'].entries()) {
    await lay(page, 'Number')
    await place(page, { 'From left': 200 + n * 600, 'From top': 400 })
    await page.getByLabel('What it points out').fill(note)
  }
  await lay(page, 'Text')
  await expect(page.getByLabel('Text', { exact: true })).toBeFocused()
  await page.keyboard.type('One tide')
  await page.keyboard.press('Tab')
  await page.getByRole('textbox', { name: 'Title' }).fill('Along the tide')
  await page.getByRole('button', { name: 'Start with a draft' }).click()
  const alternative = page.getByRole('textbox', { name: 'Describe it for people who cannot see it' })
  await expect(alternative).toHaveValue(
    /^6 pictures: .*Written on it: One tide\. 1: Where we began; 2: Where/,
  )
  await alternative.press('Tab')

  await page.getByRole('button', { name: 'Speak about it' }).click()
  await page.getByRole('button', { name: 'Record', exact: true }).click()
  await board(page).click({ position: { x: 120, y: 90 }, force: true })
  await page.getByRole('button', { name: 'Stop recording' }).click()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Recording 1' })).toBeVisible()
  await saved(page)

  // It is painted by the server at twice the size of its board, with all that lies on it.
  await expect(async () => {
    const { version, alternativeText } = await (await page.request.get(`/api/evidence/${id}`)).json()
    expect([version.preview, version.width, version.height]).toEqual(['there', 3200, 1800])
    expect(alternativeText).toContain('6 pictures')
  }).toPass()
  await page.getByRole('button', { name: 'Back to evidence' }).click()
  await page.getByRole('button', { name: /^Along the tide/ }).click()
  const drawer = page.getByRole('region', { name: 'Along the tide' })
  await expect(drawer.getByRole('link', { name: /Quadrat 7/ })).toBeVisible()
  await drawer.getByRole('link', { name: 'Arrange' }).click()
  await expect(listed(page)).toHaveCount(10)
})

test('things are chosen, moved, aligned, grouped and taken back by keys alone', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  const id = await begin(page, ['Quadrat 7', 'Heron at the weir', 'Transect map'])
  const boxes = async () => (await documentOf(page, id)).layers.map(({ x, y }) => [x, y] as [number, number])
  await page.keyboard.press('Escape')
  const [first] = await boxes()
  await board(page)
    .getByRole('button', { name: /^Quadrat 7/ })
    .focus()
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('ArrowDown')
  await saved(page)
  await expect(async () => {
    const [moved] = await boxes()
    expect([moved?.[0], moved?.[1]]).toEqual([(first?.[0] ?? 0) + 10, (first?.[1] ?? 0) + 1])
  }).toPass()

  await page.keyboard.press('Control+a')
  await expect(page.getByRole('heading', { name: '3 things' })).toBeVisible()
  await act(page, 'Align top edges')
  await act(page, 'Group')
  await expect(page.getByRole('img', { name: 'in a group' })).toHaveCount(3)
  await expect(async () => {
    const tops = new Set((await boxes()).map(([, y]) => y))
    expect(tops.size).toBe(1)
  }).toPass()
  await layer(page, 'Heron at the weir').focus()
  await page.keyboard.press('Control+d')
  await expect(listed(page)).toHaveCount(6)
  await page.keyboard.press('Control+z')
  await expect(listed(page)).toHaveCount(3)
  await layer(page, 'Heron at the weir').focus()
  await page.keyboard.press('Control+a')
  await act(page, 'Lock')
  await layer(page, 'Heron at the weir').focus()
  await page.keyboard.press('Delete')
  await expect(listed(page)).toHaveCount(3)
  await act(page, 'Unlock')
  await act(page, 'Ungroup')
  await page.keyboard.press('Escape')
  await layer(page, 'Transect map').focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.press('Delete')
  await expect(listed(page)).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(listed(page)).toHaveCount(3)
  await saved(page)
  await page.reload()
  await expect(listed(page)).toHaveCount(3)
})

test('an undo that is typed faster than the change before is answered outlives the window', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  const id = await begin(page, ['Quadrat 7', 'Heron at the weir'])
  await page.keyboard.press('Escape')
  await layer(page, 'Heron at the weir').focus()
  // The server takes the change, and its answer does not come as long as this window is there.
  let isHeld = true
  await page.route(`/api/collages/${id}`, async (route) => {
    if (!isHeld || route.request().method() !== 'PUT') return route.fallback()
    await route.fetch()
  })
  await page.keyboard.press('Control+a')
  await page.keyboard.press('Delete')
  await expect(listed(page)).toHaveCount(0)
  await expect(async () => expect((await documentOf(page, id)).layers).toHaveLength(0)).toPass()
  await page.keyboard.press('Control+z')
  await expect(listed(page)).toHaveCount(2)
  await expect.poll(() => unsentOnDevice(page)).toContain(id)
  isHeld = false
  await page.reload()
  await expect(listed(page)).toHaveCount(2)
})

test('closing the window sends an undo that waits, also where the device stores nothing', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  const id = await begin(page, ['Quadrat 7', 'Heron at the weir'])
  await page.addInitScript(() => Object.defineProperty(window, 'indexedDB', { value: undefined }))
  await page.reload()
  await layer(page, 'Heron at the weir').focus()
  // The first save arrives; its answer never comes.
  let count = 0
  await page.route(`/api/collages/${id}`, async (route) => {
    if (route.request().method() !== 'PUT' || ++count > 1) return route.fallback()
    await route.fetch()
  })
  await page.keyboard.press('Control+a')
  await page.keyboard.press('Delete')
  await expect(async () => expect((await documentOf(page, id)).layers).toHaveLength(0)).toPass()
  await page.keyboard.press('Control+z')
  await expect(listed(page)).toHaveCount(2)
  await page.reload()
  await expect(async () => expect((await documentOf(page, id)).layers).toHaveLength(2)).toPass()
})

test('things are dragged to where they snap, resized, drawn over and rubbed out', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  const id = await begin(page, ['Heron at the weir'])
  await page.getByRole('complementary').getByRole('button', { name: 'Heron at the weir' }).click()
  await place(page, { 'From left': 400, 'From top': 300, Width: 400, Height: 300 })
  const heron = layer(page, 'Heron at the weir')
  const scale = ((await board(page).locator('canvas').boundingBox())?.width ?? 0) / 1600
  const box = await heron.boundingBox()
  if (!box) throw new Error('nothing lies there')
  // Nearly to the left edge: it jumps the rest.
  await page.mouse.move(box.x + 60, box.y + 40)
  await page.mouse.down()
  await page.mouse.move(box.x + 60 - 396 * scale, box.y + 40, { steps: 6 })
  await page.mouse.up()
  await saved(page)
  const only = async () => (await documentOf(page, id)).layers[0] as { x: number; y: number; width: number }
  await expect(async () => expect(await only()).toMatchObject({ x: 0, y: 300 })).toPass()
  const corner = page.getByRole('button', { name: 'Bottom right corner' })
  await corner.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(async () => expect((await only()).width).toBeGreaterThan(405)).toPass()

  await lay(page, 'Draw')
  const surface = page.getByRole('application')
  const field = await surface.boundingBox()
  if (!field) throw new Error('there is nothing to draw on')
  const stroke = async (from: number) => {
    await page.mouse.move(field.x + from, field.y + 20)
    await page.mouse.down()
    await page.mouse.move(field.x + from + 80, field.y + 60, { steps: 8 })
    await page.mouse.up()
  }
  await stroke(20)
  await stroke(140)
  await lay(page, 'Erase')
  await stroke(20)
  await saved(page)
  const strokes = async () => {
    const { layers } = await documentOf(page, id)
    const drawing = layers.find(({ kind }) => kind === 'drawing') as { strokes: { isEraser: boolean }[] }
    return drawing.strokes.map(({ isEraser }) => isEraser)
  }
  await expect(async () => expect(await strokes()).toEqual([false, false, true])).toPass()
  // By keys: the pen is put down, led and lifted.
  await lay(page, 'Draw')
  await surface.focus()
  await page.keyboard.press('Space')
  for (let n = 0; n < 4; n += 1) await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Space')
  await expect(async () => expect(await strokes()).toEqual([false, false, true, false])).toPass()

  await lay(page, 'Draw')
  await page.keyboard.press('Escape')
  await lay(page, 'Speech bubble')
  await page.getByLabel('Text', { exact: true }).fill('Low water')
  await page.getByRole('combobox', { name: 'Shape' }).click()
  await page.getByRole('option', { name: 'Thought bubble' }).click()
  await expect(page.getByRole('heading', { name: 'Thought bubble, “Low water”' })).toBeVisible()
})

test('what two windows do to one collage, and to one picture, is taken together', async ({ browser }) => {
  const one = await site.pageAs(browser, 'Wren')
  const id = await begin(one, ['Heron at the weir'])
  const other = await one.context().newPage()
  await other.goto(`/evidence/${id}/collage`)
  await expect(listed(other)).toHaveCount(1)
  await lay(one, 'Arrow')
  await saved(one)
  await lay(other, 'Number')
  await expect(other.getByText('Another window changed this collage, too')).toBeVisible()
  await expect(listed(other)).toHaveCount(3)
  await saved(other)
  await lay(one, 'Shape')
  await expect(listed(one)).toHaveCount(4)

  const { items } = await (await one.request.get('/api/evidence?limit=100')).json()
  const marsh = items.find(({ title }: { title: string }) => title === 'Dawn on the low marsh')
  for (const page of [one, other]) {
    await page.goto(`/evidence/${marsh.id}/bench`)
    await expect(page.getByRole('heading', { name: 'Can you show this picture?' })).toBeVisible()
  }
  const tool = (page: Page, name: string) =>
    page.getByRole('group', { name: 'Tools' }).getByRole('button', { name, exact: true }).click()
  await tool(one, 'Cover')
  await one.getByRole('button', { name: 'Add a box' }).click()
  await saved(one)
  await tool(other, 'Even light')
  await expect(other.getByText('Another window changed this picture, too')).toBeVisible()
  const steps = async () => {
    const { recipe } = await (await one.request.get(`/api/evidence/${marsh.id}/versions/1/recipe`)).json()
    return recipe.steps.map(({ kind }: { kind: string }) => kind).sort()
  }
  await expect(async () => expect(await steps()).toEqual(['conceal', 'even'])).toPass()
})

test('two fingers enlarge the board while one would draw, and leave no stroke', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren', { hasTouch: true })
  const id = await begin(page, ['Heron at the weir'])
  await lay(page, 'Draw')
  const field = await page.getByRole('application').boundingBox()
  if (!field) throw new Error('there is nothing to draw on')
  const session = await page.context().newCDPSession(page)
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...points: [number, number][]) =>
    session.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: points.map(([x, y], n) => ({ x: field.x + x, y: field.y + y, id: n })),
    })
  await touch('touchStart', [100, 80])
  await touch('touchMove', [110, 90])
  await touch('touchStart', [110, 90], [180, 120])
  for (let far = 0; far <= 100; far += 20) await touch('touchMove', [110 - far / 2, 90], [180 + far, 120])
  await touch('touchEnd')
  const zoom = page.getByRole('group', { name: 'Zoom' }).locator('output')
  await expect(zoom).not.toHaveText('100 %')
  await expect(listed(page)).toHaveCount(1)
  // One finger alone still draws.
  await touch('touchStart', [60, 60])
  await touch('touchMove', [90, 70])
  await touch('touchMove', [120, 90])
  await touch('touchEnd')
  await expect(listed(page)).toHaveCount(2)
  await saved(page)
  expect((await documentOf(page, id)).layers.map(({ kind }) => kind)).toEqual(['picture', 'drawing'])
})
