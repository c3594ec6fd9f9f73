import { expect, lawnNamed, open, test } from './demo'

test('what if: other seedbeds stand beside the plan, follow the day, can be stopped, and change nothing', async ({
  page,
  request,
}) => {
  // The browser works a dozen seedbeds out, twice: on two busy processors that takes half a minute.
  test.slow()
  const lawn = await lawnNamed(request, 'Fen Cottage')
  await open(page, `/lawns/${lawn.id}/when`)
  await page.getByText('What if: other watering').click()
  const panel = page.locator('.what-if')
  const planned = panel.locator('tr.plan .num')
  await expect(panel.getByText(/^Working/)).toHaveCount(0, { timeout: 60_000 })
  // The worker's own count of the plan is the server's: the same core and seed on both sides.
  const plate = async () =>
    Number(/, (\d+) of 100/.exec((await page.getByRole('slider', { name: 'Sowing day' }).textContent())!)![1])
  await expect.poll(async () => Number(await planned.textContent())).toBe(await plate())
  await expect(panel.getByRole('row', { name: /rain alone/ })).toContainText('fewer')
  await page.getByRole('button', { name: 'A day later' }).click()
  await page.getByRole('button', { name: 'A day later' }).click()
  await expect.poll(async () => Number(await planned.textContent())).toBe(await plate())
  expect((await lawnNamed(request, 'Fen Cottage')).plan).toEqual(lawn.plan)

  // Stopped on the way, it keeps what it has and says no more.
  await page.reload()
  await page.getByText('What if: other watering').click()
  await panel.getByRole('button', { name: 'Stop' }).click()
  await expect(panel.getByText(/^Working/)).toHaveCount(0, { timeout: 60_000 })
  await panel.getByRole('button', { name: 'Finish the rest' }).click()
  await expect(panel.getByRole('row', { name: /^Kentucky bluegrass/ })).toContainText('of 100')
})

test('a lawn that nobody waters has worse odds, and When says what it reckons with', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Ashgrove Nursery')
  const good = async () =>
    Number(/, (\d+) of 100/.exec((await page.getByRole('slider', { name: 'Sowing day' }).textContent())!)![1])
  await open(page, `/lawns/${lawn.id}/when`)
  await expect(page.getByText('watering as recommended')).toBeVisible()
  const told = await good()
  await open(page, `/lawns/${lawn.id}/look`)
  await page
    .locator('.right')
    .getByRole('button', { name: /^Water/ })
    .click()
  await page.getByRole('group', { name: 'Water on site' }).getByRole('button', { name: 'none' }).click()
  await page.getByRole('button', { name: 'Save the survey' }).click()
  await expect(page).toHaveURL(/decide$/)
  await open(page, `/lawns/${lawn.id}/when`)
  await expect(page.getByText('nobody waters, so rain alone counts')).toBeVisible()
  await expect.poll(good).toBeLessThan(told - 5)
})

test('a reading that cannot be right is kept, questioned and left out; one that can be moves the line', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Linden Row')
  await open(page, `/lawns/${lawn.id}/do`)
  const now = async () =>
    Number(
      /Soil now ([\d.]+)/.exec((await page.getByRole('button', { name: /^Soil now/ }).getAttribute('aria-label'))!)![1],
    )
  const before = await now()
  const note = async (degrees: string, at: string) => {
    await page.getByRole('button', { name: 'Reading' }).click()
    await page.getByLabel(/Soil temperature/).fill(degrees)
    await page.getByLabel('When').fill(at)
    await page.getByRole('button', { name: 'Save reading' }).click()
  }
  await note('118', '2026-09-08T11:00')
  await expect(page.getByText(/Saved, but not used: it is \d+ °F above/)).toBeVisible()
  await page.keyboard.press('Escape')
  expect(await now()).toBe(before)
  await note('66', '2026-09-08T11:10')
  await expect.poll(now).not.toBe(before)
})

test('where nothing is sown, When shows in how many years the turf grows through', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Tamsin Varga')
  await open(page, `/lawns/${lawn.id}/when`)
  await expect(page.getByText('Turf grows through, of 100 years')).toBeVisible()
  await expect(page.getByRole('slider', { name: 'Day of the first topdressing' })).toContainText(
    /Wed Sep 16, \d+ of 100/,
  )
  await expect(page.getByText(/If you sow/)).toHaveCount(0)
})

// Found: a spring plan opened on "0 of 30, lies beyond what is worked out", and an arrow key jumped to the chart's end.
test('spring is judged in autumn: a season is a link, keys go on from its day, and the chart turns with it', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Halloran')
  await open(page, `/lawns/${lawn.id}/when`)
  const slider = page.getByRole('slider', { name: 'Sowing day' })
  await page.getByRole('button', { name: /^Fall 2027, \d+ of 100$/ }).click()
  await expect(slider).toContainText(/ (Aug|Sep|Oct) \d+, 2027, \d+ of 100/)
  const at = Number(await slider.getAttribute('aria-valuenow'))
  await slider.focus()
  await page.keyboard.press('ArrowRight')
  await expect(slider).toHaveAttribute('aria-valuenow', String(at + 1))
  for (const press of ['PageDown', 'PageDown', 'PageDown', 'PageDown']) await page.keyboard.press(press)
  await expect(slider).toHaveAttribute('aria-valuenow', String(at + 1 - 28))
  // What lies behind today says what happened, and cannot be kept.
  for (let i = 0; i < 60; i++) await page.keyboard.press('PageDown')
  await expect(page.getByText(/has passed and nothing was sown/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^(Sow|Move sowing) / })).toBeDisabled()
  await expect(page.getByText('NaN')).toHaveCount(0)
  // The end of what is worked out is an end.
  for (let i = 0; i < 120; i++) await page.keyboard.press('PageUp')
  await expect(slider).toHaveAttribute('aria-valuenow', (await slider.getAttribute('aria-valuemax'))!)
  await expect(slider).toContainText('of 100')
})
