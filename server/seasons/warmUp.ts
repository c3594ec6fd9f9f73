import { AS_TOLD } from '#core/water/topLayer'
import { climateFromNormals } from '#core/weather/climate'
import { grassByCode } from '#core/grass/grasses'
import { toDay } from '#core/measure/calendar'
import { pureSeed } from '#core/seed/blends'
import type { SeasonInput } from '#core/establishment/season'
import type { SeasonWork } from './seasonWork'

/** As many rounds as make a thread run a first look at its full speed: its first one takes six times as long. */
const ROUNDS = 8
const YEARS = 8

/** A year that is nowhere: its outcome is thrown away. */
const wave = (mean: number, half: number) =>
  Array.from({ length: 12 }, (_, month) => mean - half * Math.cos((2 * Math.PI * month) / 12))
const NOWHERE: SeasonInput = {
  today: toDay('2026-09-01'),
  observed: [],
  forecast: [],
  climate: climateFromNormals({ tmaxC: wave(15, 11), tminC: wave(5, 9), rainMm: wave(80, 20), wetDays: wave(10, 2) }),
  ground: { latDeg: 50, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' },
  years: YEARS,
  seed: 1,
}

/** Seasons of nowhere, a whole one and a listed one in turn, each on ground of its own: work that makes a thread quick. */
export function* warmUps(): Generator<SeasonWork> {
  const input = JSON.stringify(NOWHERE)
  for (let round = 0; round < ROUNDS; round++)
    for (const only of [undefined, { sowOn: NOWHERE.today }])
      yield {
        key: `nowhere ${round}`,
        input,
        years: YEARS,
        seed: pureSeed('TF'),
        risk: {
          covering: 'covered',
          slopeShare: 0.02,
          bed: { cover: 'compost', coverMm: 5, watering: AS_TOLD },
        },
        mowingMm: 75,
        stand: only
          ? undefined
          : {
              old: grassByCode('TF'),
              keptShare: 0.6,
              scalpToMm: 40,
              liveSeedsPerCm2: 2,
              buried: true,
              fieldShare: 0.5,
            },
        ...(only ? { only } : {}),
      }
}
