// Screens once something was saved on them, and off-line: as accessible, whole and in words as when they came.
import type { Browser, Page } from '@playwright/test'
import { findingsOf, widthOver } from './support/variants.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

const widths = [1280, 360]

async function expectSound(page: Page, variant: string): Promise<void> {
  for (const width of widths) {
    await page.setViewportSize({ width, height: 800 })
    await expect.poll(() => widthOver(page), { message: `${variant}, ${width}` }).toBe(0)
    // The top bar is cut off by nothing either: it scrolls by itself nowhere.
    const over = await page
      .locator('header')
      .first()
      .evaluate((bar) => Math.max(0, bar.scrollWidth - bar.clientWidth))
    expect.soft([variant, width, over]).toEqual([variant, width, 0])
    expect.soft(await findingsOf(page, 'all', `${variant}, ${width}`)).toEqual([])
  }
}

/** A page that is open, in the language of the two that is asked for. */
async function openPage(browser: Browser, language: 'English' | 'Español'): Promise<Page> {
  const page = await site.pageAs(browser, 'Wren')
  await page.goto('/settings')
  await page.getByText(language, { exact: true }).click()
  await expect(page.locator('html')).toHaveAttribute('lang', language === 'Español' ? 'es' : 'en')
  await page.goto('/pages')
  await page.locator('main').getByRole('link').first().click()
  await expect(page.locator('article.paper')).toBeVisible()
  return page
}

for (const language of ['English', 'Español'] as const) {
  test(`a page that was just saved, and one off-line, are sound, ${language}`, async ({ browser }) => {
    const page = await openPage(browser, language)
    const title = page.locator('article.paper h1 textarea')
    await title.fill('Low water')
    await expect(page.locator('header [data-state="saved"]')).toBeVisible()
    await expectSound(page, `saved, ${language}`)
    await page.context().setOffline(true)
    await expect(page.locator('header [data-state="offline"]')).toBeVisible()
    await expectSound(page, `off-line, ${language}`)
    await title.fill('Low water at seven')
    await expect(page.locator('header [data-state="on-device"]')).toBeVisible()
    await expectSound(page, `on this device, ${language}`)
    // A screen that was not fetched yet says so within the frame.
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.getByRole('navigation').first().getByRole('link').nth(6).click()
    await expect(page.getByRole('main').getByRole('alert')).toBeVisible()
    await expectSound(page, `away, ${language}`)
    await page.context().setOffline(false)
    await expect(page.getByRole('main').getByRole('alert')).toBeHidden()
  })

  test(`an item that was just saved is sound, ${language}`, async ({ browser }) => {
    const page = await openPage(browser, language)
    await page.goto('/evidence')
    await page.locator('[data-tile]').first().click()
    const drawer = page.locator('section[tabindex="-1"]').last()
    await drawer.getByRole('textbox').first().fill(`Stake 4, ${language}`)
    await page.keyboard.press('Tab')
    await expect(page.locator('header [data-state="saved"]')).toBeVisible()
    await expectSound(page, `item, ${language}`)
  })
}
