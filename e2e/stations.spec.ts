import { barriers, expect, lawnNamed, open, test } from './demo'

test('a station is added with its height and normals, gets a forecast in a minute, and holds follow from it', async ({
  page,
}) => {
  await open(page, '/weather')
  const add = page.locator('form', { has: page.getByRole('heading', { name: 'Add a station' }) })
  await add.getByLabel('Name').fill('Lower yard')
  await add.getByLabel('Latitude').fill('37.2')
  await add.getByLabel('Longitude').fill('-79.5')
  await add.getByLabel('Height, ft').fill('900')
  await add.getByRole('button', { name: 'Add the station' }).click()
  const panel = page.getByRole('region', { name: 'Lower yard' })
  await expect(panel.getByText('No forecast yet')).toBeVisible()

  await panel.getByText('Name, place and normals').click()
  const row = async (label: string, value: (m: number) => string) => {
    for (const [m, month] of [
      'Jan',
      'Feb',
      'Mar',
      'Apr',
      'May',
      'Jun',
      'Jul',
      'Aug',
      'Sep',
      'Oct',
      'Nov',
      'Dec',
    ].entries())
      await panel.getByLabel(`${label}, ${month}`, { exact: true }).fill(value(m))
  }
  await row('Highest', (m) => String(48 + Math.round(20 * (1 - Math.cos((m * Math.PI) / 6)))))
  await row('Lowest', (m) => String(28 + Math.round(18 * (1 - Math.cos((m * Math.PI) / 6)))))
  await row('Rain', () => '3.5')
  await row('Wet days', (m) => (m === 4 ? 'ten' : '10'))
  await panel.getByRole('button', { name: 'Save the station' }).click()
  await expect(panel.getByText(/Wet days of May/)).toBeVisible()
  await panel.getByLabel('Wet days, May', { exact: true }).fill('10')
  await panel.getByRole('button', { name: 'Save the station' }).click()
  await expect(page.getByRole('row', { name: /Lower yard/ })).toContainText('900 ft up')

  const cell = (label: string, day: string) => panel.getByLabel(`${label}, ${day}`, { exact: true })
  for (const [i, day] of ['Tue Sep 8', 'Wed Sep 9', 'Thu Sep 10', 'Fri Sep 11', 'Sat Sep 12'].entries()) {
    await cell('Highest', day).fill('77')
    await cell('Lowest', day).fill(i === 2 ? '80' : '55')
    await cell('Rain', day).fill(i === 1 ? '0.9' : '')
    await cell('Wind', day).fill('6')
  }
  await panel.getByRole('button', { name: 'Keep the forecast' }).click()
  await expect(panel.getByText(/Thu Sep 10, lowest: Above the highest/)).toBeVisible()
  await cell('Lowest', 'Thu Sep 10').fill('52')
  await panel.getByRole('button', { name: 'Keep the forecast' }).click()
  await expect(panel.getByText('The forecast is kept.')).toBeVisible()
  expect(await barriers(page)).toEqual([])

  // A lawn told to read this station: its normals make the years, its forecast holds the sowing.
  const lawn = await lawnNamed(page.request, 'Linden Row')
  const station = ((await (await page.request.get('/api/stations')).json()) as { id: string; name: string }[]).find(
    ({ name }) => name === 'Lower yard',
  )!
  const saved = await page.request.put(`/api/lawns/${lawn.id}`, {
    data: { ...lawn, stationId: station.id, heightM: 400 },
    headers: { origin: new URL(page.url()).origin },
  })
  expect(saved.status()).toBe(200)
  await open(page, `/lawns/${lawn.id}/when`)
  await expect(page.getByText(/Weather years from the normals of Lower yard, moved by 1\.5 °F/)).toBeVisible()
  const slider = page.getByRole('slider', { name: 'Sowing day' })
  await slider.focus()
  for (let i = 0; i < 40 && !(await slider.getAttribute('aria-valuetext'))!.startsWith('Tue Sep 8'); i++)
    await page.keyboard.press(
      (await slider.getAttribute('aria-valuetext'))!.includes('Aug') ? 'ArrowRight' : 'ArrowLeft',
    )
  await expect(page.getByText('0.9 in of rain forecast for the four days after')).toBeVisible()
})

test('a mixture is chosen and typed, told apart by its seeds, and goes back to one grass', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Ashgrove Nursery')
  await open(page, `/lawns/${lawn.id}/when`)
  await page.getByText(/^Seed:/).click()
  const choose = async (name: RegExp) => {
    await page.getByLabel('What is sown', { exact: true }).click()
    await page.getByRole('option', { name }).click()
  }
  await choose(/My own mixture/)
  await page.getByLabel('Share by weight of grass 1, %').fill('70')
  await expect(page.getByText('Shares have to add up to 100%.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Sow this' })).toBeDisabled()
  await page.getByLabel('Share by weight of grass 2, %').fill('30')
  await expect(page.getByText(/stands in coarse clumps/)).toBeVisible()
  await page.getByRole('button', { name: 'Sow this' }).click()
  const parts = page.locator('table', { hasText: 'Of the mixture' })
  await expect(parts.getByRole('row')).toHaveCount(3)
  await expect(parts).toContainText('Kentucky bluegrass')
  await page.reload()
  await expect(page.getByText(/^Seed: 70% tall fescue, 30% Kentucky bluegrass/)).toBeVisible()
  await page.getByText(/^Seed:/).click()
  await choose(/only, as set by zone/)
  await page.getByRole('button', { name: 'Sow this' }).click()
  await expect(parts).toHaveCount(0)
})

test('dormant sowing is named as such, and a day of it has its own count', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Teasel Yard')
  await open(page, `/lawns/${lawn.id}/when`)
  await page.locator('.said li', { hasText: 'Dormant sowing' }).getByRole('button').click()
  await expect(page.locator('.said .verdict')).toContainText(
    /^Dormant sowing \w+, .*: a good stand in \d+ of 100 years, in spring/,
  )
  await expect(page.getByText(/Seed lies until the soil warms: 30 to 50%\s+of it is lost/)).toBeVisible()
})
