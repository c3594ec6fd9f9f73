import { say } from '../../explain/message'
import { figure } from '../../measure/figure'
import { M2_PER_FT2 } from '../../measure/units'
import type { Worked } from '../../explain/working'
import type { Survey } from '../../site/survey'
import { sourceOf, type Planning } from '../planningFigures'
import type { Part } from '../parts'

/** Holes of hard ground, mm apart. @source trade: 75 to 100 mm (3 to 4 in), the closer the harder */
const HARD_SPACING_MM = 75
/** A lawn is not cored more often on one day. @source own */
const MOST_PASSES = 6

/** Ground that a screwdriver or a penetrometer finds hard; ground that nobody tried is taken to be. */
export function isHard(
  { driverMm, penetrometerKPa }: Pick<Survey, 'driverMm' | 'penetrometerKPa'>,
  planning: Planning,
): boolean {
  if (driverMm === null && penetrometerKPa === null) return true
  return (driverMm ?? Infinity) < planning.driver || (penetrometerKPa ?? 0) > planning.penetrometer
}

/** Holes that handbooks ask for, mm apart in a square grid: 20 on a square foot, and 40 of hard ground. @source turf handbooks */
const HANDBOOK_MM = { usual: 304.8 / Math.sqrt(20), hard: 304.8 / Math.sqrt(40) } as const

/** Spacing of the finished grid, mm, by the practice. */
export function coreSpacingMm({ survey, programme, planning, practices }: Part): number {
  const hard = isHard(survey, planning)
  if (practices.coreHoles === 'handbook') return hard ? HANDBOOK_MM.hard : HANDBOOK_MM.usual
  return hard ? Math.min(HARD_SPACING_MM, programme.coreSpacingMm) : programme.coreSpacingMm
}

/**
 * Holes on a square metre of ground after some passes.
 * @param acrossMm between tines across the machine
 * @param alongMm between holes along its way
 * @source own: passes × tines per metre of width × holes per metre of travel
 */
export const coreHolesPerM2 = (passes: number, acrossMm: number, alongMm: number): number =>
  passes * (1000 / acrossMm) * (1000 / alongMm)

/**
 * Passes of the firm's corer that reach a square grid of a spacing.
 * @param spacingMm of the finished grid
 * @returns whole passes, 1 to 6
 * @throws RangeError for a spacing that is none
 * @source own
 */
export function coringPasses(spacingMm: number, planning: Planning): Worked {
  if (!(spacingMm > 0)) throw new RangeError('The spacing of holes has to be above zero.')
  const wanted = (1000 / spacingMm) ** 2
  const ofOne = coreHolesPerM2(1, planning.corerAcross, planning.corerAlong)
  const exact = wanted / ofOne
  // A pass is not made for a hole or two.
  const value = Math.min(MOST_PASSES, Math.max(1, Math.ceil(exact - 0.05)))
  return {
    value,
    working: {
      title: say('operations.passesOfTheCorer'),
      result: figure('count', value),
      formula: say('operations.holesWantedHolesOf'),
      lines: [
        {
          what: say('operations.spacingOfTheFinished'),
          value: figure('depthMm', spacingMm),
          source: { kind: 'trade', text: say('operations.n3To4In') },
        },
        { operator: '=', what: say('operations.holesWanted'), value: figure('holesPerM2', wanted), subtotal: true },
        {
          what: say('operations.tinesApartAcrossThe'),
          value: figure('depthMm', planning.corerAcross),
          source: sourceOf('corerAcross', planning),
        },
        {
          operator: '×',
          what: say('operations.holesApartAlongIts'),
          value: figure('depthMm', planning.corerAlong),
          source: sourceOf('corerAlong', planning),
        },
        { operator: '=', what: say('operations.holesOfOnePass'), value: figure('holesPerM2', ofOne), subtotal: true },
        { operator: '=', what: say('operations.passes'), value: figure('count', value), subtotal: true },
      ],
      rounding: say('operations.upToWholePasses', {
        exact: exact.toFixed(1),
        exactBelow: value < exact - 0.05,
        MOST_PASSES,
      }),
      fieldCheck: say('operations.countInASquare', {
        M2_PER_FT2: Math.round(coreHolesPerM2(value, planning.corerAcross, planning.corerAlong) * M2_PER_FT2),
      }),
    },
  }
}
