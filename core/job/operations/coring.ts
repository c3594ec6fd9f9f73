import { figure } from '../../measure/figure'
import { M2_PER_FT2 } from '../../measure/units'
import type { Worked } from '../../explain/working'
import type { Survey } from '../../site/survey'
import { sourceOf, type Planning } from '../planningFigures'
import type { Programme } from '../decision/programmes'

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

/** Spacing of the finished grid, mm. */
export const coreSpacingMm = (survey: Survey, programme: Programme, planning: Planning): number =>
  isHard(survey, planning) ? Math.min(HARD_SPACING_MM, programme.coreSpacingMm) : programme.coreSpacingMm

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
      title: 'Passes of the corer',
      result: figure('count', value),
      formula: 'Holes wanted ÷ holes of one pass.',
      lines: [
        {
          what: 'Spacing of the finished grid',
          value: figure('depthMm', spacingMm),
          source: { kind: 'trade', text: '3 to 4 in (75 to 100 mm), the closer the harder' },
        },
        { operator: '=', what: 'Holes wanted', value: figure('holesPerM2', wanted), subtotal: true },
        {
          what: 'Tines apart, across the machine',
          value: figure('depthMm', planning.corerAcross),
          source: sourceOf('corerAcross', planning),
        },
        {
          operator: '×',
          what: 'Holes apart, along its way',
          value: figure('depthMm', planning.corerAlong),
          source: sourceOf('corerAlong', planning),
        },
        { operator: '=', what: 'Holes of one pass', value: figure('holesPerM2', ofOne), subtotal: true },
        { operator: '=', what: 'Passes', value: figure('count', value), subtotal: true },
      ],
      rounding: `${exact.toFixed(1)}, up to whole passes${value < exact - 0.05 ? `; no more than ${MOST_PASSES} on one day` : ''}.`,
      fieldCheck: `Count in a square foot after the last pass: about ${Math.round(coreHolesPerM2(value, planning.corerAcross, planning.corerAlong) * M2_PER_FT2)}.`,
    },
  }
}
