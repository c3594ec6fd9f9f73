// Takes the pictures of docs/screenshots from a running, fresh demo: node bin/lib/screenshots.mjs
// [http://127.0.0.1:3000]
import { chromium } from '@playwright/test'

const base = process.argv[2] ?? 'http://127.0.0.1:3000'
const FOLDER = 'docs/screenshots'
const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
})

/** A browser of its own, entered as somebody of the demo. */
async function enter(as, viewport) {
  const page = await (await browser.newContext({ viewport })).newPage()
  await page.goto(`${base}/demo/enter?as=${as}&to=/lawns`, { waitUntil: 'networkidle' })
  return page
}
/** A browser in which a firm has just signed up. */
async function enterNew() {
  const page = await (await browser.newContext({ viewport: wide, locale: 'en-US' })).newPage()
  await page.goto(`${base}/sign-up`, { waitUntil: 'networkidle' })
  await page.getByLabel('Name of the firm').fill('Larkrise Lawns')
  await page.getByLabel('Your name').fill('Ida')
  await page.getByLabel('Your e-mail address').fill(`ida.${Date.now()}@example.org`)
  await page.getByLabel('Password').fill('three wet autumns')
  await page.locator('button[type=submit]').click()
  await page.waitForURL(/set-up/)
  return page
}
const owner = await enter('owner', wide)
const technician = await enter('technician', wide)
const onPhone = await enter('technician', phone)
const lawns = await (await owner.request.get(`${base}/api/lawns`)).json()
const steps = (client) => `/lawns/${lawns.find((lawn) => lawn.client === client).id}`
const odell = steps('Odell')

async function shoot(page, name, path, act) {
  await page.goto(base + path, { waitUntil: 'networkidle' })
  await act?.(page)
  await page.waitForTimeout(1200)
  await page.screenshot({ path: `${FOLDER}/${name}.png` })
}

await shoot(technician, 'lawns', '/lawns')
for (const view of ['look', 'decide', 'when', 'do', 'water']) await shoot(technician, view, `${odell}/${view}`)
await shoot(technician, 'watch', `${steps('Corrow Hall')}/watch`)
await shoot(owner, 'bring', `${odell}/bring`)
await shoot(technician, 'working', `${odell}/do`, (page) =>
  page.getByRole('button', { name: /Seed to load: open the working/ }).click(),
)
await shoot(technician, 'what-if', `${steps('Fen Cottage')}/when`, async (page) => {
  await page.getByText('What if: other watering').click()
  await page.locator('.what-if tr.plan .num').waitFor()
  await page.getByText(/^Working:/).waitFor({ state: 'detached' })
  await page.locator('.what-if').evaluate((element) => {
    element.scrollIntoView()
  })
})
await shoot(technician, 'weather', '/weather', (page) =>
  page.getByRole('button', { name: 'Pellmoor ridge', exact: true }).click(),
)
await shoot(technician, 'shed', '/shed', async (page) => {
  await page.getByRole('button', { name: /Quarry lot/ }).click()
  await page.getByLabel('Amount').waitFor()
})
await shoot(owner, 'firm', '/firm')
await shoot(await enterNew(), 'set-up', '/set-up', async (page) => {
  await page.getByLabel('Place', { exact: true }).fill('37.06, -79.38')
  for (const [label, value] of [
    ['Mean high of July', '87'],
    ['Mean low of July', '67'],
    ['Mean high of January', '46'],
    ['Mean low of January', '27'],
    ['Rain of a year', '43'],
  ])
    await page.getByLabel(label, { exact: true }).fill(value)
  await page.getByRole('img', { name: /^Soil through the year/ }).waitFor()
})
await shoot(onPhone, 'phone-look', `${steps('Teasel Yard')}/look`, async (page) => {
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: /^Skip/ }).click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
})
await shoot(onPhone, 'phone-do', `${odell}/do`)

// Last, since it is saved: two people at one lawn.
const look = `${base}${steps('Pike & Daughter')}/look`
for (const page of [owner, technician]) {
  await page.goto(look, { waitUntil: 'networkidle' })
  await page
    .locator('.right')
    .getByRole('button', { name: /^Where/ })
    .click()
  const zone = page.locator('.right').getByRole('button', { name: /^Lawn/ })
  if ((await zone.getAttribute('aria-expanded')) === 'false') await zone.click()
}
await owner.getByLabel('Address').fill('verge, 43 Market Street')
await owner.getByLabel('Mowed at now').fill('2 1/4 in')
await owner.getByLabel('Slope, %').fill('4')
await owner.getByRole('button', { name: 'Save the survey' }).click()
await owner.waitForURL(/decide/)
await technician.getByLabel('Address').fill('verge, 41a Market Street')
await technician.getByLabel('Mowed at now').fill('2 3/4 in')
await technician.getByRole('button', { name: 'Save the survey' }).click()
await technician.getByRole('group', { name: 'Changed by two people' }).waitFor()
await technician.screenshot({ path: `${FOLDER}/conflict.png` })
// Last, because it changes the demo: cover is measured, the job is inspected and closed, and its record looked at.
const corrow = steps('Corrow Hall')
const { job, zones } = await (await technician.request.get(`${base}/api${corrow}`)).json()
for (const [zoneId, { order }] of Object.entries(zones))
  await technician.request.post(`${base}/api${corrow}/jobs/${job.id}/seen`, {
    headers: { origin: base },
    data: {
      id: crypto.randomUUID(),
      kind: 'cover',
      seenOn: '2026-09-08',
      zoneId,
      coverShare: order ? 0.78 : 0.91,
      from: 'eye',
    },
  })
await shoot(technician, 'inspection', `${corrow}/inspection`)
await technician.goto(`${base}${corrow}/jobs`, { waitUntil: 'networkidle' })
await technician.getByRole('button', { name: 'Close job…' }).click()
await technician
  .locator('#field-note')
  .fill('Thick by the wall, thin under the two limes: seed there again next August.')
await technician.getByRole('button', { name: 'Close job', exact: true }).click()
const record = await technician.getByRole('link', { name: 'Record of job 1' }).getAttribute('href')
await shoot(technician, 'job-record', record)
await browser.close()
