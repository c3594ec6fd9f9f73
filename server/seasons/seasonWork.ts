import { buildSeason, type Season, type SeasonInput } from '#core/establishment/season'
import { summarise, type Outlook } from '#core/establishment/outlook'
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

/** A season weighs some megabytes; lawns differ little, so a few serve many. */
const MOST_SEASONS = 2
const seasons = new Map<string, Season>()

/** Works an outlook out; seasons asked for lately are at hand, the longest unused goes first. */
export function workOut({ key, input, seed, risk, mowingMm, stand }: SeasonWork): Outlook {
  const season = seasons.get(key) ?? buildSeason(input)
  seasons.delete(key)
  seasons.set(key, season)
  if (seasons.size > MOST_SEASONS) seasons.delete(seasons.keys().next().value!)
  return summarise(season, seed, risk, mowingMm, input.climate.normals, stand)
}
