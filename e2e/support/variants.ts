// What is measured of a screen as it stands: what axe finds, how far it runs over its window, hints too pale to read.
import { createRequire } from 'node:module'
import { expect } from '@playwright/test'
import type { Page } from '@playwright/test'
import type { AxeResults, RunOptions } from 'axe-core'

// Its source is what goes into the page; nothing of it runs here.
const { source } = createRequire(import.meta.url)('axe-core') as { readonly source: string }

const runs = {
  all: {
    runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'] },
    // Still an experiment of axe’s, and a criterion all the same (2.5.3): visible words are part of the name.
    rules: { 'label-content-name-mismatch': { enabled: true } },
    resultTypes: ['violations'],
  },
  contrast: { runOnly: { type: 'rule', values: ['color-contrast'] }, resultTypes: ['violations'] },
} as const satisfies Record<string, RunOptions>

/** Returns what axe finds, one line per rule; axe is injected into a page once. */
export async function findingsOf(page: Page, run: keyof typeof runs, variant: string): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(source)
  const violations = await page.evaluate(async (options) => {
    const { axe } = window as unknown as { axe: { run(options: object): Promise<AxeResults> } }
    // Colours in transition from one appearance to the other are not judged. A transition takes a quarter of a second;
    // one that never ends (its element is no longer rendered) is named instead of waited for.
    const passing = document.getAnimations().filter((one) => one.effect?.getTiming().iterations !== Infinity)
    const late = new Promise<never>((_, reject) => {
      setTimeout(() => {
        const stuck = passing.filter(({ playState }) => playState !== 'finished')
        const names = stuck.map((one) => {
          const { target } = one.effect as KeyframeEffect
          return `${one.playState} ${target?.outerHTML.slice(0, 120) ?? ''}`
        })
        reject(new Error(`transitions that do not end: ${names.join('; ') || 'none, so it is axe'}`))
      }, 60_000)
    })
    const judged = Promise.allSettled(passing.map((one) => one.finished)).then(() => axe.run(options))
    const found = await Promise.race([judged, late])
    return found.violations.map(({ id, nodes }) => ({ id, where: nodes.map(({ html }) => html) }))
  }, runs[run])
  return violations.map(({ id, where }) => `${variant}: ${id} ${where.join(' | ')}`)
}

/** Returns how many pixels a screen is wider than its window; -1 while something moves. */
export function widthOver(page: Page): Promise<number> {
  return page.evaluate(() => {
    // What runs on and on, as while something is on its way, never comes to rest.
    const isMoving = document
      .getAnimations()
      .some((one) => one.playState === 'running' && one.effect?.getTiming().iterations !== Infinity)
    if (isMoving) return -1
    const main = document.querySelector('main')
    const widest = Math.max(document.documentElement.scrollWidth, main?.scrollWidth ?? 0)
    return Math.max(0, widest - window.innerWidth)
  })
}

/** Returns placeholders paler than their field's text, which axe does not check. */
export function paleHintsOf(page: Page): Promise<string[]> {
  return page
    .locator('input[placeholder], textarea[placeholder]')
    .evaluateAll((fields) =>
      fields
        .filter((field) => getComputedStyle(field, '::placeholder').opacity !== '1')
        .map((field) => field.outerHTML),
    )
}

/** Asked until it is so: on a busy machine a screen follows its window a few frames later. */
export async function expectWhole(page: Page, variant: string): Promise<void> {
  await expect.soft.poll(() => widthOver(page), { message: variant, timeout: 10_000 }).toBe(0)
}
