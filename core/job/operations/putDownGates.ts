import type { ForecastDay } from '../../weather/weather'
import { addDays, weekdayName, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Phrase } from '../../explain/phrase'
import type { Source } from '../../explain/working'
import type { PutDown } from './definition'

/** Rain that holds, mm: in all of the days after sowing, in the day of work and the next, or on the day alone. */
const RAIN = {
  /** @source own; four days is trade */
  seedMm: 12,
  seedDays: 4,
  /** @source own: not before heavy rain is trade */
  granulesMm: 12,
  /** @source own: no rain due is trade, the label's hours are the law */
  sprayMm: 1,
  /** @source own: material dry is trade */
  dressingMm: 3,
} as const
/** Wind for broadcasting and for spraying, km/h. @source turf handbooks */
const WIND = { mostKmh: 16, leastSprayKmh: 3 } as const
const HEAT_C = 30
/** Day of the forecast on which new seed dries faster than most people water. @source own */
export const SCORCH_C = 35
const FROST_C = 0
/** Frost that takes what has just come up. @source own*/
const HARD_FROST_C = -4

const MEM = (text: string): Source => ({ kind: 'mem', text })
export const OWN = (text: string): Source => ({ kind: 'own', text })

interface Looked {
  on: ForecastDay
  /** The days after it that the forecast reaches, up to four. */
  after: ForecastDay[]
}

const fallen = (days: readonly ForecastDay[]) => days.reduce((sum, { rainMm }) => sum + rainMm, 0)
export const gate = (code: string, state: Gate['state'], source: Source, ...text: Phrase): Gate => ({
  code,
  state,
  text,
  source,
})

function windGate({ on }: Looked, what: PutDown): Gate[] {
  const wind = on.windKmh
  if (wind === undefined || wind === null)
    return [{ state: 'waiting', text: ['wind of the day: the forecast does not tell it'] }]
  const told = figure('speedKmh', wind)
  if (wind >= WIND.mostKmh)
    return [
      gate(
        'wind',
        'hold',
        MEM('broadcast and spray below 10 mph (16 km/h)'),
        'wind of ',
        told,
        what === 'spray' ? ': it drifts' : ': it does not fall where it is thrown',
      ),
    ]
  if (what === 'spray' && wind <= WIND.leastSprayKmh)
    return [
      gate('wind', 'hold', MEM('spray above 2 mph (3 km/h)'), 'still air, ', told, ': fine drops hang and wander'),
    ]
  return [gate('wind', 'met', MEM('below 10 mph (16 km/h)'), 'wind of ', told)]
}

/** The day of a frost or a heat in words. */
const dayOf = ({ day }: ForecastDay, on: Day): string => (day === on ? 'that day' : weekdayName(day))

function seedGates(looked: Looked): Gate[] {
  const { on, after } = looked
  const gates: Gate[] = []
  if (after.length < RAIN.seedDays) gates.push({ state: 'waiting', text: ['forecast of the four days after'] })
  else {
    const rainMm = fallen(after)
    gates.push(
      gate(
        'rain',
        rainMm >= RAIN.seedMm ? 'hold' : 'met',
        OWN('hold at ½ in (12 mm)'),
        figure('waterMm', rainMm),
        ' of rain forecast for the four days after',
      ),
    )
  }
  const days = [on, ...after]
  const coldest = days.reduce((a, b) => (b.tminC < a.tminC ? b : a))
  const hottest = days.reduce((a, b) => (b.tmaxC > a.tmaxC ? b : a))
  if (coldest.tminC <= HARD_FROST_C)
    gates.push(
      gate(
        'frost',
        'hold',
        OWN('hold at 25 °F (−4 °C)'),
        `hard frost ${dayOf(coldest, on.day)}, `,
        figure('tempC', coldest.tminC, 2),
      ),
    )
  else if (coldest.tminC <= FROST_C)
    gates.push(
      gate(
        'frost',
        'risk',
        OWN('frost within four days'),
        `frost ${dayOf(coldest, on.day)}, `,
        figure('tempC', coldest.tminC, 2),
        ': nothing that sprouts by then bears it',
      ),
    )
  if (hottest.tmaxC >= SCORCH_C)
    gates.push(
      gate(
        'heat',
        'hold',
        OWN('hold at 95 °F (35 °C)'),
        `heat ${dayOf(hottest, on.day)}, `,
        figure('tempC', hottest.tmaxC, 2),
        ': the top dries within hours',
      ),
    )
  else if (hottest.tmaxC > HEAT_C)
    gates.push(
      gate(
        'heat',
        'risk',
        OWN('above 86 °F (30 °C)'),
        `heat ${dayOf(hottest, on.day)}, `,
        figure('tempC', hottest.tmaxC, 2),
        ': one more watering a day',
      ),
    )
  return [...gates, ...windGate(looked, 'seed')]
}

/** Rain of the day and the next against what holds. @param does what rain would do to it */
function twoDaysRain({ on, after }: Looked, mostMm: number, source: Source, does: string): Gate {
  const rainMm = fallen([on, ...after.slice(0, 1)])
  const holds = rainMm >= mostMm
  return gate(
    'rain',
    holds ? 'hold' : 'met',
    source,
    figure('waterMm', rainMm),
    holds ? ` of rain in the two days: ${does}` : ' of rain forecast for the two days',
  )
}

function granuleGates(looked: Looked): Gate[] {
  const { on } = looked
  const gates = [
    twoDaysRain(looked, RAIN.granulesMm, OWN('hold at ½ in (12 mm) in two days'), 'it would be washed off'),
  ]
  if (on.tmaxC > HEAT_C)
    gates.push(
      gate(
        'heat',
        'risk',
        MEM('granules burn in heat'),
        'heat of ',
        figure('tempC', on.tmaxC, 2),
        ': on dry leaves, and watered in at once',
      ),
    )
  if (on.tminC <= HARD_FROST_C)
    gates.push(
      gate(
        'frost',
        'hold',
        MEM('not on frozen ground'),
        'hard frost, ',
        figure('tempC', on.tminC, 2),
        ': not on frozen ground',
      ),
    )
  return [...gates, ...windGate(looked, 'granules')]
}

function sprayGates(looked: Looked): Gate[] {
  const { on } = looked
  const gates = [
    twoDaysRain(
      looked,
      RAIN.sprayMm,
      OWN('hold at 0.04 in (1 mm) in two days; the label gives the hours'),
      'the leaf has to stay dry',
    ),
  ]
  if (on.tmaxC > HEAT_C)
    gates.push(
      gate(
        'heat',
        'hold',
        MEM('not in heat'),
        'heat of ',
        figure('tempC', on.tmaxC, 2),
        ': it rises and drifts, and plants under stress take little up',
      ),
    )
  if (on.tminC <= FROST_C)
    gates.push(
      gate(
        'frost',
        'hold',
        MEM('leaf has to grow'),
        'frost, ',
        figure('tempC', on.tminC, 2),
        ': what does not grow takes nothing up',
      ),
    )
  return [...gates, ...windGate(looked, 'spray')]
}

function dressingGates(looked: Looked): Gate[] {
  const { on } = looked
  const gates: Gate[] = [
    gate(
      'rain',
      on.rainMm >= RAIN.dressingMm ? 'hold' : 'met',
      OWN('hold at ⅛ in (3 mm) on the day'),
      figure('waterMm', on.rainMm),
      on.rainMm >= RAIN.dressingMm
        ? ' of rain that day: wet material smears and balls'
        : ' of rain forecast for the day',
    ),
  ]
  if (on.tmaxC > HEAT_C)
    gates.push(
      gate(
        'heat',
        'risk',
        MEM('turf under stress'),
        'heat of ',
        figure('tempC', on.tmaxC, 2),
        ': buried turf suffers, water it in',
      ),
    )
  return gates
}

const JUDGED: Record<PutDown, (looked: Looked) => Gate[]> = {
  seed: seedGates,
  granules: granuleGates,
  spray: sprayGates,
  dressing: dressingGates,
}

/**
 * What the forecast says to putting something down on a day: rain, frost, heat and wind of the day and of those after it.
 * @returns gates; one that waits where the forecast does not reach the day
 * @source turf handbooks, trade and own: every product wants a look at the forecast first
 */
export function forecastGates(what: PutDown, on: Day, forecast: readonly ForecastDay[]): Gate[] {
  const day = forecast.find((told) => told.day === on)
  if (!day)
    return [{ state: 'waiting', text: [what === 'seed' ? 'forecast of the four days after' : 'forecast of the day'] }]
  const after: ForecastDay[] = []
  for (let i = 1; i <= RAIN.seedDays; i++) {
    const next = forecast.find((told) => told.day === addDays(on, i))
    if (!next) break
    after.push(next)
  }
  return JUDGED[what]({ on: day, after })
}
