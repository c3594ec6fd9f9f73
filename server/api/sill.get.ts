import { commonGrass } from '../records/lawns'
import { answer } from '../utils/answer'
import { localFetch } from '../utils/localFetch'
import { noStation } from '../utils/lawnStation'
import { coarseAsked, sillAnswer } from '../utils/sillAnswer'
import { freshStations } from '../weather/collect'
import { sillJson, sillText } from '../weather/sill'
import { homeSubject } from '../weather/subject'

/** The grass most of the firm's lawns want lights the ledge where no lawn is in view. */
export default answer((event, work) =>
  sillAnswer(event, async () => {
    const home = (await freshStations(work, localFetch))[0]
    if (!home) throw noStation()
    const subject = homeSubject(home, (await commonGrass(work.firm.id)) ?? (work.firm.grows === 'warm' ? 'BER' : 'TF'))
    return sillJson(await sillText(work, home, subject, { coarse: coarseAsked(event) }), null)
  }),
)
