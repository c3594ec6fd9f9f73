import type { APIRequestContext, Page } from '@playwright/test'
import type { Lawn } from '#contract/lawn'
import { barriers, expect, lawnNamed, open, PHONE, somebodyElse, test } from './demo'

const task = (page: Page, key: string) => page.locator(`[data-task="${key}"]`)
const dayOfCard = async (page: Page, key: string) =>
  (await page
    .locator('.task', { has: task(page, key) })
    .locator('.stub b.num')
    .textContent())!
const planOf = async (request: APIRequestContext, client: string) => (await lawnNamed(request, client)).plan

test('a schedule is confirmed, a task is dragged, what moves is seen before it is kept, and it is undone', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Halloran')
  await open(page, `/lawns/${lawn.id}/do`)
  await page.getByRole('button', { name: 'Confirm schedule' }).click()
  await expect(page.getByText(/^Confirmed Sep 8 by Joss Tarn\.$/)).toBeVisible()
  const before = (await planOf(request, 'Halloran')).work.days
  expect(before.scalp).toBeTruthy()

  // By keyboard: the card says its day, and the panel what else would move.
  const handle = page.getByRole('slider', { name: /^Day of Scalp/ })
  const stood = await dayOfCard(page, 'scalp')
  await handle.focus()
  await page.keyboard.press('ArrowLeft')
  const panel = page.getByRole('status', { name: 'What this would move' })
  await expect(panel).toContainText('Scalp')
  await expect(panel.getByText('a day sooner')).toBeVisible()
  await panel.getByRole('button', { name: 'Discard' }).click()
  await expect(panel).toBeHidden()
  expect(await dayOfCard(page, 'scalp')).toBe(stood)

  // By mouse: the sowing day a week on draws the work after it.
  const sow = page.getByRole('slider', { name: /^Day of Sow/ })
  await sow.scrollIntoViewIfNeeded()
  const at = (await sow.boundingBox())!
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
  await page.mouse.down()
  await page.mouse.move(at.x + at.width / 2 + 30, at.y + at.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(panel.getByText('the day was moved')).toBeVisible()
  expect(await barriers(page)).toEqual([])
  await panel.getByRole('button', { name: 'Apply changes' }).click()
  await expect(page.getByText(/Sow.* on .*: saved\./)).toBeVisible()
  // Keeping a day confirms nothing: what was confirmed says that it was changed.
  await expect(page.getByText('Confirmed Sep 8 by Joss Tarn; changed since.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Confirm schedule' })).toBeVisible()
  expect((await planOf(request, 'Halloran')).sowOn! > lawn.plan.sowOn!).toBe(true)
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect.poll(async () => (await planOf(request, 'Halloran')).sowOn).toBe(lawn.plan.sowOn)
  expect((await planOf(request, 'Halloran')).work.days).toEqual(before)

  await page.getByText('Versions of this plan, who changed what').click()
  await expect(page.locator('.versions tbody tr').first()).toContainText('Joss Tarn')
  await expect(page.getByRole('button', { name: /^Take version \d+ back/ }).first()).toBeVisible()
})

test('work is marked in part with what was really done, a failed check holds what follows, and a note overrules it', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Brackwater Farm')
  await open(page, `/lawns/${lawn.id}/do`)
  await task(page, 'kill2').getByRole('button', { name: 'Done: Herbicide, 2nd application' }).click()
  const form = page.getByRole('form', { name: 'What was done: Herbicide, 2nd application' })
  await form.getByLabel('only part of it').check()
  await form.getByLabel('How much of it was done').fill('lots')
  await form.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(form.getByRole('alert')).toBeVisible()
  await form.getByLabel('How much of it was done').fill('60%')
  await form.getByLabel('Crew hours').fill('1.5')
  await form.getByLabel('Weather').fill('dry, hardly a wind')
  await form.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(task(page, 'kill2')).toContainText('60% done by Sep 8')

  await task(page, 'kill2').getByRole('button', { name: 'Done: Herbicide, 2nd application' }).click()
  await expect(form).toContainText('the last 40%')
  await form.getByLabel('not yet: the next step waits').check()
  await form.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(task(page, 'kill2')).toContainText('its check not passed')
  await expect(task(page, 'scalp')).toContainText('did not pass its check')
  await expect(task(page, 'scalp').locator('.stand')).toHaveText('Hold')

  await task(page, 'scalp').getByRole('button', { name: 'Override with a note' }).click()
  await task(page, 'scalp').getByLabel('Note for the override').fill('The edge greens up; it is dug out by hand.')
  await page.getByRole('button', { name: 'Override with this note' }).click()
  await page.getByRole('button', { name: 'Apply changes' }).click()
  await expect(task(page, 'scalp')).toContainText('dug out by hand')
  await expect(task(page, 'scalp').locator('.stand')).toHaveText('Wait')

  // Regrowth wants a third spray: it no longer fits before the day, and the screen says which day would.
  await page.getByRole('button', { name: 'Add a task' }).click()
  await page.getByRole('button', { name: 'Herbicide, 3rd application' }).click()
  await expect(page.getByRole('status', { name: 'What this would move' })).toBeVisible()
  await expect(page.getByText(/Ways out: sow on/)).toBeVisible()
  await page.getByRole('button', { name: 'Discard' }).click()
  await task(page, 'kill2').getByRole('button', { name: 'Undo sprayed again' }).click()
  await expect(task(page, 'kill2')).toBeVisible()
})

test('an operation is left out with the reason and put back, and one of one’s own goes in', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Cobbet Lane')
  await open(page, `/lawns/${lawn.id}/do`)
  await task(page, 'feed')
    .getByRole('button', { name: /Move Feed or leave it out/ })
    .click()
  await task(page, 'feed').getByRole('button', { name: 'Leave it out' }).click()
  await expect(task(page, 'feed').getByRole('alert')).toContainText('Why it is left out')
  await task(page, 'feed').getByLabel('Reason to leave out Feed').fill('fed in August')
  await task(page, 'feed').getByRole('button', { name: 'Leave it out' }).click()
  await page.getByRole('button', { name: 'Apply changes' }).click()
  await expect(page.getByText('fed in August')).toBeVisible()
  await expect(task(page, 'feed')).toHaveCount(0)
  await page.getByRole('button', { name: 'Put back' }).click()
  await page.getByRole('button', { name: 'Apply changes' }).click()
  await expect(task(page, 'feed')).toBeVisible()

  await page.getByRole('button', { name: 'Add a task' }).click()
  await page.getByLabel('Of your own').fill('Move the trampoline')
  await page.locator('.add').getByLabel('Day').fill('2026-09-14')
  await page.getByRole('button', { name: 'See what moves' }).click()
  await page.getByRole('button', { name: 'Apply changes' }).click()
  await expect(page.getByRole('heading', { name: /Move the trampoline/, level: 3 })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: /Move the trampoline/, level: 3 })).toBeVisible()
})

test('a wet forecast moves what has to stay dry, says why, and waits for a yes', async ({ page, request }) => {
  const stations = (await (await request.get('/api/stations')).json()) as {
    id: string
    home: boolean
    latDeg: number
    lonDeg: number
    normals: object
  }[]
  const ridge = stations.find(({ home }) => home)!
  const headers = { origin: new URL(test.info().project.use.baseURL!).origin }
  const place = { latDeg: ridge.latDeg, lonDeg: ridge.lonDeg, heightM: null, coastal: false }
  const made = (await (
    await request.post('/api/stations', { data: { name: 'Wet corner', ...place }, headers })
  ).json()) as { id: string }
  expect(
    (
      await request.put(`/api/stations/${made.id}`, {
        data: { name: 'Wet corner', ...place, home: false, version: 1, normals: ridge.normals },
        headers,
      })
    ).status(),
  ).toBe(200)
  const lawn = await lawnNamed(request, 'Fen Cottage')
  expect(
    (await request.put(`/api/lawns/${lawn.id}`, { data: { ...lawn, stationId: made.id }, headers })).status(),
  ).toBe(200)
  await open(page, `/lawns/${lawn.id}/do`)
  await page.getByRole('button', { name: 'Confirm schedule' }).click()
  await expect(page.getByText(/^Confirmed Sep 8 by Joss Tarn\.$/)).toBeVisible()
  const agreed = (await planOf(request, 'Fen Cottage')).work.days as Record<string, string>

  const days = Array.from({ length: 9 }, (_, i) => `2026-09-${String(8 + i).padStart(2, '0')}`)
  const forecast = {
    days: days.map((day) => ({ day, tmaxC: 23, tminC: 11, rainMm: day === agreed.dethatch ? 14 : 0, windKmh: 6 })),
  }
  expect((await request.put(`/api/stations/${made.id}/forecast`, { data: forecast, headers })).status()).toBe(200)
  await open(page, `/lawns/${lawn.id}/do`)
  const panel = page.getByRole('status', { name: 'Days that cannot stay' })
  await expect(panel.getByRole('row', { name: /Dethatch/ })).toContainText('of rain that day')
  await panel.getByRole('button', { name: 'Confirm the new days' }).click()
  await expect(panel).toBeHidden()
  expect((await planOf(request, 'Fen Cottage')).work.days.dethatch).not.toBe(agreed.dethatch)
  expect(
    (
      await request.put(`/api/lawns/${lawn.id}`, {
        data: { ...(await lawnNamed(request, 'Fen Cottage')), stationId: null },
        headers,
      })
    ).status(),
  ).toBe(200)
})

test('two people who change one plan at once are brought together, or told of each other', async ({
  page,
  request,
  browser,
}) => {
  const lawn = await lawnNamed(request, 'Saltings Terrace')
  await open(page, `/lawns/${lawn.id}/do`)
  const wenna = await somebodyElse(browser, 'owner')
  await open(wenna, `/lawns/${lawn.id}/do`)
  await task(wenna, 'winterFeed')
    .getByRole('button', { name: /leave it out/ })
    .click()
  await task(wenna, 'winterFeed').getByLabel('Reason to leave out First feeding').fill('sandy, fed later')
  await task(wenna, 'winterFeed').getByRole('button', { name: 'Leave it out' }).click()
  await wenna.getByRole('button', { name: 'Apply changes' }).click()
  await expect(wenna.getByText('sandy, fed later')).toBeVisible()
  await page.getByRole('button', { name: 'Add a task' }).click()
  await page.getByLabel('Of your own').fill('Borrow the roller')
  await page.getByRole('button', { name: 'See what moves' }).click()
  await page.getByRole('button', { name: 'Apply changes' }).click()
  // Both laid the same days, so only what each put in differs: both are there.
  await expect(page.getByRole('heading', { name: /Borrow the roller/, level: 3 })).toBeVisible()
  await expect
    .poll(async () => {
      const { work } = await planOf(request, 'Saltings Terrace')
      return [Object.keys(work.skipped), Object.values(work.own).map(({ name }) => name)]
    })
    .toEqual([['winterFeed'], ['Borrow the roller']])
})

test('each visit prints on a page of its own, and a notice where something is sprayed', async ({ page, request }) => {
  const lawn: Lawn = await lawnNamed(request, 'Brackwater Farm')
  await page.addInitScript(() => {
    window.print = () => {}
  })
  await open(page, `/lawns/${lawn.id}/do`)
  await page.getByRole('button', { name: 'One page a visit' }).click()
  const pages = async () => (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b/g)?.length
  // What is done already, and what is a telephone call, needs no sheet.
  const cards = await page.locator('.phase:not(.before) .sheet:not(.made)').count()
  expect(cards).toBeGreaterThan(5)
  expect(await pages()).toBe(cards)
  await page.getByRole('button', { name: /^Notice, herbicide, 2nd application/ }).click()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: 'This lawn is treated' })).toBeVisible()
  await expect(page.locator('.phase.work')).toBeHidden()
  expect(await pages()).toBe(1)
})

test('on a phone the day is chosen by date, and the work is marked done', async ({ page, request }) => {
  await page.setViewportSize(PHONE)
  const lawn = await lawnNamed(request, 'Linden Row')
  await open(page, `/lawns/${lawn.id}/do`)
  await task(page, 'dethatch')
    .getByRole('button', { name: /Move Dethatch/ })
    .click()
  await task(page, 'dethatch').getByLabel('Another day for Dethatch').fill('2026-09-14')
  await task(page, 'dethatch').getByRole('button', { name: 'See what moves' }).click()
  await page.getByRole('button', { name: 'Discard' }).click()
  await task(page, 'locate').getByRole('button', { name: 'Done: Locate services' }).click()
  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(task(page, 'locate').getByRole('button', { name: 'Undo located' })).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  expect(await barriers(page)).toEqual([])
})
