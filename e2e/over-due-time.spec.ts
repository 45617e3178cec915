// A guide that falls due while a student has no connection: what the device holds counts from when it was written.
import { saved } from './support/acts.ts'
import { ask, beginGuide, handInWhenDue, publishFor } from './support/guides.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

test('what is written without a connection before a guide is due is handed in after all, and says so', async ({
  browser,
}) => {
  test.setTimeout(240_000)
  const odalys = await site.pageAs(browser, 'Odalys')
  await beginGuide(odalys, 'A stake without a signal', 'Listen')
  await ask(odalys, /^Short text/, 'What do you hear?', false)
  await handInWhenDue(odalys, '261120261050')
  await publishFor(odalys, 'Shore Methods')

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
  await site.goTo('2026-11-26T10:52:00.000Z')
  const marks = () => odalys.context().request.get('/api/review-desk/queue')
  await expect(async () => {
    expect(await (await marks()).text()).toContain('A stake without a signal')
  }).toPass({ timeout: 60_000 })

  await sefa.context().setOffline(false)
  await saved(sefa)
  await site.goTo('2026-11-26T10:55:00.000Z')
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

test('a stage that closes while one types keeps what was typed and says so, whatever the clock of the device', async ({
  browser,
}) => {
  test.setTimeout(240_000)
  await site.goTo('2026-11-26T10:42:00.000Z')
  const odalys = await site.pageAs(browser, 'Odalys')
  await beginGuide(odalys, 'A stake that closes', 'Look')
  await odalys.getByRole('group', { name: 'Closes' }).getByRole('spinbutton', { name: 'Day' }).click()
  await odalys.keyboard.type('261120261050')
  await ask(odalys, /^Short text/, 'What do you see?', false)
  await publishFor(odalys, 'Shore Methods')

  const sefa = await site.pageAs(browser, 'Sefa')
  // A device that is two days ahead sees what is open all the same.
  await sefa.clock.setFixedTime('2026-11-28T10:42:00.000Z')
  await sefa.goto('/guide-copies')
  await sefa.getByRole('button', { name: 'Start A stake that closes' }).click()
  const field = sefa.getByRole('textbox', { name: 'What do you see?' })
  await field.fill('Silt')
  await saved(sefa)
  await sefa.context().setOffline(true)
  await field.fill('Silt, and a crab')
  await site.goTo('2026-11-26T10:51:00.000Z')
  await sefa.context().setOffline(false)
  await saved(sefa)
  await sefa.reload()
  await expect(sefa.getByText('This stage has closed. What you wrote is saved.')).toBeVisible()
  await expect(sefa.getByText('Silt, and a crab')).toBeVisible()
  await expect(field).toHaveCount(0)

  // It was written in time, says the time of the server, so nothing says that it came later.
  await odalys.goto(odalys.url())
  await odalys.getByRole('link', { name: 'How far Shore Methods has come' }).click()
  const cell = odalys.getByRole('link', { name: /^Sefa Marlowe, Look/ })
  await expect(cell).toHaveAccessibleName(/done/i)
  await expect(cell).not.toHaveAccessibleName(/after it closed/)
})
