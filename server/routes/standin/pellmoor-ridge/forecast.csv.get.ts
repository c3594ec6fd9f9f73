import { forecastCsv, issuedSchema } from '#contract/feed'
import { csvAnswer } from '../../../utils/csvAnswer'
import { standinForecast } from '../../../weather/standin'

export default csvAnswer(issuedSchema, ({ on }) => forecastCsv(standinForecast(on)))
