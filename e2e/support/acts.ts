// What several journeys do in the same way.
import { expect } from '@playwright/test'
import type { FileChooser, Locator, Page } from '@playwright/test'

type Files = Parameters<FileChooser['setFiles']>[0]

/** Where a page stands, without its server. */
export const addressOf = (page: Page): string => new URL(page.url()).pathname

/** The smallest picture, with words after its end so that each file is different. */
export const picture = (words: string) => ({
  name: `${words}.png`,
  mimeType: 'image/png',
  buffer: Buffer.concat([
    Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    ),
    Buffer.from(words),
  ]),
})

/** Chooses files from the device by a button. */
export async function chooseFiles(page: Page, button: string, files: Files): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: button }).first().click(),
  ])
  await chooser.setFiles(files)
}

/** Opens a source of evidence from the evidence screen. */
export async function chooseSource(page: Page, source: string): Promise<void> {
  await page.getByRole('button', { name: 'Gather', exact: true }).click()
  await page.getByRole('menuitem', { name: source }).click()
}

/** Adds files from the evidence screen. */
export async function gatherFiles(page: Page, files: Files): Promise<void> {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), chooseSource(page, 'Choose files')])
  await chooser.setFiles(files)
}

/** The list of what was just added, on any screen. */
export const justGathered = (page: Page): Locator => page.getByRole('region', { name: 'Just added' })

/** Returns a date field by its name. */
export function dayField(within: Page | Locator, name: string): Locator {
  return within.getByRole('group', { name })
}

/** Types a date as people do, section by section: 20112026, followed by 1700 where there is a time. */
export async function writeDay(within: Page | Locator, name: string, digits: string): Promise<void> {
  const first = dayField(within, name).getByRole('spinbutton').first()
  await first.click()
  await first.page().keyboard.type(digits)
}

/** Waits until the top bar shows that everything is saved; screen readers hear it up to a minute later. */
export async function saved(page: Page): Promise<void> {
  await expect(page.locator('header [data-state="saved"]')).toBeVisible()
}

/** Lifts something by its handle, pressing again where a busy machine lost the key. */
export async function takeUp(grip: Locator, said: Locator): Promise<void> {
  await expect(async () => {
    await grip.press('Space')
    await expect(said).toBeAttached({ timeout: 2000 })
  }).toPass()
}

/** Creates a page with a text, in the editor. */
export async function beginPage(page: Page, title: string): Promise<void> {
  await page.goto('/pages')
  await page.getByRole('button', { name: 'New page' }).click()
  await page.getByLabel('Title of the page').fill(title)
}

export async function addText(page: Page, words: string): Promise<void> {
  await page.getByRole('button', { name: 'Text', exact: true }).click()
  await expect(page.locator('.ProseMirror')).toBeFocused()
  await page.keyboard.type(words)
}

/** Publishes the page in the editor with all its changes. */
export async function publish(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Publish/ }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Publish/ })
    .click()
  await expect(page.getByText('No changes since')).toBeVisible()
}

/**
 * Waits until a screen is complete: its heading is there, nothing is loading, all pictures are loaded, and nothing
 * has changed for a moment.
 */
export async function settled(page: Page): Promise<void> {
  // A dialog hides the heading behind it from the accessibility tree, not from the eye.
  await expect(page.locator('h1').first()).toBeVisible()
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0)
  await page.evaluate(async () => {
    const QUIET_MS = 100
    await new Promise<void>((resolve) => {
      let timer = setTimeout(end, QUIET_MS)
      const observer = new MutationObserver(() => {
        clearTimeout(timer)
        timer = setTimeout(end, QUIET_MS)
      })
      function end() {
        if ([...document.images].some((image) => !image.complete && image.loading !== 'lazy'))
          return void (timer = setTimeout(end, QUIET_MS))
        observer.disconnect()
        resolve()
      }
      observer.observe(document.body, { subtree: true, childList: true, characterData: true })
    })
  })
}

/** Begins an entry in the logbook of odds and ends. */
export async function beginEntry(page: Page, title: string): Promise<void> {
  await page.goto('/logbooks')
  await page
    .getByRole('link', { name: /^Odds and ends/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'New entry' }).click()
  await page.getByLabel('Title of the entry').fill(title)
}
