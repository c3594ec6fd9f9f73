import type { Lawn } from '#contract/lawn'
import type { EmergenceCourse } from '../../establishment/emergenceCourse'
import type { Seen } from '../../learning/seen'
import { addDays, toDay } from '../../measure/calendar'

export const SOWN = toDay('2026-09-08')

/** An invented curve: a straight rise from day 5 to day 15, for 36 seedlings in three inches. */
const rising = (delay: number) =>
  Array.from({ length: 71 }, (_, day) => Math.max(0, Math.min(1, (day - 5 - delay) / 10)))
export const COURSE: EmergenceCourse = {
  slow: rising(1),
  middle: rising(0),
  fast: rising(-1),
  parts: [{ grass: 'TF', countShare: 1, middle: rising(0), up05: 6, up50: 10, up95: 15 }],
  up50: 10,
  usual50: 10,
  cover: rising(10).map((share) => 0.4 + 0.5 * share),
  perCm2: 36 / 7.62 ** 2,
}
export const count = (
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
export const SEED = { id: 'm', key: 'sow', doneOn: SOWN, share: 1, passed: true } as Lawn['done'][number]
