import { WEATHER_SEED } from '#core/weather/generator'
import { figure } from '#core/measure/figure'
import { asSaid } from '#contract/said'
import { say } from '#core/explain/message'
import { createHash } from 'node:crypto'
import type { Ground } from '#core/soil/soilCourse'
import { LAPSE_K_PER_M } from '#core/weather/weather'
import { DAYS_BEHIND } from '#core/establishment/season'
import { addDays } from '#core/measure/calendar'
import { farKm } from '#core/site/geodesy'
import type { Lender } from '../compute/climate'
import { compute } from '../compute/pool'
import type { AtWork } from '../records/firms'
import { stationsOf, weatherNow, weatherText, type StationRecord, type WeatherNow } from '../records/stations'
import { Refusal } from '../utils/refusal'
import { remembering } from '../utils/remembered'
import { clockAheadH } from '#core/measure/clock'
import { groundOf } from './subject'

const MOST_TOLD = 24
/** What a station told last, with a season of a probe's readings. */
const toldOf = remembering<WeatherNow>(MOST_TOLD)

/** Whose normals stand in where a station has none of its own: those of the nearest that has. */
async function lenderOf(firmId: string, station: StationRecord): Promise<Lender | undefined> {
  const all = station.normals ? [station] : await stationsOf(firmId)
  const [lender] = all.filter(({ normals }) => normals).sort((a, b) => farKm(a, station) - farKm(b, station))
  return lender && { name: lender.name, normals: lender.normals!, few: lender.fewFigures !== null }
}

/** All that a season is computed from, so that it can be computed anywhere. */
export interface Grounds {
  /** A `SeasonInput` as JSON: threads and browsers read it, the server hands it through. */
  input: string
  /** How the weather years were made, in words. */
  yearsFrom: string
}

/** Air over a lawn that lies higher is colder than at its station. */
const warmerK = (station: StationRecord, heightM: number | null): number =>
  station.heightM === null || heightM === null ? 0 : Math.round((station.heightM - heightM) * LAPSE_K_PER_M * 100) / 100

/** What a station tells just now, and whose normals stand in for its own: the same for all lawns that read it. */
export interface StationTold {
  now: WeatherNow
  lender: Lender | undefined
}

export const stationTold = async ({ firm, today }: AtWork, station: StationRecord): Promise<StationTold> => ({
  now: await toldOf([station.id, station.toldVersion, today].join('/'), () =>
    weatherNow(firm.id, station.id, today, addDays(today, -DAYS_BEHIND)),
  ),
  lender: await lenderOf(firm.id, station),
})

/**
 * What a season is computed from, with a key that changes when any of it does; the long record is read only where it
 * is wanted.
 */
export function groundsOf(
  { firm, today }: AtWork,
  station: StationRecord,
  { now, lender }: StationTold,
  { ground, heightM }: { ground: Ground; heightM: number | null },
): { key: string; read: () => Promise<Grounds> } {
  const ahead = clockAheadH(firm.timeZone, station.lonDeg, today)
  const warmer = warmerK(station, heightM)
  const known = {
    forecast: now.forecast,
    ground,
    seed: WEATHER_SEED,
    warmerK: warmer,
    probe: { ground: groundOf(station), clockAheadH: ahead },
  }
  const { name, normals } = station
  const told = { name, normals, few: station.fewFigures !== null, lender, today, known }
  return {
    key: createHash('sha256')
      .update(JSON.stringify([station.id, now.stamp, told]))
      .digest('hex'),
    async read() {
      const made = await compute('groundsOfStation', {
        ...told,
        readings: now.readings,
        record: await weatherText(firm.id, station.id),
      })
      if ('lacks' in made) throw new Refusal(409, 'weather', made.lacks)
      const { from, input } = made
      return {
        yearsFrom: asSaid(
          warmer ? say('server.movedBy', { from, step: figure('tempStepK', Math.abs(warmer), 2) }) : from,
        ),
        input,
      }
    },
  }
}
