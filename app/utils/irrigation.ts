import type { IrrigationZoneTold } from '#contract/water'
import { NEW_IRRIGATION_ZONE } from '#core/water/irrigation'

/** An irrigation zone that nothing is told of yet, with an id of its own. */
export const newIrrigationZone = (zone: Partial<IrrigationZoneTold> = {}): IrrigationZoneTold => ({
  id: crypto.randomUUID(),
  ...NEW_IRRIGATION_ZONE,
  ...zone,
})
