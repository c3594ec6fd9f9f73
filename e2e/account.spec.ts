import { codesOf } from '../server/test/totp'
import type { Page } from '@playwright/test'
import { barriers, expect, open, PHONE, somebodyElse, test } from './demo'

const PASSWORD = 'three wet autumns'

async function signedUp(page: Page): Promise<string> {
  const email = `ida.${Date.now().toString(36)}@example.org`
  await page.goto('/sign-up')
  await page.getByLabel('Name of the firm').fill('Marram Turf')
  await page.getByLabel('Your name').fill('Ida')
  await page.getByLabel('Your e-mail address').fill(email)
  await page.getByLabel('Password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign up the firm' }).click()
  await page.getByRole('button', { name: 'Go to the lawns' }).click()
  await page.getByText('No lawn yet').waitFor()
  return email
}
async function signIn(page: Page, email: string): Promise<void> {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail address').fill(email)
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

test('an owner turns on a code at sign-in, signs in with it, with a recovery code, and turns it off', async ({
  browser,
}) => {
  const page = await somebodyElse(browser, 'nobody')
  const email = await signedUp(page)
  await open(page, '/firm')
  const second = page.getByRole('region', { name: 'Second factor' })
  await second.getByRole('button', { name: 'Set up' }).click()
  await second.getByLabel('Your password').fill('a guess')
  await second.getByRole('button', { name: 'Show the QR code' }).click()
  await expect(second.getByText('That is not your password now.')).toBeVisible()
  await second.getByLabel('Your password').fill(PASSWORD)
  await second.getByRole('button', { name: 'Show the QR code' }).click()
  await expect(second.getByAltText(/^QR code/)).toBeVisible()
  expect(await barriers(page)).toEqual([])
  const secret = (await second.locator('.secret').textContent())!.replaceAll(' ', '')
  const codes = codesOf(secret)
  await second.getByLabel('Six digits').fill('000000')
  await second.getByRole('button', { name: 'Turn on' }).click()
  await expect(second.getByText(/not the code of this secret/)).toBeVisible()
  await second.getByLabel('Six digits').fill(codes(0))
  await second.getByRole('button', { name: 'Turn on' }).click()
  await expect(second.getByRole('listitem')).toHaveCount(10)
  const recovery = await second.getByRole('listitem').first().textContent()
  await second.getByRole('button', { name: 'I wrote them down' }).click()
  await expect(second.getByText(/^On: signing in asks/)).toBeVisible()

  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await page.getByRole('heading', { name: 'Sign in' }).waitFor()
  await signIn(page, email)
  await expect(page.getByText('Six digits from your authenticator, or a recovery code')).toBeVisible()
  await page.getByLabel('Code', { exact: true }).fill(codes(1))
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page).toHaveURL(/\/lawns$/)

  const phone = await somebodyElse(browser, 'nobody')
  await phone.setViewportSize(PHONE)
  await signIn(phone, email)
  await phone.getByLabel('Code', { exact: true }).fill(recovery!)
  await phone.getByRole('button', { name: 'Sign in' }).click()
  await expect(phone).toHaveURL(/\/lawns$/)

  // Seen from here, and signed out from here.
  await open(page, '/firm')
  const sessions = page.getByRole('region', { name: 'Where you are signed in' })
  await expect(sessions.getByRole('listitem')).toHaveCount(2)
  await sessions.getByRole('button', { name: /^Sign out Chrome/ }).click()
  await expect(sessions.getByRole('listitem')).toHaveCount(1)
  expect((await phone.request.get('/api/context')).status()).toBe(401)

  await second.getByRole('button', { name: 'Turn off' }).click()
  await second.getByLabel('Your password').fill(PASSWORD)
  await second.getByRole('button', { name: 'Turn off' }).click()
  await expect(second.getByText(/^Off\./)).toBeVisible()
})

test('an invitation is listed with who made it and revoked, and opens nothing after', async ({ browser }) => {
  const [page, guest] = [await somebodyElse(browser, 'nobody'), await somebodyElse(browser, 'nobody')]
  await signedUp(page)
  await open(page, '/firm')
  await page.getByRole('button', { name: 'Invite an owner' }).click()
  const link = await page.getByLabel('The link').inputValue()
  const links = page.getByRole('group', { name: 'Open links' })
  await expect(links.getByText('Invitation as owner')).toBeVisible()
  await expect(links.getByText(/made by Ida today at .+, ends \w+ \d+ at/)).toBeVisible()
  await guest.goto(link)
  await expect(guest.getByText(/Ida made this link\. It works once\./)).toBeVisible()
  await links.getByRole('button', { name: 'Revoke: Invitation as owner' }).click()
  await expect(links).toHaveCount(0)
  await guest.goto('about:blank')
  await guest.goto(link)
  await expect(guest.getByRole('alert')).toContainText('Ask an owner for another')
})

test('a file with decimal commas is shown as it is read before anything is kept, and a long one can be cancelled', async ({
  browser,
}) => {
  const page = await somebodyElse(browser, 'nobody')
  await signedUp(page)
  await open(page, '/weather')
  await page.getByLabel('Name', { exact: true }).fill('Yard')
  await page.getByLabel('Latitude').fill('38')
  await page.getByLabel('Longitude').fill('-9')
  await page.getByRole('button', { name: /^Add/ }).click()
  const file = {
    name: 'days.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('date;high;low;rain\n2018-01-03;20,5;10,1;0,0\n2018-01-04;21;9;1,2;7\n'),
  }
  await page.getByLabel('Daily file').setInputFiles(file)
  await expect(page.getByText('cells parted by semicolons; decimal commas are read')).toBeVisible()
  await expect(page.getByText(/Jan 3, 2018: 68\.9 °F high, 50\.2 °F low, 0 in of rain/)).toBeVisible()
  await page.getByRole('button', { name: 'Keep the good rows' }).click()
  await expect(page.getByText('1 day added')).toBeVisible()
  await expect(page.getByText('Line 3: 5 cells where the first line names 4')).toBeVisible()
  // A network that is slow: the file goes up, and is stopped by hand.
  const client = await page.context().newCDPSession(page)
  await client.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: 20,
    downloadThroughput: -1,
    uploadThroughput: 20_000,
  })
  await page.getByLabel('Daily file').setInputFiles({
    ...file,
    buffer: Buffer.from(`date;high;low;rain\n${'2018-01-03;20,5;10,1;0,0\n'.repeat(30_000)}`),
  })
  await expect(page.getByText(/Sending the file/)).toBeVisible()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Canceled.' })).toBeVisible()
})
