import { say } from '#core/explain/message'
import { addDays } from '#core/measure/calendar'
import { forecastSchema, MOST_FORECAST_DAYS } from '#contract/station'
import { replaceForecast } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { Refusal } from '../../../utils/refusal'
import { stationAsked } from '../../../utils/stationAsked'

/** A forecast as somebody typed it today. */
export default answer(async (event, work) => {
  const station = await stationAsked(event, work)
  if (station.feedPath) throw new Refusal(409, 'simulated', say('server.theSimulatedStationBrings'))
  const { days } = await bodyOf(event, forecastSchema)
  if (days.some(({ day }) => day < work.today || day > addDays(work.today, MOST_FORECAST_DAYS)))
    throw new Refusal(422, 'invalid', say('server.aForecastReachesFrom', { MOST_FORECAST_DAYS }))
  await replaceForecast(work.firm.id, station.id, work.today, days)
  return { days }
})
