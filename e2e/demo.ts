import AxeBuilder from '@axe-core/playwright'
import { test as base, expect, type APIRequestContext, type Browser, type Page } from '@playwright/test'
import type { Lawn } from '#contract/lawn'
import type { ListedLawn } from '#contract/list'

/** Every page of every test: nothing thrown in it, and nothing that its security policy had to stop. */
export const test = base.extend<{ watched: undefined }>({
  watched: [
    async ({ context }, use) => {
      const problems: string[] = []
      const watch = (page: Page) => {
        page.on('pageerror', (error) => problems.push(error.message))
        page.on('console', (message) => {
          if (message.type() === 'error' && /Content Security Policy|Hydration/i.test(message.text()))
            problems.push(message.text())
        })
      }
      for (const page of context.pages()) watch(page)
      context.on('page', watch)
      await use(undefined)
      expect(problems).toEqual([])
    },
    { auto: true },
  ],
})
export { expect } from '@playwright/test'

export const PHONE = { width: 390, height: 844 }
export const WIDE = { width: 1280, height: 800 }

export async function lawnNamed(request: APIRequestContext, client: string): Promise<Lawn> {
  const listed = (await (await request.get('/api/lawns')).json()) as ListedLawn[]
  const { id } = listed.find((lawn) => lawn.client === client)!
  return (await (await request.get(`/api/lawns/${id}`)).json()) as Lawn
}

/** What of WCAG 2.2 AA a machine can find. */
export async function barriers(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze()
  return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)
}

/** Somebody else, with a browser of their own: the demo's owner, or nobody yet. */
export async function somebodyElse(browser: Browser, who: 'owner' | 'nobody'): Promise<Page> {
  const page = await (
    await browser.newContext({ storageState: { cookies: [], origins: [] }, viewport: WIDE })
  ).newPage()
  if (who === 'owner') await page.goto('/demo/enter?as=owner&to=/lawns')
  return page
}

/** Opens a view and waits until it stands and nothing more is on its way. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path)
  await page.locator('main h1').first().waitFor()
  await page.waitForLoadState('networkidle')
}

/** Opens a part of the survey that stands closed. */
export async function unfold(page: Page, name: RegExp | string): Promise<void> {
  const head = page.locator('.right').getByRole('button', { name }).first()
  if ((await head.getAttribute('aria-expanded')) === 'false') await head.click()
}
