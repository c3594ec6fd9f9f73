import type { Gate } from '../explain/judgement'
import { figure } from '../measure/figure'
import type { ZoneSurvey } from '../site/zone'
import { GRASSES, type Grass, type GrassCode } from './grasses'
import { swardByCode } from './swards'

/** How well a grass suits a zone, and what speaks against it. */
export interface GrassVerdict {
  grass: Grass
  /** Nothing holds against it. */
  suits: boolean
  conflicts: Gate[]
  score: number
}

export interface GrassWishes {
  /** Family lawns take wear; low and fine ones are cut short. */
  look: 'family' | 'fine' | null
  /** Absolute latitude, degrees: what a season can be counted on for. */
  latDeg: number
}

/**
 * Warm-season grass north of this, cool-season south of that, is out of its region. @source turf handbooks, drawn roughly by
 * latitude
 */
const WARM_TO_DEG = 38
const COOL_FROM_DEG = 31
/** Bluegrass belongs to the colder zones. @source trade: USDA hardiness zones 2-6; latitude stands in for the zone */
const BLUEGRASS_FROM_DEG = 36
/** Sun a grass can do with less, h, before it thins. @source own */
const SUN_TOLERANCE_H = 0.5
const LEAST_SUN_H = 3
const FINE_CUT_MM = 40

const WEARS_WELL = new Set<GrassCode>(['PRG', 'KBG', 'TF', 'BER', 'ZOY'])
const FINE_LEAVED = new Set<GrassCode>(['CRF', 'CHF', 'HF', 'CBG', 'PRG', 'KBG', 'RBG', 'BER', 'ZOY'])

function conflictsOf(grass: Grass, zone: ZoneSurvey, { look, latDeg }: GrassWishes): { gate: Gate; weight: number }[] {
  const found: { gate: Gate; weight: number }[] = []
  const say = (weight: number, state: Gate['state'], text: Gate['text'], kind: 'mem' | 'trade' | 'own', from: string) =>
    found.push({ weight, gate: { state, text, source: { kind, text: from } } })
  const sun = figure('hours', zone.sunHours, 2)
  if (zone.sunHours < LEAST_SUN_H)
    say(20, 'hold', ['Below 3 hours of sun no turf lasts; this gets ', sun, '.'], 'mem', 'below 3 h')
  else if (zone.sunHours < grass.sunHours - SUN_TOLERANCE_H)
    say(
      8,
      'risk',
      [`${grass.name} wants `, figure('hours', grass.sunHours, 2), ' of sun; this gets ', sun, '.'],
      'mem',
      'sun need',
    )
  const warm = grass.season === 'warm'
  const degrees = Math.abs(latDeg)
  if (warm && degrees > WARM_TO_DEG)
    say(10, 'risk', [`${grass.name} winters badly this far from the equator.`], 'mem', 'region of warm-season grass')
  if (!warm && degrees < COOL_FROM_DEG)
    say(
      10,
      'risk',
      [`${grass.name} does not last the summers here, but for winter colour.`],
      'mem',
      'region of cool-season grass',
    )
  if (grass.code === 'KBG' && degrees < BLUEGRASS_FROM_DEG)
    say(4, 'risk', ['Kentucky bluegrass belongs to colder regions.'], 'trade', 'USDA zones 2 to 6')
  const kept = zone.keptMm ?? zone.mowingHeightMm
  const [low, high] = grass.mowingMm
  if (kept < low * 0.9)
    say(
      5,
      'risk',
      ['Kept at ', figure('depthMm', kept), ', lower than ', figure('depthMm', low), ` that ${grass.name} bears.`],
      'mem',
      'mowing heights',
    )
  else if (kept > high * 1.25)
    say(
      2,
      'risk',
      ['Kept at ', figure('depthMm', kept), `, higher than ${grass.name} looks well at.`],
      'mem',
      'mowing heights',
    )
  if (look === 'fine' && !FINE_LEAVED.has(grass.code))
    say(4, 'risk', [`${grass.name} is too broad in the leaf for a low, fine lawn.`], 'mem', 'texture')
  if ((zone.wear === 'some' || zone.wear === 'heavy') && !WEARS_WELL.has(grass.code))
    say(3, 'risk', [`${grass.name} does not stand being walked on.`], 'mem', 'wear')
  if (grass.code === 'ARG')
    say(12, 'risk', ['Annual ryegrass is gone within the year: winter colour only.'], 'mem', 'annual')
  if (grass.code === 'CBG' && kept > FINE_CUT_MM)
    say(6, 'risk', ['Creeping bentgrass is for a very low cut.'], 'mem', 'mowing heights')
  if (grass.code === 'RBG' && zone.drainage === 'free')
    say(3, 'risk', ['Rough bluegrass is for wet shade; it dries out on free ground.'], 'mem', 'cool, wet shade')
  const sward = zone.sward ? swardByCode(zone.sward) : undefined
  if (sward && sward.code !== grass.code && sward.code !== 'MIX') {
    const mostlyKept = zone.desirableShare >= 0.3
    if (sward.season !== grass.season)
      say(mostlyKept ? 6 : 1, 'risk', [`Among ${sward.name} it is green at other times.`], 'mem', 'match season')
    else if (mostlyKept && sward.coarse !== (grass.code === 'TF'))
      say(
        3,
        'risk',
        [`Among ${sward.name} it shows as patches: another leaf, another green.`],
        'mem',
        'fine and coarse do not match',
      )
    else if (mostlyKept)
      say(
        1,
        'waiting',
        [`Another species than the ${sward.name} that is there: compare the green first.`],
        'mem',
        'match texture and colour',
      )
  }
  return found
}

/**
 * Every grass judged for a zone by sun, region, height, wear, look and what grows there now, the best first.
 * @source turf handbooks; weights own
 */
export function judgeGrasses(zone: ZoneSurvey, wishes: GrassWishes): GrassVerdict[] {
  return GRASSES.map((grass) => {
    const conflicts = conflictsOf(grass, zone, wishes)
    const same = zone.sward === grass.code ? -2 : 0
    return {
      grass,
      conflicts: conflicts.map(({ gate }) => gate),
      suits: !conflicts.some(({ gate }) => gate.state !== 'waiting'),
      score: conflicts.reduce((sum, { weight }) => sum + weight, same),
    }
  }).sort((a, b) => a.score - b.score)
}
