import { toDay, type Day } from '#core/measure/calendar'
import type { PlanSettings } from '#core/job/settings'
import type { ProgrammeCode } from '#core/job/decision/programmes'
import { BLENDS, type Blend } from '#core/seed/blends'
import type { GrassCode } from '#core/grass/grasses'
import { G_PER_M2_PER_LB_PER_1000FT2, M2_PER_FT2, MM_PER_INCH } from '#core/measure/units'
import type { Feature } from '#core/site/sitePlan'
import { NEW_ZONE, type Zone } from '#core/site/zone'
import type { Look } from '#contract/look'
import type { DoneTold, Work } from '#contract/work'
import type { Texture } from '#core/soil/soil'
import { odellPlan } from './odellPlan'

/** One invented client lawn. */
export interface DemoLawn {
  client: string
  address: string
  areaM2: number
  areaTyped: string
  growsNow: string
  /** Degrees north of the station. */
  northDeg: number
  /** None: still to be looked at. */
  zones?: Partial<Zone>[]
  plan?: (zoneIds: string[]) => Feature[]
  look?: Partial<Pick<Look, 'texture' | 'soilTest' | 'nothingPutOn'>> & { water?: Partial<Look['water']>; access?: Partial<Look['access']>; wishes?: Partial<Look['wishes']> }
  applications?: { ingredient: string; appliedOn: Day; waitDays: number }[]
  programme?: ProgrammeCode
  sowOn?: Day
  settings?: Partial<PlanSettings>
  blend?: Blend
  /** Work done, in days from sowing, and what else was noted. */
  done?: [key: string, daysFromSowing: number, told?: Partial<DoneTold>][]
  work?: Partial<Work>
}

const ft2 = (area: number) => ({ areaM2: area * M2_PER_FT2, areaTyped: `${area.toLocaleString('en-US')} sq ft` })
const cover = (grass: number, weeds: number, coarse = 0) => ({ desirableShare: grass / 100, weedShare: weeds / 100, coarseShare: coarse / 100, bareShare: (100 - grass - weeds - coarse) / 100 })
const inches = (...depths: number[]) => depths.map((depth) => Math.round(depth * MM_PER_INCH * 10) / 10)
/** Ordered and tested in good time. */
const ORDERED: [string, number][] = [['soilTest', -24], ['order', -14]]
const SOWN: [string, number][] = [
  ...ORDERED, ['locate', -9], ['scalp', -3], ['dethatch', -2], ['core', -1], ['delivery', -1], ['sow', 0], ['rake', 0], ['feed', 0], ['cover', 0], ['water', 0],
]
/** What most of them share. */
const zone = (grass: GrassCode, change: Partial<Zone>): Partial<Zone> => ({ name: 'Lawn', grass, sward: grass, sunHours: 9, slopeShare: 0, wear: 'none', drainage: 'free', levelsSeen: true, barePatchy: false, ...change })
const soil = (texture: Texture) => ({ texture })
const WATERED = { source: 'sprinklers', timesADay: 3, restriction: 'none' } as const

export const fullZone = (partial: Partial<Zone>, order: number): Zone => ({ ...structuredClone(NEW_ZONE), name: 'Lawn', order, ...partial })

export const DEMO_LAWNS: readonly DemoLawn[] = [
  {
    client: 'Odell', address: '4 Quarry Rise', ...ft2(6590), growsNow: 'thin tall fescue', northDeg: 0.01, look: {
      ...soil('clay loam'), soilTest: { sampledOn: toDay('2026-08-26'), method: 'Mehlich-3', ph: 6.4, bufferPh: 6.8, pPpm: 18, kPpm: 128, organicShare: 0.031, note: '' },
      water: { ...WATERED, byWhom: 'the client', flowLPerMin: 34, circuits: [{ name: 'front', heads: 8, flowLPerMin: 30 }, { name: 'slope and strip', heads: 6, flowLPerMin: 26 }] },
      access: { gateM: 1.1, steps: 0, barrowM: 25, tipping: 'on the drive, 3 yd³ at a time', services: 'asked', note: '' }, wishes: { goal: 'thicker', look: 'family' },
    },
    zones: [
      zone('TF', { name: 'Sunny front', areaFrom: 'drawn', errorShare: 0.01, ...cover(62, 28, 4), plugsMm: inches(0.6, 0.7, 0.8), driverMm: inches(2.3, 2.5), mowingHeightMm: 76.2, sunHours: null, wear: 'some', hollows: [{ name: 'by the plum', spacingM: 1.5, widthM: null, rowsMm: [[0, 4, 6, 0], [3, 18, 12, 0], [0, 9, 8, 0]] }] }),
      zone('TF', { name: 'Slope', areaFrom: 'drawn', errorShare: 0.01, ...cover(57, 32, 4), plugsMm: inches(0.7, 0.7), driverMm: inches(2.6), mowingHeightMm: 76.2, sunHours: null, slopeShare: 0.09 }),
      zone('TF', { name: 'Shade strip', areaFrom: 'drawn', errorShare: 0.01, ...cover(36, 42), plugsMm: inches(0.4), driverMm: inches(4), mowingHeightMm: 76.2, sunHours: null, levelsSeen: false, barePatchy: true }),
    ],
    plan: ([front, slope, strip]) => odellPlan({ front: front!, slope: slope!, strip: strip! }),
    applications: [
      { ingredient: 'isoxaben', appliedOn: toDay('2026-05-02'), waitDays: 122 },
      { ingredient: '2,4-D, dicamba, MCPP or triclopyr', appliedOn: toDay('2026-08-20'), waitDays: 28 },
    ],
    sowOn: toDay('2026-09-18'),
    settings: { lot: { purityShare: 0.98, germinationShare: 0.9, coatingShare: 0, purityOfBareSeed: false }, scalpToMm: 38.1 }, done: ORDERED,
  },
  {
    client: 'Corrow Hall', address: 'east lawn, Corrow Lane', ...ft2(3340), growsNow: 'thin shade lawn', northDeg: 0.03, look: soil('loam'),
    zones: [zone('CRF', { ...cover(58, 22), plugsMm: [9], mowingHeightMm: 70, sunHours: 4.5, slopeShare: 0.02 })], applications: [], sowOn: toDay('2026-08-25'), done: [...SOWN, ['check', 3]],
  },
  {
    client: 'Halloran', address: 'the slope, 9 Lark Bank', ...ft2(2260), growsNow: 'tall fescue, slope 16%', northDeg: 0.02, look: soil('clay loam'),
    zones: [zone('TF', { ...cover(61, 27), plugsMm: [10], mowingHeightMm: 76.2, slopeShare: 0.16 })],
    applications: [{ ingredient: 'dithiopyr', appliedOn: toDay('2026-03-14'), waitDays: 122 }], sowOn: toDay('2026-09-19'), done: ORDERED,
  },
  {
    client: 'Ashgrove Nursery', address: 'office lawn, Ash Lane', ...ft2(5240), growsNow: 'tall fescue, 28% weeds', northDeg: -0.02, look: soil('loam'),
    zones: [zone('TF', { ...cover(64, 28), plugsMm: [14], mowingHeightMm: 76.2 })],
    applications: [{ ingredient: 'prodiamine', appliedOn: toDay('2026-03-02'), waitDays: 182 }], sowOn: toDay('2026-09-21'), done: ORDERED,
  },
  {
    client: 'Fen Cottage', address: 'orchard, Fen Road', ...ft2(7430), growsNow: 'fine fescue, thin, mossy', northDeg: -0.04, look: soil('clay'),
    zones: [zone('CHF', { ...cover(52, 30), plugsMm: [20], mowingHeightMm: 60, sunHours: 4.5, slopeShare: 0.03 })], applications: [], sowOn: toDay('2026-09-16'), done: ORDERED,
  },
  {
    client: 'Tanner’s Mews', address: 'court, Tanner’s Mews', ...ft2(1940), growsNow: 'bare in the shade', northDeg: 0, look: soil('loam'), programme: 'hard',
    zones: [zone('PRG', { ...cover(42, 20), plugsMm: [6], mowingHeightMm: 50, sunHours: 4.5 })],
    applications: [{ ingredient: 'glyphosate', appliedOn: toDay('2026-08-30'), waitDays: 7 }], sowOn: toDay('2026-09-10'),
    done: [...ORDERED, ['locate', -10], ['scalp', -4], ['dethatch', -3]],
  },
  {
    client: 'Pike & Daughter', address: 'verge, 41 Market Street', ...ft2(1180), growsNow: 'ryegrass, salt-bare edge', northDeg: -0.01, look: soil('sandy loam'),
    zones: [zone('KBG', { ...cover(70, 14), plugsMm: [8], mowingHeightMm: 63.5 })],
    applications: [{ ingredient: 'mesotrione', appliedOn: toDay('2026-05-20'), waitDays: 0 }],
  },
  {
    client: 'Linden Row', address: 'almshouses, front', ...ft2(4120), growsNow: 'fescue and bluegrass', northDeg: 0.015, look: soil('sandy loam'),
    zones: [zone('TF', { ...cover(66, 24), plugsMm: [15], mowingHeightMm: 76.2 })],
    applications: [{ ingredient: 'isoxaben', appliedOn: toDay('2026-04-11'), waitDays: 122 }], sowOn: toDay('2026-09-17'), done: [...ORDERED, ['scalp', -9]],
    blend: BLENDS[0]!.parts,
    settings: { seedRateGPerM2: 4 * G_PER_M2_PER_LB_PER_1000FT2 },
  },
  {
    client: 'Tamsin Varga', address: 'back lawn, 12 Weir Row', ...ft2(2870), growsNow: 'bermuda, three hollows', northDeg: -0.03, look: { ...soil('sandy loam'), nothingPutOn: true, wishes: { goal: 'levels' }, water: WATERED },
    zones: [zone('BER', { sward: 'HBER', ...cover(74, 18), plugsMm: [11], mowingHeightMm: 38, hollows: [
      { name: 'at the gate', spacingM: 0.6, widthM: null, rowsMm: [[0, 8, 0], [6, 34, 9], [0, 12, 0]] }, { name: 'old post hole', spacingM: 0.4, widthM: null, rowsMm: [[0, 5, 0], [4, 22, 6], [0, 4, 0]] },
    ] })],
    programme: 'level', sowOn: toDay('2026-09-16'), done: ORDERED,
  },
  {
    client: 'Sedge End', address: 'back, 2 Sedge End', ...ft2(4870), growsNow: 'ryegrass, bare strips', northDeg: 0.04, look: soil('loam'),
    zones: [zone('PRG', { ...cover(57, 25), plugsMm: [7], mowingHeightMm: 50 })],
    applications: [{ ingredient: 'prodiamine', appliedOn: toDay('2026-05-04'), waitDays: 184 }],
  },
  {
    client: 'Yew Walk', address: 'under the yews, Mill Lane', ...ft2(860), growsNow: 'moss, nothing lasts', northDeg: 0.005, look: soil('clay loam'),
    zones: [zone('HF', { ...cover(12, 38), plugsMm: [4], mowingHeightMm: 65, sunHours: 2 })],
  },
  {
    client: 'Brackwater Farm', address: 'orchard gate, Brack Lane', ...ft2(8200), growsNow: 'weeds on clay, ruts', northDeg: 0.05, look: { ...soil('clay'), nothingPutOn: true, wishes: { goal: 'species' } },
    zones: [zone('TF', { sward: 'MIX', ...cover(22, 34, 36), plugsMm: [16], mowingHeightMm: 70, drainage: 'slow', hollows: [{ name: 'wheel rut', spacingM: 0.5, widthM: 12, rowsMm: [[0, 60, 80, 40, 0]] }] })],
    programme: 'kill', sowOn: toDay('2026-09-24'), done: [...ORDERED, ['kill1', -29]],
  },
  {
    client: 'Ingle Court', address: 'bowling green bank', ...ft2(2400), growsNow: 'zoysia, bumpy', northDeg: -0.05, look: { ...soil('sandy loam'), nothingPutOn: true, wishes: { goal: 'levels' } },
    zones: [zone('ZOY', { ...cover(88, 8), plugsMm: [10], mowingHeightMm: 38 })],
  },
  {
    client: 'Saltings Terrace', address: 'common lawn', ...ft2(5100), growsNow: 'bermuda, brown in winter', northDeg: -0.06, look: { ...soil('sand'), nothingPutOn: true, wishes: { goal: 'winter' }, water: WATERED },
    zones: [zone('BER', { ...cover(92, 6), plugsMm: [8], mowingHeightMm: 32 })],
    programme: 'winter', sowOn: toDay('2026-09-28'),
  },
  {
    client: 'Cobbet Lane', address: 'no. 6, new water main', ...ft2(1720), growsNow: 'ryegrass, fresh trench line', northDeg: 0.025, look: { ...soil('loam'), nothingPutOn: true, wishes: { goal: 'patches' }, water: { source: 'hose', timesADay: 2, restriction: 'none' } },
    zones: [zone('PRG', { ...cover(92, 2), plugsMm: [6], mowingHeightMm: 50, barePatchy: true, hollows: [{ name: 'trench', spacingM: 0.3, widthM: 9, rowsMm: [[0, 20, 24, 18, 0]] }] })],
    programme: 'spot', sowOn: toDay('2026-09-17'), done: ORDERED,
  },
  { client: 'Teasel Yard', address: 'dog run, 3 Maltings Way', ...ft2(1460), growsNow: 'worn ryegrass, half bare', northDeg: -0.015 },
]
