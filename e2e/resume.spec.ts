// Uploads in trouble: the server stops, the window closes, the session ends. What has arrived stays.
import { createHash, randomBytes } from 'node:crypto'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { gatherFiles } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite({ VALISE_LARGEST_FILE: '60' })
const folder = mkdtempSync(join(tmpdir(), 'valise-films-'))
test.afterAll(() => rmSync(folder, { recursive: true }))

const MB = 1_048_576

function makeFilm(name: string, megabytes: number) {
  const content = randomBytes(megabytes * MB)
  const path = join(folder, name)
  writeFileSync(path, content)
  return { path, sha256: createHash('sha256').update(content).digest('hex') }
}

async function choose(page: Page, button: string, path: string) {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: button }).first().click(),
  ])
  await chooser.setFiles(path)
}

/** Lets the first chunk through and holds the others back until it releases or cuts them off. */
async function holdAfterFirstPiece(page: Page) {
  let decide: (fate: 'go' | 'cut') => void = () => undefined
  const held = new Promise<'go' | 'cut'>((resolve) => (decide = resolve))
  let pieces = 0
  await page.route('**/api/uploads/*', async (route) => {
    if (route.request().method() !== 'PATCH') return route.continue()
    pieces += 1
    const isCut = pieces > 1 && (await held) === 'cut'
    // Whoever waited too long may be gone.
    await (isCut ? route.abort() : route.continue()).catch(() => undefined)
  })
  return { letGo: () => decide('go'), cutOff: () => decide('cut') }
}

/** Starts to upload a video of 20 MB, whose second chunk is held back until it is released or cut off. */
async function beginFilm(page: Page, name: string) {
  await page.goto('/evidence')
  const film = makeFilm(name, 20)
  const held = await holdAfterFirstPiece(page)
  await gatherFiles(page, film.path)
  return { film, ...held }
}

/** A chunk of 16 MB may take long on a busy disk; the test waits for its stored length. */
async function untilFirstChunkIsSaved(page: Page) {
  await expect(async () => {
    const { open } = await (await page.request.get('/api/uploads')).json()
    expect(open[0]?.received).toBe(16 * MB)
    // A connection to the server that was stopped before may be tried first.
  }).toPass({ timeout: 60_000 })
}

async function hashOfNewest(page: Page): Promise<string> {
  const { items } = await (await page.request.get('/api/evidence?limit=1')).json()
  const file = await page.request.get(`/api/evidence/${items[0].id}/versions/${items[0].version.n}/file`)
  return createHash('sha256')
    .update(await file.body())
    .digest('hex')
}

test('the server stops in the middle: it goes on by itself, byte for byte', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Sefa')
  const { film, letGo } = await beginFilm(page, 'storm.bin')
  await expect(page.getByText(/^16 MB of 20 MB|^1\d MB of 20 MB/)).toBeVisible()
  await site.stop()
  letGo()
  await expect(page.getByText('No connection. What is uploaded so far is safe')).toBeVisible()
  await site.start({ env: { VALISE_LARGEST_FILE: '60' } })
  await expect(page.getByRole('heading', { name: 'Just added' })).toBeVisible({ timeout: 60_000 })
  expect(await hashOfNewest(page)).toBe(film.sha256)
})

test('the window is closed in the middle: choosing the file again goes on where it was', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Tomasz')
  const { film, cutOff } = await beginFilm(page, 'walk.bin')
  await untilFirstChunkIsSaved(page)
  const context = page.context()
  // A window that closes may still send what was held back, and then nothing would have stopped in the middle:
  // so it is cut off first, and seen to be.
  cutOff()
  await expect(page.getByText('No connection. What is uploaded so far is safe')).toBeVisible()
  await page.close({ runBeforeUnload: false })

  const next = await context.newPage()
  await next.goto('/evidence')
  await expect(next.getByText(/Stopped at [12]\d MB of 20 MB\./)).toBeVisible()
  await choose(next, 'Choose it again', makeFilm('other.bin', 1).path)
  await expect(next.getByRole('alert')).toHaveText(/^That is a different file/)
  const offsets: string[] = []
  next.on('request', (request) => {
    if (request.method() === 'PATCH') offsets.push(request.headers()['upload-offset'] ?? '')
  })
  await choose(next, 'Choose it again', film.path)
  await expect(next.getByRole('heading', { name: 'Just added' })).toBeVisible({ timeout: 60_000 })
  // Nothing of what went up is sent again.
  expect(Number(offsets[0])).toBeGreaterThanOrEqual(16 * MB)
  expect(await hashOfNewest(next)).toBe(film.sha256)
})

test('the session ends in the middle: after signing in again it goes on', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Juno')
  const { film, letGo } = await beginFilm(page, 'pool.bin')
  await untilFirstChunkIsSaved(page)
  await page.context().clearCookies()
  letGo()
  const dialog = page.getByRole('dialog', { name: 'You were signed out' })
  await dialog.getByLabel('Sign-in name').fill('juno')
  await dialog.getByRole('textbox', { name: 'Password' }).fill('low water at seven')
  await dialog.getByRole('button', { name: 'Sign in again' }).click()
  await page.getByRole('button', { name: 'Resume' }).click()
  await expect(page.getByRole('heading', { name: 'Just added' })).toBeVisible({ timeout: 60_000 })
  expect(await hashOfNewest(page)).toBe(film.sha256)
})

test('a file that one has already is not added twice, and one too large is refused with the limit', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/evidence')
  const film = makeFilm('twice.bin', 1)
  await gatherFiles(page, film.path)
  await expect(page.getByRole('heading', { name: 'Just added' })).toBeVisible()
  await gatherFiles(page, film.path)
  await expect(page.getByText('You already have this. It was not added twice.')).toBeVisible()
  // It came in with the tray as its first place; once it is out, it is offered again.
  const intoTray = page.getByRole('button', { name: 'Pick it up twice.bin' })
  await expect(intoTray).toHaveCount(0)
  const tray = page.getByRole('region', { name: 'Tray' })
  await page.keyboard.press('t')
  await tray.getByRole('button', { name: /Take twice out/i }).click()
  await intoTray.click()
  await expect(tray.getByRole('link', { name: /twice/i })).toBeVisible()
  await gatherFiles(page, makeFilm('large.bin', 61).path)
  await expect(page.getByRole('alert')).toHaveText(/^The file is larger than 60 MB/)
  await page.getByRole('button', { name: 'Remove from the list large.bin' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('one that is paused rests until it may go on, and one that is stopped goes, with what was there of it', async ({
  browser,
}) => {
  const page = await site.pageAs(browser, 'Nell Quillan')
  const { letGo } = await beginFilm(page, 'no.bin')
  await expect.poll(async () => (await (await page.request.get('/api/uploads')).json()).open.length).toBe(1)
  await page.getByRole('button', { name: 'Pause no.bin' }).click()
  await expect(page.getByText('Paused at')).toBeVisible()
  // On every other screen the top bar tells of it, and leads back to it.
  await page.getByRole('link', { name: /^Pages/ }).click()
  await page.getByRole('link', { name: 'Uploading 1 file' }).click()
  await page.getByRole('button', { name: 'Resume no.bin' }).click()
  await page.getByRole('button', { name: 'Stop no.bin' }).click()
  letGo()
  await expect(page.getByRole('region', { name: 'Uploads' })).toHaveCount(0)
  await expect.poll(async () => (await (await page.request.get('/api/uploads')).json()).open).toEqual([])
})

test('a file that changes while it is read is told from a broken line', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Nell Quillan')
  const { letGo } = await beginFilm(page, 'changing.bin')
  await untilFirstChunkIsSaved(page)
  makeFilm('changing.bin', 19)
  letGo()
  await expect(page.getByRole('alert')).toHaveText(/^The file changed or moved while it was uploading/)
  await page.getByRole('button', { name: 'Remove from the list changing.bin' }).click()
  await expect.poll(async () => (await (await page.request.get('/api/uploads')).json()).open).toEqual([])
})
