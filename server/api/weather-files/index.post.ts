import { said } from '#contract/said'
import type { WeatherFileTold } from '#contract/station'
import { compute } from '../../compute/pool'
import { answer } from '../../utils/answer'
import { fileInSteps } from '../../utils/fileInSteps'

/** A look into a weather file: what it is, whose it is, and what of it could be used. Nothing is kept. */
export default answer(async (event, work) =>
  fileInSteps<WeatherFileTold>(event, work, (bytes, { progress, signal }) =>
    compute(
      'previewFile',
      { bytes, last: work.today },
      {
        signal,
        progress: (share) => {
          progress(said('server.readingTheFile'), share)
        },
      },
    ),
  ),
)
