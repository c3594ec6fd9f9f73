import { randomUUID } from 'node:crypto'
import exifr from 'exifr'
import { imageSize } from 'image-size'
import { beforeEach, describe, expect, test } from 'vitest'
import type { Lawn } from '#contract/lawn'
import { MOST_PHOTOS, type Photo } from '#contract/photo'
import { aZone } from '../../contract/test/looks'
import type { Author } from '../records/firms'
import { addLawn } from '../records/lawns'
import { newFirm, owner, useTestDatabase } from './database'
import { Browser } from './house'
import { barePicture } from '../compute/jpeg'
import { claiming, greenJpeg, taken } from './pictures'

useTestDatabase()

let us: Author
let lawn: Lawn
let browser: Browser
const call = <T = unknown>(method: string, path: string, body?: unknown) => browser.call<T>(method, path, body)
const base64 = (bytes: Buffer) => bytes.toString('base64')
const photo = (change: object = {}) => ({
  id: randomUUID(),
  note: 'thatch',
  takenOn: '2026-08-19',
  zoneId: null,
  place: null,
  jpeg: base64(greenJpeg()),
  small: base64(greenJpeg()),
  ...change,
})
const path = () => `/api/lawns/${lawn.id}/photos`

beforeEach(async () => {
  await owner('delete from firms')
  us = await newFirm('Ours')
  browser = await new Browser().enter(us)
  lawn = (await addLawn(us, {
    id: randomUUID(),
    client: 'Odell',
    address: '',
    areaM2: 612,
    areaTyped: '',
    growsNow: '',
  }))!
})

describe('a photo', () => {
  test('is kept once however often it is sent, with its size read from it, and comes back byte for byte', async () => {
    const sent = photo({ zoneId: Object.keys(lawn.zones)[0] })
    await call('POST', path(), sent)
    const { body } = await call<Photo[]>('POST', path(), sent)
    expect(body).toEqual([
      expect.objectContaining({
        id: sent.id,
        note: 'thatch',
        takenOn: '2026-08-19',
        widthPx: 16,
        heightPx: 8,
        place: null,
        savedBy: 'Somebody of Ours',
      }),
    ])
    const picture = await browser.request('GET', `${path()}/${sent.id}`)
    expect(picture.headers.get('content-type')).toBe('image/jpeg')
    expect(picture.headers.get('cache-control')).toContain('private')
    const back = Buffer.from(await picture.arrayBuffer())
    // The picture itself, less the segment in which its maker named itself.
    expect(back.equals(Buffer.from(barePicture(greenJpeg())!))).toBe(true)
    expect(imageSize(back)).toMatchObject({ type: 'jpg', width: 16, height: 8 })
    expect((await browser.request('GET', `${path()}/${sent.id}?small=1`)).status).toBe(200)
  })

  test('that carries where it was taken, a comment, or a page behind its end is kept without them', async () => {
    // The EXIF block is written by one library and was checked to be read by another.
    const carrying = Buffer.concat([taken(greenJpeg()), Buffer.from('<script>alert(1)</script>PK')])
    expect(await exifr.gps(carrying)).toMatchObject({
      latitude: expect.closeTo(37.061, 4),
      longitude: expect.closeTo(-79.382, 4),
    })
    const comment = Buffer.from('\xff\xfe\x00\x12<svg/onload=x()>', 'latin1')
    const sent = photo({ jpeg: base64(Buffer.concat([carrying.subarray(0, 2), comment, carrying.subarray(2)])) })
    expect((await call('POST', path(), sent)).status).toBe(200)
    const kept = Buffer.from(await (await browser.request('GET', `${path()}/${sent.id}`)).arrayBuffer())
    expect(
      await exifr.parse(kept, { tiff: true, xmp: true, iptc: true, icc: true, jfif: true }).catch(() => undefined),
    ).toBeUndefined()
    expect(kept.includes('script')).toBe(false)
    expect(kept.includes('svg')).toBe(false)
    expect(kept.equals(Buffer.from(barePicture(greenJpeg())!))).toBe(true)
  })

  test('keeps where it was taken only where that is sent along', async () => {
    await call('POST', path(), photo({ place: { latDeg: 37.061, lonDeg: -79.382 } }))
    expect((await call<Photo[]>('GET', path())).body[0]!.place).toEqual({ latDeg: 37.061, lonDeg: -79.382 })
  })

  test.each([
    ['that says it is enormous', { jpeg: base64(claiming(60_000, 60_000)) }, 'pixels'],
    ['that says it has no height', { jpeg: base64(claiming(16, 0)) }, 'pixels'],
    ['that breaks off', { jpeg: base64(greenJpeg().subarray(0, 200)) }, 'no whole JPEG'],
    ['that is a page', { jpeg: base64(Buffer.from(`<script>alert(1)</script>${' '.repeat(200)}`)) }, 'no whole JPEG'],
    ['whose small one is not small', { small: base64(claiming(2000, 2000)) }, 'at 240 pixels'],
    ['that is no base 64', { jpeg: '!'.repeat(200) }, 'jpeg'],
    ['that is larger than is kept', { jpeg: base64(Buffer.alloc(910_000, 1)) }, '900 kB'],
    ['of a day that is none', { takenOn: '2026-02-30' }, 'A date such as'],
  ])('%s is refused in words', async (_, change, says) => {
    const { status, body } = await call('POST', path(), photo(change))
    expect(status).toBe(422)
    expect(JSON.stringify(body.error.fields)).toContain(says)
    expect((await call('GET', path())).body).toEqual([])
  })

  test('larger than any request may be is stopped while it is read', async () => {
    expect((await call('POST', path(), photo({ jpeg: 'A'.repeat(3_000_000) }))).status).toBe(413)
  })

  test('gets other words, and goes; where it lay under the plan that is bare, and the next save is told of it', async () => {
    const sent = photo()
    await call('POST', path(), sent)
    expect(
      (
        await call<Photo[]>('PUT', `${path()}/${sent.id}`, {
          note: 'plug',
          takenOn: null,
          zoneId: Object.keys(lawn.zones)[0],
        })
      ).body[0],
    ).toMatchObject({ note: 'plug', takenOn: null })
    const underlay = { photoId: sent.id, at: [1, 2], mPerPx: 0.02, turnDeg: 5, widthPx: 16, heightPx: 8 }
    const laid = (await call<Lawn>('PUT', `/api/lawns/${lawn.id}`, { ...lawn, underlay })).body
    expect(laid.underlay).toEqual(underlay)
    expect((await call('DELETE', `${path()}/${sent.id}`)).body).toEqual([])
    expect((await call('DELETE', `${path()}/${sent.id}`)).status).toBe(404)
    expect((await call<Lawn>('GET', `/api/lawns/${lawn.id}`)).body.underlay).toBeNull()
    expect((await call('PUT', `/api/lawns/${lawn.id}`, laid)).status).toBe(409)
  })

  test('stays when its zone is taken out, as one of the lawn', async () => {
    const [zone] = Object.keys(lawn.zones)
    await call('POST', path(), photo({ zoneId: zone }))
    const other = randomUUID()
    expect(
      (await call('PUT', `/api/lawns/${lawn.id}`, { ...lawn, zones: { [other]: aZone({ name: 'Back' }) } })).status,
    ).toBe(200)
    expect((await call<Photo[]>('GET', path())).body[0]!.zoneId).toBeNull()
    expect((await call('POST', path(), photo({ zoneId: randomUUID() }))).status).toBe(422)
  })

  test('of another firm is neither read, worded nor deleted, and goes with its lawn', async () => {
    const sent = photo()
    await call('POST', path(), sent)
    const them = await new Browser().enter(await newFirm('Theirs'))
    for (const [method, body] of [
      ['GET', undefined],
      ['PUT', { note: '', takenOn: null, zoneId: null }],
      ['DELETE', undefined],
    ] as const) {
      expect(
        (
          await them.request(
            method,
            `${path()}/${sent.id}`,
            body ? { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } } : {},
          )
        ).status,
      ).toBe(404)
    }
    await call('DELETE', `/api/lawns/${lawn.id}`)
    expect(await owner('select 1 from photos')).toEqual([])
  })

  test('has its place on a shelf that ends, also where two browsers put the last ones there at once', async () => {
    await owner(
      `insert into photos (firm_id, lawn_id, id, width_px, height_px, jpeg, small) select $1, $2, gen_random_uuid(),
        16, 8, $3, $3 from generate_series(1, $4)`,
      [us.firmId, lawn.id, greenJpeg(), MOST_PHOTOS - 1],
    )
    const answers = await Promise.all([call('POST', path(), photo()), call('POST', path(), photo())])
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409])
  })
})
