import type { Day } from '#core/measure/calendar'
import type { PlanSettings } from '#core/job/settings'
import type { Promised } from '#core/job/promise'
import type { ProgrammeCode } from '#core/job/decision/programmes'
import type { Blend } from '#core/seed/blends'
import type { GrassCode } from '#core/grass/grasses'
import { M2_PER_FT2, MM_PER_INCH } from '#core/measure/units'
import type { Feature } from '#core/site/sitePlan'
import { NEW_ZONE, type Zone } from '#core/site/zone'
import type { Look } from '#contract/look'
import type { DoneTold, Work } from '#contract/work'
import type { Texture } from '#core/soil/soil'

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
  /** Irrigation zones of its zones, in their order. */
  irrigation?: (zoneIds: string[]) => Partial<Look['water']['irrigation'][number]>[]
  look?: Partial<Pick<Look, 'texture' | 'soilTest' | 'nothingPutOn'>> & {
    water?: Partial<Look['water']>
    access?: Partial<Look['access']>
    wishes?: Partial<Look['wishes']>
  }
  applications?: { ingredient: string; appliedOn: Day; waitDays: number }[]
  programme?: ProgrammeCode
  sowOn?: Day
  settings?: Partial<PlanSettings>
  blend?: Blend
  /** Work done, in days from sowing, and what else was noted. */
  done?: [key: string, daysFromSowing: number, told?: Partial<DoneTold>][]
  /** What was seen after sowing, in days from it, by the ids of its zones. */
  seen?: (zoneIds: string[]) => [daysFromSowing: number, told: object][]
  work?: Partial<Work>
  /** What was told when its schedule was confirmed. */
  promised?: Promised
}

export const ft2 = (area: number) => ({ areaM2: area * M2_PER_FT2, areaTyped: `${area.toLocaleString('en-US')} sq ft` })
/** Ground of one of several zones, as it was taped. */
export const taped = (area: number) => ({
  areaTyped: `${area.toLocaleString('en-US')} sq ft`,
  tapedM2: area * M2_PER_FT2,
})
export const cover = (grass: number, weeds: number, coarse = 0) => ({
  desirableShare: grass / 100,
  weedShare: weeds / 100,
  coarseShare: coarse / 100,
  bareShare: (100 - grass - weeds - coarse) / 100,
})
export const inches = (...depths: number[]) => depths.map((depth) => Math.round(depth * MM_PER_INCH * 10) / 10)
/** Ordered and tested in good time. */
export const ORDERED: [string, number][] = [
  ['soilTest', -24],
  ['order', -14],
]
export const SOWN: [string, number][] = [
  ...ORDERED,
  ['locate', -9],
  ['scalp', -3],
  ['dethatch', -2],
  ['core', -1],
  ['delivery', -1],
  ['sow', 0],
  ['rake', 0],
  ['feed', 0],
  ['cover', 0],
  ['water', 0],
]
/** What most of them share. */
export const zone = (grass: GrassCode, change: Partial<Zone>): Partial<Zone> => ({
  name: 'Lawn',
  grass,
  sward: grass,
  sunHours: 9,
  slopeShare: 0,
  wear: 'none',
  drainage: 'free',
  levelsSeen: true,
  barePatchy: false,
  ...change,
})
export const soil = (texture: Texture) => ({ texture })
export const WATERED = { source: 'sprinklers', timesADay: 3, restriction: 'none' } as const

export const fullZone = (partial: Partial<Zone>, order: number): Zone => ({
  ...structuredClone(NEW_ZONE),
  name: 'Lawn',
  order,
  ...partial,
})
