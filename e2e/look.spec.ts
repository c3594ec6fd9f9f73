import { expect, lawnNamed, open, PHONE, test, unfold, WIDE } from './demo'
import type { Page } from '@playwright/test'

/** Clicks on the plan, in shares of its width and height; the last corner twice. */
async function corners(page: Page, at: readonly (readonly [number, number])[]): Promise<void> {
  const box = (await page.locator('.map').boundingBox())!
  for (const [x, y] of at) await page.mouse.click(box.x + box.width * x, box.y + box.height * y, { delay: 20 })
  const [x, y] = at.at(-1)!
  await page.mouse.dblclick(box.x + box.width * x, box.y + box.height * y)
}
const ledger = (page: Page, zone: string) =>
  page.locator('.zones').getByRole('button', { name: new RegExp(`^${zone}`) })
const square = async (page: Page, zone: string) =>
  Number((await ledger(page, zone).locator('.num').first().textContent())!.replace(/,/g, ''))

test('a lawn is drawn with a bed, its sides typed, its changes undone, and it counts as drawn', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Sedge End')
  await open(page, `/lawns/${lawn.id}/look`)
  await page.getByRole('group', { name: 'Draw a' }).getByRole('button', { name: 'zone' }).click()
  await corners(page, [
    [0.2, 0.2],
    [0.8, 0.2],
    [0.8, 0.8],
    [0.2, 0.8],
  ])
  const thing = page.getByRole('group', { name: 'The zone that is chosen' })
  await expect(thing).toBeVisible()
  const sides = thing.getByLabel(/Length of side/)
  await expect(sides).toHaveCount(4)
  // Sides of 60 and 40 ft make 2,400 ft² where the corners are square.
  for (const [i, length] of ['60 ft', '40 ft', '60 ft'].entries()) {
    await sides.nth(i).fill(length)
    await sides.nth(i).press('Enter')
  }
  await expect.poll(() => square(page, 'Lawn')).toBeGreaterThan(2300)
  const whole = await square(page, 'Lawn')
  expect(whole).toBeLessThan(2500)

  await page.getByRole('group', { name: 'Draw a' }).getByRole('button', { name: 'bed or pond' }).click()
  await corners(page, [
    [0.4, 0.4],
    [0.5, 0.4],
    [0.5, 0.5],
    [0.4, 0.5],
  ])
  await expect(page.getByRole('group', { name: 'The bed or pond that is chosen' })).toBeVisible()
  await expect.poll(() => square(page, 'Lawn')).toBeLessThan(whole)
  const less = await square(page, 'Lawn')
  await page.getByRole('button', { name: 'Undo the last change of the plan' }).click()
  await expect.poll(() => square(page, 'Lawn')).toBe(whole)

  // The same by tape and turn: 10 ft square, laid from the south-west corner of the plan.
  await page.getByRole('group', { name: 'Draw a' }).getByRole('button', { name: 'bed or pond' }).click()
  await page.getByRole('button', { name: 'tape and turn' }).click()
  for (const [length, turn] of [
    ['10 ft', ''],
    ['10 ft', 'right 90'],
    ['10 ft', 'right 90'],
  ] as const) {
    await page.getByLabel('Length of the next side').fill(length)
    if (turn) await page.getByLabel('Turn before the next side').fill(turn)
    await page.getByRole('button', { name: 'Add side' }).click()
  }
  await expect(page.locator('.result')).toContainText('Closes with 10.0 ft, 100 ft²')
  await page.getByRole('button', { name: 'Close outline' }).click()
  await expect(page.getByRole('group', { name: 'The bed or pond that is chosen' })).toBeVisible()
  await page.getByRole('button', { name: 'Save the survey' }).click()
  await expect(page).toHaveURL(/decide$/)
  const saved = await lawnNamed(request, 'Sedge End')
  expect(Object.values(saved.zones)[0]!.areaFrom).toBe('drawn')
  expect(
    Object.values(saved.features)
      .map(({ kind }) => kind)
      .sort(),
  ).toEqual(['bed', 'zone'])
  expect(Object.values(saved.measured)[0]!.sunByMonthH).toHaveLength(12)
  expect(less).toBeGreaterThan(0)
})

const gpx = (points: readonly (readonly [number, number])[]) =>
  `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><name>Orchard</name><trkseg>${points.map(([lat, lon]) => `<trkpt lat="${lat}" lon="${lon}"></trkpt>`).join('')}</trkseg></trk></gpx>`
const file = (name: string, text: string) => ({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) })

test('a walked track becomes an outline; what is no drawing is told, and nothing that stands is lost', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Halloran')
  await open(page, `/lawns/${lawn.id}/look`)
  const input = page.getByLabel('Drawing as GeoJSON, KML or GPX')
  const said = page.locator('.files [role=status]')
  for (const [name, text, says] of [
    ['a.gpx', '<gpx><trk>', 'breaks off or is damaged'],
    ['b.kml', '<kml xmlns="http://www.opengis.net/kml/2.2"><Document></Document></kml>', 'empty'],
    ['c.geojson', '{"type":"FeatureCollection"', 'breaks off'],
    ['d.geojson', '{"type":"Topology"}', 'no drawing'],
    ['e.kmz', 'PK', 'packed'],
    ['f.gpx', 'hello', 'neither GeoJSON, KML nor GPX'],
  ] as const) {
    await input.setInputFiles(file(name, text))
    await expect(said).toContainText(says)
  }
  // 0.0002° of latitude is 22.2 m, 0.0003° of longitude at 37° 26.7 m: some 592 m², 6,380 ft².
  const [lat, lon] = [lawn.latDeg, lawn.lonDeg]
  await input.setInputFiles(
    file(
      'walk.gpx',
      gpx([
        [lat, lon],
        [lat + 0.0001, lon],
        [lat + 0.0002, lon],
        [lat + 0.0002, lon + 0.0003],
        [lat, lon + 0.0003],
        [lat, lon + 0.00001],
      ]),
    ),
  )
  await expect(said).toContainText('Read from walk.gpx: 1 zone')
  await expect.poll(() => square(page, 'Orchard')).toBeGreaterThan(6200)
  expect(await square(page, 'Orchard')).toBeLessThan(6550)

  // Taken out and brought in again by each format, it is the same outline.
  for (const format of ['GeoJSON', 'KML', 'GPX']) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: format, exact: true }).click(),
    ])
    const chunks: Buffer[] = []
    for await (const chunk of (await download.createReadStream())!) chunks.push(chunk as Buffer)
    const text = Buffer.concat(chunks).toString()
    expect([format, /Orchard/.test(text)]).toEqual([format, true])
    await input.setInputFiles(file(download.suggestedFilename(), text))
    await expect(said).toContainText(/Read from .*zone/)
    // What is brought in lies on what stands: ground is counted once.
    expect(await square(page, 'Orchard')).toBeLessThan(6550)
  }
})

test('the sun of the plan is worked out for any day, and winter shades more than summer', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/look`)
  const says = page.getByText(/Open ground gets/)
  const hours = async () => Number(/gets (\d+\.\d)/.exec((await says.textContent())!)![1])
  await page.getByLabel('Day whose sun is shown').fill('2026-06-21')
  await expect(says).toContainText('Jun 21')
  await expect.poll(hours).toBeGreaterThan(13)
  await page.getByLabel('Day whose sun is shown').fill('2026-12-21')
  await expect.poll(hours).toBeLessThan(9.5)
  await page.getByRole('group', { name: 'Show on the plan' }).getByRole('button', { name: 'Water' }).click()
  await expect(says).toHaveCount(0)
})

test('an irregular lawn by offsets is drawn as typed and counted by Simpson’s rule', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Ingle Court')
  await open(page, `/lawns/${lawn.id}/look`)
  await unfold(page, /^Lawn/)
  await page.getByLabel('Area', { exact: true }).fill('offsets 3 m: 0 4 7 8 7 4 0')
  // 92.0 m² by Simpson's rule, worked by hand: 990 ft².
  await expect(page.getByText('Read as 990 ft², by Simpson’s rule')).toBeVisible()
  await expect(page.getByRole('img', { name: 'offsets, 990 ft²' })).toBeVisible()
  await page.getByLabel('Area', { exact: true }).fill('offsets 3 m: 0 4 seven')
  await expect(page.getByText('The offset "seven" is not understood.')).toBeVisible()
})

test('on a phone a lawn is surveyed one question at a time, and leads to its programme', async ({ page, request }) => {
  await page.setViewportSize(PHONE)
  const lawn = await lawnNamed(request, 'Teasel Yard')
  await open(page, `/lawns/${lawn.id}/look`)
  const keep = page.getByRole('button', { name: /^(Keep it|Go on|To the whole)/ })
  const asked = async (question: string) => {
    await expect(page.getByRole('heading', { name: question })).toBeVisible()
  }
  await asked('Which grass grows there now?')
  await page.getByLabel('Grows there now').click()
  await page.getByRole('option', { name: 'perennial ryegrass' }).click()
  await keep.click()
  await asked('How much is desirable grass')
  await page.getByRole('button', { name: 'Count points instead' }).click()
  for (const [word, times] of [
    ['desirable grass', 6],
    ['weeds', 3],
    ['bare ground', 1],
  ] as const)
    for (let i = 0; i < times; i++) await page.getByRole('button', { name: `One more point of ${word}` }).click()
  await expect(page.getByText(/10 points; grass good to/)).toBeVisible()
  await expect(page.getByText('60% desirable grass: enough to overseed.')).toBeVisible()
  await keep.click()
  await asked('How deep is the thatch?')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await expect(page.getByText(/over ½ in: dethatch in two directions/)).toBeVisible()
  await keep.click()
  await asked('How deep does a screwdriver go?')
  await expect(page.getByText('Coring is planned as if it were hard.')).toBeVisible()
  await page.getByRole('button', { name: /^Skip/ }).click()
  await asked('How high is it mowed now?')
  await page.getByLabel('Mowed at now').fill('2 in')
  await keep.click()
  await asked('How many hours of sun')
  await page.getByRole('button', { name: 'full, over 6 h' }).click()
  await keep.click()
  await asked('Does it fall?')
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^Skip/ }).click()
  await asked('Which grass is it to be?')
  await page.getByLabel('Grass wanted').click()
  await page.getByRole('option', { name: 'perennial ryegrass' }).click()
  await keep.click()
  await asked('What was put on it this year?')
  await page.getByRole('link', { name: /^Decide/ }).click()
  await expect(page.locator('.verdict').first()).toContainText('Overseed.')
  const saved = await lawnNamed(request, 'Teasel Yard')
  expect(Object.values(saved.zones)[0]).toMatchObject({
    counted: [6, 3, 0, 1],
    desirableShare: 0.6,
    sunHours: 8,
    driverMm: [],
  })
})

test('a programme against the rules wants a note, keeps it, and a practice changes the plan', async ({
  page,
  request,
}) => {
  await page.setViewportSize(WIDE)
  const lawn = await lawnNamed(request, 'Fen Cottage')
  await open(page, `/lawns/${lawn.id}/decide`)
  const hard = page.getByRole('columnheader', { name: /Hard renovation/ })
  await expect(hard).toBeVisible()
  const before = (await lawnNamed(request, 'Fen Cottage')).plan.settings!.seedRateGPerM2
  await page.getByRole('button', { name: 'Plan this instead' }).first().click()
  await page.getByRole('button', { name: 'Override with this note' }).click()
  await expect(page.getByText('Say why in a few words')).toBeVisible()
  await page.getByLabel('Plan it anyway, because').fill('The client wants it quick.')
  await page.getByRole('button', { name: 'Override with this note' }).click()
  await expect(page).toHaveURL(/when$/)
  await expect(page.getByRole('slider', { name: 'Sowing day' })).toBeVisible()
  await page.getByRole('link', { name: /^Decide/ }).click()
  await expect(page.getByText('“The client wants it quick.”')).toBeVisible()
  const planned = (await lawnNamed(request, 'Fen Cottage')).plan
  expect(planned).toMatchObject({ programme: 'hard', overruleNote: 'The client wants it quick.' })
  expect(planned.settings!.seedRateGPerM2 / before).toBeCloseTo(2, 6)
  await page.getByRole('group', { name: 'Cover over the seed' }).getByRole('button', { name: 'None' }).click()
  await expect(page.getByRole('group', { name: 'Cover over the seed' })).toContainText('Changed.')
  const without = (await lawnNamed(request, 'Fen Cottage')).plan
  expect([without.practices, without.settings!.coverMm]).toEqual([{ cover: 'none' }, 0])
})

test('zones of one lawn get their own grass and programme', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/decide`)
  await page.getByLabel('Program of Shade strip').click()
  await page.getByRole('option', { name: 'leave it as it is' }).click()
  const area = page.locator('.steps')
  await expect
    .poll(async () => (await lawnNamed(request, 'Odell')).plan.zonePlans)
    .toEqual({
      [Object.entries(lawn.zones).find(([, { name }]) => name === 'Shade strip')![0]]: { programme: 'leave', note: '' },
    })
  await expect(area).not.toContainText('26.0 lb')
  await page.getByLabel('Program of Shade strip').click()
  await page.getByRole('option', { name: /as the rest/ }).click()
  await expect(area).toContainText('26.0 lb')
})

// Found: 14 mm came back as a fraction of an inch, 10 became 10090 in a field that had filled itself, and a spray could be
// put on tomorrow.
test('what was typed comes back as it was typed, a field that fills itself is typed over, and no day is ahead of today', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Halloran')
  await open(page, `/lawns/${lawn.id}/look`)
  await page.getByLabel('Thatch', { exact: true }).fill('14 mm, 9 mm')
  await page.getByLabel('Desirable grass, %').fill('60')
  await page.getByLabel('Bare soil, %').fill('')
  await page.getByLabel('Weeds, %').fill('30')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await page.keyboard.type('10')
  await expect(page.getByLabel('Bare soil, %')).toHaveValue('10')
  await page.getByRole('button', { name: 'Save the survey' }).click()
  await expect(page.getByRole('button', { name: 'Save the survey' })).toBeHidden()
  await open(page, `/lawns/${lawn.id}/look`)
  await expect(page.getByLabel('Thatch', { exact: true })).toHaveValue('14 mm, 9 mm')
  const saved = (await (await page.request.get(`/api/lawns/${lawn.id}`)).json()) as { version: number }
  const refused = await page.request.put(`/api/lawns/${lawn.id}`, {
    data: {
      ...saved,
      applications: [{ ingredient: 'prodiamine', product: '', rate: '', appliedOn: '2026-09-09', waitDays: 120 }],
    },
    headers: { origin: new URL(page.url()).origin },
  })
  expect(refused.status()).toBe(422)
  expect(JSON.stringify(await refused.json())).toContain('This day has not come yet.')
})

test('a client who refuses sprays is offered none', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Brackwater Farm')
  await open(page, `/lawns/${lawn.id}/look`)
  await unfold(page, /^What the client wants/)
  await page.getByRole('group', { name: 'Sprays' }).getByRole('button', { name: 'refused' }).click()
  await page.getByRole('button', { name: 'Save the survey' }).click()
  await open(page, `/lawns/${lawn.id}/decide`)
  await expect(page.getByText('the client refuses sprays').first()).toBeVisible()
})

test('a survey is saved at once, and its season follows on the next page', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Cobbet Lane')
  await open(page, `/lawns/${lawn.id}/look`)
  await expect(page.getByRole('img', { name: /^Season of Cobbet Lane/ })).toBeVisible()
  // A season that takes longer than anybody waits for.
  await page.route(/\/sill\b/, (route) => void setTimeout(() => void route.continue().catch(() => undefined), 8000))
  await page.getByRole('button', { name: 'Save the survey' }).click()
  await expect(page).toHaveURL(/decide$/, { timeout: 5000 })
  await expect(page.getByText('Working the season out again')).toBeVisible()
  await expect(page.getByText('Working the season out again')).toHaveCount(0)
})
