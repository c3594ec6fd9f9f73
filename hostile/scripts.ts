import { chromium, type Page } from '@playwright/test'
import type { Running } from '#server/test/running/process'
import { NO_WORK } from '#core/job/nothingDecided'
import { defaultSettings } from '#core/job/settings'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { grassByCode } from '#core/grass/grasses'
import type { Report } from './report'
import { aFirm } from './world'

/** Each would call `hit` were it ever run; short enough for the shortest field. */
const SCRIPTS = [
  '<img src=x onerror=hit()>',
  '"><svg onload=hit()>',
  '<script>hit()</script>',
  "';hit();//",
  '{{$emit.constructor`hit()`()}}',
  '</style><img src=x onerror=hit()>',
]
const VIEWS = [
  '/lawns',
  '/shed',
  '/weather',
  '/firm',
  ...['look', 'decide', 'when', 'do', 'bring'].map((step) => `/lawns/:id/${step}`),
]
const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** Opens everything on a page that opens. */
async function unfold(page: Page): Promise<void> {
  const folded = page.locator('main button[aria-expanded="false"]:visible, main summary:visible')
  for (let i = 0, n = Math.min(12, await folded.count()); i < n; i++)
    await folded
      .nth(i)
      .click({ timeout: 300 })
      .catch(() => undefined)
}

/** Words that are scripts, in every text a firm has, shown in every view, wide, on a phone and on paper. */
export async function scripts(server: Running, report: Report, short: boolean): Promise<string> {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: FLAGS })
  let shown = 0
  try {
    for (const words of short ? SCRIPTS.slice(0, 1) : SCRIPTS) {
      const firm = await aFirm(server, 'Scripts', words)
      const { lawn, owner } = firm
      await owner.ask(server, 'PUT', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/plan`, {
        ...lawn.plan,
        programme: 'overseed',
        overruleNote: words,
        sowOn: new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10),
        settings: defaultSettings({ grass: grassByCode('TF'), desirableShare: 0.5, programme: PROGRAMMES.overseed }),
        zonePlans: { [Object.keys(lawn.zones)[0]!]: { programme: 'overseed', note: words } },
        work: {
          ...NO_WORK,
          own: {
            'own-5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e02': {
              name: words,
              day: new Date().toISOString().slice(0, 10),
              hours: 1,
              note: words,
            },
          },
          skipped: { feed: words },
          overruled: { 'scalp:surface': words },
        },
      })
      const { body: context } = await owner.ask<{ firm: object }>(server, 'GET', '/api/context')
      await owner.ask(server, 'PUT', '/api/firm', { ...context.firm, licences: [{ what: words, number: words }] })
      const page = await browser.newPage()
      const hits: string[] = []
      await page.exposeFunction('hit', () => {
        hits.push(page.url())
      })
      page.on('dialog', (dialog) => {
        hits.push(`dialog on ${page.url()}`)
        void dialog.dismiss()
      })
      page.on('console', (message) => {
        if (message.type() === 'error' && /Content Security Policy/i.test(message.text()))
          hits.push(`stopped only by the policy: ${page.url()} ${message.text().slice(0, 160)}`)
      })
      const [name, value] = owner.cookie.split(/=(.*)/s) as [string, string]
      await page.context().addCookies([{ name, value, url: server.url }])
      for (const view of VIEWS) {
        for (const size of short
          ? [{ width: 1280, height: 800 }]
          : [
              { width: 1280, height: 800 },
              { width: 390, height: 844 },
            ]) {
          await page.setViewportSize(size)
          await page.goto(server.url + view.replace(':id', lawn.id))
          await page.locator('main').waitFor()
          await page.waitForLoadState('networkidle')
          await unfold(page)
          await page.emulateMedia({ media: 'print' })
          if (view.endsWith('/do')) await page.pdf()
          await page.emulateMedia({ media: 'screen' })
          shown++
          report.probes++
        }
      }
      report.expect(`${words} ran: ${hits.join('; ')}`, hits.length === 0)
      await page.close()
    }
  } finally {
    await browser.close()
  }
  return `${short ? 1 : SCRIPTS.length} scripts in every text, ${shown} views on screen and on paper; none ran and the policy had none to stop.`
}
