import type { ReadThing } from '#contract/planFile'
import type { Look } from '#contract/look'

/** What brought-in things are put on the plan by. */
interface Put {
  put: (feature: ReadThing['feature']) => unknown
  add: (kind: 'zone', shape: { points: [number, number][]; holes: [number, number][][] }) => unknown
}

/**
 * Puts what a file held on the plan. Outlines become zones: of the name they carry, of the chosen one that has none yet, or
 * new ones.
 */
export function bringIn(things: readonly ReadThing[], zones: Look['zones'], chosen: string | null, edit: Put): void {
  for (const { feature, zoneName } of things) {
    if (feature.kind !== 'zone') {
      edit.put({ ...feature, zoneId: null })
      continue
    }
    const called = zoneName?.toLowerCase()
    const known = Object.keys(zones).find((id) => called && zones[id]!.name.toLowerCase() === called)
    if (known) {
      edit.put({ ...feature, zoneId: known })
      zones[known]!.areaFrom = 'drawn'
      continue
    }
    edit.add('zone', {
      points: [...feature.points] as [number, number][],
      holes: feature.holes.map((hole) => [...hole] as [number, number][]),
    })
    if (chosen && zoneName && /^(Lawn|Zone \d+)$/.test(zones[chosen]!.name)) zones[chosen]!.name = zoneName
  }
}
