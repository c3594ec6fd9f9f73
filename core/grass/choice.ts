import { say, type Message } from '../explain/message'
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
  /** What speaks against its lasting here, by grass; nothing where the years are not worked out. */
  lasting: (grass: Grass) => Gate | undefined
}

/** Sun a grass can do with less, h, before it thins. @source own */
const SUN_TOLERANCE_H = 0.5
/** Against a grass that may not live here. @source own */
const LASTING_WEIGHT = 10
const LEAST_SUN_H = 3
const FINE_CUT_MM = 40

const WEARS_WELL = new Set<GrassCode>(['PRG', 'KBG', 'TF', 'BER', 'ZOY'])
const FINE_LEAVED = new Set<GrassCode>(['CRF', 'CHF', 'HF', 'CBG', 'PRG', 'KBG', 'RBG', 'BER', 'ZOY'])

function conflictsOf(grass: Grass, zone: ZoneSurvey, { look, lasting }: GrassWishes): { gate: Gate; weight: number }[] {
  const found: { gate: Gate; weight: number }[] = []
  const against = (weight: number, state: Gate['state'], text: Message, kind: 'mem' | 'trade' | 'own', from: Message) =>
    found.push({ weight, gate: { state, text, source: { kind, text: from } } })
  const sun = figure('hours', zone.sunHours, 2)
  if (zone.sunHours < LEAST_SUN_H) against(20, 'hold', say('grass.below3HoursOf', { sun }), 'mem', say('grass.below3H'))
  else if (zone.sunHours < grass.sunHours - SUN_TOLERANCE_H)
    against(
      8,
      'risk',
      say('grass.wantsOfSunThis', { name: grass.name, sunHours: figure('hours', grass.sunHours, 2), sun }),
      'mem',
      say('grass.sunNeed'),
    )
  const gate = lasting(grass)
  if (gate) found.push({ gate, weight: LASTING_WEIGHT })
  const kept = zone.keptMm ?? zone.mowingHeightMm
  const [low, high] = grass.mowingMm
  if (kept < low * 0.9)
    against(
      5,
      'risk',
      say('grass.keptAtLowerThan', { kept: figure('depthMm', kept), low: figure('depthMm', low), name: grass.name }),
      'mem',
      say('grass.mowingHeights'),
    )
  else if (kept > high * 1.25)
    against(
      2,
      'risk',
      say('grass.keptAtHigherThan', { kept: figure('depthMm', kept), name: grass.name }),
      'mem',
      say('grass.mowingHeights'),
    )
  if (look === 'fine' && !FINE_LEAVED.has(grass.code))
    against(4, 'risk', say('grass.tooBroadInTheLeaf', { name: grass.name }), 'mem', say('grass.texture'))
  if ((zone.wear === 'some' || zone.wear === 'heavy') && !WEARS_WELL.has(grass.code))
    against(3, 'risk', say('grass.doesNotStandWear', { name: grass.name }), 'mem', say('grass.wear'))
  if (grass.code === 'ARG' || grass.code === 'IRG')
    against(12, 'risk', say('grass.goneWithinTheYear'), 'mem', say('grass.annual'))
  if (grass.code === 'CBG' && kept > FINE_CUT_MM)
    against(6, 'risk', say('grass.forAVeryLowCut'), 'mem', say('grass.mowingHeights'))
  if (grass.code === 'RBG' && zone.drainage === 'free')
    against(3, 'risk', say('grass.forWetShade'), 'mem', say('grass.coolWetShade'))
  const sward = zone.sward ? swardByCode(zone.sward) : undefined
  if (sward && sward.code !== grass.code && sward.code !== 'MIX') {
    const mostlyKept = zone.desirableShare >= 0.3
    if (sward.season !== grass.season)
      against(
        mostlyKept ? 6 : 1,
        'risk',
        say('grass.greenAtOtherTimes', { sward: sward.name }),
        'mem',
        say('grass.matchSeason'),
      )
    else if (mostlyKept && sward.coarse !== (grass.code === 'TF'))
      against(3, 'risk', say('grass.showsAsPatches', { sward: sward.name }), 'mem', say('grass.fineAndCoarseDo'))
    else if (mostlyKept)
      against(
        1,
        'waiting',
        say('grass.compareTheGreen', { sward: sward.name }),
        'mem',
        say('grass.matchTextureAndColour'),
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
