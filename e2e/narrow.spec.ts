import { expect, lawnNamed, open, test } from './demo'

/** The narrowest telephone, and a window of 1280 px at 200 % zoom. */
const WINDOWS = [
  { width: 320, height: 640 },
  { width: 640, height: 400 },
]

for (const view of ['look', 'decide', 'when', 'do', 'bring', 'water', 'watch', 'inspection', 'jobs'])
  test(`the ${view} view is no wider than a window of 320 px, or one at 200 % zoom`, async ({ page, request }) => {
    const { id } = await lawnNamed(request, 'Odell')
    for (const viewport of WINDOWS) {
      await page.setViewportSize(viewport)
      await open(page, `/lawns/${id}/${view}`)
      expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
    }
  })

for (const path of ['/lawns', '/shed', '/weather', '/set-up', '/about', '/firm', '/sign-in', '/sign-up'])
  test(`${path} is no wider than a window of 320 px, or one at 200 % zoom`, async ({ page }) => {
    for (const viewport of WINDOWS) {
      await page.setViewportSize(viewport)
      await open(page, path)
      expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
    }
  })
