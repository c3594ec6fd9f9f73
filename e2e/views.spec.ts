import { randomUUID } from 'node:crypto'
import { barriers, expect, lawnNamed, open, PHONE, test, WIDE } from './demo'

for (const view of ['look', 'decide', 'when', 'do', 'bring', 'water', 'watch', 'inspection']) {
  test(`the ${view} view has no barrier a machine can find, wide or narrow`, async ({ page, request }) => {
    const lawn = await lawnNamed(request, 'Odell')
    for (const viewport of [WIDE, PHONE]) {
      await page.setViewportSize(viewport)
      await open(page, `/lawns/${lawn.id}/${view}`)
      expect(await barriers(page)).toEqual([])
      const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(overflow).toBeLessThanOrEqual(0)
    }
  })
}

for (const path of ['/lawns', '/shed', '/weather', '/set-up', '/about', '/firm', '/sign-in', '/sign-up', '/join']) {
  test(`${path} has no barrier a machine can find, wide or narrow`, async ({ page }) => {
    for (const viewport of [WIDE, PHONE]) {
      await page.setViewportSize(viewport)
      await open(page, path)
      expect(await barriers(page)).toEqual([])
      expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
    }
  })
}

test('a number opens its working and gives the keyboard back', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/do`)
  const number = page.getByRole('button', { name: /Seed to load: open the working/ })
  await number.focus()
  await page.keyboard.press('Enter')
  const working = page.getByRole('dialog', { name: 'Working' })
  await expect(working).toContainText('Purity')
  await expect(working).toContainText('label of the lot')
  await page.keyboard.press('Escape')
  await expect(working).toBeHidden()
  await expect(number).toBeFocused()
})

test('brackets walk the steps, and the soil of a day is read by arrow keys', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/decide`)
  await page.keyboard.press(']')
  await expect(page).toHaveURL(/\/when$/)
  await page.keyboard.press('[')
  await expect(page).toHaveURL(/\/decide$/)
  await page.locator('.plot[role=img]').focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('.sill .tag').last()).toContainText('Wed Sep 9')
})

test('an active barrier says not now, until when, and offers no way round the label', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Sedge End')
  await open(page, `/lawns/${lawn.id}/decide`)
  await expect(page.locator('.verdict').first()).toContainText('Wait.')
  await expect(page.locator('.held')).toContainText('keeps seed from growing until Nov 4')
  await expect(page.getByRole('button', { name: 'Plan the overseeding' })).toBeDisabled()
  await expect(page.getByRole('button', { name: /anyway|Override/ })).toHaveCount(0)
  await expect(page.getByText('A label interval cannot be overridden')).toBeVisible()
})

test('outside every window it says not now, and a note overrules it', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Yew Walk')
  await open(page, `/lawns/${lawn.id}/decide`)
  await expect(page.locator('.verdict').first()).toContainText('Wait.')
  await expect(page.locator('.held')).toContainText('Open the shade first')
  await page.getByRole('button', { name: 'Hard renovation anyway' }).click()
  await page.getByRole('button', { name: 'Override with this note' }).click()
  await expect(page.getByText('Say why in a few words')).toBeVisible()
  await page.getByLabel('Plan it anyway, because').fill('The yews are lifted in October.')
  await page.getByRole('button', { name: 'Override with this note' }).click()
  await expect(page).toHaveURL(/\/when$/)
  await page.getByRole('link', { name: /Decide/ }).click()
  await expect(page.getByText('The yews are lifted in October.')).toBeVisible()
})

test('a better label loads less seed at once, and keeps it', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Ashgrove Nursery')
  await open(page, `/lawns/${lawn.id}/bring`)
  const load = page.getByRole('button', { name: /Seed to load: open the working/ })
  const before = parseFloat((await load.textContent())!)
  await page.getByLabel('Germination', { exact: true }).fill('95%')
  await expect.poll(async () => parseFloat((await load.textContent())!)).toBeLessThan(before)
  await page.getByLabel('Purity on the label').fill('lots')
  await expect(page.getByRole('button', { name: 'Save settings' })).toBeDisabled()
  await page.getByLabel('Purity on the label').fill('98%')
  await page.getByLabel('Tested on (label)').fill('2025-08-01')
  await expect(page.getByText(/the label was tested 1\d months before the sowing/)).toBeVisible()
  await page.getByRole('button', { name: 'Save settings' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Tested on (label)')).toHaveValue('2025-08-01')
  await expect(page.getByLabel('Germination', { exact: true })).toHaveValue('95.0%')
})

test('the server answers errors in one shape', async ({ request, baseURL }) => {
  const origin = new URL(baseURL!).origin
  const missing = await request.get('/api/lawns/00000000-0000-4000-8000-000000000000')
  expect([missing.status(), (await missing.json()).error.code]).toEqual([404, 'not_found'])
  expect((await request.get('/api/lawns/nonsense')).status()).toBe(404)
  const invalid = await request.post('/api/lawns', { data: { client: '', areaM2: -5 }, headers: { origin } })
  expect(invalid.status()).toBe(422)
  expect(Object.keys((await invalid.json()).error.fields)).toEqual(expect.arrayContaining(['client', 'areaM2']))
  const lawn = await lawnNamed(request, 'Odell')
  const mark = (task: string, doneOn: string) =>
    request.post(`/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks`, {
      data: { id: randomUUID(), task, doneOn },
      headers: { origin },
    })
  const tomorrow = await mark('scalp', '2026-09-09')
  expect([tomorrow.status(), (await tomorrow.json()).error.fields.doneOn]).toEqual([422, 'Not after today, Sep 8.'])
  expect((await mark('burn', '2026-09-08')).status()).toBe(422)
  const patched = await request.patch('/api/lawns', { data: {}, headers: { origin } })
  expect([patched.status(), patched.headers().allow, (await request.get('/api/nothing')).status()]).toEqual([
    405,
    'GET, POST',
    404,
  ])
  const csv = await request.get('/standin/pellmoor-ridge/daily.csv?from=2026-09-01&to=2026-09-03')
  expect((await csv.text()).trim().split('\n')).toHaveLength(4)
  expect((await request.get('/standin/pellmoor-ridge/daily.csv?from=monday')).status()).toBe(422)
})

test('every place has a title of its own, the first key skips to the page, and a row of the list is a row with a link', async ({
  page,
}) => {
  for (const [path, title] of [
    ['/lawns', 'Lawns'],
    ['/shed', 'Shed'],
    ['/weather', 'Weather'],
    ['/firm', 'Firm'],
  ] as const) {
    await open(page, path)
    await expect(page).toHaveTitle(`${title}, Upper Sill`)
  }
  await open(page, '/lawns')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'Skip to the page' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('main')).toBeFocused()
  await page
    .getByRole('row', { name: /Sedge End/ })
    .getByRole('link', { name: 'Sedge End' })
    .press('Enter')
  await expect(page).toHaveTitle(/^\w+, Sedge End, Upper Sill$/)
})
