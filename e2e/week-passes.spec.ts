import { expect, open, somebodyElse, test } from './demo'

// Runs last, by its name: the demo's clock moves on for everybody.
test('who leaves the demo finds the way back at the door', async ({ browser }) => {
  const page = await somebodyElse(browser, 'owner')
  await open(page, '/firm')
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await page.getByRole('link', { name: 'enter it without a password' }).click()
  await expect(page.getByText('You are Joss Tarn')).toBeVisible()
})

test('the demo says that it is one, and its clock takes station, probe and views along', async ({ page }) => {
  await open(page, '/lawns')
  await expect(page.getByText('You are Joss Tarn, technician of Quillmarsh Turf, an invented firm')).toBeVisible()
  const tag = page.locator('.sill .tag').first()
  await expect(tag).toHaveText('Tue Sep 8')
  const fell = await page.locator('.plot rect[fill="#a9cfe6"]').count()
  await page.getByRole('button', { name: '+1 day' }).click()
  await expect(tag).toHaveText('Wed Sep 9')
  await page.getByRole('button', { name: '+1 week' }).click()
  // A new day is a new season for the station and each lawn; on a slow machine that takes its time.
  await expect(tag).toHaveText('Wed Sep 16', { timeout: 20_000 })
  await expect(page.locator('.readout .note')).toContainText('probe 06:40')
  await expect(page.locator('.readout .now')).not.toHaveText(/70\.9/)
  expect(await page.locator('.plot rect[fill="#a9cfe6"]').count()).not.toBe(fell)
  await expect(page.getByRole('row', { name: /Tanner/ })).toContainText('At risk', { timeout: 60_000 })
  await open(page, '/weather')
  await expect(page.getByRole('row', { name: /Pellmoor ridge/ })).toContainText('Sep 15')
})
