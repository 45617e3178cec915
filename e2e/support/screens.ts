// Every screen of Valise, by the routes of the web: who opens it and how. A route without a line here fails a test of the web.
import { expect } from '@playwright/test'
import type { Page } from '@playwright/test'

export interface Screen {
  readonly name: string
  /** The route of the web that it stands at; every route has at least one line. */
  readonly at: string
  readonly who: string | null
  readonly go: (page: Page) => Promise<void>
  /** Shows what its author wrote, which stays in the author's language. */
  readonly holdsWords?: true
  /** Asks for the language when it opens, and does not follow it. */
  readonly asksOnce?: true
}

const COMES_WITHIN_MS = 20_000

const open = (path: string) => (page: Page) => goTo(page, path)

/**
 * Goes to an address within the running application, which costs a third of loading it anew. It is loaded where
 * something would stay in the way: dialogs left open on the same screen, and the bench, which asks before it is left.
 */
async function goTo(page: Page, path: string): Promise<void> {
  const { pathname } = new URL(page.url())
  const isSameScreen = path.split(/[/?#]/)[1] === pathname.split('/')[1]
  if (page.url() === 'about:blank' || isSameScreen || pathname.endsWith('/bench'))
    return void (await page.goto(path))
  const before = await page.$('h1')
  await page.evaluate((address) => {
    history.pushState({}, '', address)
    dispatchEvent(new PopStateEvent('popstate', { state: {} }))
  }, path)
  // The screen of before stays until the next one has come; on a slow machine it would be looked at in its place.
  await page.waitForFunction((heading) => heading?.isConnected !== true, before, { timeout: COMES_WITHIN_MS })
}

export const screens: readonly Screen[] = [
  { name: 'sign-in', at: '/', who: null, go: open('/'), holdsWords: true },
  { name: 'choose password', at: '/choose-password', who: null, go: open('/choose-password#some-token') },
  { name: 'Today of a student', at: '/', who: 'Wren', go: open('/'), holdsWords: true },
  { name: 'Today of an assessor', at: '/', who: 'Odalys', go: open('/') },
  { name: 'evidence', at: '/evidence/:id?', who: 'Wren', go: open('/evidence') },
  { name: 'evidence, open', at: '/evidence/:id?', who: 'Wren', go: openItem },
  { name: 'evidence, none', at: '/evidence/:id?', who: 'Sefa', go: open('/evidence') },
  {
    name: 'evidence, by day',
    at: '/evidence/:id?',
    who: 'Wren',
    go: open('/evidence?view=time'),
    holdsWords: true,
  },
  {
    name: 'evidence, a table',
    at: '/evidence/:id?',
    who: 'Wren',
    go: open('/evidence?view=table&tag=Transect,Water'),
  },
  { name: 'evidence, nothing found', at: '/evidence/:id?', who: 'Wren', go: open('/evidence?words=nowhere') },
  {
    name: 'the query as a form',
    at: '/evidence/:id?',
    who: 'Wren',
    go: press('/evidence', /^Change the search$/),
  },
  { name: 'a photo to take', at: '/evidence/:id?', who: 'Wren', go: chooseSource(/^Take a photo$/) },
  { name: 'a voice to record', at: '/evidence/:id?', who: 'Wren', go: chooseSource(/^Record your voice$/) },
  { name: 'a note to write', at: '/evidence/:id?', who: 'Wren', go: chooseSource(/^Write a note$/) },
  { name: 'a link to add', at: '/evidence/:id?', who: 'Wren', go: chooseSource(/^Add a link$/) },
  {
    name: 'the shared drive',
    at: '/evidence/:id?',
    who: 'Wren',
    go: chooseSource(/shared drive$/),
    holdsWords: true,
  },
  {
    name: 'the picture shelf',
    at: '/evidence/:id?',
    who: 'Wren',
    go: chooseSource(/picture shelf$/),
    holdsWords: true,
  },
  { name: 'a phone to borrow', at: '/evidence/:id?', who: 'Wren', go: chooseSource(/^Use your phone$/) },
  { name: 'the camera page', at: '/camera', who: 'Wren', go: open('/camera'), asksOnce: true },
  { name: 'the camera page, over', at: '/camera', who: null, go: open('/camera') },
  { name: 'the picture bench', at: '/evidence/:id/bench', who: 'Wren', go: openBench() },
  {
    name: 'the picture bench, concealing',
    at: '/evidence/:id/bench',
    who: 'Wren',
    go: openBench(/^Cover$/),
  },
  { name: 'the picture bench, numbering', at: '/evidence/:id/bench', who: 'Wren', go: openBench(/^Number$/) },
  {
    name: 'a collage, something chosen',
    at: '/evidence/:id/collage',
    who: 'Wren',
    go: openCollage(/^Number 1$/),
    holdsWords: true,
  },
  {
    name: 'a collage, drawing',
    at: '/evidence/:id/collage',
    who: 'Wren',
    go: openCollage(/^Draw$/),
    holdsWords: true,
  },
  {
    name: 'pictures for a collage',
    at: '/evidence/:id/collage',
    who: 'Wren',
    go: openCollage(/^Pictures$/),
    holdsWords: true,
  },
  { name: 'logbooks', at: '/logbooks', who: 'Wren', go: open('/logbooks'), holdsWords: true },
  { name: 'logbooks, none', at: '/logbooks', who: 'Sefa', go: open('/logbooks') },
  {
    name: 'logbook',
    at: '/logbooks/:id',
    who: 'Wren',
    go: follow('/logbooks', 'Transect 3'),
    holdsWords: true,
  },
  {
    name: 'logbook, read through',
    at: '/logbooks/:id',
    who: 'Wren',
    go: readThrough,
    holdsWords: true,
  },
  {
    name: 'entry along questions',
    at: '/entries/:id',
    who: 'Wren',
    go: openAlongQuestions,
    holdsWords: true,
  },
  { name: 'an entry to begin', at: '/entries/new', who: 'Wren', go: open('/entries/new'), holdsWords: true },
  { name: 'self-ratings', at: '/grow', who: 'Wren', go: openGrowth, holdsWords: true },
  { name: 'self-ratings, none', at: '/grow', who: 'Sefa', go: open('/grow'), holdsWords: true },
  {
    name: 'attributes',
    at: '/attribute-sets',
    who: 'Mireille',
    go: open('/attribute-sets'),
    holdsWords: true,
  },
  {
    name: 'attributes, none of one’s own',
    at: '/attribute-sets',
    who: 'Odalys',
    go: open('/attribute-sets'),
    holdsWords: true,
  },
  {
    name: 'a set of attributes',
    at: '/attribute-sets/:id',
    who: 'Mireille',
    go: openAttributeSet,
    holdsWords: true,
  },
  { name: 'guides', at: '/guide-copies', who: 'Wren', go: open('/guide-copies'), holdsWords: true },
  {
    name: 'guides, not begun',
    at: '/guide-copies',
    who: 'Sefa',
    go: open('/guide-copies'),
    holdsWords: true,
  },
  {
    name: 'a guide',
    at: '/guide-copies/:id',
    who: 'Wren',
    go: follow('/guide-copies', 'One stake, five visits'),
    holdsWords: true,
  },
  {
    name: 'a guide as its assessor sees it',
    at: '/guide-copies/:id/reading',
    who: 'Wren',
    go: openReading,
    holdsWords: true,
  },
  { name: 'guides that one sets', at: '/guides', who: 'Odalys', go: open('/guides'), holdsWords: true },
  { name: 'a guide that one sets', at: '/guides/:id', who: 'Odalys', go: openGuide, holdsWords: true },
  {
    name: 'a guide, followed',
    at: '/guides/:id/classes/:classId',
    who: 'Odalys',
    go: openProgress,
    holdsWords: true,
  },
  { name: 'question sheets', at: '/sheets', who: 'Wren', go: open('/sheets'), holdsWords: true },
  {
    name: 'a question sheet',
    at: '/sheets/:id',
    who: 'Odalys',
    go: openSheet,
    holdsWords: true,
  },
  { name: 'entry', at: '/entries/:id', who: 'Wren', go: openEntry, holdsWords: true },
  { name: 'pages', at: '/pages', who: 'Wren', go: open('/pages'), holdsWords: true },
  { name: 'pages, none', at: '/pages', who: 'Sefa', go: open('/pages') },
  { name: 'page', at: '/pages/:id/:slug?', who: 'Wren', go: openPage, holdsWords: true },
  { name: 'collections', at: '/collections', who: 'Wren', go: open('/collections'), holdsWords: true },
  { name: 'collections, none', at: '/collections', who: 'Sefa', go: open('/collections') },
  {
    name: 'collection',
    at: '/collections/:id/:slug?',
    who: 'Wren',
    go: follow('/collections', 'Shore year'),
    holdsWords: true,
  },
  { name: 'sharing', at: '/sharing', who: 'Wren', go: open('/sharing'), holdsWords: true },
  { name: 'sharing, nothing', at: '/sharing', who: 'Sefa', go: open('/sharing') },
  { name: 'a pass to give', at: '/sharing', who: 'Wren', go: openGivePass, holdsWords: true },
  { name: 'opened to me', at: '/shared-with-me', who: 'Wren', go: open('/shared-with-me'), holdsWords: true },
  { name: 'opened to me, nothing', at: '/shared-with-me', who: 'Nell Q', go: open('/shared-with-me') },
  {
    name: 'collection of somebody else',
    at: '/collections/:id/:slug?',
    who: 'Odalys',
    go: follow('/shared-with-me', 'Shore year'),
    holdsWords: true,
  },
  {
    name: 'page of somebody else',
    at: '/pages/:id/:slug?',
    who: 'Wren',
    go: follow('/shared-with-me', 'Quadrats, a first try'),
    holdsWords: true,
  },
  { name: 'what a link opens', at: '/collections/:id/:slug?', who: null, go: openLink, holdsWords: true },
  {
    name: 'a page that a link opens',
    at: '/pages/:id/:slug?',
    who: null,
    go: openLinkedPage,
    holdsWords: true,
  },
  { name: 'a link that opens nothing', at: '/no-such-link', who: null, go: open('/no-such-link') },
  { name: 'submissions', at: '/submissions', who: 'Wren', go: open('/submissions') },
  { name: 'submissions, none', at: '/submissions', who: 'Nell Q', go: open('/submissions') },
  { name: 'submit', at: '/assignments/:id', who: 'Wren', go: openSubmit, holdsWords: true },
  {
    name: 'own submission',
    at: '/submissions/:id',
    who: 'Wren',
    go: follow('/submissions', 'One plant, one season'),
    holdsWords: true,
  },
  { name: 'review desk', at: '/review-desk/:assignmentId?', who: 'Odalys', go: openDesk },
  { name: 'a sealed copy', at: '/submissions/:id', who: 'Odalys', go: openCopy, holdsWords: true },
  { name: 'assignments', at: '/assignments', who: 'Odalys', go: open('/assignments') },
  {
    name: 'assignment',
    at: '/assignments/:id',
    who: 'Odalys',
    go: follow('/assignments', 'Transect portfolio'),
  },
  { name: 'new assignment', at: '/assignments/new', who: 'Odalys', go: open('/assignments/new') },
  { name: 'bin', at: '/bin', who: 'Wren', go: open('/bin') },
  { name: 'class', at: '/classes/:id', who: 'Wren', go: openClass },
  { name: 'classes', at: '/classes', who: 'Mireille', go: open('/classes') },
  { name: 'people', at: '/people', who: 'Mireille', go: open('/people') },
  { name: 'new person', at: '/people/new', who: 'Mireille', go: open('/people/new') },
  { name: 'person', at: '/people/:id', who: 'Mireille', go: openPerson },
  { name: 'records', at: '/records', who: 'Mireille', go: open('/records') },
  { name: 'settings', at: '/settings', who: 'Wren', go: open('/settings') },
  { name: 'Valise cannot find this', at: '*', who: 'Wren', go: open('/nowhere') },
]

function press(path: string, button: RegExp) {
  return async (page: Page) => {
    await goTo(page, path)
    await page.getByRole('button', { name: button }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
  }
}

function chooseSource(source: RegExp) {
  return async (page: Page) => {
    await goTo(page, '/evidence')
    await page.getByRole('button', { name: /^Gather$/ }).click()
    await page.getByRole('menuitem', { name: source }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
  }
}

function openBench(tool?: RegExp) {
  return async (page: Page) => {
    await goTo(page, '/evidence')
    await page.getByRole('button', { name: /^Sketch sheet 12/ }).click()
    await page.getByRole('link', { name: /^Fix the picture$/ }).click()
    const use = page.getByRole('button', { name: /^Use the changes$/ })
    if (!tool) return expect(use).toBeVisible()
    // A suggestion is used by going on with it.
    await expect(
      page.getByRole('img', { name: /^(What others see|Suggested, not saved yet)$/ }),
    ).toHaveAttribute('data-ready', 'true')
    await page.getByRole('button', { name: tool }).click()
  }
}

function openCollage(what: RegExp) {
  return async (page: Page) => {
    await goTo(page, '/evidence?words=season')
    await page.getByRole('button', { name: /^One season on the low marsh/ }).click()
    await page.getByRole('link', { name: /^Arrange$/ }).click()
    await page.getByRole('button', { name: what }).last().click()
  }
}

async function openItem(page: Page) {
  // By its words: on a phone it stands far below what is there of the grid.
  await goTo(page, '/evidence?words=heron')
  await page.getByRole('button', { name: /^Heron at the weir/ }).click()
  await page.keyboard.press('t')
}

function follow(path: string, name: string | RegExp) {
  return async (page: Page) => {
    await goTo(page, path)
    await page.getByRole('link', { name, exact: true }).first().click()
    await expect(page).not.toHaveURL(path)
  }
}

async function readThrough(page: Page) {
  await follow('/logbooks', 'One stake')(page)
  await page.getByRole('button').nth(0).waitFor()
  await page.goto(`${page.url()}?reading=1`)
  await expect(page.locator('article.paper')).toHaveCount(3)
}

async function openAlongQuestions(page: Page) {
  await follow('/logbooks', 'One stake')(page)
  await page.getByRole('link', { name: 'Visit 2', exact: true }).click()
  await expect(page.locator('.ProseMirror')).toBeVisible()
}

async function openSheet(page: Page) {
  await follow('/sheets', 'At the stake')(page)
  await page.locator('ol > li [aria-expanded]').nth(1).click()
}

async function openReading(page: Page) {
  await follow('/guide-copies', 'One stake, five visits')(page)
  await page.getByRole('link', { name: 'See it as your assessor' }).click()
  await expect(page.locator('main h2')).toHaveCount(6)
}

async function openGuide(page: Page) {
  await follow('/guides', 'One stake, five visits')(page)
  await page.locator('ol > li [aria-expanded]').first().click()
  await page.locator('ol > li ol > li [aria-expanded]').first().click()
}

async function openProgress(page: Page) {
  await follow('/guides', 'One stake, five visits')(page)
  await page.getByRole('link', { name: 'How far Shore Methods has come' }).click()
  await expect(page.getByRole('table')).toBeVisible()
}

async function openGrowth(page: Page) {
  await goTo(page, '/grow')
  await expect(page.locator('.main-svg').first()).toBeVisible()
}

async function openAttributeSet(page: Page) {
  await follow('/attribute-sets', 'Field Attributes')(page)
  await page.locator('ol > li [aria-expanded]').first().click()
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
  await follow('/submissions', 'Transect portfolio')(page)
  await page.goto(`${page.url()}?mend=statement`)
  await expect(page.getByRole('textbox').first()).toBeVisible()
}

async function openDesk(page: Page) {
  await goTo(page, '/review-desk')
  await expect(page.locator('main a[href^="/submissions/"]').first()).toBeVisible()
}

async function openCopy(page: Page) {
  await openDesk(page)
  await page.locator('main li a[href^="/submissions/"]').last().click()
  await expect(page.locator('article.paper')).toBeVisible()
}

async function openGivePass(page: Page) {
  await goTo(page, '/sharing')
  await page.locator('main header button').click()
  await expect(page.getByRole('dialog')).toBeVisible()
}

async function openLink(page: Page) {
  await goTo(page, '/')
  await page.getByRole('link', { name: /^Aunt Pilar/ }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Shore year' })).toBeVisible()
}

async function openLinkedPage(page: Page) {
  await openLink(page)
  await page.getByRole('link', { name: 'What the creek does to its bank' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'What the creek does to its bank' })).toBeVisible()
}

async function openClass(page: Page) {
  await goTo(page, '/classes')
  await page.locator('main a[href^="/classes/"]').first().click()
}

async function openPerson(page: Page) {
  await goTo(page, '/people?text=juno')
  await page.getByRole('link', { name: 'Juno Castellane' }).click()
}
