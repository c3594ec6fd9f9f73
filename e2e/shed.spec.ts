import { expect, lawnNamed, open, PHONE, test } from './demo'

test('what is written into the stock book is used up by marked work, given back when undone, and missed when it runs short', async ({
  page,
  request,
}) => {
  await open(page, '/lawns')
  await page.keyboard.press('5')
  await expect(page).toHaveURL(/\/shed$/)
  const add = page.getByRole('form', { name: 'Add to stock' })
  await add.getByRole('button', { name: 'Feed' }).click()
  await add.getByLabel('Analysis').fill('potash')
  await add.getByLabel('Name, lot or bag').fill('Autumn feed')
  await add.getByLabel(/^On hand/).fill('40 lb')
  await add.getByRole('button', { name: 'Save' }).click()
  await expect(add.getByText(/three numbers such as/)).toBeVisible()
  await add.getByLabel('Analysis').fill('10-10-10')
  await add.getByRole('button', { name: 'Save' }).click()
  const line = page.locator('.item', { hasText: 'Autumn feed' })
  await expect(line).toContainText('40.0 lb')

  await line
    .getByRole('button', { name: /Autumn feed/ })
    .first()
    .click()
  const form = line.getByRole('form', { name: 'Record Autumn feed' })
  await form.getByLabel('Amount').fill('10 lb')
  await form.getByRole('button', { name: 'Record delivery' }).click()
  await expect(line).toContainText('50.0 lb')
  await form.getByLabel('Amount').fill('45 lb')
  await form.getByRole('button', { name: 'Record count' }).click()
  await expect(line.getByRole('row', { name: /counted −5/ })).toBeVisible()

  const lawn = await lawnNamed(request, 'Linden Row')
  await open(page, `/lawns/${lawn.id}/do`)
  const feed = page.locator('[data-task=feed]')
  await feed.getByRole('button', { name: 'Done: Feed' }).click()
  await feed.getByLabel('Put down').fill('12 lb')
  await feed.getByLabel('Out of which line of the stock book').selectOption({ label: 'Autumn feed, 45.0 lb' })
  await feed.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(feed.getByRole('button', { name: 'Undo fed' })).toBeVisible()
  await open(page, '/shed')
  await expect(line).toContainText('33.0 lb')
  await line
    .getByRole('button', { name: /Autumn feed/ })
    .first()
    .click()
  await line.getByRole('row', { name: /used/ }).getByRole('link', { name: 'Linden Row' }).click()
  await page.locator('.finished .line', { hasText: /feed/i }).click()
  await feed.getByRole('button', { name: 'Undo fed' }).click()
  await expect(feed.getByRole('button', { name: 'Done: Feed' })).toBeVisible()

  // Starter that the plan asks for is counted anew and runs short: the task says by how much.
  await expect(feed).toContainText('of 18-24-12 in the shed')
  await open(page, '/shed')
  await expect(line).toContainText('45.0 lb')
  const starter = page.locator('.item', { hasText: 'starter, 50 lb bags' })
  await starter
    .getByRole('button', { name: /starter/ })
    .first()
    .click()
  await starter.getByLabel('Amount').fill('3 lb')
  await starter.getByRole('button', { name: 'Record count' }).click()
  await expect(starter).toContainText('3.0 lb')
  await open(page, `/lawns/${lawn.id}/do`)
  await expect(feed).toContainText('of 18-24-12 short in the shed')
})

test('on a phone a line is counted and put away', async ({ page }) => {
  await page.setViewportSize(PHONE)
  await open(page, '/shed')
  const line = page.locator('.item', { hasText: 'winter rye' })
  await line
    .getByRole('button', { name: /winter rye/ })
    .first()
    .click()
  await line.getByRole('button', { name: /^Put away/ }).click()
  await expect(line).toBeHidden()
  await page.getByText('Put away', { exact: false }).first().click()
  await line
    .getByRole('button', { name: /winter rye/ })
    .first()
    .click()
  await line.getByRole('button', { name: 'Use it again' }).click()
  await expect(page.locator('section', { hasText: 'Seed' }).locator('.item', { hasText: 'winter rye' })).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
})
