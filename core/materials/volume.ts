import { say, type Message } from '../explain/message'
import { figure } from '../measure/figure'
import type { Source, Worked } from '../explain/working'

/**
 * Bulk volume of a layer.
 * @param depthMm depth as laid @param settlingShare what it settles by, 0-0.5
 * @returns m³
 */
export function layerVolume(
  title: Message,
  areaM2: number,
  depthMm: number,
  settlingShare: number,
  depthSource: Source,
): Worked {
  if (!(areaM2 > 0) || !(depthMm > 0)) throw new RangeError('Area and depth have to be above zero.')
  if (!(settlingShare >= 0 && settlingShare <= 0.5)) throw new RangeError('Settling lies between 0 and 50%.')
  const value = areaM2 * (depthMm / 1000) * (1 + settlingShare)
  const lines: Worked['working']['lines'] = [
    {
      what: say('materials.area'),
      value: figure('areaM2', areaM2),
      source: { kind: 'user', text: say('materials.look') },
    },
    { operator: '×', what: say('materials.depth'), value: figure('depthMm', depthMm), source: depthSource },
  ]
  if (settlingShare > 0)
    lines.push({
      operator: '×',
      what: say('materials.settlingAdded'),
      value: figure('share', 1 + settlingShare),
      source: { kind: 'mem', text: say('materials.looseMaterialSettles') },
    })
  lines.push({ operator: '=', what: title, value: figure('volumeM3', value), subtotal: true })
  return { value, working: { title, result: figure('volumeM3', value), formula: say('materials.areaDepth'), lines } }
}

/** Water of a depth over an area. @returns L */
export function wateringNeed(areaM2: number, waterMm: number): Worked {
  if (!(areaM2 > 0) || !(waterMm > 0)) throw new RangeError('Area and water have to be above zero.')
  const value = areaM2 * waterMm
  return {
    value,
    working: {
      title: say('materials.firstWatering'),
      result: figure('waterL', value),
      formula: say('materials.areaDepthOfWater'),
      lines: [
        {
          what: say('materials.area'),
          value: figure('areaM2', areaM2),
          source: { kind: 'user', text: say('materials.look') },
        },
        {
          operator: '×',
          what: say('materials.waterDampToAn'),
          value: figure('waterMm', waterMm),
          source: { kind: 'own', text: say('materials.fillsTheTopInch') },
        },
        { operator: '=', what: say('materials.water'), value: figure('waterL', value), subtotal: true },
      ],
      fieldCheck: say('materials.liftAPlugDamp'),
    },
  }
}
