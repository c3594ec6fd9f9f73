import { say, type Message } from '../explain/message'
/** What is laid over the seed. */
export const COVER_MATERIALS = ['compost', 'peat', 'screened topsoil', 'straw', 'fleece'] as const
export type CoverMaterial = (typeof COVER_MATERIALS)[number]

/** Covers by name. */
export const COVER_NAMES: Record<CoverMaterial, Message> = {
  compost: say('materials.compost'),
  peat: say('materials.peat'),
  'screened topsoil': say('materials.screenedTopsoil'),
  straw: say('materials.straw'),
  fleece: say('materials.fleece'),
}
