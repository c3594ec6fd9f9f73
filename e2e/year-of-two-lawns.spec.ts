import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { OPERATIONS } from '#core/job/operations/registry'
import { barriers, expect, lawnNamed, open, PHONE, test } from './demo'

const SOW = OPERATIONS.find(({ anchors }) => anchors === 'seeding')!.code
const RESEED = OPERATIONS.find(({ reseeds }) => reseeds)!.code

async function countAsExpected(page: Page, zone: number): Promise<void> {
  await page.getByRole('button', { name: 'Count seedlings' }).click()
  const form = page.locator('form.count')
  await form.getByLabel('Zone').click()
  await page.getByRole('option').nth(zone).click()
  const expected = /Expect (\d+)/.exec(await form.innerText())?.[1] ?? '0'
  for (let square = 0; square < 4; square++) {
    await form.getByLabel('Seedlings in this square').fill(expected)
    await form.getByRole('button', { name: 'Save square, next' }).click()
  }
  await form.getByRole('button', { name: 'Save count' }).click()
  await expect(form).toHaveCount(0)
}

async function coverByEye(page: Page, zone: number, percent: string): Promise<void> {
  await page.getByRole('button', { name: 'Measure green cover' }).click()
  const form = page.locator('form.cover')
  await form.getByLabel('Zone').click()
  await page.getByRole('option').nth(zone).click()
  await form.getByLabel('Or by eye, %').fill(percent)
  await form.getByRole('button', { name: 'Save cover' }).click()
  await expect(form).toHaveCount(0)
}

/** Asked first while seedlings come out at a tug, which holds it, and then again when they hold. */
async function firstMowVisit(page: Page): Promise<void> {
  const begin = page.getByRole('button', { name: 'Begin visit: First mow' })
  const form = page.getByRole('form', { name: 'First mow' })
  const answer = async (tug: 'Yes' | 'No') => {
    await begin.click()
    await expect(form).toContainText('Question 1 of 3')
    await form.getByLabel('How tall do the leaves stand?').fill('40')
    await form.getByRole('button', { name: 'Next' }).click()
    await expect(form).toContainText('This is out of range.')
    await form.getByLabel('How tall do the leaves stand?').fill('4')
    await form.getByRole('button', { name: 'Next' }).click()
    await form.getByRole('button', { name: tug, exact: true }).click()
    await form.getByRole('button', { name: 'Yes', exact: true }).click()
  }
  await answer('No')
  await expect(form).toContainText('Not today.')
  expect(await barriers(page)).toEqual([])
  await form.getByRole('button', { name: 'Save visit' }).click()
  await expect(form).toHaveCount(0)
  await expect(page.getByText('Do seedlings hold against a light tug? No.')).toBeVisible()
  await answer('Yes')
  await expect(form).toContainText('Go ahead.')
  await form.getByRole('button', { name: /^Save and mark: / }).click()
  await expect(form).toHaveCount(0)
}

// Runs late, by its name: ten weeks pass for everybody.
test('on a phone two lawns go from sowing to their end: one goes well, one is behind in the shade and is saved', async ({
  page,
  request,
}) => {
  test.setTimeout(600_000)
  await page.setViewportSize(PHONE)
  const headers = { origin: new URL(test.info().project.use.baseURL!).origin }
  const post = async (path: string, data: object) =>
    expect((await request.post(path, { data, headers })).status()).toBe(200)
  const today = async () => ((await (await request.get('/api/context')).json()) as { today: string }).today
  const well = await lawnNamed(request, 'Odell')
  const wrong = await lawnNamed(request, 'Corrow Hall')
  const zones = well.job.zoneIds.length
  const marks = (lawn: typeof well) => `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks`
  await post(marks(well), { id: randomUUID(), task: SOW, doneOn: await today(), note: 'Sown by two' })

  let planned = ''
  let mowed = 0
  let visited = false
  for (let week = 1; week <= 10; week++) {
    await open(page, `/lawns/${wrong.id}/watch`)
    await page.getByRole('button', { name: '+1 week' }).click()
    await expect(page.getByRole('button', { name: '+1 week' })).toBeEnabled({ timeout: 60_000 })
    // The clock counted the shade: behind, until it is sown again inside a window.
    const put = page.getByRole('button', { name: /^Put in the plan for / })
    await open(page, `/lawns/${wrong.id}/watch`)
    if (!planned && (await put.isVisible())) {
      planned = (await put.innerText()).replace('Put in the plan for ', '')
      await put.click()
      await expect(page.getByText(`In the plan for ${planned}.`)).toBeVisible()
      const { plan } = await lawnNamed(request, 'Corrow Hall')
      expect(plan.work.thin!.areaM2).toBeGreaterThan(20)
      await post(marks(wrong), { id: randomUUID(), task: RESEED, doneOn: await today(), note: 'Sown by hand' })
      await open(page, `/lawns/${wrong.id}/watch`)
      await expect(put).toHaveCount(0)
    }
    await open(page, `/lawns/${well.id}/watch`)
    if (week === 3) for (let zone = 0; zone < zones; zone++) await countAsExpected(page, zone)
    if (week === 3) await expect(page.getByText(/^(On track|Ahead of plan)\.$/)).toBeVisible()
    if (week >= 4 && !visited && (await page.getByRole('button', { name: 'Begin visit: First mow' }).isVisible())) {
      await firstMowVisit(page)
      visited = true
      mowed++
      await expect(page.getByText('1 of 4 done')).toBeVisible()
    } else if (week >= 5 && mowed < 4) {
      await page.getByRole('button', { name: 'We mowed today' }).click()
      mowed++
      await expect(page.getByText(`${mowed} of 4 done`)).toBeVisible()
    }
  }
  expect([planned !== '', visited]).toEqual([true, true])
  for (let zone = 0; zone < zones; zone++) await coverByEye(page, zone, '95')
  await page.getByRole('link', { name: 'Before and after' }).click()
  const paper = page.getByRole('region', { name: 'Your lawn, before and after' })
  await expect(paper).toContainText('The new grass has closed: 95% of the ground is green')
  await page.getByRole('link', { name: 'Close this job' }).click()
  await page.getByRole('button', { name: 'Close job…' }).click()
  await expect(page.getByLabel(/^Write the green cover/)).toBeChecked()
  await page.getByRole('button', { name: 'Close job', exact: true }).click()
  await expect(page.getByRole('row', { name: /closed/ })).toBeVisible()
  const after = await lawnNamed(request, 'Odell')
  for (const id of well.job.zoneIds) expect(after.zones[id]!.bareShare).toBeCloseTo(0.05, 6)
})
