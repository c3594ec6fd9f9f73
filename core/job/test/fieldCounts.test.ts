import { describe, expect, test } from 'vitest'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { aFirm, aPlannedLawn, BACK_ID, inTwoZones } from '../../../contract/test/plannedLawn'
import { ZONE_ID } from '../../../contract/test/looks'
import type { EmergenceCourse } from '../../establishment/emergenceCourse'
import type { Seen } from '../../learning/seen'
import { addDays, toDay } from '../../measure/calendar'
import { COLUMBUS_LAT } from '../../weather/test/stations'
import { fieldCountsOf } from '../fieldCounts'
import { OPERATIONS } from '../operations/registry'

const SOWN = toDay('2026-09-08')
/** An invented curve: a straight rise from day 5 to day 15, for 36 seedlings in three inches. */
const rising = (delay: number) =>
  Array.from({ length: 71 }, (_, day) => Math.max(0, Math.min(1, (day - 5 - delay) / 10)))
const COURSE: EmergenceCourse = {
  slow: rising(1),
  middle: rising(0),
  fast: rising(-1),
  parts: [{ grass: 'TF', countShare: 1, middle: rising(0), up05: 6, up50: 10, up95: 15 }],
  up50: 10,
  usual50: 10,
  cover: rising(10).map((share) => 0.4 + 0.5 * share),
  perCm2: 36 / 7.62 ** 2,
}
const count = (
  zoneId: string,
  day: number,
  seedlings: number[],
  change: Partial<Extract<Seen, { kind: 'count' }>> = {},
) =>
  ({
    kind: 'count',
    seenOn: addDays(SOWN, day),
    zoneId,
    frameMm: 76.2,
    seedlings,
    moist: null,
    washed: false,
    birds: false,
    note: '',
    ...change,
  }) satisfies Seen
const SEED = { id: 'm', key: 'sow', doneOn: SOWN, share: 1, passed: true } as Lawn['done'][number]

describe('what a job tells of the beds of its firm', () => {
  const told = (day: number, seen: Seen[], done: Lawn['done'] = [SEED]) => {
    const lawn = aPlannedLawn(
      { ...inTwoZones(), latDeg: COLUMBUS_LAT, lonDeg: -83 },
      { sowOn: SOWN },
      { done, seen: seen.map((one, i) => ({ ...one, id: String(i), savedBy: null })) },
    )
    const beds = [ZONE_ID, BACK_ID].map((zoneId) => ({ zoneId, course: COURSE }))
    return fieldCountsOf({ job: jobOf(lawn), lawn: groundOf(lawn), firm: aFirm({ today: addDays(SOWN, day) }) }, beds)
  }

  test('is the last count of each zone once all should be up, as a share of live seed', () => {
    const seen = [count(ZONE_ID, 12, [20, 20]), count(ZONE_ID, 20, [27, 27]), count(BACK_ID, 12, [20])]
    // 27 of the 36 that were reckoned with at three tenths of live seed, among standing grass; the back was counted too soon.
    expect(told(21, seen)).toEqual([
      {
        bed: 'fieldAmongGrass',
        seenOn: addDays(SOWN, 20),
        share: expect.closeTo((27 / 36) * 0.3, 9),
        frames: 2,
        seedlings: 54,
      },
    ])
  })

  test('is nothing of ground that was sown again before, nor before seed is down', () => {
    const again = { ...SEED, id: 'r', key: OPERATIONS.find(({ reseeds }) => reseeds)!.code, doneOn: addDays(SOWN, 18) }
    expect(told(30, [count(ZONE_ID, 25, [27])], [SEED, again])).toEqual([])
    expect(told(30, [count(ZONE_ID, 25, [27])], [])).toEqual([])
  })
})
