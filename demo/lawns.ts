import { toDay, type Day } from '#core/quantity/calendar'
import type { OperationCode } from '#core/programme/operations'
import type { PlanSettings } from '#core/programme/plan'
import { G_PER_M2_PER_LB_PER_1000FT2, M2_PER_FT2 } from '#core/quantity/units'
import type { Application, Survey } from '#core/site/survey'

/** One invented client lawn. */
export interface DemoLawn {
  client: string
  address: string
  areaM2: number
  areaTyped: string
  growsNow: string
  /** Degrees north of the station. */
  northDeg: number
  /** Null: still to be looked at. */
  survey: Omit<Survey, 'areaM2'> | null
  applications?: Application[]
  sowOn?: Day
  settings?: Partial<PlanSettings>
  /** Work done, in days from sowing. */
  done?: [OperationCode, number][]
}

const ft2 = (area: number) => ({ areaM2: area * M2_PER_FT2, areaTyped: `${area.toLocaleString('en-US')} sq ft` })
const cover = (grass: number, weeds: number) => ({ desirableShare: grass / 100, weedShare: weeds / 100, bareShare: (100 - grass - weeds) / 100 })
const SOWN: [OperationCode, number][] = [
  ['scalp', -3], ['dethatch', -2], ['core', -1], ['sow', 0], ['rake', 0], ['feed', 0], ['cover', 0], ['water', 0],
]

export const DEMO_LAWNS: readonly DemoLawn[] = [
  {
    client: 'Odell', address: '4 Quarry Rise', ...ft2(6590), growsNow: 'thin tall fescue', northDeg: 0.01,
    survey: { grass: 'TF', ...cover(56, 35), thatchMm: 17.8, mowingHeightMm: 76.2, sun: 'full', texture: 'clay loam', slopeShare: 0.04 },
    applications: [
      { ingredient: 'isoxaben', appliedOn: toDay('2026-05-02'), waitDays: 122 },
      { ingredient: '2,4-D, dicamba, MCPP or triclopyr', appliedOn: toDay('2026-08-20'), waitDays: 28 },
    ],
    sowOn: toDay('2026-09-18'),
    settings: { lot: { purityShare: 0.98, germinationShare: 0.9, coatingShare: 0, purityOfBareSeed: false }, scalpToMm: 38.1 },
  },
  {
    client: 'Corrow Hall', address: 'east lawn, Corrow Lane', ...ft2(3340), growsNow: 'thin shade lawn', northDeg: 0.03,
    survey: { grass: 'CRF', ...cover(58, 22), thatchMm: 9, mowingHeightMm: 70, sun: 'part', texture: 'loam', slopeShare: 0.02 },
    applications: [], sowOn: toDay('2026-08-25'), done: [...SOWN, ['check', 3]],
  },
  {
    client: 'Halloran', address: 'the slope, 9 Lark Bank', ...ft2(2260), growsNow: 'tall fescue, slope 16%', northDeg: 0.02,
    survey: { grass: 'TF', ...cover(61, 27), thatchMm: 10, mowingHeightMm: 76.2, sun: 'full', texture: 'clay loam', slopeShare: 0.16 },
    applications: [{ ingredient: 'dithiopyr', appliedOn: toDay('2026-03-14'), waitDays: 122 }], sowOn: toDay('2026-09-19'),
  },
  {
    client: 'Ashgrove Nursery', address: 'office lawn, Ash Lane', ...ft2(5240), growsNow: 'tall fescue, 28% weeds', northDeg: -0.02,
    survey: { grass: 'TF', ...cover(64, 28), thatchMm: 14, mowingHeightMm: 76.2, sun: 'full', texture: 'loam', slopeShare: 0 },
    applications: [{ ingredient: 'prodiamine', appliedOn: toDay('2026-03-02'), waitDays: 182 }], sowOn: toDay('2026-09-21'),
  },
  {
    client: 'Fen Cottage', address: 'orchard, Fen Road', ...ft2(7430), growsNow: 'fine fescue, thin, mossy', northDeg: -0.04,
    survey: { grass: 'CHF', ...cover(52, 30), thatchMm: 20, mowingHeightMm: 60, sun: 'part', texture: 'clay', slopeShare: 0.03 },
    applications: [], sowOn: toDay('2026-09-16'),
  },
  {
    client: 'Tanner’s Mews', address: 'court, Tanner’s Mews', ...ft2(1940), growsNow: 'bare in the shade', northDeg: 0,
    survey: { grass: 'PRG', ...cover(42, 20), thatchMm: 6, mowingHeightMm: 50, sun: 'part', texture: 'loam', slopeShare: 0 },
    applications: [{ ingredient: 'glyphosate', appliedOn: toDay('2026-08-30'), waitDays: 7 }], sowOn: toDay('2026-09-10'),
    done: [['scalp', -4], ['dethatch', -3]],
  },
  {
    client: 'Pike & Daughter', address: 'verge, 41 Market Street', ...ft2(1180), growsNow: 'ryegrass, salt-bare edge', northDeg: -0.01,
    survey: { grass: 'KBG', ...cover(70, 14), thatchMm: 8, mowingHeightMm: 63.5, sun: 'full', texture: 'sandy loam', slopeShare: 0 },
    applications: [{ ingredient: 'mesotrione', appliedOn: toDay('2026-05-20'), waitDays: 0 }],
  },
  {
    client: 'Linden Row', address: 'almshouses, front', ...ft2(4120), growsNow: 'fescue and bluegrass', northDeg: 0.015,
    survey: { grass: 'TF', ...cover(66, 24), thatchMm: 15, mowingHeightMm: 76.2, sun: 'full', texture: 'sandy loam', slopeShare: 0 },
    applications: [{ ingredient: 'isoxaben', appliedOn: toDay('2026-04-11'), waitDays: 122 }], sowOn: toDay('2026-09-17'), done: [['scalp', -9]],
    settings: { seedRateGPerM2: 4 * G_PER_M2_PER_LB_PER_1000FT2 },
  },
  {
    client: 'Tamsin Varga', address: 'back lawn, 12 Weir Row', ...ft2(2870), growsNow: 'bermuda, three hollows', northDeg: -0.03,
    survey: { grass: 'BER', ...cover(74, 18), thatchMm: 11, mowingHeightMm: 38, sun: 'full', texture: 'sandy loam', slopeShare: 0 }, applications: [],
  },
  {
    client: 'Sedge End', address: 'back, 2 Sedge End', ...ft2(4870), growsNow: 'ryegrass, bare strips', northDeg: 0.04,
    survey: { grass: 'PRG', ...cover(57, 25), thatchMm: 7, mowingHeightMm: 50, sun: 'full', texture: 'loam', slopeShare: 0 },
    applications: [{ ingredient: 'prodiamine', appliedOn: toDay('2026-05-04'), waitDays: 184 }],
  },
  {
    client: 'Yew Walk', address: 'under the yews, Mill Lane', ...ft2(860), growsNow: 'moss, nothing lasts', northDeg: 0.005,
    survey: { grass: 'HF', ...cover(12, 38), thatchMm: 4, mowingHeightMm: 65, sun: 'dense', texture: 'clay loam', slopeShare: 0 }, applications: [],
  },
  { client: 'Teasel Yard', address: 'dog run, 3 Maltings Way', ...ft2(1460), growsNow: 'worn ryegrass, half bare', northDeg: -0.015, survey: null },
]
