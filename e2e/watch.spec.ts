import type { APIRequestContext, Page } from '@playwright/test'
import { barriers, expect, lawnNamed, open, PHONE, test, WIDE } from './demo'

/** Opens Watch of the lawn of the demo that is coming up. */
async function watchCorrow(page: Page, request: APIRequestContext, viewport = PHONE) {
  const lawn = await lawnNamed(request, 'Corrow Hall')
  await page.setViewportSize(viewport)
  await open(page, `/lawns/${lawn.id}/watch`)
  return lawn
}

test('on a phone seedlings are counted square by square, kept while the page is away, judged, and taken back', async ({
  page,
  request,
}) => {
  await watchCorrow(page, request)
  // The demo's counts: behind under the yews, where it was found dry, and only there.
  await expect(page.getByText('Behind: Under the yews.')).toBeVisible()
  await expect(page.getByText(/Likely cause: drying out/)).toBeVisible()
  await page.getByRole('button', { name: 'Count seedlings' }).click()
  const form = page.locator('form.count')
  await expect(form).toContainText(/Expect \d+, fair \d+/)
  await form.getByLabel('Seedlings in this square').fill('13')
  await form.getByRole('button', { name: 'One more' }).click()
  await form.getByRole('button', { name: 'Save square, next' }).click()
  await expect(form.getByRole('heading', { name: 'Square 2, 1 counted' })).toBeVisible()
  expect(await barriers(page)).toEqual([])
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  await page.reload()
  await page.getByRole('button', { name: 'Count seedlings' }).click()
  await expect(form.getByRole('button', { name: 'Remove square 1' })).toContainText('14')
  for (const count of ['12', '13']) {
    await form.getByLabel('Seedlings in this square').fill(count)
    await form.getByRole('button', { name: 'Save square, next' }).click()
  }
  // The last number counts without being saved for itself.
  await form.getByLabel('Seedlings in this square').fill('2')
  await form.getByRole('button', { name: 'Moist' }).click()
  await form.getByRole('button', { name: 'Save count' }).click()
  await expect(form).toHaveCount(0)
  const notes = page.getByRole('listitem').filter({ hasText: 'Open side: 14, 12, 13, 2 in 3 in squares' })
  await expect(notes).toContainText('Moist. Joss Tarn')
  await expect(page.getByText(/Reseed \d+ ft² with .* on /)).toBeVisible()
  await notes.getByRole('button', { name: /^Take back/ }).click()
  await expect(notes).toHaveCount(0)
  await expect(page.getByText('Behind: Under the yews.')).toBeVisible()
})

test('thin ground goes into the plan with its seed, and comes out again', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Corrow Hall')
  const headers = { origin: new URL(test.info().project.use.baseURL!).origin }
  const path = `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/seen`
  const seen = {
    id: crypto.randomUUID(),
    kind: 'count',
    seenOn: '2026-09-08',
    zoneId: lawn.seen.find(({ kind }) => kind === 'height')!.zoneId,
    frameMm: 76.2,
    seedlings: [14, 13, 12, 1],
  }
  // Twice sent, it is one.
  for (let i = 0; i < 2; i++) expect((await request.post(path, { data: seen, headers })).status()).toBe(200)
  await page.setViewportSize(WIDE)
  await open(page, `/lawns/${lawn.id}/watch`)
  const put = page.getByRole('button', { name: /^Put in the plan for / })
  const day = (await put.innerText()).replace('Put in the plan for ', '')
  await put.click()
  await expect(page.getByText(`In the plan for ${day}.`)).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: 'Reseed thin spots' })).toContainText(day)
  await open(page, `/lawns/${lawn.id}/do`)
  const task = page.locator('[data-task=weak]')
  await expect(task).toContainText(/Where counts were low: .* by hand over \d+ ft²/)
  await expect(task).toContainText('day chosen by hand')
  expect((await request.delete(`${path}/${seen.id}`, { headers })).status()).toBe(200)
})

test('a missed watering is logged, told with what it costs, and taken back', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Corrow Hall')
  for (const viewport of [WIDE, PHONE]) {
    await page.setViewportSize(viewport)
    await open(page, `/lawns/${lawn.id}/water`)
    expect(await barriers(page)).toEqual([])
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  }
  const log = page.locator('section.log')
  await expect(log).toContainText('one watering missed')
  await log.getByRole('button', { name: 'Missed', exact: true }).click()
  await expect(log).toContainText('Choose the waterings first.')
  await log.getByRole('button', { name: '6 AM' }).click()
  await log.getByRole('button', { name: 'Missed', exact: true }).click()
  await expect(log).toContainText('2 waterings missed')
  await log
    .getByRole('listitem')
    .filter({ hasText: 'Sep 8' })
    .getByRole('button', { name: /^Take back/ })
    .click()
  await expect(log).toContainText('one watering missed')
  await log.getByRole('textbox', { name: 'Rain that fell there' }).fill('a lot')
  await log.getByRole('button', { name: 'Note the rain' }).click()
  await expect(log.getByRole('listitem').filter({ hasText: 'Rain, ' })).toHaveCount(0)
  await log.getByRole('textbox', { name: 'Rain that fell there' }).fill('0.6 in')
  await log.getByRole('button', { name: 'Note the rain' }).click()
  await expect(log.getByRole('listitem').filter({ hasText: 'Rain, 0.6' })).toContainText('told by the client')
})

test('measured leaves move the first mowing, here and in Do', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Corrow Hall')
  await open(page, `/lawns/${lawn.id}/watch`)
  // With which machine, and how it is driven.
  await expect(page.getByText(/bag on, light machine, push and pull/)).toBeVisible()
  const says = page.getByText(/What was seen of leaves .* about /)
  const before = await says.innerText()
  await page.getByRole('button', { name: 'Measure height' }).click()
  await page.getByLabel('Leaf height of the seedlings').fill('a lot')
  await page.getByRole('button', { name: 'Save height' }).click()
  await expect(page.locator('form.height')).toContainText(/number|inches|such as/i)
  await page.getByLabel('Leaf height of the seedlings').fill('2 in')
  await page.getByRole('button', { name: 'Save height' }).click()
  await expect(says).not.toHaveText(before)
  const day = /about (.*)\.$/.exec(await says.innerText())![1]!
  await expect(page.getByRole('listitem').filter({ hasText: 'First mow' })).toContainText(day)
  await page.getByRole('button', { name: /^Take back: Open side: leaves 2 in/ }).click()
  await expect(says).toHaveText(before)
})

test('a bed is checked before anything can be counted: its visit is done by it, and found dry it is watered', async ({
  page,
  request,
}) => {
  // The first check of the demo is taken back, so that it is due.
  const { id, job, done } = await lawnNamed(request, 'Corrow Hall')
  const headers = { origin: new URL(test.info().project.use.baseURL!).origin }
  const mark = done.find(({ key }) => key === 'check')!
  const marks = `/api/lawns/${id}/jobs/${job.id}/marks`
  await request.delete(`${marks}/${mark.id}`, { headers })
  await watchCorrow(page, request)
  const visit = page.getByRole('listitem').filter({ hasText: 'First check' })
  await expect(visit.getByRole('button')).toHaveText('Done today')
  await page.getByRole('button', { name: 'Check moisture' }).click()
  await page.getByRole('button', { name: 'Save check' }).click()
  await expect(page.getByText('Say whether its top is moist or dry.')).toBeVisible()
  await page.getByRole('button', { name: 'Dry', exact: true }).click()
  expect(await barriers(page)).toEqual([])
  await page.getByRole('button', { name: 'Save check' }).click()
  const note = page.getByRole('listitem').filter({ hasText: 'dry at the check' })
  await expect(note).toBeVisible()
  await expect(visit.getByRole('button')).toHaveCount(0)
  const [made, ...more] = (await lawnNamed(request, 'Corrow Hall')).done.filter(({ key }) => key === 'check')
  expect(more).toEqual([])
  // In the open side, which had counts as expected.
  await expect(page.getByText(/^Water now, and from tomorrow/)).toHaveCount(2)
  await note.getByRole('button', { name: /^Take back/ }).click()
  await expect(note).toHaveCount(0)
  // As other tests find it.
  await request.delete(`${marks}/${made!.id}`, { headers })
  const again = { id: crypto.randomUUID(), task: 'check', doneOn: mark.doneOn }
  expect((await request.post(marks, { headers, data: again })).ok()).toBe(true)
})

test('a stage of leaves is written down with one press, moves the first mowing, and is taken back', async ({
  page,
  request,
}) => {
  await watchCorrow(page, request)
  // Found: it threw away the squares of a count that was begun.
  await page.getByRole('button', { name: 'Count seedlings' }).click()
  await page.getByLabel('Seedlings in this square').fill('17')
  await page.getByRole('button', { name: 'Save square, next' }).click()
  const leaves = page.locator('section', { has: page.getByRole('heading', { name: 'Leaves', exact: true }) })
  const tillering = leaves.getByRole('listitem').filter({ hasText: 'tillering' }).locator('.num')
  const before = await tillering.innerText()
  await leaves.getByRole('button', { name: 'Seen today: tillering' }).click()
  await expect(tillering).not.toHaveText(before)
  expect(await barriers(page)).toEqual([])
  await expect(page.locator('form.count .squares')).toContainText('17')
  await page.getByRole('button', { name: /^Take back: .*: tillering/ }).click()
  await expect(tillering).toHaveText(before)
})

test('a mowing is recorded where it is seen, counts towards the fourth, and is undone in Do', async ({
  page,
  request,
}) => {
  const lawn = await watchCorrow(page, request)
  await expect(page.getByText('0 of 4 done')).toBeVisible()
  await page.getByRole('button', { name: 'The client mowed today' }).click()
  await expect(page.getByText('1 of 4 done')).toBeVisible()
  await expect(page.getByText('Record mowing 2:')).toBeVisible()
  const marked = (await lawnNamed(request, 'Corrow Hall')).done.at(-1)!
  expect(marked).toMatchObject({ key: 'mow', note: 'told by the client' })
  const headers = { origin: new URL(test.info().project.use.baseURL!).origin }
  expect((await request.delete(`/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks/${marked.id}`, { headers })).ok()).toBe(
    true,
  )
})

test('before sowing, and of what sows nothing, Watch says why there is nothing to see', async ({ page, request }) => {
  await open(page, `/lawns/${(await lawnNamed(request, 'Odell')).id}/watch`)
  await expect(page.getByText('Nothing is sown yet.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Go to Do' })).toBeVisible()
  await open(page, `/lawns/${(await lawnNamed(request, 'Tamsin Varga')).id}/watch`)
  await expect(page.getByText(/sows nothing, so there are no seedlings/)).toBeVisible()
})

test('green cover is measured in a photo on the device, corrected, kept with its picture, and taken back', async ({
  page,
  request,
}) => {
  const lawn = await watchCorrow(page, request)
  // Soil with grain, and a quarter of the frame green: from 8 to 29 % of the width, the frame lying 8 % inside.
  const jpeg = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(1000, 800)
    const context = canvas.getContext('2d')!
    for (let x = 0; x < 1000; x += 4)
      for (let y = 0; y < 800; y += 4) {
        const grain = ((x * 7 + y * 13) % 29) - 14
        context.fillStyle =
          x >= 80 && x < 290
            ? `rgb(${78 + grain} ${128 + grain} ${48 + grain})`
            : `rgb(${112 + grain} ${86 + grain} ${62 + grain})`
        context.fillRect(x, y, 4, 4)
      }
    const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })).arrayBuffer())
    return Array.from(bytes)
  })
  await page.getByRole('button', { name: 'Measure green cover' }).click()
  const form = page.locator('form.cover')
  await form
    .getByLabel('Photo of the frame')
    .setInputFiles({ name: 'a.txt', mimeType: 'image/jpeg', buffer: Buffer.from('no') })
  await expect(form.getByRole('alert')).toContainText('a.txt')
  await form
    .getByLabel('Photo of the frame')
    .setInputFiles({ name: 'frame.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(jpeg) })
  // Corners answer to the keyboard: out and back again.
  const corner = form.getByRole('button', { name: 'Corner 1' })
  for (const key of ['ArrowLeft', 'ArrowRight']) await corner.press(key)
  await form.getByRole('button', { name: 'Measure', exact: true }).click()
  const verdict = form.locator('.verdict')
  await expect(verdict).toHaveText(/^2[3-7]% green\.$/)
  expect(await barriers(page)).toEqual([])
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  const before = await verdict.innerText()
  for (let i = 0; i < 20; i++) await form.getByRole('button', { name: 'Mark less' }).click()
  await expect(verdict).not.toHaveText(before)
  for (let i = 0; i < 20; i++) await form.getByRole('button', { name: 'Mark more' }).click()
  await expect(verdict).toHaveText(/^2[3-7]% green\.$/)
  await form.getByRole('button', { name: 'Save cover' }).click()
  await expect(form).toHaveCount(0)
  const note = page.getByRole('listitem').filter({ hasText: /% green, from a photo/ })
  await expect(note).toBeVisible()
  const [photo] = (await (await request.get(`/api/lawns/${lawn.id}/photos`)).json()) as { id: string; place: unknown }[]
  expect(photo).toMatchObject({ place: null })
  await note.getByRole('button', { name: /^Take back/ }).click()
  await expect(note).toHaveCount(0)
  const headers = { origin: new URL(test.info().project.use.baseURL!).origin }
  expect((await request.delete(`/api/lawns/${lawn.id}/photos/${photo!.id}`, { headers })).ok()).toBe(true)
})

test('a thin spot is put on the plan with its ground and its cause, and is what is sown again', async ({
  page,
  request,
}) => {
  await watchCorrow(page, request, WIDE)
  await page.getByRole('button', { name: 'Mark a thin spot' }).click()
  const form = page.locator('form.spot')
  await form.getByLabel('How large').fill('not an area')
  await form.getByRole('button', { name: 'Save thin spot' }).click()
  await expect(form.getByText(/Not understood/)).toBeVisible()
  await form.getByLabel('How large').fill('6x10 ft')
  await form.getByRole('button', { name: 'Half there' }).click()
  await form.getByRole('application').focus()
  await page.keyboard.press('ArrowUp')
  await form.getByRole('application').click({ position: { x: 60, y: 60 } })
  expect(await barriers(page)).toEqual([])
  await form.getByRole('button', { name: 'Save thin spot' }).click()
  await expect(form).toHaveCount(0)
  const row = page.getByRole('table', { name: 'Thin spots' }).getByRole('row', { name: /60 ft²/ })
  await expect(row).toContainText(/[\d.]+ oz/)
  await expect(page.getByRole('img', { name: 'Plan with 1 thin spot' })).toBeVisible()
  // More may still come up there: nothing is sown now.
  await expect(page.getByText(/Wait until .*More is still coming up/).first()).toBeVisible()
  await page.getByRole('button', { name: /^Take back: .*thin spot/ }).click()
  await expect(page.getByRole('table', { name: 'Thin spots' })).toHaveCount(0)
})
