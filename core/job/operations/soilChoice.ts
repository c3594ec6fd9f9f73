import { say, type Message } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { SOILS, soilMatter, type Soil } from '../../materials/stock'
import { figure } from '../../measure/figure'
import { LIFT_MM } from '../../site/hollow'
import { soilOf, type Part } from '../parts'
import type { Wanted } from './definition'

/** Sand goes down as thin topdressings over growing turf; deeper it makes a layer that roots and water stop at. */
const isThin = ({ programme, survey, planning }: Part): boolean =>
  programme.code === 'level' && survey.deepestMm <= planning.hollowLevel

/** Sand that the practice brings where it does not match the root zone below. */
export const layered = (part: Part): Gate[] =>
  soilOfPlan(part) === 'sand' && !isThin(part) && part.survey.texture !== 'sand' && soilOf(part).deepestMm > LIFT_MM
    ? [
        {
          state: 'risk',
          code: 'sand',
          text: say('operations.sandMakesALayer', { deepest: figure('depthMm', soilOf(part).deepestMm) }),
          source: { kind: 'mem', text: say('operations.matchTheRootZone') },
        },
      ]
    : []

/** Soil for levelling by the practice, or such as matches the soil that is there. @source turf handbooks */
export function soilOfPlan(part: Part): Soil {
  const { practices, survey } = part
  if (practices.soil !== 'by texture') return practices.soil
  if (survey.texture === 'sand') return 'half organic'
  return isThin(part) && !survey.texture.includes('clay') ? 'sand' : 'topsoil'
}
export const soilName = (part: Part): Message => SOILS[soilOfPlan(part)]

export function soilUsed(part: Part, share = 1): Wanted[] {
  const amount = soilOf(part).volumeM3 * share
  return amount > 0 ? [{ matter: soilMatter(soilOfPlan(part)), words: say('operations.soil'), amount }] : []
}
