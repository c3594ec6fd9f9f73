import { figure } from '../../measure/figure'
import type { Phrase } from '../../explain/phrase'
import { liftShares, LIFT_MM } from '../../site/hollow'
import { addedHours, crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { soilOf, type Part } from '../parts'
import { onTheDay, type Brief, type Turn } from './brief'
import { soilName } from './groundBriefs'

function levelSoil(part: Part): Phrase {
  const { volumeM3 } = soilOf(part)
  return [figure('volumeM3', volumeM3), ` of ${soilName(part)}, settling added`]
}
const hoursToMove = (part: Part, title: string, times = 1) =>
  addedHours(
    crewHours(title, soilOf(part).overM2, [{ what: 'Dragging level', passes: times, rateM2PerH: RATES.level }]),
    'Barrowing',
    soilOf(part).volumeM3,
    RATES.barrowM3PerH,
  )

export function level(part: Part): Brief {
  const { deepestMm } = soilOf(part)
  const dressFirst =
    part.schools.dressing === 'dress first' || (part.schools.dressing === 'by depth' && deepestMm > LIFT_MM)
  const living = part.programme.keepsTurf && deepestMm > LIFT_MM
  return {
    settings: [
      ...levelSoil(part),
      living
        ? '. Over living grass one lift of ½ in (12 mm); the rest in later lifts. '
        : '. Heaps, rake, drag; heel or roll, drag again. ',
      dressFirst
        ? 'Before the seed, which is then raked in.'
        : 'Thin over the seed at the end; only the deep places now.',
    ],
    gates: [onTheDay('material dry: no rain on it for 3 days'), onTheDay('footprints do not sink after firming')],
    hours: hoursToMove(part, 'Level'),
  }
}

/** Soil that is carried in one bucket, m³. @source own, reference §11 */
const BUCKET_M3 = 0.012

export function lift(part: Part, { number, of }: Turn): Brief {
  const { deepestMm, volumeM3, overM2 } = soilOf(part)
  const shares = liftShares(deepestMm, overM2 ? (volumeM3 / overM2) * 1000 : deepestMm)
  const own = shares[number - 1]
  if (!own) return { settings: ['Nothing more: these hollows are full.'], gates: [], hours: crewHours('Dress', 0, []) }
  const last = number === shares.length
  if (volumeM3 * own.volumeShare < BUCKET_M3) {
    return {
      name: `Dress, lift ${number} of ${of}`,
      settings: [`A bucket or less of ${soilName(part)} into the deepest place. Leaf tips show through.`],
      gates: [],
      hours: crewHours('Dress', 0, []),
    }
  }
  return {
    ...(of > 1 ? { name: `Dress, lift ${number} of ${of}` } : {}),
    settings: [
      figure('volumeM3', volumeM3 * own.volumeShare),
      ` of ${soilName(part)}, settling added, `,
      figure('depthMm', last ? deepestMm - (number - 1) * LIFT_MM : LIFT_MM),
      ' at the most over ',
      figure('areaM2', overM2 * own.areaShare),
      '. Leaf tips show through.',
      ...(last ? [] : [' The next when it has grown through.']),
    ],
    gates: [],
    hours: addedHours(
      crewHours('Dress', overM2 * own.areaShare, [{ what: 'Dragging level', passes: 1, rateM2PerH: RATES.level }]),
      'Barrowing',
      volumeM3 * own.volumeShare,
      RATES.barrowM3PerH,
    ),
  }
}
