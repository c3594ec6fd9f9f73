import { countPatches, greenCover, seeGround } from '#core/learning/greenCover'
import { learnEmergence } from '#core/learning/germination'
import { addDays, toDay } from '#core/measure/calendar'
import { wateringProgramme, type Ending, type WateredBed } from '#core/water/programme'
import { quantile, type Measured } from './figures'

const SOWN = toDay('2026-09-08')
const at = (middle: number): Ending => ({ early: middle - 3, middle, late: middle + 3 })
/** Eight irrigation zones that differ in soil, sun and cover. */
const BEDS = Array.from({ length: 8 }, (_, i): WateredBed => ({
  id: String(i),
  name: `Zone ${i}`,
  areaM2: 80,
  texture: (['sand', 'loam', 'clay'] as const)[i % 3]!,
  sun: (['full', 'part', 'dense'] as const)[i % 3]!,
  cover: i % 2 ? 'compost' : 'none',
  coverMm: i % 2 ? 6 : 0,
  slopeShare: 0.05 * (i % 3),
  supply: { rateMmPerH: 12, uniformity: 0.65, known: 'cans' },
  hours: [5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18],
  aheadH: 1,
  mostTimes: null,
}))
const drying = { usual: 3.4, dry: 4.6, hot: 6.2 }

/** A picture of 12 million pixels as a worker has it before it looks at the frame: brought to 1,600 pixels. */
function photo() {
  const [width, height] = [1600, 1200]
  const data = new Uint8ClampedArray(width * height * 4)
  for (let i = 0; i < width * height; i++) {
    const leaf = (i * 2654435761) % 97 < 30
    data.set(leaf ? [78, 128, 48, 255] : [112, 86, 62, 255], i * 4)
  }
  return { width, height, data }
}

const median = (runs: number, work: () => void): number =>
  quantile(
    Array.from({ length: runs }, () => {
      const start = performance.now()
      work()
      return performance.now() - start
    }),
    0.5,
  )

/** Speed of what follows after sowing. */
export function benchAfterSowing(): Measured[] {
  const programmeMs = median(15, () =>
    wateringProgramme({
      beds: BEDS,
      wetBy: 'computed',
      stepDown: 'gradual',
      up: at(9),
      tall: at(19),
      mow: at(32),
      fourthMow: at(58),
      drying: { wet: drying, seedling: drying, rooting: drying, established: drying },
      season: 'cool',
    }),
  )
  const picture = photo()
  const photoMs = median(5, () => {
    const seen = seeGround(picture)
    countPatches(seen, greenCover(seen).threshold, 304.8)
  })
  const middle = Array.from({ length: 71 }, (_, day) => Math.max(0, Math.min(1, (day - 5) / 12)))
  const counts = Array.from({ length: 6 }, (_, i) => ({
    seenOn: addDays(SOWN, 7 + 3 * i),
    frameMm: 76.2,
    seedlings: Array.from({ length: 12 }, (_n, k) => 4 * i + (k % 5)),
  }))
  const learnedMs = median(15, () => learnEmergence(counts, { middle }, SOWN, 0.6))
  return [
    {
      what: 'watering programme of a lawn in eight irrigation zones',
      figure: `${programmeMs.toFixed(1)} ms`,
      wanted: { words: 'under 200 ms', met: programmeMs < 200 },
    },
    {
      what: 'green cover and patches of a photo, once it is brought to 1,600 px (beside the screen, in a worker)',
      figure: `${photoMs.toFixed(0)} ms`,
      wanted: { words: 'under 3,000 ms with its decoding', met: photoMs < 1500 },
    },
    { what: 'what six counts of twelve squares say of a bed', figure: `${learnedMs.toFixed(1)} ms` },
  ]
}
