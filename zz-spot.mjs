import { chromium } from '@playwright/test'
const [,, id] = process.argv
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const p = await (await b.newContext({ viewport: { width: 1280, height: 900 } })).newPage()
p.on('console', (m) => m.type() === 'error' && console.log('console:', m.text()))
await p.goto(`http://127.0.0.1:3116/demo/enter?to=/lawns/${id}/watch`); await p.waitForLoadState('networkidle'); await p.waitForTimeout(1500)
for (const [size, x, y] of [['6x10 ft', 60, 60], ['4x4 ft', 200, 80]]) {
await p.getByRole('button', { name: 'Mark a thin spot' }).click()
await p.getByLabel('How large').fill(size)
await p.getByRole('application').click({ position: { x, y } })
if (x === 60) await p.screenshot({ path: '/tmp/s1.png', fullPage: true })
await p.getByRole('button', { name: 'Save thin spot' }).click(); await p.waitForTimeout(1500)
}
await p.screenshot({ path: '/tmp/s2.png', fullPage: true })
await p.setViewportSize({ width: 390, height: 844 })
await p.goto(`http://127.0.0.1:3116/lawns/${id}/inspection`); await p.waitForLoadState('networkidle'); await p.waitForTimeout(1500)
await p.screenshot({ path: '/tmp/s3.png', fullPage: true })
await b.close()
