import type { BrowserContext, Page } from '@playwright/test'
import { barriers, expect, lawnNamed, open, PHONE, test } from './demo'

test.use({ serviceWorkers: 'allow', viewport: PHONE })

/** The program keeps itself on the device before it is let alone. */
async function kept(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready)
  await page.reload()
  await page.waitForLoadState('networkidle')
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
}

async function countSquares(page: Page, squares: string[]): Promise<void> {
  await page.getByRole('button', { name: 'Count seedlings' }).click()
  const form = page.locator('form.count')
  for (const count of squares) {
    await form.getByLabel('Seedlings in this square').fill(count)
    await form.getByRole('button', { name: 'Save square, next' }).click()
  }
  await form.getByRole('button', { name: 'Save count' }).click()
  await expect(form).toHaveCount(0)
}

const sends = (context: BrowserContext): string[] => {
  const sent: string[] = []
  context.on('request', (request) => {
    if (request.method() === 'POST' && request.url().endsWith('/seen')) sent.push(request.postData() ?? '')
  })
  return sent
}

test('a visit without a network is kept, outlives a closed page, and is sent once', async ({
  page,
  context,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Corrow Hall')
  await open(page, `/lawns/${lawn.id}/watch`)
  await kept(page)
  await expect(page.getByRole('button', { name: 'Count seedlings' })).toBeVisible()
  await context.setOffline(true)
  await countSquares(page, ['13', '12', '14'])
  const note = (of: Page) => of.getByRole('listitem').filter({ hasText: '13, 12, 14 in 3 in squares' })
  await expect(note(page)).toBeVisible()
  await expect(page.getByText('1 note or photo is kept on this device until there is a network.')).toBeVisible()
  expect(await barriers(page)).toEqual([])
  await page.close()

  // The program starts, the lawn is there, and so is what was counted; still no network.
  const again = await context.newPage()
  await again.goto(`/lawns/${lawn.id}/watch`)
  await expect(again.getByRole('heading', { name: 'Corrow Hall' })).toBeVisible()
  await expect(note(again)).toBeVisible()
  await expect(again.getByText(/The server cannot be reached. What you see is as of today at/)).toBeVisible()
  await again.getByRole('button', { name: 'We mowed today' }).click()
  await expect(again.getByText('2 notes and photos are kept on this device')).toBeVisible()

  const sent = sends(context)
  // A network is told of before it carries anything: what is sent first is lost. Found: it was tried again after 20 s alone.
  let lost = 0
  await context.route(/\/seen$/, (route) => (lost++ ? route.continue() : route.abort('internetdisconnected')))
  await context.setOffline(false)
  // By itself, once there is a network.
  await expect(again.getByText(/kept on this device/)).toHaveCount(0)
  await expect(note(again)).toHaveCount(1)
  // Tried twice, the same both times.
  expect(sent).toHaveLength(2)
  expect(sent[1]).toBe(sent[0])
  const now = await lawnNamed(request, 'Corrow Hall')
  const mine = now.seen.filter(({ kind, ...seen }) => kind === 'count' && JSON.stringify(seen).includes('[13,12,14]'))
  expect(mine).toHaveLength(1)
  // Taken back, so that other tests find the lawn as it was.
  await note(again)
    .getByRole('button', { name: /^Take back/ })
    .click()
  await expect(note(again)).toHaveCount(0)
  const mark = now.done.find(({ key }) => key === 'mow')!
  const headers = { origin: new URL(test.info().project.use.baseURL!).origin }
  expect((await request.delete(`/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks/${mark.id}`, { headers })).ok()).toBe(
    true,
  )
})

test('what the server does not take is said and stays until it is let go; taken back, it is gone at once', async ({
  page,
  context,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Corrow Hall')
  await open(page, `/lawns/${lawn.id}/watch`)
  await context.setOffline(true)
  await countSquares(page, ['9', '9'])
  await countSquares(page, ['8', '8'])
  const second = page.getByRole('listitem').filter({ hasText: '8, 8 in 3 in squares' })
  await second.getByRole('button', { name: /^Take back/ }).click()
  await expect(second).toHaveCount(0)
  await expect(page.getByText('1 note or photo is kept on this device')).toBeVisible()
  // Nothing comes of a try without a network.
  await page.getByRole('button', { name: 'Send now' }).click()
  await expect(page.getByText('1 note or photo is kept on this device')).toBeVisible()
  // The server says no: what was meant is said, and nothing else is held up.
  await page.route('**/seen', (route) =>
    route.fulfill({ status: 409, json: { error: { code: 'conflict', message: 'This job has ended.' } } }),
  )
  await context.setOffline(false)
  await expect(page.getByText('The server did not take what you saw: This job has ended.')).toBeVisible()
  // It does not stand among what was seen, since it is not.
  await expect(page.getByRole('listitem').filter({ hasText: '9, 9 in 3 in squares' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Remove it' }).click()
  await expect(page.getByText(/did not take/)).toHaveCount(0)
})

test('who signs out leaves nothing on the device', async ({ browser }) => {
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] }, viewport: PHONE })
  const page = await context.newPage()
  await page.goto('/demo/enter?to=/firm')
  await page.waitForLoadState('networkidle')
  const kept = () =>
    page.evaluate(
      () =>
        new Promise<number>((resolve, reject) => {
          const asked = indexedDB.open('upper-sill')
          asked.onerror = () => reject(asked.error!)
          asked.onsuccess = () => {
            const count = asked.result.transaction('answers').objectStore('answers').count()
            count.onsuccess = () => {
              asked.result.close()
              resolve(count.result)
            }
          }
        }),
    )
  await expect.poll(kept).toBeGreaterThan(0)
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await expect(page).toHaveURL(/sign-in/)
  expect(await kept()).toBe(0)
  expect(await page.evaluate(() => localStorage.getItem('upper-sill-whose'))).toBeNull()
  await context.close()
})
