import { describe, expect, test } from 'vitest'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { aFirm, aPlannedLawn, BACK_ID, inTwoZones } from '../../../contract/test/plannedLawn'
import { ZONE_ID } from '../../../contract/test/looks'
import type { Seen } from '../../learning/seen'
import { addDays } from '../../measure/calendar'
import { COLUMBUS_LAT } from '../../weather/test/stations'
import { fieldCountsOf } from '../fieldCounts'
import { OPERATIONS } from '../operations/registry'
import { count, COURSE, SEED, SOWN } from './counted'

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
