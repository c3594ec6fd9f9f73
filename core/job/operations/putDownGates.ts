import { say, weekdayName, type Message, type SaidDay } from '../../explain/message'
import type { ForecastDay } from '../../weather/weather'
import { addDays, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
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
  /** What waters a pre-emergent in, and washes it off. @source labels, from memory: about half an inch */
  waterInMm: 6,
  washOffMm: 25,
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

const MEM = (text: Message): Source => ({ kind: 'mem', text })
export const OWN = (text: Message): Source => ({ kind: 'own', text })

interface Looked {
  on: ForecastDay
  /** The days after it that the forecast reaches, up to four. */
  after: ForecastDay[]
}

const fallen = (days: readonly ForecastDay[]) => days.reduce((sum, { rainMm }) => sum + rainMm, 0)
export const gate = (code: string, state: Gate['state'], source: Source, text: Message): Gate => ({
  code,
  state,
  text,
  source,
})

function windGate({ on }: Looked, what: PutDown): Gate[] {
  const wind = on.windKmh
  if (wind === undefined || wind === null) return [{ state: 'waiting', text: say('operations.windOfTheDay') }]
  const told = figure('speedKmh', wind)
  if (wind >= WIND.mostKmh)
    return [
      gate(
        'wind',
        'hold',
        MEM(say('operations.broadcastAndSprayBelow')),
        say('operations.windOfSprayIt', { told, what }),
      ),
    ]
  if (what === 'spray' && wind <= WIND.leastSprayKmh)
    return [gate('wind', 'hold', MEM(say('operations.sprayAbove2Mph')), say('operations.stillAirFineDrops', { told }))]
  return [gate('wind', 'met', MEM(say('operations.below10Mph16')), say('operations.windOf', { told }))]
}

/** The day of a frost or a heat in words. */
const dayOf = ({ day }: ForecastDay, on: Day): Message | SaidDay =>
  day === on ? say('operations.thatDay') : weekdayName(day)

function seedGates(looked: Looked): Gate[] {
  const { on, after } = looked
  const gates: Gate[] = []
  if (after.length < RAIN.seedDays) gates.push({ state: 'waiting', text: say('operations.forecastOfTheFour') })
  else {
    const rainMm = fallen(after)
    gates.push(
      gate(
        'rain',
        rainMm >= RAIN.seedMm ? 'hold' : 'met',
        OWN(say('operations.holdAtIn12')),
        say('operations.ofRainForecastFor', { rainMm: figure('waterMm', rainMm) }),
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
        OWN(say('operations.holdAt25F')),
        say('operations.hardFrost', { coldest: dayOf(coldest, on.day), tminC: figure('tempC', coldest.tminC, 2) }),
      ),
    )
  else if (coldest.tminC <= FROST_C)
    gates.push(
      gate(
        'frost',
        'risk',
        OWN(say('operations.frostWithinFourDays')),
        say('operations.frostNothingThatSprouts', {
          coldest: dayOf(coldest, on.day),
          tminC: figure('tempC', coldest.tminC, 2),
        }),
      ),
    )
  if (hottest.tmaxC >= SCORCH_C)
    gates.push(
      gate(
        'heat',
        'hold',
        OWN(say('operations.holdAt95F')),
        say('operations.heatTheTopDries', {
          hottest: dayOf(hottest, on.day),
          tmaxC: figure('tempC', hottest.tmaxC, 2),
        }),
      ),
    )
  else if (hottest.tmaxC > HEAT_C)
    gates.push(
      gate(
        'heat',
        'risk',
        OWN(say('operations.above86F30')),
        say('operations.heatOneMoreWatering', {
          hottest: dayOf(hottest, on.day),
          tmaxC: figure('tempC', hottest.tmaxC, 2),
        }),
      ),
    )
  return [...gates, ...windGate(looked, 'seed')]
}

/** Rain of the day and the next against what holds. @param does what rain would do to it */
function twoDaysRain({ on, after }: Looked, mostMm: number, source: Source, does: Message): Gate {
  const rainMm = fallen([on, ...after.slice(0, 1)])
  const holds = rainMm >= mostMm
  return gate(
    'rain',
    holds ? 'hold' : 'met',
    source,
    say('operations.ofRainInThe', { rainMm: figure('waterMm', rainMm), hasHolds: Boolean(holds), does }),
  )
}

function granuleGates(looked: Looked): Gate[] {
  const { on } = looked
  const gates = [
    twoDaysRain(looked, RAIN.granulesMm, OWN(say('operations.holdAtIn12Mm')), say('operations.itWouldBeWashed')),
  ]
  if (on.tmaxC > HEAT_C)
    gates.push(
      gate(
        'heat',
        'risk',
        MEM(say('operations.granulesBurnInHeat')),
        say('operations.heatOfOnDry', { tmaxC: figure('tempC', on.tmaxC, 2) }),
      ),
    )
  if (on.tminC <= HARD_FROST_C)
    gates.push(
      gate(
        'frost',
        'hold',
        MEM(say('operations.notOnFrozenGround')),
        say('operations.hardFrostNotOn', { tminC: figure('tempC', on.tminC, 2) }),
      ),
    )
  return [...gates, ...windGate(looked, 'granules')]
}

function sprayGates(looked: Looked): Gate[] {
  const { on } = looked
  const gates = [twoDaysRain(looked, RAIN.sprayMm, OWN(say('operations.holdAt004')), say('operations.theLeafHasTo'))]
  if (on.tmaxC > HEAT_C)
    gates.push(
      gate(
        'heat',
        'hold',
        MEM(say('operations.notInHeat')),
        say('operations.heatOfItRises', { tmaxC: figure('tempC', on.tmaxC, 2) }),
      ),
    )
  if (on.tminC <= FROST_C)
    gates.push(
      gate(
        'frost',
        'hold',
        MEM(say('operations.leafHasToGrow')),
        say('operations.frostWhatDoesNot', { tminC: figure('tempC', on.tminC, 2) }),
      ),
    )
  return [...gates, ...windGate(looked, 'spray')]
}

/** What works in the soil wants watering in, and no downpour. */
function soilSprayGates(looked: Looked): Gate[] {
  const { on, after } = looked
  const rainMm = fallen([on, ...after.slice(0, 1)])
  const told = figure('waterMm', rainMm)
  const source = MEM(say('operations.labelsWaterIn'))
  return [
    rainMm >= RAIN.washOffMm
      ? gate('rain', 'hold', source, say('operations.rainWashesItOff', { told }))
      : rainMm >= RAIN.waterInMm
        ? gate('rain', 'met', source, say('operations.rainWatersItIn', { told }))
        : { state: 'waiting', text: say('operations.waterItIn', { depth: figure('waterMm', RAIN.waterInMm) }), source },
    ...windGate(looked, 'spray'),
  ]
}

function dressingGates(looked: Looked): Gate[] {
  const { on } = looked
  const gates: Gate[] = [
    gate(
      'rain',
      on.rainMm >= RAIN.dressingMm ? 'hold' : 'met',
      OWN(say('operations.holdAtIn3')),
      say('operations.ofRainThatDay', {
        rainMm: figure('waterMm', on.rainMm),
        rainMmOver: on.rainMm >= RAIN.dressingMm,
      }),
    ),
  ]
  if (on.tmaxC > HEAT_C)
    gates.push(
      gate(
        'heat',
        'risk',
        MEM(say('operations.turfUnderStress')),
        say('operations.heatOfBuriedTurf', { tmaxC: figure('tempC', on.tmaxC, 2) }),
      ),
    )
  return gates
}

const JUDGED: Record<PutDown, (looked: Looked) => Gate[]> = {
  seed: seedGates,
  granules: granuleGates,
  spray: sprayGates,
  soilSpray: soilSprayGates,
  dressing: dressingGates,
}

/**
 * What the forecast says to putting something down on a day: rain, frost, heat and wind of the day and of those after it.
 * @returns gates; one that waits where the forecast does not reach the day
 * @source turf handbooks, trade and own: every product wants a look at the forecast first
 */
export function forecastGates(what: PutDown, on: Day, forecast: readonly ForecastDay[]): Gate[] {
  const day = forecast.find((told) => told.day === on)
  if (!day) return [{ state: 'waiting', text: say('operations.seedForecastOfThe', { what }) }]
  const after: ForecastDay[] = []
  for (let i = 1; i <= RAIN.seedDays; i++) {
    const next = forecast.find((told) => told.day === addDays(on, i))
    if (!next) break
    after.push(next)
  }
  return JUDGED[what]({ on: day, after })
}
