import { cutsLowAtOnce } from '../../establishment/growth'
import type { Practices } from './practices'

/** Times a day that somebody of the firm comes by to water. */
export const ROUNDS_A_DAY: Record<Practices['wateringRounds'], number> = { none: 0, 'once a day': 1, 'twice a day': 2 }

/** The first mowing takes turf that is kept at a height down to it at once. @param keptMm mm */
export const isCutLow = ({ firstCut }: Pick<Practices, 'firstCut'>, keptMm: number): boolean =>
  cutsLowAtOnce(keptMm, firstCut === 'low at once')

/** Share of the label rate that the heavy practice sows. @source trade: half again */
export const HEAVY_RATE = 1.5
/** Share more sown in spring by those who hold it. @source own */
export const SPRING_RATE = 1.25

export const STARTER_ANALYSIS: Record<Exclude<Practices['starter'], 'none'>, string> = {
  starter: '18-24-12',
  balanced: '10-10-10',
}
