import { buildSeason, type Season, type SeasonInput } from '#core/establishment/season'
import { briefOf } from '#core/establishment/glance'
import { summarise } from '#core/establishment/outlook'
import type { Stand } from '#core/establishment/stand'
import type { SeedbedRisk } from '#core/establishment/sowing'
import type { Blend } from '#core/grass/blends'

/** A season to be worked out and what of it is asked; plain data, so that it can go to another thread. */
export interface SeasonWork {
  /** Changes whenever the input does. */
  key: string
  input: SeasonInput
  seed: Blend
  risk: SeedbedRisk
  mowingMm: number
  stand: Stand | undefined
}

/** What was worked out, as text: it is kept and sent on so, and read by few. */
export interface WorkedOut {
  /** An `Outlook`. */
  outlook: string
  /** Its `Brief`. */
  brief: string
}

/** A season weighs some megabytes; a thread is given the lawns that share one after the other. */
let latest: { key: string; season: Season } | undefined

/** Works an outlook out; the season asked for last is at hand. */
export function workOut({ key, input, seed, risk, mowingMm, stand }: SeasonWork): WorkedOut {
  const season = latest?.key === key ? latest.season : buildSeason(input)
  latest = { key, season }
  const outlook = summarise(season, seed, risk, mowingMm, input.climate.normals, stand)
  return { outlook: JSON.stringify(outlook), brief: JSON.stringify(briefOf(outlook)) }
}
