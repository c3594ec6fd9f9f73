import { chromium } from '@playwright/test'
const [,, path, out, w = '1280', h = '800', full = ''] = process.argv
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const p = await (await b.newContext({ viewport: { width: +w, height: +h } })).newPage()
p.on('console', (m) => m.type() === 'error' && console.log('console:', m.text()))
p.on('pageerror', (e) => console.log('error:', e.message))
await p.goto(`http://127.0.0.1:3116/demo/enter?to=${encodeURIComponent(path)}`)
await p.waitForLoadState('networkidle'); await p.waitForTimeout(1500)
if (process.env.CLICK) for (const c of process.env.CLICK.split('|')) { await p.getByRole('button', { name: c }).first().click(); await p.waitForTimeout(500) }
await p.screenshot({ path: out, fullPage: full === 'full' })
await b.close()
