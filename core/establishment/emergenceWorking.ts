import { say, shortDay } from '../explain/message'
import { alternatingC, GRASS_SOURCES, type Grass } from '../grass/grasses'
import type { Day } from '../measure/calendar'
import { figure } from '../measure/figure'
import type { Worked } from '../explain/working'
import { thermalTimeTo } from './germination'
import type { SowingDay } from './sowingDay'

/**
 * Days from sowing until half of what will emerge is up, with how it came about.
 * @returns undefined where half is not up in half of the weather years
 */
export function emergenceWorked(grass: Grass, sowOn: Day, day: SowingDay, years: number): Worked | undefined {
  if (day.up50 === null) return undefined
  const { baseC, optimumC, ceilingC, medianCd } = grass.thermal
  const [night, day8] = alternatingC(grass)
  const source = GRASS_SOURCES.thermal
  return {
    value: day.up50,
    working: {
      title: say('establishment.n50EmergedSown', { sowOn: shortDay(sowOn) }),
      result: figure('days', day.up50),
      formula: say('establishment.warmthAt5Mm'),
      lines: [
        { what: say('establishment.nothingBelow'), value: figure('tempC', baseC), source },
        { what: say('establishment.fastestAt'), value: figure('tempC', optimumC), source },
        { what: say('establishment.nothingAbove'), value: figure('tempC', ceilingC), source },
        {
          what: say('establishment.laboratoriesAlternate', { night: figure('tempC', night, 2) }),
          value: figure('tempC', day8, 2),
          source: { kind: 'std', text: say('establishment.istaTable') },
        },
        {
          what: say('establishment.swingOfTheDay', { low: figure('tempC', day.seedbedSwing.lowC, 2) }),
          value: figure('tempC', day.seedbedSwing.highC, 2),
          source: { kind: 'computed', text: say('establishment.soilByHeatConduction') },
        },
        { what: say('establishment.sumToTheFirst'), value: figure('thermalCd', thermalTimeTo(0.05, grass)), source },
        { what: say('establishment.sumToHalf'), value: figure('thermalCd', medianCd), source },
        { what: say('establishment.sumTo95'), value: figure('thermalCd', thermalTimeTo(0.95, grass)), source },
        {
          operator: '=',
          what: say('establishment.n50EmergedMiddleOf', { years }),
          value: figure('days', day.up50),
          subtotal: true,
          source: { kind: 'computed', text: say('establishment.soilByHeatConduction') },
        },
        ...(day.up50Early === null
          ? []
          : [{ what: say('establishment.inAWarmYear'), value: figure('days', day.up50Early) }]),
        ...(day.up50Late === null
          ? []
          : [{ what: say('establishment.inAColdYear'), value: figure('days', day.up50Late) }]),
      ],
      rounding: say(
        grass.code === 'KBG' ? 'establishment.bluegrassWantsTheSwing' : 'establishment.swingDoesItByItself',
      ),
      fieldCheck: say('establishment.partTheGrassAt'),
    },
  }
}
