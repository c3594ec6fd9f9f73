import { expect, test } from './demo'

// Runs last, by its name: the demo's clock moves on for everybody.
test('the demo says that it is one, and its clock takes station, probe and views along', async ({ page }) => {
  await page.goto('/lawns', { waitUntil: 'networkidle' })
  await expect(page.getByText('You are Joss Tarn, technician of Quillmarsh Turf, an invented firm')).toBeVisible()
  const tag = page.locator('.sill .tag').first()
  await expect(tag).toHaveText('Tue 8 Sep')
  const fell = await page.locator('.plot rect[fill="#a9cfe6"]').count()
  await page.getByRole('button', { name: 'A day on' }).click()
  await expect(tag).toHaveText('Wed 9 Sep')
  await page.getByRole('button', { name: 'A week on' }).click()
  // A new day is a new season for the station and each lawn; on a slow machine that takes its time.
  await expect(tag).toHaveText('Wed 16 Sep', { timeout: 20_000 })
  await expect(page.locator('.readout .note')).toContainText('probe 06:40')
  await expect(page.locator('.readout .now')).not.toHaveText(/70\.9/)
  expect(await page.locator('.plot rect[fill="#a9cfe6"]').count()).not.toBe(fell)
  await expect(page.getByRole('row', { name: /Tanner/ })).toContainText('At risk', { timeout: 20_000 })
  await page.goto('/weather', { waitUntil: 'networkidle' })
  await expect(page.getByRole('row', { name: /Pellmoor ridge/ })).toContainText('15 Sep')
})
