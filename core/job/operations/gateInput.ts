import type { Day } from '../../measure/calendar'
import type { Application } from '../../site/survey'
import type { VisitTold } from './asked'
import type { Sky } from './weatherGates'
import type { FeedRules } from '../../materials/feedRules'
import type { Supply } from '../../site/soilTest'
import type { Planning } from '../planningFigures'
import type { Practices } from '../decision/practices'
import type { Extent } from './definition'

/** What gates are judged by on the day of an operation. */
export interface GateInput extends Sky {
  today: Day
  sowOn: Day
  applications: readonly Application[]
  extent: Pick<Extent, 'dormant' | 'soilTested'>
  workingDays: readonly number[]
  holidays: ReadonlySet<Day>
  /** Median modelled soil at probe depth on the sowing day, °C, and the band it should be in. */
  soil?: { expectedC: number; lowC: number; highC: number }
  /** The same soil on any day, as far as it is worked out. */
  soilOn?: (day: Day) => number | undefined
  /** Water that the root zone of the standing turf is expected to hold on a day, 0-1; rain alone. */
  groundOn?: (day: Day) => number | undefined
  /** The water in the ground is reckoned from normals alone: no guess holds work. */
  groundIsGuess?: boolean
  /** Whoever looked at the lawn found its lines located and marked. */
  located?: boolean
  /** Turf that is torn is to live on: none where all of it is killed or taken off. */
  keepsTurf: boolean
  practices: Practices
  /** Soil in which the turf that is worked on grows, °C. */
  growsFromC: number
  /** What is done, on which day, and whether what is looked at then was as it should be. */
  done: ReadonlyMap<string, { day: Day; passed: boolean }>
  /** What a soil test found of phosphorus, and the law of the place on fertilizer. */
  phosphorus?: Supply
  feedRules?: FeedRules
  planning: Planning
  /** Runs of days on which sowing is worth while, as far as the season is worked out. */
  windows?: readonly { from: Day; to: Day }[]
  /** What was answered at visits, the last of each task. */
  visits?: ReadonlyMap<string, VisitTold>
  /** Notes of the technician by task and gate: "scalp:surface". */
  overruled: Readonly<Record<string, string>>
}
