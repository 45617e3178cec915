// One picture of each main view, as the README shows them.
import { fileURLToPath } from 'node:url'
import type { Page } from '@playwright/test'
import { settled } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()
const folder = fileURLToPath(new URL('../docs/screenshots', import.meta.url))

interface View {
  readonly name: string
  readonly who: string | null
  readonly path: string
  /** From the first screen on to the one of the picture. */
  readonly then?: (page: Page) => Promise<void>
  readonly options?: { viewport?: { width: number; height: number }; colorScheme?: 'dark' }
}

const views: readonly View[] = [
  { name: 'today', who: 'Wren', path: '/' },
  { name: 'today-360', who: 'Wren', path: '/', options: { viewport: { width: 360, height: 740 } } },
  { name: 'evidence', who: 'Wren', path: '/evidence?tag=Transect&until=2026-11-15' },
  {
    name: 'item',
    who: 'Wren',
    path: '/evidence',
    then: async (page) => {
      // The drawer comes into what the open Tray leaves.
      await page.keyboard.press('t')
      await page.getByRole('button', { name: /^Quadrat 7/ }).click()
    },
  },
  {
    name: 'picture-bench',
    who: 'Wren',
    path: '/evidence',
    then: async (page) => {
      await page.getByRole('button', { name: /^Sketch sheet 12/ }).click()
      await page.getByRole('link', { name: 'Fix the picture' }).click()
      await page.getByRole('button', { name: 'Use the changes' }).click()
      await page.getByRole('group', { name: 'Tools' }).getByRole('button', { name: 'Cover' }).click()
      await page.getByRole('button', { name: 'Cover 1' }).last().focus()
      await expect(page.getByRole('progressbar')).toHaveCount(0)
    },
  },
  {
    name: 'guide',
    who: 'Wren',
    path: '/guide-copies',
    then: async (page) => {
      await page.getByRole('link', { name: 'Open One stake, five visits' }).click()
      await expect(page.getByRole('heading', { name: 'What was different?' })).toBeVisible()
    },
  },
  {
    name: 'guide-class',
    who: 'Odalys',
    path: '/guides',
    then: async (page) => {
      await page.getByRole('link', { name: 'One stake, five visits' }).click()
      await page.getByRole('link', { name: 'How far Shore Methods has come' }).click()
      await expect(page.getByRole('table')).toBeVisible()
    },
  },
  {
    name: 'page',
    who: 'Wren',
    path: '/pages',
    then: async (page) => {
      await openPage(page)
      await page.getByRole('button', { name: /^Choose Picture “Transect map/ }).click()
    },
  },
  {
    name: 'page-360-dark',
    who: 'Wren',
    path: '/pages',
    then: openPage,
    options: { viewport: { width: 360, height: 740 }, colorScheme: 'dark' },
  },
  {
    name: 'entry',
    who: 'Wren',
    path: '/logbooks',
    then: async (page) => {
      await page.getByRole('link', { name: 'Transect 3' }).click()
      await page.getByRole('link', { name: 'Numbers before opinions' }).click()
      await expect(page.locator('.ProseMirror')).toBeVisible()
    },
  },
  {
    name: 'collection',
    who: 'Wren',
    path: '/collections',
    then: async (page) => {
      await page.getByRole('link', { name: 'Shore year' }).click()
      await expect(page.getByRole('link', { name: 'Glasswort, from green to red' })).toBeVisible()
    },
  },
  { name: 'sharing', who: 'Wren', path: '/sharing' },
  {
    name: 'self-ratings',
    who: 'Wren',
    path: '/grow',
    then: async (page) => {
      await page.locator('.scatterlayer .trace').first().waitFor()
      await page.getByRole('button', { name: 'Noticing', exact: true }).click()
      await expect(page.getByRole('link', { name: 'Transect map' })).toBeVisible()
    },
  },
  {
    name: 'logbook',
    who: 'Wren',
    path: '/logbooks',
    then: async (page) => {
      await page.getByRole('link', { name: 'One stake' }).click()
      await expect(page.getByRole('link', { name: 'Visit 2', exact: true })).toBeVisible()
    },
  },
  {
    name: 'visitor-360',
    who: null,
    path: '/',
    then: async (page) => {
      await page.getByRole('link', { name: /^Aunt Pilar/ }).click()
      await page.getByRole('link', { name: 'Start reading' }).click()
      await expect(page.getByText(/^By Wren/)).toBeVisible()
    },
    options: { viewport: { width: 360, height: 740 } },
  },
  {
    name: 'submit',
    who: 'Wren',
    path: '/submissions',
    then: async (page) => {
      await page.getByRole('link', { name: 'Transect portfolio' }).click()
      await expect(page.getByRole('region', { name: 'What is needed' })).toBeVisible()
    },
  },
  {
    name: 'receipt',
    who: 'Wren',
    path: '/submissions',
    then: async (page) => {
      await page.getByRole('link', { name: 'After a storm' }).first().click()
      await expect(page.locator('article.paper')).toBeVisible()
    },
  },
  {
    name: 'review-desk',
    who: 'Odalys',
    path: '/',
    then: async (page) => {
      await page.getByRole('link', { name: 'Read: One plant, one season' }).click()
      await page.getByRole('link', { name: /^Wren/ }).click()
      await page.getByText('On my own', { exact: true }).click()
      await page.getByLabel('Feedback', { exact: true }).fill('Good: you counted the dull strip as well.')
      await expect(page.getByText('Nothing has changed since it was handed in.')).toBeVisible()
    },
  },
  {
    name: 'assignment',
    who: 'Odalys',
    path: '/assignments',
    then: async (page) => {
      await page.getByRole('link', { name: 'Transect portfolio' }).click()
      await expect(page).toHaveURL(/\/assignments\/./)
    },
  },
]

async function openPage(page: Page) {
  await page.getByRole('link', { name: 'What the creek does to its bank' }).click()
  await expect(page.getByLabel('Title of the page')).toBeVisible()
}

test('pictures of the main views', async ({ browser }) => {
  test.setTimeout(180_000)
  for (const { name, who, path, then, options = {} } of views) {
    const page = await (who === null
      ? site.pageOfNobody(browser, options)
      : site.pageAs(browser, who, options))
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await then?.(page)
    await settled(page)
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: `${folder}/${name}.png`, animations: 'disabled' })
    await page.context().close()
  }
})
