import { describe, expect, test } from 'vitest'
import { draws } from './draws'
import {
  countPatches,
  FIXED_THRESHOLD,
  greenCover,
  isFrame,
  otsu,
  seeGround,
  WHOLE_PICTURE,
  type Corners,
  type Picture,
} from '../greenCover'

type Colour = readonly [number, number, number]
/** Soils and lights of the field: what is drawn, not what is looked for. */
const SOILS: Record<string, Colour> = {
  loam: [112, 86, 62],
  'dark wet': [70, 56, 46],
  sand: [196, 176, 140],
  clay: [150, 98, 72],
}
const LEAF: Colour = [78, 128, 48]

/** A picture of ground with round seedlings, drawn dot by dot. @param light factor on all, and more blue for shade */
function drawn(
  soil: Colour,
  dots: readonly { x: number; y: number; r: number }[],
  { light = 1, bluer = 0, noise = 18, seed = 7, width = 400, height = 400 } = {},
): Picture {
  const next = draws(seed)
  const data = new Uint8ClampedArray(width * height * 4)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const green = dots.some((dot) => (x / width - dot.x) ** 2 + (y / height - dot.y) ** 2 <= dot.r ** 2)
      const [red, grn, blue] = green ? LEAF : soil
      const grain = (next() - 0.5) * 2 * noise
      const i = (y * width + x) * 4
      data[i] = (red + grain) * light
      data[i + 1] = (grn + grain) * light
      data[i + 2] = (blue + grain) * light + bluer
      data[i + 3] = 255
    }
  return { width, height, data }
}
/** Dots on a jittered grid, none touching another. */
function dots(across: number, r: number, seed = 3) {
  const next = draws(seed)
  const room = Math.max(0, 1 / across / 2 - r - 0.004)
  return Array.from({ length: across * across }, (_, i) => ({
    x: ((i % across) + 0.5) / across + (next() - 0.5) * 2 * room,
    y: (Math.floor(i / across) + 0.5) / across + (next() - 0.5) * 2 * room,
    r,
  }))
}
const shareOf = (all: ReturnType<typeof dots>) => all.reduce((sum, { r }) => sum + Math.PI * r * r, 0)

describe('Otsu', () => {
  test('splits a histogram as it is worked by hand', () => {
    // Counts 8 7 2 6 9 4 of levels 0 to 5, a worked example of courses (from memory): threshold 3, weights 17 and 19 of 36,
    // means 0.647 and 3.895; between 0.472 × 0.528 × 3.248² = 2.629 of 3.120 in all.
    const split = otsu([8, 7, 2, 6, 9, 4])!
    expect(split.from).toBe(3)
    expect(split.means[0]).toBeCloseTo(11 / 17, 9)
    expect(split.means[1]).toBeCloseTo(74 / 19, 9)
    expect(split.apart).toBeCloseTo(2.6288 / 3.1196, 3)
  })
  test('finds no split in one level', () => {
    expect(otsu([0, 12, 0])).toBeUndefined()
    expect(otsu([])).toBeUndefined()
  })
})

describe('green cover of a drawn picture', () => {
  for (const [name, soil] of Object.entries(SOILS))
    for (const [light, bluer] of [
      [1, 0],
      [0.65, 12],
      [1.2, 0],
    ] as const)
      test(`on ${name}, light ${light}, is within three points of what was drawn`, () => {
        for (const [across, r] of [
          [9, 0.012],
          [9, 0.03],
          [7, 0.05],
          [6, 0.07],
        ] as const) {
          const all = dots(across, r)
          const { share } = greenCover(seeGround(drawn(soil, all, { light, bluer })))
          expect(Math.abs(share - shareOf(all)), `${across} × ${across}, radius ${r}`).toBeLessThan(0.03)
        }
      })

  test('of bare soil and of a full sward is none and all: one kind of pixel is not split in two', () => {
    for (const soil of Object.values(SOILS)) expect(greenCover(seeGround(drawn(soil, []))).share).toBeLessThan(0.03)
    const full = greenCover(seeGround(drawn(LEAF, [])))
    expect(full.share).toBeGreaterThan(0.97)
    expect(full).toMatchObject({ by: 'fixed', threshold: FIXED_THRESHOLD })
  })

  test('is the same in a frame that is photographed at a tilt', () => {
    const all = dots(7, 0.05)
    const flat = drawn(SOILS.loam!, all)
    const corners: Corners = [
      [0.22, 0.12],
      [0.86, 0.2],
      [0.95, 0.93],
      [0.08, 0.82],
    ]
    // Drawn by the same law of perspective, written down otherwise: rays through the vanishing lines.
    const tilted = tilt(flat, corners)
    const straight = greenCover(seeGround(flat)).share
    expect(Math.abs(greenCover(seeGround(tilted, corners)).share - straight)).toBeLessThan(0.02)
    expect(Math.abs(greenCover(seeGround(tilted, corners)).share - shareOf(all))).toBeLessThan(0.03)
  })

  test('leaves shadow and glare out, and says how much', () => {
    const picture = drawn(SOILS.loam!, dots(7, 0.05))
    const { width, height, data } = picture
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const value = x < width / 4 ? 8 : x > width * 0.9 ? 252 : null
        if (value !== null) data.fill(value, (y * width + x) * 4, (y * width + x) * 4 + 3)
      }
    const cover = greenCover(seeGround(picture))
    expect(cover.shadowShare).toBeCloseTo(0.25, 1)
    expect(cover.blownShare).toBeCloseTo(0.1, 1)
    expect(cover.share).toBeGreaterThan(0.2)
    const dark = drawn([5, 5, 5], [], { noise: 2 })
    expect(() => greenCover(seeGround(dark))).toThrow(RangeError)
  })

  test('can be corrected by hand', () => {
    const seen = seeGround(drawn(SOILS.loam!, dots(7, 0.05)))
    expect(greenCover(seen, 2).share).toBe(0)
    expect(greenCover(seen, -2)).toMatchObject({ share: 1, by: 'hand' })
  })
})

/** Puts a flat picture into a frame of another: each of its points by the homography solved from four of them. */
function tilt(flat: Picture, corners: Corners): Picture {
  const { width, height } = flat
  const rows = corners.flatMap(([x, y], i) => {
    const [u, v] = WHOLE_PICTURE[i]!
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ]
  })
  // Gaussian elimination of the eight equations.
  for (let c = 0; c < 8; c++) {
    const pivot = rows
      .slice(c)
      .reduce((best, _, k) => (Math.abs(rows[c + k]![c]!) > Math.abs(rows[best]![c]!) ? c + k : best), c)
    ;[rows[c], rows[pivot]] = [rows[pivot]!, rows[c]!]
    for (let r = 0; r < 8; r++) {
      if (r === c) continue
      const by = rows[r]![c]! / rows[c]![c]!
      for (let k = c; k < 9; k++) rows[r]![k]! -= by * rows[c]![k]!
    }
  }
  const [a, b, c, d, e, f, g, h] = rows.map((row, i) => row[8]! / row[i]!) as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  const data = new Uint8ClampedArray(width * height * 4).fill(120)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [px, py] = [x / width, y / height]
      const w = g * px + h * py + 1
      const [u, v] = [(a * px + b * py + c) / w, (d * px + e * py + f) / w]
      if (u < 0 || u >= 1 || v < 0 || v >= 1) continue
      const from = (Math.floor(v * height) * width + Math.floor(u * width)) * 4
      const to = (y * width + x) * 4
      for (let k = 0; k < 4; k++) data[to + k] = flat.data[from + k]!
    }
  return { width, height, data }
}

describe('a count of seedlings that stand apart', () => {
  test('is within a tenth of what was drawn, up to a quarter of cover', () => {
    for (const [across, r] of [
      [5, 0.016],
      [8, 0.02],
      [9, 0.028],
    ] as const) {
      const all = dots(across, r)
      const seen = seeGround(drawn(SOILS.loam!, all))
      const { share, threshold } = greenCover(seen)
      expect(share).toBeLessThan(0.25)
      expect(Math.abs(countPatches(seen, threshold, 76.2) - all.length)).toBeLessThanOrEqual(all.length * 0.1)
    }
  })
  test('takes specks for no seedlings', () => {
    const seen = seeGround(drawn(SOILS.loam!, dots(8, 0.002)))
    expect(countPatches(seen, 0.1, 76.2)).toBe(0)
  })
})

describe('corners of a frame', () => {
  test('have to go round it, inside of the picture', () => {
    expect(isFrame(WHOLE_PICTURE)).toBe(true)
    expect(
      isFrame([
        [0, 0],
        [1, 1],
        [1, 0],
        [0, 1],
      ]),
    ).toBe(false)
    expect(
      isFrame([
        [0, 0],
        [0.5, 0],
        [1, 0],
        [0, 1],
      ]),
    ).toBe(false)
    expect(
      isFrame([
        [0, 0],
        [1.2, 0],
        [1, 1],
        [0, 1],
      ]),
    ).toBe(false)
    const picture = drawn(SOILS.loam!, [], { width: 8, height: 8 })
    expect(() =>
      seeGround(picture, [
        [0, 0],
        [0, 1],
        [1, 1],
        [1, 0],
      ]),
    ).toThrow(RangeError)
  })
})
