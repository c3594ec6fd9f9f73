import { said } from '#contract/said'
import { say } from '#core/explain/message'
import type { ForecastDay } from '#core/weather/weather'
import { addDays } from '#core/measure/calendar'
import { importSchema, MOST_FORECAST_DAYS, type ImportResult } from '#contract/station'
import { compute } from '../../../compute/pool'
import { keepWeatherRows, replaceForecast } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { queryOf } from '../../../utils/ask'
import { fileInSteps } from '../../../utils/fileInSteps'
import { Refusal } from '../../../utils/refusal'
import { stationAsked } from '../../../utils/stationAsked'

const READING = said('server.readingTheFile')

/** The good rows of a file are kept, as days observed or days forecast. */
export default answer(async (event, work) => {
  const station = await stationAsked(event, work)
  if (station.kind === 'simulated') throw new Refusal(409, 'simulated', say('server.theSimulatedStationBringsIts'))
  const { mapping, what } = queryOf(event, importSchema)
  return fileInSteps<ImportResult>(event, work, async (bytes, { progress, signal }) => {
    const how = {
      signal,
      progress: (share: number) => {
        progress(READING, share)
      },
    }
    const span =
      what === 'days'
        ? { first: null, last: work.today }
        : { first: work.today, last: addDays(work.today, MOST_FORECAST_DAYS) }
    const { pieces, count, before, ...rejected } = await compute('daysFile', { bytes, mapping, ...span }, how)
    // From here on it is kept whole, whoever has gone.
    progress(said('server.savingTheDays'), null)
    if (what === 'days') {
      const { added, changed } = await keepWeatherRows(work.firm.id, station.id, pieces)
      return { added, changed, unchanged: count - added - changed, ...rejected }
    }
    const message = say('server.noRowOfThis')
    if (!count) throw new Refusal(422, 'unreadable', message, { file: message })
    await replaceForecast(work.firm.id, station.id, work.today, JSON.parse(pieces[0]!) as ForecastDay[])
    return { added: count, changed: 0, unchanged: before, ...rejected }
  })
})
