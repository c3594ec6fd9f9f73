import { figure } from '../measure/figure'
import type { Source, Worked } from '../explain/working'

/**
 * Bulk volume of a layer.
 * @param depthMm depth as laid @param settlingShare what it settles by, 0-0.5
 * @returns m³
 */
export function layerVolume(
  title: string,
  areaM2: number,
  depthMm: number,
  settlingShare: number,
  depthSource: Source,
): Worked {
  if (!(areaM2 > 0) || !(depthMm > 0)) throw new RangeError('Area and depth have to be above zero.')
  if (!(settlingShare >= 0 && settlingShare <= 0.5)) throw new RangeError('Settling lies between 0 and 50%.')
  const value = areaM2 * (depthMm / 1000) * (1 + settlingShare)
  const lines: Worked['working']['lines'] = [
    { what: 'Area', value: figure('areaM2', areaM2), source: { kind: 'user', text: 'Look' } },
    { operator: '×', what: 'Depth', value: figure('depthMm', depthMm), source: depthSource },
  ]
  if (settlingShare > 0)
    lines.push({
      operator: '×',
      what: 'Settling added',
      value: figure('share', 1 + settlingShare),
      source: { kind: 'mem', text: 'loose material settles' },
    })
  lines.push({ operator: '=', what: title, value: figure('volumeM3', value), subtotal: true })
  return { value, working: { title, result: figure('volumeM3', value), formula: 'Area × depth.', lines } }
}

/** Water of a depth over an area. @returns L */
export function wateringNeed(areaM2: number, waterMm: number): Worked {
  if (!(areaM2 > 0) || !(waterMm > 0)) throw new RangeError('Area and water have to be above zero.')
  const value = areaM2 * waterMm
  return {
    value,
    working: {
      title: 'First watering',
      result: figure('waterL', value),
      formula: 'Area × depth of water.',
      lines: [
        { what: 'Area', value: figure('areaM2', areaM2), source: { kind: 'user', text: 'Look' } },
        {
          operator: '×',
          what: 'Water, damp to an inch',
          value: figure('waterMm', waterMm),
          source: { kind: 'own', text: 'fills the top inch of a moist loam' },
        },
        { operator: '=', what: 'Water', value: figure('waterL', value), subtotal: true },
      ],
      fieldCheck: 'Lift a plug: damp to 1 in (25 mm), no puddles.',
    },
  }
}
