// Rating oneself: a teacher writes attributes, a student rates themselves on them with a reason, and sees how that went on.
import { saved } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

test('an assessor writes attributes and offers them; a student rates themselves, and again later', async ({
  browser,
}) => {
  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto('/attribute-sets')
  await odalys.getByRole('button', { name: 'New set of attributes' }).click()
  await odalys.getByRole('textbox', { name: 'Title' }).fill('Boat work')
  for (const [n, step] of ['Not yet', 'With help', 'On my own'].entries())
    await odalys.getByRole('textbox', { name: `Step ${n + 1}`, exact: true }).fill(step)
  const publish = odalys.getByRole('button', { name: 'Publish', exact: true })
  await expect(odalys.getByText('Step 4 has no name yet.')).toBeVisible()
  await odalys.getByRole('button', { name: 'Remove step 4' }).click()
  await expect(odalys.getByText('It has no attributes yet.')).toBeVisible()
  await expect(publish).toBeDisabled()
  await odalys.getByRole('button', { name: 'Add an attribute' }).click()
  await odalys.getByRole('textbox', { name: 'Name' }).fill('Knots')
  await odalys.getByRole('textbox', { name: 'What it means' }).fill('What I tie holds, and comes undone.')
  await odalys.getByRole('textbox', { name: 'What “With help” looks like' }).fill('I follow the drawing.')
  const look = odalys.getByRole('complementary', { name: 'How a student sees it' })
  await expect(look.getByText('I follow the drawing.')).toBeVisible()
  await look.getByRole('radio', { name: /With help/ }).check()
  await publish.click()
  await odalys.getByRole('checkbox', { name: 'Shore Methods' }).check()
  await saved(odalys)

  const sefa = await site.pageAs(browser, 'Sefa')
  await sefa.goto('/')
  await sefa.getByRole('link', { name: 'Self-ratings' }).click()
  await sefa.getByRole('combobox', { name: 'Set of attributes' }).click()
  await sefa.getByRole('option', { name: 'Boat work' }).click()
  await expect(sefa.getByText(/No self-ratings yet/)).toBeVisible()
  await sefa.getByRole('link', { name: 'Rate yourself' }).click()
  await expect(sefa.getByRole('checkbox', { name: /^Knots/ })).toBeChecked()
  await sefa.getByRole('button', { name: 'Write entry' }).click()
  await sefa.getByRole('radio', { name: /With help/ }).check()
  await expect(sefa.getByText('0 words, at least 1')).toBeVisible()
  await sefa.getByRole('textbox', { name: 'Why, for Knots' }).fill('I looked at the drawing twice.')
  await saved(sefa)
  await sefa.reload()
  await expect(sefa.getByRole('radio', { name: /With help/ })).toBeChecked()
  await sefa.getByRole('link', { name: 'Self-ratings' }).click()
  await expect(sefa.getByRole('heading', { level: 1 })).toHaveText('You rated yourself once.')

  // Another entry, another rating: both stay.
  await sefa.getByRole('link', { name: 'Rate yourself' }).click()
  await sefa.getByRole('button', { name: 'Write entry' }).click()
  await sefa.getByRole('radio', { name: /On my own/ }).check()
  await saved(sefa)
  await sefa.getByRole('link', { name: 'Self-ratings' }).click()
  await expect(sefa.getByRole('heading', { level: 1 })).toHaveText(/^Knots: 1\sstep up since /)
  const table = sefa.getByRole('table', { name: 'The same as a table' })
  await expect(table.getByText('I looked at the drawing twice.')).toBeVisible()
  await expect(table.getByText('On my own, step 3 of 3')).toBeVisible()
  await expect(table.getByText('No reason was given.')).toBeVisible()
})

test('how one sees oneself over time: each rating leads to its entry and its evidence', async ({
  browser,
}) => {
  const wren = await site.pageAs(browser, 'Wren')
  await wren.goto('/grow')
  await expect(wren.getByRole('heading', { level: 1 })).toHaveText(
    /^Asking before acting: 3\ssteps up since /,
  )
  await expect(wren.getByRole('img', { name: /How your self-ratings went/ })).toBeVisible()
  await expect(wren.locator('.scatterlayer .trace')).toHaveCount(4)
  await wren.getByRole('button', { name: 'Noticing', exact: true }).click()
  await expect(wren.locator('.scatterlayer .trace')).toHaveCount(1)
  await expect(wren.getByRole('heading', { level: 1 })).toHaveText(/^Noticing: 2\ssteps up since /)

  const closer = wren.getByRole('complementary', { name: 'Look closer' })
  await expect(closer.getByText('On my own, step 4 of 5')).toBeVisible()
  // A point of the plot, and a line of the table, open the same.
  const point = await wren.locator('.scatterlayer .point').first().boundingBox()
  await wren.mouse.click((point?.x ?? 0) + 5, (point?.y ?? 0) + 5)
  await expect(closer.getByText('Now and then, step 2 of 5')).toBeVisible()
  await wren
    .getByRole('button', { name: /^Look closer at Noticing/ })
    .nth(1)
    .press('Enter')
  await expect(closer.getByText(/I need her voice for it still/)).toBeVisible()
  await expect(closer.getByRole('link', { name: 'Ranging line 1' })).toHaveAttribute('href', /\/evidence\//)
  await closer.getByRole('link', { name: 'Open “First weeks in Shore Methods”' }).click()
  await expect(wren.getByRole('textbox', { name: 'Why, for Noticing' })).toHaveValue(/her voice/)
})

test('ratings are added to an entry that is being written, shown with evidence, and taken out again', async ({
  browser,
}) => {
  const wren = await site.pageAs(browser, 'Wren')
  await wren.goto('/logbooks')
  await wren.getByRole('link', { name: 'Odds and ends' }).first().click()
  await wren.getByRole('link', { name: 'Words I looked up' }).click()
  await wren.getByRole('button', { name: 'Rate yourself' }).click()
  const dialog = wren.getByRole('dialog', { name: 'Rate yourself on' })
  await dialog.getByRole('checkbox', { name: /^Passing on/ }).check()
  await dialog.getByRole('checkbox', { name: /^Noticing/ }).check()
  await dialog.getByRole('button', { name: 'Add 2 self-ratings' }).click()
  await wren.getByRole('radio', { name: /I teach it/ }).check()
  await wren.getByRole('textbox', { name: 'Why, for Passing on' }).fill('Tomasz uses my list of words.')
  await expect(wren.getByText('1 of 2 questions answered')).toBeVisible()
  await wren.getByRole('button', { name: 'Choose evidence' }).first().click()
  await wren
    .getByRole('dialog')
    .getByRole('button', { name: /Transect map/ })
    .first()
    .click()
  await expect(wren.getByLabel('Caption of Transect map')).toBeVisible()
  await saved(wren)

  // Attributes that stand there are not offered again; what is taken out comes back with one step.
  await wren.getByRole('button', { name: 'Rate yourself' }).click()
  await expect(dialog.getByRole('checkbox', { name: /^Leaving no trace/ })).toBeVisible()
  await expect(dialog.getByRole('checkbox', { name: /^Noticing/ })).toHaveCount(0)
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await wren.getByRole('button', { name: 'Remove self-rating' }).first().click()
  await expect(wren.getByRole('heading', { name: 'Noticing' })).toHaveCount(0)
  await wren.getByRole('button', { name: 'Undo' }).click()
  await expect(wren.getByRole('heading', { name: 'Noticing' })).toBeVisible()
  await saved(wren)
  await wren.goto('/grow')
  await expect(wren.getByRole('table').getByText('Tomasz uses my list of words.')).toBeVisible()
})

test('an administrator keeps attributes for the whole school; an assessor asks about them in a question sheet', async ({
  browser,
}) => {
  const mireille = await site.pageAs(browser, 'Mireille')
  await mireille.goto('/attribute-sets')
  await mireille.getByRole('link', { name: 'Field Attributes' }).click()
  await expect(mireille.getByRole('checkbox', { name: 'Everybody at the school' })).toBeChecked()

  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto('/attribute-sets')
  await odalys.getByRole('button', { name: 'Field Attributes', exact: true }).click()
  await expect(odalys.getByRole('dialog').getByText('I walk past most of it.')).toBeVisible()
  await odalys.getByRole('button', { name: 'Close' }).click()
  await odalys.goto('/sheets')
  await odalys.getByRole('button', { name: 'New question sheet' }).click()
  await odalys.getByRole('textbox', { name: 'Title' }).fill('My week, and how I noticed')
  await odalys.getByRole('button', { name: /^Self-rating/ }).click()
  await expect(odalys.getByText('Question 1 has no attribute to rate yet.')).toBeVisible()
  await odalys.getByRole('combobox', { name: 'Attribute' }).click()
  await odalys.getByRole('option', { name: 'Noticing (Field Attributes)' }).click()
  const tried = odalys.getByRole('region', { name: 'Try it out' })
  await tried.getByRole('radio', { name: /On my own/ }).check()
  await odalys.getByRole('button', { name: 'Publish', exact: true }).click()
  await saved(odalys)
})
