import { said } from '#contract/said'
import { readingsFileSchema, type ReadingsResult } from '#contract/station'
import { compute } from '../../../compute/pool'
import { keepReadingRows } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { queryOf } from '../../../utils/ask'
import { fileInSteps } from '../../../utils/fileInSteps'
import { stationAsked } from '../../../utils/stationAsked'

/** Soil temperatures out of a logger's file: good rows kept, bad ones told by line. */
export default answer(async (event, work) => {
  const station = await stationAsked(event, work)
  const { temperature = null, depthMm = null } = queryOf(event, readingsFileSchema)
  return fileInSteps<ReadingsResult>(event, work, async (bytes, { progress, signal }) => {
    const told = { temperature, depthMm, today: work.today }
    const { pieces, count, ...rejected } = await compute(
      'readingsFile',
      { bytes, told },
      {
        signal,
        progress: (share) => {
          progress(said('server.readingTheFile'), share)
        },
      },
    )
    progress(said('server.savingTheReadings'), null)
    await keepReadingRows(work.firm.id, station.id, pieces)
    return { kept: count, ...rejected }
  })
})
