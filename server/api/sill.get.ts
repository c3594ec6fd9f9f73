import type { GrassCode } from '#core/grass/grasses'
import { lawnsOf } from '../records/lawns'
import { stationsOf } from '../records/stations'
import { answer } from '../utils/answer'
import { Refusal } from '../utils/refusal'
import { localFetch } from '../utils/localFetch'
import { homeSubject, sillData } from '../weather/sill'

/** The grass most of the firm's lawns want lights the band where no lawn is in view. */
function commonGrass(grasses: readonly (GrassCode | null)[]): GrassCode {
  const counts = new Map<GrassCode, number>()
  for (const grass of grasses) if (grass) counts.set(grass, (counts.get(grass) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'TF'
}

export default answer(async (_event, work) => {
  const home = (await stationsOf(work.firm.id))[0]
  if (!home) throw new Refusal(409, 'weather', 'No weather station yet. Add one under Weather and import its days.')
  const lawns = await lawnsOf(work.firm.id)
  return sillData(work, home, homeSubject(home, commonGrass(lawns.map(({ grass }) => grass))), localFetch)
})
