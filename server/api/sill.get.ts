import { commonGrass } from '../records/lawns'
import { answer, asJson } from '../utils/answer'
import { Refusal } from '../utils/refusal'
import { localFetch } from '../utils/localFetch'
import { freshStations } from '../weather/collect'
import { sillJson, sillText } from '../weather/sill'
import { homeSubject } from '../weather/subject'

/** The grass most of the firm's lawns want lights the band where no lawn is in view. */
export default answer(async (event, work) => {
  const home = (await freshStations(work, localFetch))[0]
  if (!home) throw new Refusal(409, 'weather', 'No weather station yet. Add one under Weather and import its days.')
  return asJson(
    event,
    sillJson(await sillText(work, home, homeSubject(home, (await commonGrass(work.firm.id)) ?? 'TF')), null),
  )
})
