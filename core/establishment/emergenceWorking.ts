import { GRASS_SOURCES, type Grass } from '../grass/grasses'
import { shortDay, type Day } from '../measure/calendar'
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
  const source = GRASS_SOURCES.thermal
  return {
    value: day.up50,
    working: {
      title: `50% emerged, sown ${shortDay(sowOn)}`,
      result: figure('days', day.up50),
      formula: 'Warmth at 5 mm, hour by hour, until the seed has had its sum. The soil is taken to stay moist.',
      lines: [
        { what: 'Nothing below', value: figure('tempC', baseC), source },
        { what: 'Fastest at', value: figure('tempC', optimumC), source },
        { what: 'Nothing above', value: figure('tempC', ceilingC), source },
        { what: 'Sum to the first 5%', value: figure('thermalCd', thermalTimeTo(0.05, grass)), source },
        { what: 'Sum to half', value: figure('thermalCd', medianCd), source },
        { what: 'Sum to 95%', value: figure('thermalCd', thermalTimeTo(0.95, grass)), source },
        {
          operator: '=',
          what: `50% emerged, middle of ${years} weather years`,
          value: figure('days', day.up50),
          subtotal: true,
          source: { kind: 'computed', text: 'soil by heat conduction' },
        },
        ...(day.up50Early === null ? [] : [{ what: 'In a warm year', value: figure('days', day.up50Early) }]),
        ...(day.up50Late === null ? [] : [{ what: 'In a cold year', value: figure('days', day.up50Late) }]),
      ],
      fieldCheck: 'Part the grass at the warmest, wettest spot from the first day named; sun and shade come up apart.',
    },
  }
}
