// Structured work in stages: an assessor sets a guide, a student works through one copy of it, and both see how far it is.
import { saved } from './support/acts.ts'
import { addStage, ask, beginGuide, publishFor, setDue } from './support/guides.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

test('an assessor sets a guide; a student works through it in one copy, and hears what is said of it', async ({
  browser,
}) => {
  const odalys = await site.pageAs(browser, 'Odalys')
  await beginGuide(odalys, 'Reading the bank', 'Look')
  await expect(odalys.getByText('Stage 1 is empty.')).toBeVisible()
  await odalys.getByRole('button', { name: /^Instruction/ }).click()
  await odalys.getByRole('textbox', { name: 'Words' }).click()
  await odalys.keyboard.type('Stand still for a while.')
  await ask(odalys, /^Short text/, 'Which bank is it?')
  await ask(odalys, /^Entry A dated/, 'What do you see?')
  await addStage(odalys, 'Tell')
  await ask(odalys, /^Evidence/, 'A minute of film about it', false)
  await ask(odalys, /^Long text/, 'What would you tell a beginner?')
  const tried = odalys.getByRole('region', { name: 'Try it out' })
  await expect(tried.getByText('Stand still for a while.')).toBeVisible()
  await expect(tried.getByRole('listitem').filter({ hasText: 'Tell' })).toContainText('not open yet')
  await publishFor(odalys, 'Shore Methods')

  const sefa = await site.pageAs(browser, 'Sefa')
  await sefa.goto('/')
  await sefa.getByRole('link', { name: 'Guides' }).click()
  const card = sefa.getByRole('listitem').filter({ hasText: 'Reading the bank' }).first()
  await expect(card).toContainText('Odalys Fenn set it for Shore Methods (FLD-204).')
  await expect(card).toContainText('Your assessor can follow it from the start.')
  await sefa.getByRole('button', { name: 'Start Reading the bank' }).click()
  await expect(sefa.getByText('Stand still for a while.')).toBeVisible()
  await sefa.getByRole('textbox', { name: 'Which bank is it?' }).fill('The north bank')
  await sefa.getByRole('button', { name: 'Write an entry' }).click()
  await sefa.locator('.ProseMirror').click()
  await sefa.keyboard.type('The grass hangs over the edge.')
  await saved(sefa)
  await expect(sefa.getByRole('link', { name: 'Reading the bank' })).toHaveAttribute('href', /\/logbooks\//)
  await sefa.getByRole('link', { name: 'Back to the guide' }).click()
  await expect(sefa.getByText('The grass hangs over the edge.')).toBeVisible()
  await expect(sefa.getByText('2 of 2 questions answered')).toBeVisible()

  // The next stage is open now, and the copy is the same wherever it is opened.
  await sefa.getByRole('navigation', { name: 'Stages' }).getByRole('button', { name: /^Tell/ }).click()
  await sefa.getByRole('textbox', { name: 'What would you tell a beginner?' }).click()
  await sefa.keyboard.type('Look twice.')
  await saved(sefa)
  const address = new URL(sefa.url()).pathname
  await sefa.goto('/guide-copies')
  await sefa.getByRole('link', { name: 'Open Reading the bank' }).click()
  await expect(sefa).toHaveURL(new RegExp(address))
  await sefa.getByRole('link', { name: 'See it as your assessor' }).click()
  await expect(sefa.getByText('Look twice.')).toBeVisible()
  await expect(sefa.getByText('Stand still for a while.')).toBeHidden()

  await odalys.getByRole('link', { name: 'How far Shore Methods has come' }).click()
  await expect(odalys.getByRole('row', { name: /^Tomasz/ })).toContainText('Not started')
  await odalys.getByRole('link', { name: /^Sefa Marlowe, Look: done/ }).click()
  await expect(odalys.getByText('The grass hangs over the edge.')).toBeVisible()
  await odalys.getByRole('button', { name: 'Feedback on: Which bank is it?' }).click()
  await odalys
    .getByRole('textbox', { name: 'Feedback on: Which bank is it?' })
    .fill('Which side of the gate?')
  await odalys.getByRole('button', { name: 'Send feedback' }).click()
  await expect(odalys.getByText('Which side of the gate?')).toBeVisible()

  await sefa.goto(`${address}?stage=`)
  await sefa.getByRole('navigation', { name: 'Stages' }).getByRole('button', { name: /^Look/ }).click()
  await expect(sefa.getByText('Which side of the gate?')).toBeVisible()
})

test('a guide that is improved waits for those who have begun to choose; their answers stay', async ({
  browser,
}) => {
  const odalys = await site.pageAs(browser, 'Odalys')
  await beginGuide(odalys, 'Tide words', 'Collect')
  await ask(odalys, /^Short text/, 'A word for high water')
  await publishFor(odalys, 'Shore Methods')
  const sefa = await site.pageAs(browser, 'Sefa')
  await sefa.goto('/guide-copies')
  await sefa.getByRole('button', { name: 'Start Tide words' }).click()
  await sefa.getByRole('textbox', { name: 'A word for high water' }).fill('flood')
  await saved(sefa)

  await odalys.getByRole('button', { name: 'Remove from stage' }).click()
  await ask(odalys, /^Short text/, 'A word for low water')
  await saved(odalys)
  await odalys.getByRole('button', { name: 'Publish changes' }).click()
  await expect(odalys.getByRole('button', { name: 'Publish changes' })).toBeHidden()

  await sefa.reload()
  const newer = sefa.getByRole('region', { name: 'The guide has changed' })
  await expect(newer).toContainText('New question: A word for low water')
  await expect(newer).toContainText('Not asked any more: A word for high water')
  await expect(sefa.getByRole('textbox', { name: 'A word for high water' })).toHaveValue('flood')
  await newer.getByRole('button', { name: 'Use the new version' }).click()
  await sefa.getByRole('textbox', { name: 'A word for low water' }).fill('slack')
  await expect(sefa.getByRole('heading', { name: 'Answers to earlier questions' })).toBeVisible()
  await expect(sefa.getByRole('textbox', { name: 'A word for high water' })).toHaveValue('flood')
  await saved(sefa)
})

test('what is due is handed in by itself, with its receipt and with what was missing by name', async ({
  browser,
}) => {
  const odalys = await site.pageAs(browser, 'Odalys')
  await beginGuide(odalys, 'A stake by night', 'Listen')
  await ask(odalys, /^Short text/, 'What do you hear?')
  await ask(odalys, /^List of steps/, 'What happened, in order?')
  await odalys.getByRole('radio', { name: /It is handed in when due/ }).check()
  await expect(odalys.getByText('It is handed in when due, but has no due time yet.')).toBeVisible()
  await setDue(odalys, '010120991200')
  await publishFor(odalys, 'Shore Methods')

  const sefa = await site.pageAs(browser, 'Sefa')
  await sefa.goto('/guide-copies')
  const card = sefa.getByRole('listitem').filter({ hasText: 'A stake by night' }).first()
  await expect(card).toContainText('Until then your assessor sees how far you are, not what you write.')
  await sefa.getByRole('button', { name: 'Start A stake by night' }).click()
  await sefa.getByRole('textbox', { name: 'What do you hear?' }).fill('Curlews')
  await saved(sefa)

  // It was due long ago, says its assessor now: it is collected at the next turn.
  await setDue(odalys, '010120201200')
  await saved(odalys)
  await odalys.getByRole('button', { name: 'Publish changes' }).click()
  await expect(async () => {
    await sefa.goto('/submissions')
    await expect(sefa.getByText('handed in automatically')).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 60_000 })
  await sefa.getByRole('link', { name: 'A stake by night' }).first().click()
  await expect(sefa.getByText('Curlews')).toBeVisible()
  await expect(sefa.getByText('Still missing: “What happened, in order?”.')).toBeVisible()

  await odalys.getByRole('link', { name: 'How far Shore Methods has come' }).click()
  await expect(odalys.getByRole('row', { name: /^Sefa/ })).toContainText('Handed in automatically')
  await odalys.getByRole('link', { name: /^Sefa Marlowe, Listen/ }).click()
  await expect(odalys.getByText('Curlews')).toBeVisible()
})

test('a copy that could not be handed in says so, and is handed in by hand', async ({ browser }) => {
  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto('/review-desk')
  await expect(odalys.getByText('Could not be handed in: Nell Sorrel.')).toBeVisible()
  const nell = await site.pageAs(browser, 'Nell Sorrel')
  await nell.goto('/')
  await expect(nell.getByText('Not handed in')).toBeVisible()
  await nell.goto('/guide-copies')
  await expect(nell.getByText(/It could not be handed in automatically/)).toBeVisible()
  await nell.getByRole('link', { name: 'Open One stake, five visits' }).click()
  await expect(nell.getByText(/Everything you wrote is safe/)).toBeVisible()
  await nell.getByRole('button', { name: /^Hand in with/ }).click()
  await expect(nell).toHaveURL(/\/submissions\//)
  await expect(nell.getByRole('img', { name: /^Sealed copy MB-/ })).toBeVisible()
  await odalys.reload()
  await expect(odalys.getByText('Could not be handed in')).toBeHidden()
})

test('Juniors work along pictures, and open the last stage only when their teacher does', async ({
  browser,
}) => {
  const nell = await site.pageAs(browser, 'Nell Quillan-Day')
  await nell.goto('/guide-copies')
  await nell.getByRole('link', { name: 'Open A shell walk' }).click()
  const route = nell.getByRole('navigation', { name: 'Stages' })
  await expect(route.getByRole('listitem').filter({ hasText: 'Put back' })).toContainText(
    'your assessor opens it',
  )
  await route.getByRole('button', { name: /^Find/ }).click()
  await expect(nell.getByText('Look at the inside of the second')).toBeVisible()
  const rufus = await site.pageAs(browser, 'Rufus')
  await rufus.goto('/guides')
  await rufus.getByRole('link', { name: 'Paseo de conchas' }).click()
  await rufus.getByRole('link', { name: 'Hasta dónde ha llegado Saturday Crew' }).click()
  await rufus.getByRole('button', { name: 'Abrir Devuelve ahora' }).click()
  await expect(rufus.getByRole('button', { name: 'Volver a cerrar Devuelve' })).toBeVisible()
  await nell.reload()
  await expect(route.getByRole('button', { name: /^Put back/ })).toBeVisible()
})

test('Today has the stage that is open, to be answered there and then, and the entry that is due', async ({
  browser,
}) => {
  const wren = await site.pageAs(browser, 'Wren')
  await wren.goto('/')
  const steps = wren.getByRole('list', { name: 'What to do next' })
  const step = steps.getByRole('listitem').filter({ hasText: 'storm: One stake, five visits' }).first()
  await expect(step).toContainText('1 of 3 answered')
  await expect(step).toContainText('What do you think moved the mud?')
  await step.getByRole('button', { name: /^Answer here/ }).click()
  await step.getByRole('textbox', { name: 'What do you think moved the mud?' }).click()
  const answer = 'The north wind moved it. '.repeat(6).trim()
  await wren.keyboard.type(answer)
  await saved(wren)
  await expect(step).toContainText('1 required question still to do')
  await step.getByRole('button', { name: /^Close/ }).click()
  await expect(step).toContainText('2 of 3 answered')
  await step.getByRole('link', { name: /One stake, five visits/ }).click()
  await expect(wren.getByRole('textbox', { name: 'What do you think moved the mud?' })).toHaveText(answer)

  const tomasz = await site.pageAs(browser, 'Tomasz')
  await tomasz.goto('/')
  await tomasz.getByRole('button', { name: 'Write an entry for First look' }).click()
  await expect(tomasz).toHaveURL(/\/entries\//)
  await expect(tomasz.getByRole('link', { name: /One stake, five visits/ }).first()).toBeVisible()

  // The line about the week goes, and comes back from the settings.
  await wren.goto('/')
  await wren.getByRole('button', { name: 'Hide this line' }).click()
  await expect(wren.getByText('This week so far:')).toBeHidden()
  await wren.goto('/settings')
  await wren.getByRole('group', { name: 'Your week on Today' }).getByText('Show').click()
  await wren.goto('/')
  await expect(wren.getByText('This week so far:')).toBeVisible()
})
