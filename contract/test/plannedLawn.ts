import { DEFAULT_PRACTICES } from '#core/job/decision/usualPractices'
import { NO_WORK } from '#core/job/nothingDecided'
import { planningOf } from '#core/job/planningFigures'
import type { FirmRecord } from '#core/job/records'
import { toDay } from '#core/measure/calendar'
import { measureZones } from '#core/site/measure'
import type { Lawn } from '../lawn'
import type { Look } from '../look'
import { aLook, aZone, oneJob, ZONE_ID } from './looks'

/** A firm as its jobs are planned, on the eighth of September. */
export const aFirm = (change: Partial<FirmRecord> = {}): FirmRecord => ({
  currency: 'USD',
  today: toDay('2026-09-08'),
  practices: DEFAULT_PRACTICES,
  planning: planningOf(),
  workingDays: [1, 2, 3, 4, 5, 6],
  holidays: [],
  feedRules: { phosphorus: 'exemption', blackouts: [] },
  hoursADay: 16,
  pace: {},
  stock: {},
  spokenFor: {},
  ...change,
})

/** A lawn as surveyed, to be overseeded on the eighteenth. */
export function aPlannedLawn(look: Look, plan: Partial<Lawn['plan']> = {}, change: Partial<Lawn> = {}): Lawn {
  const measured = measureZones(look.zones, look.features, look)
  return {
    ...look,
    ...oneJob(look),
    id: ZONE_ID,
    measured,
    areaM2: Object.values(measured).reduce((sum, { areaM2 }) => sum + (areaM2 ?? 0), 0),
    sunAwaited: false,
    done: [],
    seen: [],
    savedAt: null,
    savedBy: null,
    ...change,
    plan: {
      version: 1,
      programme: 'overseed',
      overruleNote: null,
      zonePlans: {},
      practices: {},
      blend: [],
      sowOn: toDay('2026-09-18'),
      settings: null,
      work: NO_WORK,
      savedAt: null,
      savedBy: null,
      ...plan,
    },
  }
}

/** Zone of the lawn in two zones, beside `ZONE_ID`. */
export const BACK_ID = '5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e02'
/** A survey of two zones that differ in grass and sun. */
export const inTwoZones = (): Look =>
  aLook({
    zones: {
      [ZONE_ID]: aZone({ name: 'Front', tapedM2: 400 }),
      [BACK_ID]: aZone({ name: 'Back', order: 1, tapedM2: 100, grass: 'CRF', sunHours: 4 }),
    },
  })
