// Takes the pictures of docs/screenshots from a running demo: node bin/lib/screenshots.mjs [http://127.0.0.1:3000]
import { chromium } from '@playwright/test'

const base = process.argv[2] ?? 'http://127.0.0.1:3000'
const FOLDER = 'docs/screenshots'
const entered = await fetch(`${base}/demo/enter?as=owner`, { redirect: 'manual' })
const [name, value] = entered.headers.getSetCookie()[0].split(';')[0].split('=')
const lawns = await (await fetch(`${base}/api/lawns`, { headers: { cookie: `${name}=${value}` } })).json()
const odell = `/lawns/${lawns.find(({ client }) => client === 'Odell').id}`
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})

async function shoot(name, path, viewport, act) {
  const page = await browser.newPage({ viewport })
  await page.context().addCookies([{ name, value, url: base }])
  await page.goto(base + path, { waitUntil: 'networkidle' })
  await act?.(page)
  await page.waitForTimeout(800)
  await page.screenshot({ path: `${FOLDER}/${name}.png` })
  await page.close()
}

const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
await shoot('lawns', '/lawns', wide)
for (const view of ['look', 'decide', 'when', 'do', 'bring']) await shoot(view, `${odell}/${view}`, wide)
await shoot('working', `${odell}/do`, wide, (page) => page.getByRole('button', { name: /Seed to load: open the working/ }).click())
await shoot('weather', '/weather', wide)
await shoot('firm', '/firm', wide)

await shoot('phone-when', `${odell}/when`, phone)
await shoot('phone-do', `${odell}/do`, phone)
await browser.close()
