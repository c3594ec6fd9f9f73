import type { Page } from '@playwright/test'
import { barriers, expect, lawnNamed, open, PHONE, somebodyElse, test, unfold } from './demo'

const PASSWORD = 'three wet autumns'
/** An address that no earlier run of these tests has signed up. */
const address = (who: string) => `${who}.${Date.now().toString(36)}@example.org`

async function signUp(page: Page, email: string): Promise<void> {
  await page.goto('/sign-up')
  await page.getByLabel('Name of the firm').fill('Marram Turf')
  await page.getByLabel('Your name').fill('Mara')
  await page.getByLabel('Your e-mail address').fill(email)
  await page.getByLabel('Password').fill('short')
  await page.getByRole('button', { name: 'Sign up the firm' }).click()
  await expect(page.getByText('At least 10 characters; three')).toBeVisible()
  await page.getByLabel('Password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign up the firm' }).click()
  await page.getByRole('button', { name: 'Go to the lawns' }).click()
  await expect(page.getByText('No lawn yet')).toBeVisible()
}
async function signIn(page: Page, email: string, password: string): Promise<void> {
  await page.getByLabel('E-mail address').fill(email)
  await page.getByLabel('Password', { exact: true }).fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

test('a firm signs up, invites a technician by link, and gives them a new password', async ({ browser }) => {
  const [owner, tam] = [await somebodyElse(browser, 'nobody'), await somebodyElse(browser, 'nobody')]
  const [hers, his] = [address('mara'), address('tam')]
  await signUp(owner, hers)
  await expect(owner.getByText('Demo.')).toHaveCount(0)
  await owner.keyboard.press('8')
  await owner.getByRole('button', { name: 'Invite a technician' }).click()
  await expect(owner.getByLabel('The link')).toBeVisible()
  expect(await barriers(owner)).toEqual([])
  const invitation = await owner.getByLabel('The link').inputValue()
  expect(new URL(invitation).pathname).toBe('/join')

  await tam.goto(invitation)
  await tam.getByLabel('Your name').fill('Tam')
  await tam.getByLabel('Your e-mail address').fill(his)
  await tam.getByLabel('Password').fill(PASSWORD)
  await tam.getByRole('button', { name: 'Join Marram Turf' }).click()
  await expect(tam.getByText('No lawn yet')).toBeVisible()
  await tam.goto('/firm')
  await expect(tam.getByText('You are Tam, a technician.')).toBeVisible()
  await expect(tam.getByRole('heading', { name: 'People' })).toHaveCount(0)
  await expect(tam.getByLabel('Currency')).toBeDisabled()

  await tam.goto('/lawns')
  await tam.goto(invitation)
  await expect(tam.getByRole('alert')).toContainText('used already')

  await owner.reload()
  await owner.getByRole('listitem').filter({ hasText: 'Tam' }).getByRole('button', { name: 'New password' }).click()
  const reset = await owner.getByLabel('The link').inputValue()
  const elsewhere = await somebodyElse(browser, 'nobody')
  await elsewhere.goto(reset)
  await elsewhere.getByLabel('Password').fill('a new long one')
  await elsewhere.getByRole('button', { name: 'Set the password' }).click()
  await expect(elsewhere.getByText('No lawn yet')).toBeVisible()
  await tam.goto('/sign-in?to=//elsewhere.test/')
  await signIn(tam, his, PASSWORD)
  await expect(tam.getByRole('alert')).toContainText('do not go together')
  await signIn(tam, his, 'a new long one')
  await expect(tam).toHaveURL(/127\.0\.0\.1:\d+\/lawns$/)

  await owner.getByRole('listitem').filter({ hasText: 'Tam' }).getByRole('button', { name: 'Remove' }).click()
  await owner.getByRole('listitem').filter({ hasText: 'Tam' }).getByRole('button', { name: 'Remove' }).click()
  await expect(owner.getByText(`${his}, removed`)).toBeVisible()
  await tam.goto('/sign-in')
  await signIn(tam, his, 'a new long one')
  await expect(tam.getByRole('alert')).toContainText('do not go together')
})

test('a session that ends under a half-typed survey: sign in over it, nothing is lost', async ({ browser }) => {
  const [page, phone] = [await somebodyElse(browser, 'nobody'), await somebodyElse(browser, 'nobody')]
  const email = address('mara')
  await signUp(page, email)
  await page.getByLabel('Client or lawn').fill('Quoin House')
  await page.getByLabel('Area', { exact: true }).fill('1,200 sq ft')
  await page.getByRole('button', { name: 'Add, then survey' }).click()
  await page.getByLabel('Thatch', { exact: true }).fill('1/2 in')
  await phone.goto('/sign-in?to=/firm')
  await signIn(phone, email, PASSWORD)
  await phone.getByRole('button', { name: 'Sign out everywhere' }).click()
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible()

  await page.getByRole('button', { name: 'Save the survey' }).click()
  const again = page.getByRole('dialog', { name: 'You are signed out' })
  await expect(again).toBeVisible()
  expect(await barriers(page)).toEqual([])
  await signIn(page, email, PASSWORD)
  await expect(again).toBeHidden()
  await expect(page.getByLabel('Thatch', { exact: true })).toHaveValue('1/2 in')
  const saved = page.waitForResponse((response) => response.request().method() === 'PUT')
  await page.getByRole('button', { name: 'Save the survey' }).click()
  expect((await saved).status()).toBe(200)
  await expect(page.getByText('Nothing is saved')).toHaveCount(0)
  await page.reload()
  await expect(page.getByLabel('Thatch', { exact: true })).toHaveValue('1/2 in')
})

test('an answer that is lost on its way, and a double click, add one lawn', async ({ page, request }) => {
  await open(page, '/lawns')
  // The server takes it, the browser never hears.
  await page.route(
    '**/api/lawns',
    async (route) => {
      if (route.request().method() === 'POST') await route.fetch()
      return route.request().method() === 'POST' ? route.abort() : route.fallback()
    },
    { times: 1 },
  )
  await page.getByRole('button', { name: /^Add a lawn/ }).click()
  await page.getByLabel('Client or lawn').fill('Lost Answer')
  await page.getByLabel('Area', { exact: true }).fill('30x20 m')
  const add = page.getByRole('button', { name: 'Add, then survey' })
  await add.click()
  await expect(page.getByRole('alert')).toContainText('What you entered is still here')
  await add.dblclick()
  await expect(page.getByRole('heading', { name: 'Lost Answer' })).toBeVisible()
  const lawns = (await (await request.get('/api/lawns')).json()) as { client: string; id: string }[]
  const added = lawns.filter(({ client }) => client === 'Lost Answer')
  expect(added).toHaveLength(1)
  await request.delete(`/api/lawns/${added[0]!.id}`, { headers: { origin: new URL(page.url()).origin } })
})

test('a server that is gone loses nothing that is typed, and the view says so', async ({ page, request, context }) => {
  const lawn = await lawnNamed(request, 'Ashgrove Nursery')
  await open(page, `/lawns/${lawn.id}/look`)
  await unfold(page, /^Lawn/)
  await page.getByLabel('Thatch', { exact: true }).fill('5/8 in')
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Save the survey' }).click()
  await expect(page.getByRole('alert')).toContainText('The server does not answer. What you entered is still here.')
  await context.setOffline(false)
  await page.getByRole('button', { name: 'Save the survey' }).click()
  await expect(page).toHaveURL(/decide$/)
})

test('everything is reached by single keys, which stay letters while one types', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/do`)
  await page.keyboard.press('?')
  const keys = page.getByRole('dialog')
  await expect(keys).toContainText('note a soil reading')
  expect(await barriers(page)).toEqual([])
  await page.keyboard.press('2')
  await expect(page).toHaveURL(/\/do$/)
  await page.keyboard.press('Escape')
  await expect(keys).toBeHidden()
  await page.getByRole('button', { name: /Seed to load: open the working/ }).focus()
  await page.keyboard.press('w')
  await expect(page.getByRole('dialog', { name: 'Working' })).toContainText('Purity')
  await page.keyboard.press('Escape')
  await page.keyboard.press('7')
  await expect(page).toHaveURL(/\/weather$/)
  await page.getByLabel('Name').fill('82?n')
  await expect(page.getByLabel('Name')).toHaveValue('82?n')
  await expect(page).toHaveURL(/\/weather$/)
  await page.getByLabel('Name').blur()
  await page.keyboard.press('8')
  await expect(page).toHaveURL(/\/firm$/)
  await page.keyboard.press('2')
  await expect(page).toHaveURL(/\/lawns$/)
})

test('a soil reading is noted from anywhere and stands on the ledge', async ({ page }) => {
  await open(page, '/weather')
  const readings = () => page.locator('.plot circle').count()
  const before = await readings()
  await page.locator('body').press('n')
  const dialog = page.getByRole('dialog', { name: 'Note a soil reading' })
  await dialog.getByLabel(/Soil temperature/).fill('warm')
  await dialog.getByRole('button', { name: 'Save reading' }).click()
  await expect(dialog).toContainText('Not understood')
  expect(await barriers(page)).toEqual([])
  await dialog.getByLabel(/Soil temperature/).fill('33 C')
  await dialog.getByLabel('When').fill('2026-12-24T07:15')
  await dialog.getByRole('button', { name: 'Save reading' }).click()
  await expect(dialog).toContainText('Not after today')
  await dialog.getByLabel('When').fill('2026-09-06T18:15')
  await dialog.getByRole('button', { name: 'Save reading' }).click()
  await expect(dialog).toBeHidden()
  await expect.poll(readings).toBe(before + 1)
})

test('units are the firm’s until somebody has their own, and every number follows', async ({
  browser,
  page,
  request,
}) => {
  const owner = await somebodyElse(browser, 'owner')
  const lawn = await lawnNamed(request, 'Odell')
  await open(owner, '/firm')
  await owner.getByLabel('Your units').click()
  await owner.getByRole('option', { name: 'meters and grams', exact: true }).click()
  await expect(owner.locator('.readout .deg')).toHaveText('°C')
  await owner.goto(`/lawns/${lawn.id}/bring`)
  await expect(owner.locator('.about')).toContainText('610 m² (6,560 ft²)')
  await expect(owner.getByLabel('Live seed', { exact: true })).toHaveValue(/g\/m²$/)
  // A bare number is in the reader's own unit; another is taken as it is typed.
  await owner.getByLabel('Depth of cover').fill('6')
  await expect(owner.locator('.small', { hasText: 'loose' })).toContainText('6 mm over 610 m²')
  await owner.getByLabel('Depth of cover').fill('1/4 in')
  await expect(owner.locator('.small', { hasText: 'loose' })).toContainText('6.4 mm over 610 m²')
  await page.goto(`/lawns/${lawn.id}/bring`)
  await expect(page.locator('.about')).toContainText('6,560 ft² (610 m²)')
  await open(owner, '/firm')
  await owner.getByLabel('Your units').click()
  await owner.getByRole('option', { name: /the firm/ }).click()
  await expect(owner.locator('.readout .deg')).toHaveText('°F')
})

test('prices are typed by an owner and only read by a technician', async ({ browser, page, request }) => {
  const owner = await somebodyElse(browser, 'owner')
  const lawn = await lawnNamed(request, 'Halloran')
  await open(owner, `/lawns/${lawn.id}/bring`)
  await owner.getByLabel('Price of bag 1').fill('12,50')
  await expect(owner.getByText('A price in USD, such as 165.00.')).toBeVisible()
  for (const [i, price] of ['$165', '89.5', '24'].entries()) await owner.getByLabel(`Price of bag ${i + 1}`).fill(price)
  await owner.getByRole('button', { name: 'Save settings' }).click()
  await expect(owner.getByText('Saved.')).toBeVisible()
  await open(page, `/lawns/${lawn.id}/bring`)
  await expect(page.getByLabel('Price of bag 2')).toHaveValue('89.50')
  await expect(page.getByLabel('Price of bag 2')).not.toBeEditable()
  await expect(page.getByText('The cheapest that covers it.')).toBeVisible()
})

test('the job sheet prints on one page with its licences, and without what only a screen can do', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Odell')
  await open(page, `/lawns/${lawn.id}/do`)
  for (const format of ['Letter', 'A4'] as const) {
    const pdf = (await page.pdf({ format, preferCSSPageSize: false })).toString('latin1')
    expect([format, pdf.match(/\/Type\s*\/Page\b/g)?.length]).toEqual([format, 1])
  }
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByText('Pesticide business PB-00417')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Done: Scalp' })).toBeHidden()
  await expect(page.locator('.sill')).toBeHidden()
  await expect(
    page.getByRole('region', { name: /Core aerate/ }).getByText('Have buried services located'),
  ).toBeVisible()
})

test('who wants less motion gets none', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await open(page, '/lawns')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toBeVisible()
  const moving = await page.evaluate(() =>
    [...document.querySelectorAll('*')]
      .filter((element) => {
        const { animationDuration, transitionDuration } = getComputedStyle(element)
        return [animationDuration, transitionDuration].some((text) =>
          text.split(',').some((part) => parseFloat(part) > 0),
        )
      })
      .map(({ tagName, className }) => `${tagName} ${String(className).slice(0, 60)}`),
  )
  expect(moving).toEqual([])
})

test('on a phone what is tapped is 48 px high', async ({ page, request }) => {
  await page.setViewportSize(PHONE)
  const lawn = await lawnNamed(request, 'Odell')
  for (const path of [
    '/lawns',
    '/firm',
    '/weather',
    ...['look', 'decide', 'when', 'do', 'bring', 'water', 'watch'].map((step) => `/lawns/${lawn.id}/${step}`),
  ]) {
    await open(page, path)
    const small = await page.evaluate(() =>
      [
        ...document.querySelectorAll<HTMLElement>(
          'main button:not(.opens), main input:not([type=checkbox]):not([type=radio]), main textarea, main [role=combobox], nav a, nav button',
        ),
      ]
        .filter((element) => element.checkVisibility() && !element.closest('[aria-hidden=true]'))
        // A checkbox is tapped by the words beside it.
        .map((element) =>
          element.role === 'checkbox' ? document.querySelector<HTMLElement>(`label[for="${element.id}"]`)! : element,
        )
        .map((element) => ({
          what: `${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 30)}`,
          high: element.getBoundingClientRect().height,
        }))
        .filter(({ high }) => high > 0 && high < 47.5),
    )
    expect([path, small]).toEqual([path, []])
  }
})

test('a script that gets into a page does not run', async ({ browser }) => {
  // A browser that is not watched: here the policy has to stop something.
  const page = await somebodyElse(browser, 'owner')
  await page.waitForLoadState('networkidle')
  const policy = (await page.request.get('/lawns')).headers()['content-security-policy']!
  const scripts = /script-src ([^;]*)/.exec(policy)![1]!
  expect(scripts).not.toMatch(/unsafe|\*|https?:|self/)
  const ran = await page.evaluate(async () => {
    const violations: string[] = []
    document.addEventListener('securitypolicyviolation', (event) => violations.push(event.effectiveDirective))
    document.body.insertAdjacentHTML(
      'beforeend',
      '<img src="data:," onerror="window.ran = 1"><iframe srcdoc="<script>parent.ran = 2</script>"></iframe>',
    )
    await new Promise((done) => {
      setTimeout(done, 300)
    })
    return { ran: (window as { ran?: number }).ran, violations: violations.sort() }
  })
  expect(ran).toEqual({ ran: undefined, violations: ['script-src-attr'] })
})
