// Every screen, in one visit each: accessible in light and dark, whole in all its widths, in both languages, without a
// word from the console.
import type { Browser, ConsoleMessage, Page } from '@playwright/test'
import { expectWhole, findingsOf, paleHintsOf } from './support/variants.ts'
import { screens } from './support/screens.ts'
import type { Screen } from './support/screens.ts'
import { settled } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

// Each part is long and stands alone, so they are shared among the workers.
test.describe.configure({ mode: 'parallel' })

const site = useSite()

/** In parts, so that no worker has one long run left at the end. */
const PARTS = 6

for (let part = 0; part < PARTS; part += 1)
  test(`every screen is accessible, whole, and says all in both languages, part ${part + 1}`, async ({
    browser,
  }) => {
    test.setTimeout(600_000)
    const people = new Map<string, Person>()
    for (const screen of screens.filter((_, n) => n % PARTS === part)) await visit(browser, people, screen)
  })

/** A person's windows: one goes from screen to screen, in the other they choose their language. */
interface Person {
  readonly page: Page
  readonly settings: Page | null
  /** What they call their things, which stays in their words. */
  readonly titles: readonly string[]
}

async function visit(browser: Browser, people: Map<string, Person>, screen: Screen): Promise<void> {
  const person = await personFor(browser, people, screen.who)
  const { page } = person
  const said: string[] = []
  const onConsole = (message: ConsoleMessage) =>
    ['error', 'warning'].includes(message.type()) && said.push(message.text())
  const onError = (error: Error) => said.push(String(error))
  page.on('console', onConsole).on('pageerror', onError)

  await page.emulateMedia({ colorScheme: 'light' })
  await page.setViewportSize({ width: 1280, height: 800 })
  await screen.go(page)
  await expectAt(page, screen)
  await settled(page)
  await expectWhole(page, `${screen.name}, light`)
  expect.soft(await findingsOf(page, 'all', screen.name)).toEqual([])
  await expectHintsToBeRead(page, screen.name)

  await page.setViewportSize({ width: 768, height: 1024 })
  await expectWhole(page, `${screen.name}, narrow`)

  await page.emulateMedia({ colorScheme: 'dark' })
  await page.setViewportSize({ width: 360, height: 740 })
  await expectWhole(page, `${screen.name}, phone`)
  // What else axe asks for does not depend on the colours.
  expect.soft(await findingsOf(page, 'contrast', `${screen.name}, dark`)).toEqual([])
  await expectHintsToBeRead(page, screen.name)

  await speak(person, screen, 'Español')
  await settled(page)
  await expectWhole(page, `${screen.name}, phone, Spanish`)
  await page.setViewportSize({ width: 1280, height: 800 })
  await expectWhole(page, `${screen.name}, Spanish`)
  expect.soft([screen.name, await foreignWordsOn(person, screen)]).toEqual([screen.name, []])
  await speak(person, screen, 'English')

  // A refusal by the server is said by the browser as well; those of this list are what the screen is about.
  const unexpected = said.filter((text) => !/status of 4(0[14]|10)/.test(text))
  expect.soft([screen.name, unexpected]).toEqual([screen.name, []])
  page.off('console', onConsole).off('pageerror', onError)
  if (screen.who === null) await page.context().close()
}

/** One pair of windows for each person; whoever is nobody comes anew each time, without what a link left behind. */
async function personFor(browser: Browser, people: Map<string, Person>, who: string | null): Promise<Person> {
  if (who === null) return { page: await site.pageOfNobody(browser), settings: null, titles: [] }
  const known = people.get(who)
  if (known) return known
  const page = await site.pageAs(browser, who)
  const settings = await page.context().newPage()
  await settings.goto('/settings')
  const paths = ['/api/evidence?limit=200', '/api/bin']
  const titles = await Promise.all(
    paths.map(async (path) => {
      const { items } = await (await page.request.get(path)).json()
      return items.map(({ title }: { title: string }) => title)
    }),
  )
  const person = { page, settings, titles: titles.flat() }
  people.set(who, person)
  return person
}

type Language = 'Español' | 'English'

/** Another language is chosen in the other window, and the screen follows as it stands; nobody has the device's alone. */
async function speak({ page, settings }: Person, { asksOnce }: Screen, language: Language): Promise<void> {
  const code = language === 'Español' ? 'es' : 'en'
  if (settings) {
    await settings.getByText(language, { exact: true }).click()
    await expect(settings.locator('html')).toHaveAttribute('lang', code)
  } else {
    await page.evaluate((chosen) => localStorage.setItem('valise-language', chosen), code)
  }
  if (asksOnce || !settings) await page.reload()
  await expect(page.locator('html')).toHaveAttribute('lang', code)
}

/** Keys without words, which show as themselves with their dots, and English where Spanish should stand. */
async function foreignWordsOn({ page, titles }: Person, { holdsWords }: Screen): Promise<string[]> {
  const text = await page.locator('body').innerText()
  const keys = (text.match(/\b[a-z]+(\.[a-zA-Z]+)+_?\w*\b/g) ?? []).filter(
    (word) => !/\d|^(esteban|nell)\.|\.(txt|csv|html)$/.test(word),
  )
  if (holdsWords) return keys
  const own = titles.reduce((left, title) => left.replaceAll(title, ''), text)
  return [...keys, ...(own.match(/\b(the|your|people|Add)\b/g) ?? [])]
}

async function expectAt(page: Page, { name, at }: Screen): Promise<void> {
  const pattern = at
    .replace('*', '.*')
    .replace(/\/:\w+\?/g, '(/[^/]+)?')
    .replace(/:\w+/g, '[^/]+')
  await expect(page, name).toHaveURL(({ pathname }) => new RegExp(`^${pattern}$`).test(pathname))
}

/** Asked until it is so: a hint fades in with its field. */
async function expectHintsToBeRead(page: Page, name: string): Promise<void> {
  await expect.soft.poll(() => paleHintsOf(page), { message: name, timeout: 10_000 }).toEqual([])
}
