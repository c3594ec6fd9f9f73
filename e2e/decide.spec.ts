import { told } from '#core/explain/test/told'
import type { Lawn } from '#contract/lawn'
import type { ListedLawn } from '#contract/list'
import { PROGRAMME_NAMES } from '#core/job/decision/programmes'
import { expect, lawnNamed, open, somebodyElse, test } from './demo'
import type { Page } from '@playwright/test'

const zoneId = (lawn: Lawn, called: string) => Object.entries(lawn.zones).find(([, { name }]) => name === called)![0]
const option = async (page: Page, select: string, name: RegExp | string) => {
  await page.getByLabel(select).click()
  await page.getByRole('option', { name }).click()
}

test('a programme that the rules would not give a zone wants a note, keeps it, and the note goes with it', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/decide`)
  await option(page, 'Program of Slope', new RegExp(`^${told(PROGRAMME_NAMES.kill)}`))
  const ask = page.getByRole('group', { name: 'Override for Slope' })
  await ask.getByRole('button', { name: 'Override with this note' }).click()
  await expect(ask.getByText('Say why in a few words')).toBeVisible()
  expect((await lawnNamed(request, 'Odell')).plan.zonePlans).toEqual({})
  await ask.getByLabel('Plan it anyway, because').fill('Quackgrass all over the bank.')
  await page.keyboard.press('Enter')
  await expect(page.getByText('“Quackgrass all over the bank.”')).toBeVisible()
  expect((await lawnNamed(request, 'Odell')).plan.zonePlans).toEqual({
    [zoneId(lawn, 'Slope')]: { programme: 'kill', note: 'Quackgrass all over the bank.' },
  })
  await option(page, 'Program of Slope', /^as the rest/)
  await expect(page.getByText('“Quackgrass all over the bank.”')).toHaveCount(0)
  expect((await lawnNamed(request, 'Odell')).plan.zonePlans).toEqual({})
})

test('an owner puts in figures of the firm’s own; Decide judges by them, and what cannot be read is not kept', async ({
  browser,
  request,
}) => {
  const page = await somebodyElse(browser, 'owner')
  const lawn = await lawnNamed(request, 'Fen Cottage')
  await open(page, `/lawns/${lawn.id}/decide`)
  const price = async () => (await page.getByRole('row', { name: /^Crew and price/ }).textContent())!
  const before = await price()
  await open(page, '/firm')
  await page.getByText('Prices', { exact: true }).click()
  const crew = page.getByLabel('Crew', { exact: true })
  await crew.fill('a lot')
  await crew.press('Tab')
  await page.getByLabel('Name', { exact: true }).first().fill('Quillmarsh Turf & Seed')
  await page.getByRole('button', { name: 'Save settings' }).click()
  await expect(page.getByRole('alert')).toContainText('could not be read')
  await crew.fill('116')
  await crew.press('Tab')
  await page.getByLabel('Name', { exact: true }).first().fill('Quillmarsh Turf')
  await page.getByRole('button', { name: 'Save settings' }).click()
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible()
  await open(page, `/lawns/${lawn.id}/decide`)
  const after = await price()
  expect(after).not.toBe(before)
  // Back to ours, so that what follows plans with that again.
  await open(page, '/firm')
  await page.getByText('Prices', { exact: true }).click()
  await page.getByLabel('Crew', { exact: true }).fill('')
  await page.getByLabel('Crew', { exact: true }).press('Tab')
  await page.getByRole('button', { name: 'Save settings' }).click()
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible()
  await open(page, `/lawns/${lawn.id}/decide`)
  expect(await price()).toBe(before)
  await page.context().close()
})

test('a zone is cut in two and joined again, and no ground is lost', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/look`)
  const whole = async () => (await page.locator('.zones .num').allTextContents()).filter((_, i) => i % 3 === 0)
  const rows = page.locator('.zones').getByRole('button', { expanded: false })
  const count = await rows.count()
  await page
    .locator('.zones')
    .getByRole('button', { name: /^Slope/ })
    .click()
  await page.getByRole('button', { name: 'Split along a line' }).click()
  const box = (await page.locator('.map').boundingBox())!
  // Across the slope, which lies in the right third of the plan.
  await page.mouse.click(box.x + box.width * 0.6, box.y + box.height * 0.55)
  await page.mouse.click(box.x + box.width * 0.85, box.y + box.height * 0.55)
  await expect(page.locator('.zones').getByRole('button', { name: /^Zone 4/ })).toBeVisible()
  expect((await whole()).length).toBeGreaterThan(count - 1)
  await page
    .locator('.zones')
    .getByRole('button', { name: /^Slope/ })
    .first()
    .click()
  await option(page, 'Join with another zone', 'Zone 4')
  await expect(page.getByText('Joined; the answers of the zone that was taken in are gone.')).toBeVisible()
  await expect(page.locator('.zones').getByRole('button', { name: /^Slope/ })).toContainText('1,920')
  await page.getByRole('button', { name: 'Undo unsaved changes' }).click()
})

test('every programme of the demo has its day, its tasks and its load', async ({ page, request }) => {
  test.setTimeout(180_000)
  const lawns = (await (await request.get('/api/lawns')).json()) as ListedLawn[]
  const planned = lawns.filter(({ job }) => job.programme && job.sowOn && !job.endedOn)
  const one = new Map(planned.map((lawn) => [lawn.job.programme!, lawn]))
  expect(one.size).toBeGreaterThan(5)
  for (const [programme, lawn] of one) {
    await open(page, `/lawns/${lawn.id}/when`)
    await expect(page.getByRole('slider')).toBeVisible()
    await open(page, `/lawns/${lawn.id}/do`)
    expect([told(PROGRAMME_NAMES[programme]), (await page.locator('article, .task').count()) > 2]).toEqual([
      told(PROGRAMME_NAMES[programme]),
      true,
    ])
    await open(page, `/lawns/${lawn.id}/bring`)
    await expect(page.locator('main')).not.toContainText(/NaN|undefined|Infinity/)
    await expect(page.getByRole('alert')).toHaveCount(0)
  }
})
