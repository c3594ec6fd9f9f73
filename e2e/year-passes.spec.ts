import { randomUUID } from 'node:crypto'
import type { Lawn } from '#contract/lawn'
import { greenJpeg } from '../server/test/pictures'
import { barriers, expect, lawnNamed, open, PHONE, test } from './demo'

const YEAR_MONTHS = 11

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
  for (let month = 0; month < YEAR_MONTHS; month++)
    expect((await request.post('/api/firm/clock', { data: { days: 31 }, headers })).status()).toBe(200)
  const { today } = (await (await request.get('/api/context')).json()) as { today: string }
  expect(today > '2027-08-01').toBe(true)

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
