import exifr from 'exifr'
import type { Page } from '@playwright/test'
import type { Photo } from '#contract/photo'
import { claiming, taken } from '../server/test/pictures'
import { expect, lawnNamed, open, PHONE, test } from './demo'

/** A JPEG with a red left half and a green right one, drawn by the browser itself. */
async function halves(page: Page, width: number, height: number): Promise<Buffer> {
  const url = await page.evaluate(
    ([w, h]) => {
      const canvas = document.createElement('canvas')
      canvas.width = w!
      canvas.height = h!
      const ink = canvas.getContext('2d')!
      ink.fillStyle = '#c02020'
      ink.fillRect(0, 0, w! / 2, h!)
      ink.fillStyle = '#20a040'
      ink.fillRect(w! / 2, 0, w! / 2, h!)
      return canvas.toDataURL('image/jpeg', 0.8)
    },
    [width, height],
  )
  return Buffer.from(url.split(',')[1]!, 'base64')
}
const file = (name: string, buffer: Buffer) => ({ name, mimeType: 'image/jpeg', buffer })
const prints = (page: Page) => page.locator('.shelf li')
const kept = async (page: Page, lawnId: string): Promise<Photo[]> =>
  (await page.request.get(`/api/lawns/${lawnId}/photos`)).json()

/** Colour of a place of a served picture, in shares of its width and height: mostly red or mostly green. */
const colour = (page: Page, src: string, x: number, y: number) =>
  page.evaluate(
    async ([url, sx, sy]) => {
      const picture = await createImageBitmap(await (await fetch(url as string)).blob())
      const canvas = document.createElement('canvas')
      canvas.width = picture.width
      canvas.height = picture.height
      const ink = canvas.getContext('2d')!
      ink.drawImage(picture, 0, 0)
      const [red, green] = ink.getImageData(
        Math.round(picture.width * (sx as unknown as number)),
        Math.round(picture.height * (sy as unknown as number)),
        1,
        1,
      ).data
      return red! > green! ? 'red' : 'green'
    },
    [src, x, y] as const,
  )

test('a photo is made small, set upright, dated, and loses where it was taken unless that is wanted', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Halloran')
  await open(page, `/lawns/${lawn.id}/look`)
  // Orientation 6: the camera was held a quarter turn to the left, so its left half is up.
  const picture = taken(await halves(page, 3200, 2400), { orientation: 6 })
  await page.getByLabel('Photos of the lawn').setInputFiles(file('plug.jpg', picture))
  await expect(prints(page)).toHaveCount(1)
  const [photo] = (await kept(page, lawn.id)) as [Photo]
  expect(photo).toMatchObject({ widthPx: 1500, heightPx: 2000, takenOn: '2026-08-19', place: null })
  const src = `/api/lawns/${lawn.id}/photos/${photo.id}`
  expect([await colour(page, src, 0.5, 0.1), await colour(page, src, 0.5, 0.9)]).toEqual(['red', 'green'])
  const bytes = await (await page.request.get(src)).body()
  expect(bytes.length).toBeLessThan(picture.length + 1_000_000)
  expect(
    await exifr
      .parse(bytes, true)
      .then((tags: Record<string, unknown> | undefined) => tags?.latitude ?? tags?.DateTimeOriginal),
  ).toBeUndefined()

  await page.getByLabel('keep where each was taken').check()
  await page.getByLabel('Photos of the lawn').setInputFiles(file('gate.jpg', taken(await halves(page, 400, 300))))
  await expect(prints(page)).toHaveCount(2)
  const wanted = (await kept(page, lawn.id)).find(({ id }) => id !== photo.id)!
  expect(wanted.place).toMatchObject({
    latDeg: expect.closeTo(37.061, 4) as unknown as number,
    lonDeg: expect.closeTo(-79.382, 4) as unknown as number,
  })

  // Words are given to it, and it is deleted only when that is asked twice.
  await prints(page).first().getByRole('button').click()
  await page.getByLabel('What it shows').fill('the gate')
  await page.getByRole('button', { name: 'Save caption' }).click()
  await expect(page.getByRole('button', { name: /Open the photo: the gate/ })).toBeVisible()
  await page.getByRole('button', { name: /Open the photo: the gate/ }).click()
  await page.getByRole('button', { name: 'Delete', exact: true }).click()
  await page.getByRole('button', { name: 'Delete the photo' }).click()
  await expect(prints(page)).toHaveCount(1)
})

test('huge, lying and broken pictures are told in words, and nothing typed or kept is lost', async ({
  page,
  request,
}) => {
  const lawn = await lawnNamed(request, 'Teasel Yard')
  await open(page, `/lawns/${lawn.id}/look`)
  await page
    .locator('.right')
    .getByRole('button', { name: /^Where/ })
    .click()
  await page.getByLabel('Address').fill('behind the yard')
  const before = (await kept(page, lawn.id)).length
  const whole = await halves(page, 600, 400)
  for (const [name, bytes, says] of [
    ['huge.jpg', claiming(60_000, 60_000), 'more than can be opened'],
    ['page.jpg', Buffer.from('<html>not a picture</html>'), 'no picture that can be read'],
    ['empty.jpg', Buffer.alloc(0), 'empty'],
    ['noise.jpg', Buffer.concat([whole.subarray(0, 200), Buffer.alloc(4000, 7)]), 'noise.jpg'],
  ] as const) {
    await page.getByLabel('Photos of the lawn').setInputFiles(file(name, bytes))
    await expect(page.locator('.shelf .problem')).toContainText(says)
  }
  expect((await kept(page, lawn.id)).length).toBe(before)

  // A lost connection keeps what was read, and sends it when it is asked to.
  await page.route('**/photos', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()))
  await page.getByLabel('Photos of the lawn').setInputFiles(file('hollow.jpg', whole))
  await expect(page.getByText('1 note or photo is kept on this device')).toBeVisible()
  await page.unroute('**/photos')
  await page.getByRole('button', { name: 'Send now' }).click()
  await expect(prints(page)).toHaveCount(before + 1)
  await expect(page.getByLabel('Address')).toHaveValue('behind the yard')
})

test('a picture is laid under the plan, scaled by a known length, and stays there', async ({ page, request }) => {
  const lawn = await lawnNamed(request, 'Halloran')
  await open(page, `/lawns/${lawn.id}/look`)
  await page.getByLabel('Photos of the lawn').setInputFiles(file('above.jpg', await halves(page, 1600, 1200)))
  const first = prints(page).first().getByRole('button')
  await first.waitFor()
  await first.click()
  await page.getByRole('button', { name: 'Put it under the plan' }).click()
  const under = page.getByRole('group', { name: 'Picture under the plan' })
  await expect(under).toBeVisible()
  const wasAcross = Number(/([\d.]+) ft/.exec((await under.textContent())!)![1])
  await under.getByRole('button', { name: 'Scale by a known length' }).click()
  const box = (await page.locator('.map').boundingBox())!
  const scale = async () => Number(/([\d.]+) ft/.exec((await under.textContent())!)![1])
  await page.mouse.click(box.x + box.width * 0.4, box.y + box.height * 0.5)
  await page.mouse.click(box.x + box.width * 0.6, box.y + box.height * 0.5)
  await under.getByLabel('Length between the two points').fill('a while')
  await under.getByRole('button', { name: 'Scale' }).click()
  await expect(under.getByRole('alert')).toBeVisible()
  await under.getByLabel('Length between the two points').fill('31 ft')
  await under.getByRole('button', { name: 'Scale' }).click()
  await expect.poll(scale).not.toBe(wasAcross)
  const scaled = await scale()
  // The same two places of the plan said to be twice as far apart: twice the factor of before.
  await under.getByRole('button', { name: 'Scale by a known length' }).click()
  await page.mouse.click(box.x + box.width * 0.4, box.y + box.height * 0.5)
  await page.mouse.click(box.x + box.width * 0.6, box.y + box.height * 0.5)
  await under.getByLabel('Length between the two points').fill('62 ft')
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await scale()) / scaled / (scaled / wasAcross)).toBeCloseTo(2, 1)
  await page.getByRole('button', { name: 'Undo the last change of the plan' }).click()
  await expect.poll(scale).toBe(scaled)
  await under.getByLabel('Turned clockwise, degrees').fill('30')
  await under.getByLabel('Turned clockwise, degrees').press('Tab')
  await page.getByRole('button', { name: 'Save the survey' }).click()
  await expect.poll(async () => (await lawnNamed(request, 'Halloran')).underlay?.turnDeg).toBe(30)
  await open(page, `/lawns/${lawn.id}/look`)
  await expect(under).toBeVisible()
  expect(await scale()).toBe(scaled)
})

test('on a phone a photo taken at a question is of it', async ({ page, request }) => {
  await page.setViewportSize(PHONE)
  const lawn = await lawnNamed(request, 'Ingle Court')
  await open(page, `/lawns/${lawn.id}/look`)
  await page.getByLabel('Take a photo of it').setInputFiles(file('cover.jpg', await halves(page, 300, 400)))
  await expect(prints(page)).toHaveCount(1)
  const [photo] = (await kept(page, lawn.id)) as [Photo]
  expect([photo.note.length > 3, photo.zoneId]).toEqual([true, Object.keys(lawn.zones)[0]])
  await page.getByRole('button', { name: /^Skip/ }).click()
  await expect(prints(page)).toHaveCount(0)
})
