// Scrolling over 10,000 items: the main thread's time per step against 60 static tiles, and how many nodes there are.
import { cpSync } from 'node:fs'
import type { CDPSession, Page } from '@playwright/test'
import { compare, toRow } from '../compare.ts'
import type { Row } from '../compare.ts'
import { withDemoSite } from '../demoSite.ts'
import { LARGE_SIGN_IN, largeWorldFolder } from '../largeWorld.ts'

const PORT = 7470
const STEPS = 40
const STEP = 130
const ITEMS = 10_000
/** What the screen asks for at once. */
const PAGE = 60

export function scrollStep(): Promise<Row> {
  return withGrid(async (grid) => {
    const { page, session } = grid
    await loadUntil(grid, 2000)
    const reference = await page.context().newPage()
    await reference.setContent(await staticTiles(page))
    const referenceSession = await page.context().newCDPSession(reference)
    await referenceSession.send('Performance.enable')
    return compare({
      name: 'scroll step over 10,000 items',
      limit: 2,
      unit: 'ms per step',
      ours: () => scrollCost(page, session),
      reference: () => scrollCost(reference, referenceSession),
    })
  })
}

/** DOM nodes at the last item, against those at item 100. */
export function gridNodes(): Promise<Row> {
  return withGrid(async (grid) => {
    const { page, came } = grid
    await loadUntil(grid, 240)
    await scrollToItem(page, 100, came.items)
    const early: number[] = []
    for (let n = 0; n < 15; n += 1) early.push(await countNodes(page))
    await loadUntil(grid, ITEMS)
    await scrollToItem(page, ITEMS, ITEMS)
    const late: number[] = []
    for (let n = 0; n < 15; n += 1) late.push(await countNodes(page))
    return toRow({
      name: 'nodes at item 10,000',
      limit: 1.2,
      unit: 'nodes at item 100',
      ratios: late.map((count, n) => count / (early[n] ?? 1)),
      references: early,
    })
  })
}

interface Grid {
  readonly page: Page
  readonly session: CDPSession
  /** How many items the screen has asked for. */
  readonly came: { items: number }
}

async function withGrid(measure: (grid: Grid) => Promise<Row>): Promise<Row> {
  const large = await largeWorldFolder()
  // A copy, so that what one row leaves behind is not in the way of the next.
  const fill = (folder: string) => cpSync(large, folder, { recursive: true })
  return withDemoSite({ port: PORT, fill, signIn: LARGE_SIGN_IN }, async (context) => {
    const page = await context.newPage()
    const came = { items: 0 }
    page.on('response', (response) => {
      if (new URL(response.url()).pathname === '/api/evidence') came.items += PAGE
    })
    await page.goto('/evidence')
    await page.locator('[data-tile]').first().waitFor()
    const session = await context.newCDPSession(page)
    await session.send('Performance.enable')
    return measure({ page, session, came })
  })
}

/** Scrolls to the end again and again, until so many items have come in. */
async function loadUntil({ page, came }: Grid, count: number): Promise<void> {
  while (came.items < count) {
    await page.evaluate(() => {
      const work = document.getElementById('work')
      work?.scrollTo(0, work.scrollHeight)
    })
    await page.waitForTimeout(60)
  }
  await page.waitForTimeout(1000)
}

/** Roughly to an item, by its share of all that is loaded: the tiles are of many widths. */
async function scrollToItem(page: Page, n: number, of: number): Promise<void> {
  await page.evaluate((share) => {
    const work = document.getElementById('work')
    work?.scrollTo(0, work.scrollHeight * share)
  }, n / of)
  await page.waitForTimeout(1000)
}

function countNodes(page: Page): Promise<number> {
  return page.evaluate(() => document.querySelectorAll('*').length)
}

/** Milliseconds of work on the main thread for one step down, on the way down and up again. */
async function scrollCost(page: Page, session: CDPSession): Promise<number> {
  await page.bringToFront()
  const before = await taskTime(session)
  await page.evaluate(
    async ({ steps, step }) => {
      const work = document.getElementById('work') ?? document.documentElement
      const start = work.scrollTop
      for (let n = 1; n <= steps; n += 1) {
        // Six steps down and six up again, so that the static tiles have room for every step as well.
        work.scrollTop = start + step * (6 - Math.abs(6 - (n % 12)))
        await new Promise((resolve) => requestAnimationFrame(resolve))
      }
      work.scrollTop = start
      await new Promise((resolve) => requestAnimationFrame(resolve))
    },
    { steps: STEPS, step: STEP },
  )
  return ((await taskTime(session)) - before) / STEPS
}

async function taskTime(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics')
  return (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0) * 1000
}

/** Sixty of the very tiles, as they stand, in a page that does nothing else. */
async function staticTiles(page: Page): Promise<string> {
  return page.evaluate(() => {
    const rules = [...document.styleSheets].flatMap((sheet) =>
      [...sheet.cssRules].map((rule) => rule.cssText),
    )
    const tiles = [...document.querySelectorAll('[data-tile]')].map(
      (tile) => tile.closest('li')?.outerHTML ?? '',
    )
    const sixty = Array.from({ length: 60 }, (_, n) => tiles[n % tiles.length] ?? '')
    const rows = Array.from(
      { length: 10 },
      (_, n) =>
        `<ul style="display:flex;gap:12px;list-style:none;padding:0">${sixty.slice(n * 6, n * 6 + 6).join('')}</ul>`,
    )
    const base = `<base href="${location.origin}/">`
    return `<!doctype html>${base}<style>${rules.join('\n')}</style><main id="work" style="height:800px;overflow:auto">${rows.join('')}</main>`
  })
}
