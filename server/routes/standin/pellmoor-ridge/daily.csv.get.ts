import { dailyCsv, spanSchema } from '#contract/feed'
import { csvAnswer } from '../../../utils/csvAnswer'
import { standinDays } from '../../../weather/standin'

export default csvAnswer(spanSchema, ({ from, to }) => dailyCsv(standinDays(from, to)))
