import { addDays } from '#core/quantity/calendar'
import { importSchema, MOST_FORECAST_DAYS, type ImportPreview, type ImportResult } from '#contract/station'
import { keepWeather, replaceForecast } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { Refusal } from '../../../utils/refusal'
import { stationAsked } from '../../../utils/stationAsked'
import { previewCsv, readCsv } from '../../../weather/csv'
import { MOST_IMPORT_BYTES, MOST_LISTED, readable } from '../../../weather/files'

/** Without a mapping: a look into the file. With one: its good rows are kept, as days observed or days forecast. */
export default answer(async (event, work): Promise<ImportPreview | ImportResult> => {
  const station = await stationAsked(event, work)
  if (station.kind === 'simulated') throw new Refusal(409, 'simulated', 'The simulated station brings its own days. Add a station for your file.')
  const { csv, mapping, what } = await bodyOf(event, importSchema, MOST_IMPORT_BYTES)
  if (!mapping) return readable(() => previewCsv(csv))
  const told = (rejected: ImportResult['rejected']) => ({ rejected: rejected.slice(0, MOST_LISTED), rejectedCount: rejected.length })
  if (what === 'days') {
    const { days, rejected } = readable(() => readCsv(csv, mapping, work.today))
    const { added, changed } = await keepWeather(work.firm.id, station.id, days)
    return { added, changed, unchanged: days.length - added - changed, ...told(rejected) }
  }
  const { days, rejected } = readable(() => readCsv(csv, mapping, addDays(work.today, MOST_FORECAST_DAYS)))
  const ahead = days.filter(({ day }) => day >= work.today)
  if (!ahead.length) throw new Refusal(422, 'unreadable', 'No row of this file lies between today and ten days ahead.', { csv: 'No row of this file lies between today and ten days ahead.' })
  await replaceForecast(work.firm.id, station.id, work.today, ahead)
  return { added: ahead.length, changed: 0, unchanged: days.length - ahead.length, ...told(rejected) }
})
