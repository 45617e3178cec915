// Every screen: accessible in light and dark, whole at 360 px, in both languages, without a word from the console.
import AxeBuilder from '@axe-core/playwright'
import type { Browser, ConsoleMessage, Page } from '@playwright/test'
import { expect, test, useSite } from './support/site.ts'

// Each look is long and stands alone, so they are shared among the workers.
test.describe.configure({ mode: 'parallel' })

const site = useSite()

interface Screen {
  readonly name: string
  readonly who: string | null
  readonly go: (page: Page) => Promise<void>
  /** Shows what its author wrote, which stays in the author's language. */
  readonly holdsWords?: true
}

const open = (path: string) => async (page: Page) => {
  await page.goto(path)
}

/** Assignments are called something else in Spanish. */
const transect = /^(Transect portfolio|Portafolio del transecto)$/
const glasswort = /^(One plant, one season|Una planta, una estación)$/

const screens: readonly Screen[] = [
  { name: 'sign-in', who: null, go: open('/') },
  { name: 'choose password', who: null, go: open('/choose-password#some-token') },
  { name: 'Today of a student', who: 'Wren', go: open('/'), holdsWords: true },
  { name: 'Today of an assessor', who: 'Odalys', go: open('/') },
  { name: 'evidence', who: 'Wren', go: open('/evidence') },
  { name: 'evidence, open', who: 'Wren', go: openItem },
  { name: 'evidence, none', who: 'Sefa', go: open('/evidence') },
  { name: 'evidence, by day', who: 'Wren', go: open('/evidence?view=time'), holdsWords: true },
  { name: 'evidence, a table', who: 'Wren', go: open('/evidence?view=table&tag=Transect,Water') },
  { name: 'evidence, nothing found', who: 'Wren', go: open('/evidence?words=nowhere') },
  {
    name: 'the query as a form',
    who: 'Wren',
    go: press('/evidence', /^(Change the query|Cambiar la búsqueda)$/),
  },
  { name: 'a photo to take', who: 'Wren', go: goWay(/^(Take a photo|Hacer una foto)$/) },
  { name: 'a voice to record', who: 'Wren', go: goWay(/^(Record your voice|Grabar tu voz)$/) },
  { name: 'a note to write', who: 'Wren', go: goWay(/^(Write a note|Escribir una nota)$/) },
  { name: 'a link to add', who: 'Wren', go: goWay(/^(Add a link|Añadir un enlace)$/) },
  { name: 'the shared drive', who: 'Wren', go: goWay(/(shared drive|unidad compartida)$/), holdsWords: true },
  {
    name: 'the picture shelf',
    who: 'Wren',
    go: goWay(/(picture shelf|estantería de imágenes)$/),
    holdsWords: true,
  },
  { name: 'a phone to borrow', who: 'Wren', go: goWay(/^(Use your phone|Usar tu móvil)$/) },
  { name: 'the camera page', who: 'Wren', go: open('/camera') },
  { name: 'the camera page, over', who: null, go: open('/camera') },
  { name: 'the picture bench', who: 'Wren', go: openBench() },
  { name: 'the picture bench, concealing', who: 'Wren', go: openBench(/^(Conceal|Ocultar)$/) },
  { name: 'the picture bench, numbering', who: 'Wren', go: openBench(/^(Number|Numerar)$/) },
  {
    name: 'a collage, something chosen',
    who: 'Wren',
    go: openCollage(/^(Number|Número) 1$/),
    holdsWords: true,
  },
  { name: 'a collage, drawing', who: 'Wren', go: openCollage(/^(Draw|Dibujar)$/), holdsWords: true },
  { name: 'pictures for a collage', who: 'Wren', go: openCollage(/^(Pictures|Imágenes)$/), holdsWords: true },
  { name: 'logbooks', who: 'Wren', go: open('/logbooks'), holdsWords: true },
  { name: 'logbooks, none', who: 'Sefa', go: open('/logbooks') },
  { name: 'logbook', who: 'Wren', go: follow('/logbooks', 'Transect 3'), holdsWords: true },
  { name: 'entry', who: 'Wren', go: openEntry, holdsWords: true },
  { name: 'pages', who: 'Wren', go: open('/pages'), holdsWords: true },
  { name: 'pages, none', who: 'Sefa', go: open('/pages') },
  { name: 'page', who: 'Wren', go: openPage, holdsWords: true },
  { name: 'collections', who: 'Wren', go: open('/collections'), holdsWords: true },
  { name: 'collections, none', who: 'Sefa', go: open('/collections') },
  { name: 'collection', who: 'Wren', go: follow('/collections', 'Shore year'), holdsWords: true },
  { name: 'sharing', who: 'Wren', go: open('/sharing'), holdsWords: true },
  { name: 'sharing, nothing', who: 'Sefa', go: open('/sharing') },
  { name: 'a pass to give', who: 'Wren', go: openGivePass, holdsWords: true },
  { name: 'opened to me', who: 'Wren', go: open('/opened-to-me'), holdsWords: true },
  { name: 'opened to me, nothing', who: 'Nell Q', go: open('/opened-to-me') },
  {
    name: 'collection of somebody else',
    who: 'Odalys',
    go: follow('/opened-to-me', 'Shore year'),
    holdsWords: true,
  },
  {
    name: 'page of somebody else',
    who: 'Wren',
    go: follow('/opened-to-me', 'Quadrats, a first try'),
    holdsWords: true,
  },
  { name: 'what a link opens', who: null, go: openLink },
  { name: 'a page that a link opens', who: null, go: openLinkedPage },
  { name: 'a link that opens nothing', who: null, go: open('/no-such-link') },
  { name: 'submissions', who: 'Wren', go: open('/submissions') },
  { name: 'submissions, none', who: 'Nell Q', go: open('/submissions') },
  { name: 'submit', who: 'Wren', go: openSubmit, holdsWords: true },
  { name: 'own submission', who: 'Wren', go: follow('/submissions', glasswort), holdsWords: true },
  { name: 'review desk', who: 'Odalys', go: openDesk },
  { name: 'a sealed copy', who: 'Odalys', go: openCopy, holdsWords: true },
  { name: 'assignments', who: 'Odalys', go: open('/assignments') },
  { name: 'assignment', who: 'Odalys', go: follow('/assignments', transect) },
  { name: 'new assignment', who: 'Odalys', go: open('/assignments/new') },
  { name: 'bin', who: 'Wren', go: open('/bin') },
  { name: 'class', who: 'Wren', go: openClass },
  { name: 'classes', who: 'Mireille', go: open('/classes') },
  { name: 'people', who: 'Mireille', go: open('/people') },
  { name: 'new person', who: 'Mireille', go: open('/people/new') },
  { name: 'person', who: 'Mireille', go: openPerson },
  { name: 'records', who: 'Mireille', go: open('/records') },
  { name: 'settings', who: 'Wren', go: open('/settings') },
  { name: 'nothing here', who: 'Wren', go: open('/nowhere') },
]

function press(path: string, button: RegExp) {
  return async (page: Page) => {
    await page.goto(path)
    await page.getByRole('button', { name: button }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
  }
}

function goWay(way: RegExp) {
  return async (page: Page) => {
    await page.goto('/evidence')
    await page.getByRole('button', { name: /^(Gather|Reunir)$/ }).click()
    await page.getByRole('menuitem', { name: way }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
  }
}

function openBench(tool?: RegExp) {
  return async (page: Page) => {
    await page.goto('/evidence')
    await page.getByRole('button', { name: /^Sketch sheet 12/ }).click()
    await page.getByRole('link', { name: /^(Put it right|Arreglarla)$/ }).click()
    const keep = page.getByRole('button', { name: /^(Keep|Guardar)$/ })
    if (!tool) return expect(keep).toBeVisible()
    // What was kept in another look is there already; a proposal is taken by going on with it.
    await expect(page.getByRole('img', { name: /^(As others get it|Como la reciben)$/ })).toHaveAttribute(
      'data-ready',
      'true',
    )
    await page.getByRole('button', { name: tool }).click()
  }
}

function openCollage(what: RegExp) {
  return async (page: Page) => {
    await page.goto('/evidence?words=season')
    await page.getByRole('button', { name: /^One season on the low marsh/ }).click()
    await page.getByRole('link', { name: /^(Arrange|Ordenar)$/ }).click()
    await page.getByRole('button', { name: what }).last().click()
  }
}

async function openItem(page: Page) {
  // By its words: on a phone it stands far below what is there of the grid.
  await page.goto('/evidence?words=heron')
  await page.getByRole('button', { name: /^Heron at the weir/ }).click()
  await page.keyboard.press('t')
}

function follow(path: string, name: string | RegExp) {
  return async (page: Page) => {
    await page.goto(path)
    await page.getByRole('link', { name, exact: true }).first().click()
    await expect(page).not.toHaveURL(path)
  }
}

async function openEntry(page: Page) {
  await follow('/logbooks', 'Transect 3')(page)
  await page.getByRole('link', { name: 'Numbers before opinions' }).click()
  await expect(page.locator('.ProseMirror')).toBeVisible()
}

async function openPage(page: Page) {
  await follow('/pages', 'What the creek does to its bank')(page)
  await page.locator('.picture-piece [data-choose]').first().click()
}

async function openSubmit(page: Page) {
  await follow('/submissions', transect)(page)
  await page.goto(`${page.url()}?mend=statement`)
  await expect(page.getByRole('textbox').first()).toBeVisible()
}

async function openDesk(page: Page) {
  await page.goto('/review-desk')
  await expect(page.locator('main a[href^="/submissions/"]').first()).toBeVisible()
}

async function openCopy(page: Page) {
  await openDesk(page)
  await page.locator('main li a[href^="/submissions/"]').last().click()
  await expect(page.locator('article.paper')).toBeVisible()
}

async function openGivePass(page: Page) {
  await page.goto('/sharing')
  await page.locator('main header button').click()
  await expect(page.getByRole('dialog')).toBeVisible()
}

async function openLink(page: Page) {
  await page.goto('/')
  await page.getByRole('link', { name: /^Aunt Pilar/ }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Shore year' })).toBeVisible()
}

async function openLinkedPage(page: Page) {
  await openLink(page)
  await page.getByRole('link', { name: 'What the creek does to its bank' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'What the creek does to its bank' })).toBeVisible()
}

async function openClass(page: Page) {
  await page.goto('/classes')
  await page.locator('main a[href^="/classes/"]').first().click()
}

async function openPerson(page: Page) {
  await page.goto('/people?text=juno')
  await page.getByRole('link', { name: 'Juno Castellane' }).click()
}

const looks = [
  { colorScheme: 'light', viewport: { width: 1280, height: 800 }, axe: true },
  { colorScheme: 'light', viewport: { width: 768, height: 1024 }, axe: false },
  { colorScheme: 'dark', viewport: { width: 360, height: 740 }, axe: true },
] as const

/** In parts, so that no worker has one long run left at the end. */
const inParts = (count: number) =>
  Array.from({ length: count }, (_, part) => screens.filter((_screen, n) => n % count === part))

for (const [part, some] of inParts(4).entries())
  test(`every screen is accessible and whole, light and wide, dark and on a phone, part ${part + 1}`, async ({
    browser,
  }) => {
    test.setTimeout(600_000)
    await forEachScreen({ browser, screens: some }, async (page, screen) => {
      // One visit in each of its sizes: a screen follows its window, and opening it thrice takes three times as long.
      for (const { axe, colorScheme, viewport } of looks) {
        await page.emulateMedia({ colorScheme })
        await page.setViewportSize(viewport)
        const look = `${screen.name}, ${colorScheme}, ${viewport.width}`
        // Asked until it is so: on a busy machine a screen follows its window a few frames later.
        await expect.poll(() => widthOver(page), look).toBe(0)
        if (axe) expect([...(await findingsOf(page, look)), ...(await paleHintsOf(page))]).toEqual([])
      }
    })
  })

/** By how many pixels a screen is wider than its window, once nothing moves in it. */
function widthOver(page: Page): Promise<number> {
  return page.evaluate(async () => {
    await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)))
    await Promise.all(document.getAnimations().map(({ finished }) => finished.catch(() => undefined)))
    const main = document.querySelector('main')
    const widest = Math.max(document.documentElement.scrollWidth, main?.scrollWidth ?? 0)
    return Math.max(0, widest - window.innerWidth)
  })
}

async function findingsOf(page: Page, look: string): Promise<string[]> {
  const tags = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice']
  // Nothing here stands in a frame, and only what is wrong is told: that takes half the time.
  const builder = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
  const { violations } = await builder.withTags(tags).analyze()
  return violations.map(({ id, nodes }) => `${look}: ${id} ${nodes.map((node) => node.html).join(' | ')}`)
}

/** What fields ask for in a paler ink than their own, which axe does not see. */
function paleHintsOf(page: Page): Promise<string[]> {
  return page
    .locator('input[placeholder], textarea[placeholder]')
    .evaluateAll((fields) =>
      fields
        .filter((field) => getComputedStyle(field, '::placeholder').opacity !== '1')
        .map((field) => field.outerHTML),
    )
}

for (const [part, some] of inParts(2).entries())
  test(`every screen is whole in Spanish, part ${part + 1}`, async ({ browser }) => {
    test.setTimeout(600_000)
    for (const who of ['Wren', 'Mireille', 'Odalys'] as const) {
      const page = await site.pageAs(browser, who)
      await page.goto('/settings')
      await page.getByText('Español', { exact: true }).click()
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Ajustes')
      // What people call their things stays in their words.
      const titles = (await Promise.all(['/api/evidence?limit=200', '/api/bin'].map(titlesAt(page)))).flat()
      for (const screen of some.filter((one) => one.who === who)) {
        await screen.go(page)
        await expect(page.locator('h1').first()).toBeVisible()
        // What comes after the heading has words too.
        await page.waitForLoadState('networkidle')
        const text = await page.locator('body').innerText()
        // A key that has no words shows as itself, with its dots.
        expect([
          screen.name,
          text
            .match(/\b[a-z]+(\.[a-zA-Z]+)+_?\w*\b/g)
            ?.filter((word) => !/\d|^(esteban|nell)\.|\.(txt|csv|html)$/.test(word)) ?? [],
        ]).toEqual([screen.name, []])
        if (screen.holdsWords) continue
        expect(titles.reduce((left, title) => left.replaceAll(title, ''), text)).not.toMatch(
          /\b(the|your|people|Add)\b/,
        )
      }
      await page.goto('/settings')
      await page.getByText('English', { exact: true }).click()
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Settings')
    }
  })

function titlesAt(page: Page) {
  return async (path: string): Promise<string[]> => {
    const { items } = await (await page.request.get(path)).json()
    return items.map(({ title }: { title: string }) => title)
  }
}

interface ForEach {
  readonly browser: Browser
  readonly screens: readonly Screen[]
}

async function forEachScreen(
  { browser, screens: some }: ForEach,
  look: (page: Page, screen: Screen) => Promise<void>,
) {
  // One window for each person; whoever is nobody comes anew each time, without what a link left behind.
  const windows = new Map<string, Page>()
  for (const screen of some) {
    const { who } = screen
    const page =
      who === null
        ? await site.pageOfNobody(browser)
        : (windows.get(who) ?? (await site.pageAs(browser, who)))
    if (who !== null) windows.set(who, page)
    const said: string[] = []
    const onConsole = (message: ConsoleMessage) =>
      ['error', 'warning'].includes(message.type()) && said.push(message.text())
    const onError = (error: Error) => said.push(String(error))
    await page.emulateMedia({ colorScheme: looks[0].colorScheme })
    await page.setViewportSize(looks[0].viewport)
    page.on('console', onConsole).on('pageerror', onError)
    await screen.go(page)
    // A dialog hides the heading behind it from the accessibility tree, not from the eye.
    await expect(page.locator('h1').first()).toBeVisible()
    await page.waitForLoadState('networkidle')
    await expect(page.locator('[aria-busy="true"]')).toHaveCount(0)
    await look(page, screen)
    // A refusal by the server is said by the browser as well; those of this list are what the screen is about.
    const unexpected = said.filter((text) => !/status of 4(0[14]|10)/.test(text))
    expect([screen.name, unexpected]).toEqual([screen.name, []])
    page.off('console', onConsole).off('pageerror', onError)
    if (who === null) await page.context().close()
  }
}
