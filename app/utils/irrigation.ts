import type { IrrigationZoneTold } from '#contract/look'

/** An irrigation zone that nothing is told of yet. */
export const newIrrigationZone = (zone: Partial<IrrigationZoneTold> = {}): IrrigationZoneTold => ({
  id: crypto.randomUUID(),
  name: '',
  kind: 'sprinklers',
  heads: 0,
  zoneId: null,
  areaM2: null,
  tap: '',
  hoseM: null,
  flowLPerMin: null,
  rateMmPerH: null,
  cans: null,
  timer: 'none',
  ...zone,
})
