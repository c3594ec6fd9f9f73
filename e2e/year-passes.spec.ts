import { randomUUID } from 'node:crypto'
import type { Lawn } from '#contract/lawn'
import { greenJpeg } from '../server/test/pictures'
import { daysBetween, toDay, type Day } from '#core/measure/calendar'
import { keyOf, OPERATIONS } from '#core/job/operations/registry'
import { barriers, expect, lawnNamed, open, PHONE, test, WIDE } from './demo'
import { pdfText } from './pdfText'

/** The next summer, wherever the clock stands by now. */
const NEXT_SUMMER = toDay('2027-08-14')
/** Most that the clock goes at a time, days. */
const STEP_DAYS = 31
const MOW = OPERATIONS.find(({ opensLawn }) => opensLawn)!.code
const zoneNamed = ({ zones }: Lawn, name: string) => Object.entries(zones).find(([, zone]) => zone.name === name)![0]

// Runs last of all, by its name: a year passes for everybody.
test('a lawn goes through two seasons: the first is closed and kept, the second begins clean and knows it', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Corrow Hall')
  const headers = { origin: new URL(test.info().project.use.baseURL!).origin }
  const [jpeg, small] = [greenJpeg(), greenJpeg()].map((bytes) => bytes.toString('base64'))
  const photo = { id: randomUUID(), note: 'Before', takenOn: null, zoneId: null, place: null, jpeg, small }
  expect((await request.post(`/api/lawns/${lawn.id}/photos`, { data: photo, headers })).status()).toBe(200)
  await open(page, `/lawns/${lawn.id}/do`)
  await expect(page.locator('.finished', { hasText: 'Sow' }).first()).toBeVisible()
  const today = async () => ((await (await request.get('/api/context')).json()) as { today: Day }).today
  for (let left = daysBetween(await today(), NEXT_SUMMER); left > 0; left -= STEP_DAYS) {
    const days = Math.min(STEP_DAYS, left)
    expect((await request.post('/api/firm/clock', { data: { days }, headers })).status()).toBe(200)
  }
  expect(await today()).toBe(NEXT_SUMMER)

  // Four mowings and the cover of both zones, then the page for the client.
  for (const [i, day] of ['2026-10-05', '2026-10-16', '2026-10-30', '2026-11-12'].entries()) {
    const data = { id: randomUUID(), task: keyOf(MOW, i + 1), doneOn: day, note: 'mowed by the client' }
    expect((await request.post(`/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks`, { data, headers })).status()).toBe(
      200,
    )
  }
  for (const [zoneId, coverShare] of [
    [zoneNamed(lawn, 'Open side'), 0.96],
    [zoneNamed(lawn, 'Under the yews'), 0.81],
  ] as const) {
    const data = { id: randomUUID(), kind: 'cover', seenOn: '2026-11-14', zoneId, coverShare, from: 'eye' }
    expect((await request.post(`/api/lawns/${lawn.id}/jobs/${lawn.job.id}/seen`, { data, headers })).status()).toBe(200)
  }
  await open(page, `/lawns/${lawn.id}/watch`)
  await page.getByRole('link', { name: 'Before and after' }).click()
  const paper = page.getByRole('region', { name: 'Your lawn, before and after' })
  // By hand: 2,500 and 840 sq ft at 96 and 81 % are 92 %.
  await expect(paper).toContainText('The new grass has closed: 92% of the ground is green, 80% before.')
  await expect(paper.getByRole('row', { name: /^Lawn in use/ })).toContainText('Nov 12')
  await expect(paper.getByText(/^Sow thin ground again: about .* in Under the yews/)).toBeVisible()
  await page.setViewportSize(PHONE)
  expect(await barriers(page)).toEqual([])
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  await page.setViewportSize(WIDE)
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as PDF' }).click()
  const words = await pdfText(await (await saved).path())
  expect(words).toContain('The new grass has closed: 92% of the ground is green')
  expect(words).toContain('Under the yews')

  await open(page, `/lawns/${lawn.id}/jobs`)
  await expect(page.getByRole('row', { name: /^1 Overseed.*sown Aug 25.*growing in/ })).toBeVisible()
  await page.getByRole('button', { name: 'Close job…' }).click()
  await page.getByLabel('What stands, and what to do next year').fill('Thin under the two limes.')
  await page.getByRole('button', { name: 'Close job', exact: true }).click()
  await expect(page.getByRole('row', { name: /^1 Overseed.*closed/ })).toBeVisible()
  // Nothing is planned on it now, whichever step is opened.
  await open(page, `/lawns/${lawn.id}/do`)
  await expect(page.getByText('nothing is planned on this lawn now')).toBeVisible()
  await open(page, '/lawns')
  await expect(page.getByRole('row', { name: /Corrow Hall/ })).toContainText('closed')

  await page.getByRole('link', { name: 'Corrow Hall' }).click()
  await page.getByRole('button', { name: 'Start next job' }).click()
  await expect(page).toHaveURL(/\/look\?job=/)
  // What the inspection saw is what stands for the next job.
  const after = (await (await request.get(`/api/lawns/${lawn.id}`)).json()) as Lawn
  expect(after.zones[zoneNamed(lawn, 'Under the yews')]!.bareShare).toBeCloseTo(0.19, 6)
  await open(page, `/lawns/${lawn.id}/decide`)
  // The second is not locked by what was done in the first.
  await page
    .getByRole('button', { name: /^Plan the/ })
    .first()
    .click()
  await expect(page).toHaveURL(/\/when/)
  await page.getByRole('button', { name: /^Sow / }).click()
  await expect(page).toHaveURL(/\/do/)
  await expect(page.getByText(/Next: /)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Undo/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Confirm schedule' }).click()
  await expect(page.getByText(/^Confirmed .* by Joss Tarn\.$/)).toBeVisible()
  const now = (await (await request.get(`/api/lawns/${lawn.id}`)).json()) as Lawn
  expect(now).toMatchObject({ job: { number: 2, state: 'confirmed' }, done: [] })

  // The record of the first is as it was.
  await open(page, `/lawns/${lawn.id}/jobs`)
  await page.getByRole('link', { name: 'Record of job 1' }).click()
  await expect(page.getByRole('heading', { name: 'Job 1: Overseed' })).toBeVisible()
  await expect(page.getByText('Thin under the two limes.')).toBeVisible()
  await expect(page.getByRole('row', { name: /^Sow Aug 25/ })).toContainText('Joss Tarn')
  await expect(
    page.getByRole('region', { name: 'Photos of this job' }).getByRole('img', { name: 'Before' }),
  ).toBeVisible()
  await page.getByText('Your lawn, before and after').first().click()
  await expect(page.getByText('The new grass has closed: 92% of the ground is green, 80% before.')).toBeVisible()
  await page.getByText('Versions of this plan, who changed what').click()
  await expect(page.getByRole('row', { name: /the last$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Take version/ })).toHaveCount(0)
  expect(await barriers(page)).toEqual([])
  await page.getByRole('button', { name: 'Reopen this job' }).click()
  await expect(page.getByRole('alert')).toContainText('It stays ended')
  await page.setViewportSize(PHONE)
  await open(page, `/lawns/${lawn.id}/jobs`)
  expect(await barriers(page)).toEqual([])
})
