import { readFileSync } from 'node:fs'
import { barriers, expect, lawnNamed, open, PHONE, test } from './demo'
import { pdfText } from './pdfText'

test('an irrigation zone is told and measured with cans, and its minutes follow', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Linden Row')
  await open(page, `/lawns/${lawn.id}/water`)
  await expect(page.getByText(/Water .* until about/)).toBeVisible()
  const zones = page.locator('section', { has: page.getByRole('heading', { name: 'Irrigation zones' }) })
  await expect(zones).toContainText('usual figure, not measured')
  await zones.getByRole('button', { name: 'Change' }).click()
  await zones.getByRole('button', { name: 'Catch cans' }).click()
  await zones.getByLabel('Minutes it ran').fill('30')
  // Low quarter of six: (0.1 + half of 0.2) over one and a half, 0.133; the mean is 0.25: 53 %. Half an inch an hour.
  await zones.getByLabel('In each can').fill('0.1, 0.2, 0.3, 0.3, 0.3, 0.3 in')
  await expect(zones.getByText('0.50 in/h, 53% even in the driest quarter.')).toBeVisible()
  await zones.getByLabel('Timer').click()
  await page.getByRole('option', { name: 'We lend one' }).click()
  await zones.getByLabel('We lend the sprinkler').check()
  await zones.getByLabel('Hours allowed').fill('whenever')
  await expect(zones.getByText('Write hours as 5-10, 17-20.')).toBeVisible()
  await expect(zones.getByRole('button', { name: 'Save zones' })).toBeDisabled()
  await zones.getByLabel('Hours allowed').fill('6-9')
  expect(await barriers(page)).toEqual([])
  await zones.getByRole('button', { name: 'Save zones' }).click()
  await expect(zones).toContainText('6 cans')
  await expect(zones).toContainText('53% uneven')
  const hours = await zones.locator('tbody td').nth(2).innerText()
  for (const hour of hours.split(', ')) expect(['6 AM', '7 AM', '8 AM']).toContain(hour)
  // Kept: another visit finds it.
  await open(page, `/lawns/${lawn.id}/water`)
  await expect(zones).toContainText('6 cans')
  // What is lent goes on the van.
  await open(page, `/lawns/${lawn.id}/bring`)
  await expect(page.getByText('Timer to lend: Lawn.')).toBeVisible()
  await expect(page.getByText('Sprinkler to lend: Lawn.')).toBeVisible()
})

test('the sheet for the client prints alone, on a phone as well', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Odell')
  await page.setViewportSize(PHONE)
  await open(page, `/lawns/${lawn.id}/water`)
  const sheet = page.getByRole('region', { name: 'Watering sheet for the client' })
  await expect(sheet).toContainText('Water the new seed')
  const saved = page.waitForEvent('download')
  await sheet.getByRole('button', { name: 'Calendar file' }).click()
  const file = await saved
  expect(file.suggestedFilename()).toMatch(/\.ics$/)
  expect(readFileSync(await file.path(), 'utf8')).toMatch(/^BEGIN:VCALENDAR[\s\S]*RRULE:FREQ=DAILY[\s\S]*END:VCALENDAR/)
  const asPdf = page.waitForEvent('download')
  await sheet.getByRole('button', { name: 'Save as PDF' }).click()
  const words = await pdfText(await (await asPdf).path())
  expect(words).toContain('Water the new seed')
  expect(words).toContain('Tick each watering')
  await page.emulateMedia({ media: 'print' })
  await expect(sheet).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Irrigation zones' })).toBeHidden()
  await expect(page.getByRole('button', { name: 'Print the sheet' })).toBeHidden()
})

test('a client who reads Spanish has the sheet, its file and its PDF in Spanish, and everybody else as before', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/water`)
  const sheet = page.getByRole('region', { name: 'Watering sheet for the client' })
  await page.getByLabel('The client reads').click()
  await page.getByRole('option', { name: 'Spanish' }).click()
  await expect(sheet.getByRole('heading')).toHaveText('Riegue la semilla nueva')
  await expect(sheet).toHaveAttribute('lang', 'es')
  await page.getByLabel('and counts in').click()
  await page.getByRole('option', { name: 'meters and grams' }).click()
  expect(await barriers(page)).toEqual([])
  const [asPdf] = await Promise.all([
    page.waitForEvent('download'),
    sheet.getByRole('button', { name: 'Save as PDF' }).click(),
  ])
  const words = await pdfText(await asPdf.path())
  expect(words).toContain('Marque cada riego')
  expect(words).not.toMatch(/Tick each|water the/i)
  const [asFile] = await Promise.all([
    page.waitForEvent('download'),
    sheet.getByRole('button', { name: 'Calendar file' }).click(),
  ])
  expect(readFileSync(await asFile.path(), 'utf8')).toContain('Regar la semilla nueva')
  // Of the client, and there for who opens it next; other clients read as the firm does.
  await open(page, `/lawns/${lawn.id}/water`)
  await expect(sheet).toContainText('Marque cada riego')
  expect((await lawnNamed(request, 'Halloran')).clientReads).toEqual({ language: null, units: null })
  for (const label of ['The client reads', 'and counts in']) {
    await page.getByLabel(label).click()
    await page.getByRole('option', { name: 'As the firm' }).click()
    await expect(page.getByLabel(label)).toHaveText(/As the firm/)
  }
  await expect(sheet).toContainText('Tick each watering')
})

test('a job without seed or without a day says why nothing is to be watered', async ({ page, request }) => {
  await open(page, `/lawns/${(await lawnNamed(request, 'Tamsin Varga')).id}/water`)
  await expect(page.getByText(/sows nothing that has to be kept wet/)).toBeVisible()
  await open(page, `/lawns/${(await lawnNamed(request, 'Sedge End')).id}/water`)
  await expect(page.getByText('No watering to plan yet.')).toBeVisible()
})

test('waterings of the firm stand in the plan, and on the sheet of the client', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Halloran')
  await open(page, `/lawns/${lawn.id}/decide`)
  const rounds = page.getByRole('group', { name: 'Watering by us' })
  await rounds.getByRole('button', { name: 'Once a day' }).click()
  await expect(rounds).toContainText('Changed.')
  await open(page, `/lawns/${lawn.id}/do`)
  await expect(page.getByText('Watering visits').first()).toBeVisible()
  await open(page, `/lawns/${lawn.id}/water`)
  await expect(page.getByRole('region', { name: 'Watering sheet for the client' })).toContainText('We come once a day')
})
