import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { chromium } from '@playwright/test'
import { quantile } from './figures'

const launched = () =>
  chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  })

/** What a browser fetches to show the list for the first time, and how soon its first rows stand. */
export async function firstLoad(base: string): Promise<{ kilobytes: number; charts: boolean; rowsMs: number }> {
  const browser = await launched()
  const page = await (await browser.newContext()).newPage()
  const devtools = await page.context().newCDPSession(page)
  await devtools.send('Network.enable')
  const scripts = new Map<string, string>()
  let bytes = 0
  devtools.on('Network.responseReceived', ({ requestId, type, response }) => {
    if (type === 'Script') scripts.set(requestId, response.url)
  })
  devtools.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength
  })
  await page.goto(`${base}/demo/enter?to=/sign-in`)
  bytes = 0
  scripts.clear()
  await devtools.send('Network.setCacheDisabled', { cacheDisabled: true })
  const start = performance.now()
  await page.goto(`${base}/lawns`)
  await page.locator('.list .row').first().waitFor()
  const rowsMs = performance.now() - start
  // A large book is worked out in the background for a minute; what is asked for is only whether scripts still come.
  for (let known = -1; known < scripts.size; await page.waitForTimeout(2000)) known = scripts.size
  // Charts give themselves away by their words.
  const bodies = await Promise.all([...scripts.values()].map(async (url) => (await page.request.get(url)).text()))
  await browser.close()
  return { kilobytes: bytes / 1000, charts: bodies.some((body) => /echarts|zrender/i.test(body)), rowsMs }
}

const DRAGGED_STEPS = 90

/** How evenly the plan follows while a corner of it is dragged: p95 of the time between frames, ms. */
export async function drawingFrames(base: string, path: string): Promise<number> {
  const browser = await launched()
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  await page.goto(`${base}/demo/enter?to=${encodeURIComponent(path)}`)
  await page.locator('.map canvas').first().waitFor()
  await page.waitForLoadState('networkidle')
  const box = (await page.locator('.map').boundingBox())!
  // The zone is chosen by its ground, above its beds; its uppermost corner is then taken hold of.
  await page.mouse.click(box.x + box.width / 2, box.y + box.height * 0.35)
  await page.getByRole('group', { name: 'The zone that is chosen' }).waitFor()
  const middle = { x: box.x + box.width / 2, y: box.y + box.height * 0.14 }
  await page.mouse.move(middle.x, middle.y)
  await page.mouse.down()
  const frames = page.evaluate(
    (steps) =>
      new Promise<number[]>((done) => {
        const times: number[] = []
        const tick = (at: number) => {
          times.push(at)
          if (times.length > steps) done(times.slice(1).map((time, i) => time - times[i]!))
          else requestAnimationFrame(tick)
        }
        requestAnimationFrame(tick)
      }),
    DRAGGED_STEPS,
  )
  for (let i = 0; i < DRAGGED_STEPS; i++) {
    await page.mouse.move(middle.x + 40 * Math.sin(i / 6), middle.y + 30 * Math.cos(i / 6))
    await page.waitForTimeout(8)
  }
  const spaced = await frames
  await page.mouse.up()
  // Nothing was dragged where nothing changed; then these are no figures.
  await page.getByText('Not saved yet').waitFor({ timeout: 5000 })
  await browser.close()
  return quantile(spaced, 0.95)
}

/** A picture of 12 megapixels measured for its green: from the file to the figure, and the longest wait between frames, ms. */
export async function photoMeasured(base: string, view: string): Promise<{ ms: number; longestFrameMs: number }> {
  const browser = await launched()
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await page.goto(`${base}/demo/enter?to=${encodeURIComponent(view)}`)
  const jpeg = await page.evaluate(async () => {
    const [width, height] = [4000, 3000]
    const canvas = new OffscreenCanvas(width, height)
    const context = canvas.getContext('2d')!
    for (let x = 0; x < width; x += 20)
      for (let y = 0; y < height; y += 20) {
        const grain = ((x * 7 + y * 13) % 290) / 10 - 14
        context.fillStyle =
          x < width * 0.4
            ? `rgb(${78 + grain} ${128 + grain} ${48 + grain})`
            : `rgb(${112 + grain} ${86 + grain} ${62 + grain})`
        context.fillRect(x, y, 20, 20)
      }
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
    return Array.from(new Uint8Array(await blob.arrayBuffer()))
  })
  // From a file, as a camera leaves it: bytes handed into the page would be unpacked by the page itself, and timed.
  const folder = mkdtempSync(path.join(tmpdir(), 'frame-'))
  writeFileSync(path.join(folder, 'frame.jpg'), Buffer.from(jpeg))
  await page.getByRole('button', { name: 'Measure green cover' }).click()
  const form = page.locator('form.cover')
  const field = form.getByLabel('Photo of the frame')
  await field.waitFor()
  // The view itself is not what is timed.
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(1000)
  await page.evaluate(() => {
    const times: number[] = []
    const tick = (at: number) => {
      times.push(at)
      requestAnimationFrame(tick)
    }
    requestAnimationFrame(tick)
    Object.assign(window, { framesSeen: times })
  })
  const start = performance.now()
  await field.setInputFiles(path.join(folder, 'frame.jpg'))
  await form.getByRole('button', { name: 'Measure', exact: true }).click()
  await form.locator('.verdict').waitFor()
  const ms = performance.now() - start
  const times = await page.evaluate(() => (window as unknown as { framesSeen: number[] }).framesSeen)
  await browser.close()
  rmSync(folder, { recursive: true })
  return { ms, longestFrameMs: Math.max(...times.slice(1).map((time, i) => time - times[i]!)) }
}
