import type { Normals } from '#core/weather/normals'
import { buildSeason, type Season, type SeasonInput } from '#core/establishment/season'
import { yearsOfTurf, type YearsOfTurf } from '#core/establishment/lasting'
import { briefOf } from '#core/establishment/glance'
import { summarise } from '#core/establishment/outlook'
import { tellOutlook } from '#core/establishment/outlookTold'
import type { Stand } from '#core/establishment/stand'
import type { SeedbedRisk } from '#core/establishment/sowing'
import type { Blend } from '#core/seed/blends'

/** A season to be worked out and what of it is asked; plain data, so that it can go to another thread. */
export interface SeasonWork {
  /** Changes whenever the input does. */
  key: string
  /** A `SeasonInput` as JSON. */
  input: string
  seed: Blend
  risk: SeedbedRisk
  mowingMm: number
  stand: Stand | undefined
}

/** What was worked out, as text: it is kept and sent on so, and read by few. */
export interface WorkedOut {
  /** An `OutlookTold`. */
  outlook: string
  /** Its `Brief`. */
  brief: string
}

/** A season weighs some megabytes; a thread is given the lawns that share one after the other. */
let latest: { key: string; season: Season; normals: Normals; lasting: YearsOfTurf } | undefined

/** Works an outlook out; the season asked for last is at hand. */
export function workOut({ key, input, seed, risk, mowingMm, stand }: SeasonWork): WorkedOut {
  if (latest?.key !== key) {
    const read = JSON.parse(input) as SeasonInput
    latest = { key, season: buildSeason(read), normals: read.climate.normals, lasting: yearsOfTurf(read) }
  }
  const outlook = summarise(latest.season, seed, risk, mowingMm, latest.normals, stand, latest.lasting)
  return { outlook: JSON.stringify(tellOutlook(outlook)), brief: JSON.stringify(briefOf(outlook)) }
}
