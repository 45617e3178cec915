// The whole job on PostgreSQL, where the machine that tests has one. Whoever starts the journeys names empty databases.
import { expect, test, useSiteOnPostgres } from './support/site.ts'
import { doWholeJob } from './support/wholeJob.ts'

const addresses = process.env['VALISE_E2E_POSTGRES']

if (addresses !== undefined) {
  const site = useSiteOnPostgres(addresses.split(' '))

  test('from a picture on the device to a level on the page, on PostgreSQL', async ({ browser }) => {
    await doWholeJob(site, browser)
    // Words are found by an index that is PostgreSQL's own.
    const sefa = await site.pageAs(browser, 'Sefa')
    await sefa.goto('/evidence?words=lavender+july')
    await expect(sefa.getByRole('button', { name: /^sea lavender in July/ })).toBeVisible()
    await expect(sefa.getByRole('button', { name: /^sea lavender in June/ })).toBeHidden()
  })
}
