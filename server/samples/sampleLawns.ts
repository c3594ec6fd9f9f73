import { createHash } from 'node:crypto'
import { say, type Message } from '#core/explain/message'
import type { GrassCode } from '#core/grass/grasses'
import { addDays, type Day } from '#core/measure/calendar'
import { M2_PER_FT2 } from '#core/measure/units'
import type { UnitSystem } from '#core/measure/figure'
import { NEW_ZONE, type Zone } from '#core/site/zone'
import type { FirmSettings } from '#contract/firm'
import type { Look } from '#contract/look'
import type { NewLawn } from '#contract/newLawn'

/** What is surveyed of one, as far as samples differ. */
interface Sample {
  name: Message
  growsNow: Message
  areaFt2: number
  areaM2: number
  /** Where cool-season grass is sown, and where warm-season grass is. */
  grass: Readonly<Record<'cool' | 'warm', GrassCode>>
  zone: Partial<Zone>
  texture: Look['texture']
  water: Partial<Look['water']>
  /** A pre-emergent went down so many days ago. */
  preEmergentDaysAgo?: number
}

const cover = (grass: number, weeds: number, coarse: number): Partial<Zone> => ({
  desirableShare: grass / 100,
  weedShare: weeds / 100,
  coarseShare: coarse / 100,
  bareShare: (100 - grass - weeds - coarse) / 100,
})

/** Invented: one lawn that wants seed, one that wants light first, one whose thatch and label stand in the way. */
const SAMPLES: readonly Sample[] = [
  {
    name: say('server.sampleThinInTheSun'),
    growsNow: say('server.sampleThinGrows'),
    areaFt2: 5200,
    areaM2: 480,
    grass: { cool: 'TF', warm: 'BER' },
    zone: { ...cover(62, 14, 4), plugsMm: [8, 10], mowingHeightMm: 70, sunHours: 8, slopeShare: 0.02 },
    texture: 'loam',
    water: { source: 'sprinklers', timesADay: 3, restriction: 'none' },
  },
  {
    name: say('server.sampleShadedMossy'),
    growsNow: say('server.sampleShadedGrows'),
    areaFt2: 2400,
    areaM2: 220,
    grass: { cool: 'CRF', warm: 'ZOY' },
    zone: { ...cover(46, 24, 0), plugsMm: [6], mowingHeightMm: 65, sunHours: 4.5, slopeShare: 0.06 },
    texture: 'sandy loam',
    water: { source: 'hose', timesADay: 2, restriction: 'none' },
  },
  {
    name: say('server.sampleThatchAndWeeds'),
    growsNow: say('server.sampleThatchGrows'),
    areaFt2: 7600,
    areaM2: 700,
    grass: { cool: 'KBG', warm: 'BER' },
    zone: { ...cover(52, 22, 12), plugsMm: [20, 24, 22], mowingHeightMm: 60, sunHours: 7, slopeShare: 0.03 },
    texture: 'clay loam',
    water: { source: 'hose', timesADay: 2, restriction: 'none' },
    preEmergentDaysAgo: 70,
  },
]

/** Of a firm, always the same: loaded twice, by a double click or by two people, each is there once. */
function idOf(firmId: string, i: number): string {
  const hex = createHash('sha256').update(`${firmId}/sample lawn ${i}`).digest('hex')
  return [hex.slice(0, 8), hex.slice(8, 12), `4${hex.slice(13, 16)}`, `8${hex.slice(17, 20)}`, hex.slice(20, 32)].join(
    '-',
  )
}

export interface SampleLawn {
  lawn: NewLawn
  /** What its survey says beyond what a new lawn begins with. */
  look: Pick<Look, 'texture' | 'nothingPutOn' | 'applications'> & { water: Partial<Look['water']>; zone: Zone }
}

export function sampleLawns(
  { id, units, grows }: { id: string; units: UnitSystem; grows: FirmSettings['grows'] },
  today: Day,
  tell: (message: Message) => string,
): SampleLawn[] {
  return SAMPLES.map((sample, i) => {
    const us = units === 'us'
    const areaM2 = us ? sample.areaFt2 * M2_PER_FT2 : sample.areaM2
    const areaTyped = us ? `${sample.areaFt2} sq ft` : `${sample.areaM2} m2`
    // Who sows both sees one of the warm season among the cool.
    const grass = sample.grass[grows === 'warm' || (grows === 'both' && i === SAMPLES.length - 1) ? 'warm' : 'cool']
    const { preEmergentDaysAgo } = sample
    return {
      lawn: {
        id: idOf(id, i),
        client: tell(sample.name),
        address: tell(say('server.sampleAddress')),
        areaM2,
        areaTyped,
        growsNow: tell(sample.growsNow),
      },
      look: {
        texture: sample.texture,
        water: sample.water,
        nothingPutOn: preEmergentDaysAgo === undefined,
        applications:
          preEmergentDaysAgo === undefined
            ? []
            : [
                {
                  ingredient: 'prodiamine',
                  product: '',
                  rate: '',
                  appliedOn: addDays(today, -preEmergentDaysAgo),
                  waitDays: 182,
                },
              ],
        zone: {
          ...structuredClone(NEW_ZONE),
          name: 'Lawn',
          order: 0,
          areaTyped,
          tapedM2: areaM2,
          grass,
          sward: grass,
          wear: 'none',
          drainage: 'free',
          levelsSeen: true,
          barePatchy: false,
          grubs: 'none',
          ...sample.zone,
        },
      },
    }
  })
}
