import { probeCsv, spanSchema } from '#contract/feed'
import { csvAnswer } from '../../../utils/csvAnswer'
import { standinReadings } from '../../../weather/standin'

export default csvAnswer(spanSchema, ({ from, to }) => probeCsv(standinReadings(from, to)))
