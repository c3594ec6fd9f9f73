import { barriers, expect, lawnNamed, open, test } from './demo'

test('a firm in British English reads its words and its dates so, in every view, and goes back', async ({
  browser,
  request,
}) => {
  const page = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage()
  await page.goto('/demo/enter?as=owner&to=/firm')
  const language = page.getByRole('combobox', { name: 'Language' })
  const speak = async (words: string) => {
    await language.click()
    await page.getByRole('option', { name: words }).click()
    await page.getByRole('button', { name: 'Save settings' }).click()
  }
  await expect(page.getByRole('heading', { name: 'Licenses' })).toBeVisible()
  await speak('British')
  await expect(page.getByRole('heading', { name: 'Licences' })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-GB')
  const { id } = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${id}/do`)
  await expect(page.locator('[data-task="dethatch"]')).toContainText('Scarify')
  await expect(page.locator('.sill')).toContainText(/\d{1,2} (Sep|Oct)/)
  expect(await barriers(page)).toEqual([])
  for (const view of ['look', 'decide', 'when', 'bring', 'water', 'watch', 'inspection']) {
    await open(page, `/lawns/${id}/${view}`)
    // What stands under a key nobody told, or a thing that is no words.
    expect(await page.locator('main').innerText()).not.toMatch(/\[object|undefined|\b[a-z]+\.[a-z]+[A-Z]\w*/)
  }
  await open(page, '/firm')
  await speak('American')
  await expect(page.getByRole('heading', { name: 'Licenses' })).toBeVisible()
  await page.context().close()
})
