// The administrator's job: somebody comes to the school, into a class, and leaves again.
import { writeDay } from './support/acts.ts'
import { expect, test, useSite } from './support/site.ts'

const site = useSite()

test('a new student is added, added to a class, comes in with a link, and is ended', async ({ browser }) => {
  const admin = await site.pageAs(browser, 'Mireille')
  await admin.goto('/')
  await expect(admin.getByRole('heading', { level: 1 })).toHaveText('38 people')

  await admin.getByRole('link', { name: 'Add a person' }).click()
  await admin.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(admin.getByText('Fill this in.')).toHaveCount(3)
  await admin.getByLabel('Full name').fill('Marisol Vane-Okafor')
  await admin.getByLabel('First name').fill('Marisol')
  await admin.getByLabel('Sign-in name').fill('wren')
  await admin.getByLabel('Year group').click()
  await admin.getByRole('option', { name: 'Foundation' }).click()
  await admin.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(admin.getByText('Somebody already has this sign-in name.')).toBeVisible()
  await admin.getByLabel('Sign-in name').fill('marisol')
  await admin.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(admin.getByRole('heading', { level: 1 })).toHaveText('Marisol Vane-Okafor')
  await expect(admin.getByRole('status').filter({ hasText: 'You added Marisol' })).toBeVisible()

  await admin.getByRole('button', { name: 'Add to a class' }).click()
  const dialog = admin.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog.getByText('Fill this in.')).toBeVisible()
  await dialog.getByLabel('Class').click()
  await admin.getByRole('option', { name: /Shore Methods/ }).click()
  await writeDay(dialog, 'First day', '20112026')
  await writeDay(dialog, 'Last day', '10112026')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog.getByRole('alert')).toContainText('The last day is before the first')
  await writeDay(dialog, 'Last day', '12122026')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog).toBeHidden()
  await expect(admin.getByText('from 20 Nov, until 12 Dec')).toBeVisible()
  await expect(admin.getByText('Saved 10:42').first()).toBeVisible()

  await admin.getByRole('button', { name: 'Make a sign-in link' }).click()
  const address = await admin.getByLabel(/Give this link to Marisol/).inputValue()

  const student = await site.pageOfNobody(browser)
  await student.goto(address)
  await student.getByLabel('New password').fill('sandbar at half tide')
  await student.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(student.getByRole('heading', { level: 1 })).toContainText('Marisol.')
  await student.getByRole('link', { name: 'Shore Methods' }).click()
  await expect(student.getByText('Marisol Vane-Okafor, you')).toBeVisible()

  await admin.getByRole('button', { name: 'Close this account' }).click()
  await admin
    .getByRole('group', { name: 'Close this account' })
    .getByRole('button', { name: 'Close this account' })
    .click()
  await expect(admin.getByText(/Cannot sign in\./)).toBeVisible()
  await student.reload()
  await expect(student.getByRole('heading', { level: 1 })).toHaveText('Come in')

  await admin.getByRole('link', { name: 'Records' }).click()
  const newest = admin.getByRole('row').nth(1)
  await expect(newest).toContainText('account closed')
  await expect(newest).toContainText('Marisol Vane-Okafor')
})

test('people are found by name, year group and class, and the address keeps the query', async ({
  browser,
}) => {
  const admin = await site.pageAs(browser, 'Mireille')
  await admin.goto('/people')
  await admin.getByLabel('Find by name').fill('kestrel')
  await expect(admin.getByRole('heading', { level: 1 })).toHaveText('1 person')
  await admin.reload()
  await expect(admin.getByRole('link', { name: 'Bram Kestrel-Roy' })).toBeVisible()
  await admin.getByLabel('Find by name').fill('nobody at all')
  await expect(admin.getByText('Nobody matches.')).toBeVisible()
  await admin.getByRole('button', { name: 'Remove the filters' }).click()
  await admin.getByLabel('Year group').click()
  await admin.getByRole('option', { name: 'Junior' }).click()
  await expect(admin.getByRole('heading', { level: 1 })).toHaveText('18 people')
  await expect(admin.getByRole('row').nth(1)).toContainText('Abel')
})

test('two administrators at one person: the second is told, and nothing is overwritten', async ({
  browser,
}) => {
  const [first, second] = [await site.pageAs(browser, 'Mireille'), await site.pageAs(browser, 'Mireille')]
  for (const page of [first, second]) {
    await page.goto('/people')
    await page.getByRole('link', { name: 'Callum Vess' }).click()
    await expect(page.getByLabel('Full name')).toHaveValue('Callum Vess')
  }
  await first.getByLabel('Full name').fill('Callum Vess-Adair')
  await first.getByRole('button', { name: 'Save' }).click()
  await expect(first.getByRole('heading', { level: 1 })).toHaveText('Callum Vess-Adair')
  await second.getByLabel('First name').fill('Cal')
  await second.getByRole('button', { name: 'Save' }).click()
  await expect(second.getByRole('alert')).toContainText('Somebody else changed this while you had it open')
  await expect(second.getByLabel('Full name')).toHaveValue('Callum Vess-Adair') // the other's change is shown
  await expect(second.getByLabel('First name')).toHaveValue('Cal') // one's own is still there
  await second.getByRole('button', { name: 'Save' }).click()
  await expect(second.getByText('Saved 10:42').first()).toBeVisible()
  await first.reload()
  await expect(first.getByLabel('First name')).toHaveValue('Cal')
})

test('a class is added and changed', async ({ browser }) => {
  const admin = await site.pageAs(browser, 'Mireille')
  await admin.goto('/classes')
  await expect(admin.getByRole('heading', { level: 1 })).toHaveText('The school has 3 classes')
  await admin.getByRole('button', { name: 'Add a class' }).click()
  await admin.getByLabel('Name').fill('Dune Walks')
  await admin.getByLabel('Course code').fill('fld-204')
  await admin.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(admin.getByText('Another class already has this code.')).toBeVisible()
  await admin.getByLabel('Course code').fill('FLD-301')
  await admin.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(admin.getByRole('heading', { level: 1 })).toHaveText('The school has 4 classes')
  await admin.getByRole('button', { name: 'Change: Dune Walks' }).click()
  await admin.getByLabel('Name').fill('Dune Walks and Talks')
  await admin.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
  await expect(admin.getByRole('link', { name: 'Dune Walks and Talks' })).toBeVisible()
})
