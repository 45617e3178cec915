// What a slow line has to carry for a screen: few scripts, small fonts, one request for the rail, and nothing that shifts.
import type { Page } from '@playwright/test'
import { settled } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

const MOST_SCRIPTS = 15
/** Fonts of all kinds that a screen of the frame brings, in bytes. */
const MOST_FONT_BYTES = 110_000
/** The unit of layout shift after the Layout Instability specification. */
const MOST_SHIFT = 0.02

interface Carried {
  readonly scripts: number
  readonly fontBytes: number
  readonly counts: number
}

async function carriedBy(page: Page, path: string): Promise<Carried> {
  const seen: { path: string; bytes: number }[] = []
  page.on('response', (response) =>
    seen.push({
      path: new URL(response.url()).pathname,
      bytes: Number(response.headers()['content-length'] ?? 0),
    }),
  )
  await page.goto(path)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await settled(page)
  const fonts = seen.filter((one) => one.path.endsWith('.woff2'))
  return {
    scripts: seen.filter((one) => one.path.endsWith('.js')).length,
    fontBytes: fonts.reduce((sum, { bytes }) => sum + bytes, 0),
    counts: seen.filter((one) => /\/count(s)?$/.test(one.path) && one.path !== '/api/evidence/counts').length,
  }
}

for (const [who, path] of [
  ['Wren', '/'],
  ['Wren', '/evidence'],
  ['Wren', '/pages'],
  ['Wren', '/sharing'],
  ['Wren', '/submissions'],
  ['Odalys', '/review-desk'],
  ['Mireille', '/people'],
] as const)
  test(`${path} of ${who} comes in few things`, async ({ browser }) => {
    const page = await site.pageAs(browser, who)
    const { scripts, fontBytes, counts } = await carriedBy(page, path)
    expect(scripts).toBeLessThanOrEqual(MOST_SCRIPTS)
    expect(fontBytes).toBeLessThanOrEqual(MOST_FONT_BYTES)
    expect(counts).toBeLessThanOrEqual(1)
  })

test('Today does not move under its reader', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  // Whichever answer comes last, nothing above which it stands has to make room for it.
  for (const [path, ms] of [
    ['/api/ways-in', 300],
    ['/api/pages?*', 600],
  ] as const)
    await page.route(path, async (route) => {
      await new Promise((resolve) => setTimeout(resolve, ms))
      await route.continue()
    })
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Where you left off' })).toBeVisible()
  await settled(page)
  const shift = await page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const shifts: number[] = []
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries()) shifts.push((entry as unknown as { value: number }).value)
        }).observe({ type: 'layout-shift', buffered: true })
        requestAnimationFrame(() => setTimeout(() => resolve(shifts.reduce((sum, one) => sum + one, 0)), 100))
      }),
  )
  expect(shift).toBeLessThanOrEqual(MOST_SHIFT)
})

test('the case stands before its script has run', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  await page.route('**/assets/*.js', (route) => route.abort())
  await page.goto('/')
  await expect(page.locator('.outline-top')).toHaveCSS('color', 'rgb(28, 43, 51)')
  await expect(page.locator('.outline-base')).toBeVisible()
})

test('one’s own pictures are fetched once for each session', async ({ browser }) => {
  const page = await site.pageAs(browser, 'Wren')
  const { items } = await (await page.request.get('/api/evidence?kind=picture&limit=1')).json()
  const path = `/api/evidence/${items[0].id}/versions/1/thumbnail`
  const headers = (await page.request.get(path)).headers()
  expect(headers['cache-control']).toMatch(/^private, max-age=/)
  expect(headers['vary']).toMatch(/cookie/i)
  const again = await page.request.get(path, { headers: { 'if-none-match': headers['etag'] ?? '' } })
  expect(again.status()).toBe(304)
})
