import type { Lawn } from '#contract/lawn'
import { expect, lawnNamed, open, test } from './demo'

const step = (name: string) => ({ name: new RegExp(`^${name}`) })

test('what is tried in one step is shown in every other, and is saved or dropped from any of them', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Halloran')
  const kept = async () => ((await (await request.get(`/api/lawns/${lawn.id}`)).json()) as Lawn).plan
  const before = await kept()
  const bar = page.getByRole('status').filter({ hasText: 'Trial, not saved' })
  const steps = page.getByRole('navigation', { name: 'Steps of this lawn' })

  await open(page, `/lawns/${lawn.id}/when`)
  const hung = await page.locator('.hangers').getAttribute('aria-label')
  await page.getByRole('slider').focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight')
  await expect(page.locator('.hangers')).not.toHaveAttribute('aria-label', hung!)
  await expect(bar).toHaveCount(0)

  await steps.getByRole('link', step('Bring')).click()
  await expect(bar).toContainText('Sow on')
  await page.getByRole('textbox', { name: 'Live seed' }).fill('5 lb/1,000 ft²')
  await steps.getByRole('link', step('Do')).click()
  // Both are one trial: the day that moves, and the seed it would take.
  await expect(page.getByRole('status', { name: 'What this would move' })).toContainText('Settings of Bring')
  // 2,260 ft² at 5 lb, by the share of live seed on the label: 0.98 × 0.85.
  await expect(page.locator('[data-task=sow]')).toContainText('13.6 lb of tall fescue in all')

  await steps.getByRole('link', step('Decide')).click()
  await bar.getByRole('button', { name: 'Discard' }).click()
  await expect(bar).toHaveCount(0)
  await steps.getByRole('link', step('Bring')).click()
  await expect(page.getByRole('textbox', { name: 'Live seed' })).not.toHaveValue('5 lb/1,000 ft²')
  expect(await kept()).toEqual(before)

  // The odds too are those of what is tried: bare seed dries out in more years than covered seed.
  await steps.getByRole('link', step('When')).click()
  const said = () => page.getByRole('slider').getAttribute('aria-valuetext')
  // A first look knows other odds: it is waited out.
  await expect(page.getByText('First look from')).toHaveCount(0)
  const covered = await said()
  await steps.getByRole('link', step('Bring')).click()
  await page.getByRole('textbox', { name: 'Depth of cover' }).fill('0')
  await steps.getByRole('link', step('When')).click()
  await expect(page.getByRole('slider')).not.toHaveAttribute('aria-valuetext', covered!)
  await bar.getByRole('button', { name: 'Discard' }).click()
  await expect(page.getByRole('slider')).toHaveAttribute('aria-valuetext', covered!)

  await steps.getByRole('link', step('Bring')).click()
  await page.getByRole('textbox', { name: 'Live seed' }).fill('5 lb/1,000 ft²')
  await steps.getByRole('link', step('Decide')).click()
  await bar.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(bar).toHaveCount(0)
  expect((await kept()).settings!.seedRateGPerM2).toBeCloseTo(24.41, 2)
  expect((await kept()).sowOn).toBe(before.sowOn)
})
