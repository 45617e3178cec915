// A guide that falls due while a student has no connection: what the device holds counts from when it was written.
import { saved } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

/** Starts the server again at another time of the day, which the sample world began at 10:42. */
async function goTo(time: string): Promise<void> {
  await site.stop()
  await site.start({ env: { VALISE_CLOCK: `2026-11-26T${time}:00.000Z` } })
}

test('what is written without a connection before a guide is due is handed in after all, and says so', async ({
  browser,
}) => {
  test.setTimeout(240_000)
  const odalys = await site.pageAs(browser, 'Odalys')
  await odalys.goto('/guides')
  await odalys.getByRole('button', { name: 'New guide' }).click()
  await odalys.getByRole('textbox', { name: 'Title' }).fill('A stake without a signal')
  await odalys.getByRole('button', { name: 'Add a stage' }).click()
  await odalys.getByRole('textbox', { name: 'Name of the stage' }).fill('Listen')
  await odalys.getByRole('combobox', { name: 'When does it open?' }).click()
  await odalys.getByRole('option', { name: 'When the stage before is done' }).click()
  await odalys.getByRole('button', { name: /^Short text/ }).click()
  await odalys.getByRole('textbox', { name: 'Question', exact: true }).fill('What do you hear?')
  await odalys.getByRole('radio', { name: /It is handed in when due/ }).check()
  const due = odalys.getByRole('group', { name: 'Due, handed in automatically' })
  await due.getByRole('spinbutton', { name: 'Day' }).click()
  await odalys.keyboard.type('261120261050')
  await odalys.getByRole('button', { name: 'Publish', exact: true }).click()
  await odalys.getByRole('checkbox', { name: 'Shore Methods' }).check()
  await saved(odalys)

  const sefa = await site.pageAs(browser, 'Sefa')
  await sefa.goto('/guide-copies')
  await sefa.getByRole('button', { name: 'Start A stake without a signal' }).click()
  const field = sefa.getByRole('textbox', { name: 'What do you hear?' })
  await field.fill('Curlews')
  await saved(sefa)
  await sefa.context().setOffline(true)
  await field.fill('Curlews, and the tide in the grass')
  await expect(sefa.getByText('1 change is saved on this device only').first()).toBeVisible()

  // It was due meanwhile, and is handed in with what had come by then.
  await goTo('10:52')
  const marks = () => odalys.context().request.get('/api/review-desk/queue')
  await expect(async () => {
    expect(await (await marks()).text()).toContain('A stake without a signal')
  }).toPass({ timeout: 60_000 })

  await sefa.context().setOffline(false)
  await saved(sefa)
  await goTo('10:55')
  await expect(async () => {
    await sefa.goto('/submissions')
    await expect(sefa.getByText(/some of it written in time, came/)).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 60_000 })
  await expect(sefa.getByText('Hand-in 2')).toBeVisible()
  await sefa.getByRole('link', { name: 'A stake without a signal' }).first().click()
  await expect(sefa.getByText('Curlews, and the tide in the grass')).toBeVisible()

  await odalys.goto('/review-desk')
  await odalys
    .getByRole('link', { name: /A stake without a signal/ })
    .first()
    .click()
  await expect(odalys.getByText('and the tide in the grass').first()).toBeVisible()
})
