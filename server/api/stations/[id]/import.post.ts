import { idSchema } from '#contract/fields'
import { importSchema, type ImportPreview, type ImportResult } from '#contract/station'
import { keepWeather, stationById } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { bodyOf, paramOf } from '../../../utils/ask'
import { notFound, Refusal } from '../../../utils/refusal'
import { previewCsv, readCsv, UnreadableFile } from '../../../weather/csv'

/** Bad rows named in full; beyond that their number says enough. */
const MOST_LISTED = 200
/** The longest file of the contract, with room for letters of several bytes and escapes. */
const MOST_IMPORT_BYTES = 12_000_000

function readable<T>(read: () => T): T {
  try {
    return read()
  } catch (error) {
    if (error instanceof UnreadableFile) throw new Refusal(422, 'unreadable', error.message, { csv: error.message })
    throw error
  }
}

/** Without a mapping: a look into the file. With one: its good rows are kept. */
export default answer(async (event, { firm, today }): Promise<ImportPreview | ImportResult> => {
  const station = await stationById(firm.id, paramOf(event, 'id', idSchema, 'station'))
  if (!station) throw notFound('station')
  if (station.kind === 'simulated') throw new Refusal(409, 'simulated', 'The simulated station brings its own days. Add a station for your file.')
  const { csv, mapping } = await bodyOf(event, importSchema, MOST_IMPORT_BYTES)
  if (!mapping) return readable(() => previewCsv(csv))
  const { days, rejected } = readable(() => readCsv(csv, mapping, today))
  const { added, changed } = await keepWeather(firm.id, station.id, days)
  return { added, changed, unchanged: days.length - added - changed, rejected: rejected.slice(0, MOST_LISTED), rejectedCount: rejected.length }
})
