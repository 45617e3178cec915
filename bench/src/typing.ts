// Typing in an editor of a browser, and how long its main thread works for each key.
import type { BrowserContext, CDPSession, Locator, Page } from '@playwright/test'

const KEYS = 40
/** A fast writer: about eight keys a second. */
const BETWEEN_KEYS_MS = 120
/** Keeping what was typed belongs to typing, so it is waited for and counted. */
const AFTER_MS = 1500

export interface Writer {
  readonly page: Page
  readonly session: CDPSession
  readonly editor: Locator
}

export async function writerOf(
  context: BrowserContext,
  page: Page,
  editor = page.locator('.ProseMirror'),
): Promise<Writer> {
  await editor.click()
  await page.keyboard.press('Control+End')
  const session = await context.newCDPSession(page)
  await session.send('Performance.enable')
  return { page, session, editor }
}

/** Milliseconds of main-thread work for each key, with all that follows from it. */
export async function typingTime({ page, session, editor }: Writer): Promise<number> {
  await page.bringToFront()
  await editor.focus()
  const before = await taskSeconds(session)
  await page.keyboard.type('silt and sand '.repeat(KEYS).slice(0, KEYS), { delay: BETWEEN_KEYS_MS })
  await page.waitForTimeout(AFTER_MS)
  return (((await taskSeconds(session)) - before) * 1000) / KEYS
}

async function taskSeconds(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics')
  return metrics.find(({ name }) => name === 'TaskDuration')?.value ?? Number.NaN
}
