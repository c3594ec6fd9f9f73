import { readingsFileSchema, type ReadingsResult } from '#contract/station'
import { keepReadings } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { stationAsked } from '../../../utils/stationAsked'
import { readReadings } from '../../../weather/csv'
import { MOST_IMPORT_BYTES, MOST_LISTED, readable } from '../../../weather/files'

/** Soil temperatures out of a logger's file: good rows kept, bad ones told by line. */
export default answer(async (event, work): Promise<ReadingsResult> => {
  const station = await stationAsked(event, work)
  const { csv, ...told } = await bodyOf(event, readingsFileSchema, MOST_IMPORT_BYTES)
  const { readings, rejected } = readable(() => readReadings(csv, { ...told, today: work.today }))
  // The same minute and depth twice in one file: the later row corrects the first.
  const once = [...new Map(readings.map((reading) => [`${reading.at} ${reading.depthMm}`, reading])).values()]
  if (once.length) await keepReadings(work.firm.id, station.id, once)
  return { kept: once.length, rejected: rejected.slice(0, MOST_LISTED), rejectedCount: rejected.length }
})
