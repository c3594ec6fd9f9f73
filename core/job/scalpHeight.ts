import { say } from '../explain/message'
import type { Gate } from '../explain/judgement'
import { figure } from '../measure/figure'
import { swardByCode, type SwardCode } from '../grass/swards'
import type { Programme } from './decision/programmes'

/** What stands on some ground, and how much of it is to stay. */
export interface Standing {
  sward: SwardCode | null
  /** Desirable grass, 0-1. */
  desirableShare: number
}

/** From this share of grass to keep on, cut no lower than the grass bears. @source trade */
export const MOSTLY_KEPT_SHARE = 0.7
/** Share of its lowest mowing height below which what is to live is never cut. @source own */
const LIVES_FROM = 2 / 3
/** Grow by coarse runners above ground: for winter color they are cut low and raked, and not scalped. @source turf handbooks */
const NO_SCALP = new Set<SwardCode>(['SAG', 'BAH'])

type Kept = Pick<Programme, 'code' | 'keepsTurf'>
const lowest = (sward: SwardCode): number => swardByCode(sward).mowingMm[0]

export const isCutAndRaked = ({ sward }: Standing, { code }: Kept): boolean =>
  code === 'winter' && sward !== null && NO_SCALP.has(sward)

/**
 * The lowest that what stands may be cut to, mm: warm-season turf that is to live, and any that is mostly kept, never below
 * two thirds of its lowest mowing height; 0 where it is to die, or may take the lowest notch once.
 * @source own, over mowing heights of turf handbooks
 */
export function lowestCutMm(standing: Standing, programme: Kept): number {
  const { sward, desirableShare } = standing
  if (!programme.keepsTurf || !sward) return 0
  if (isCutAndRaked(standing, programme)) return lowest(sward)
  const { season } = swardByCode(sward)
  return season === 'warm' || desirableShare > MOSTLY_KEPT_SHARE ? LIVES_FROM * lowest(sward) : 0
}

/** What speaks against a cut on what stands there; the first that does. */
export function scalpGate(standing: Standing, programme: Kept, toMm: number): Gate | undefined {
  const { sward } = standing
  if (!programme.keepsTurf || !sward) return undefined
  const [floor, name] = [lowestCutMm(standing, programme), swardByCode(sward).name]
  const source = { kind: 'own', text: say('operations.twoThirdsOfLowest') } as const
  if (toMm < floor - 0.5)
    return {
      state: 'hold',
      code: 'height',
      text: say('operations.cutBelowWhatLives', { name, floor: figure('depthMm', floor, 2) }),
      source,
    }
  return toMm < LIVES_FROM * lowest(sward) - 0.5
    ? { state: 'risk', code: 'height', text: say('operations.lowestNotchOnce', { name }), source }
    : undefined
}
