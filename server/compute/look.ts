import type { z } from 'zod'
import { MOST_AREA_M2 } from '#contract/fields'
import { lookSchema, notYet } from '#contract/look'
import type { Day } from '#core/measure/calendar'
import { keptLook, type KeptLook } from '../records/keptLook'

export type JudgedLook = { ok: true; kept: KeptLook } | { ok: false; issues: z.core.$ZodIssue[] }

/** Reads and judges a survey as it was sent, and measures what is drawn in it. */
export function judgeLook(bytes: Uint8Array, today: Day): JudgedLook {
  let raw: unknown
  try {
    raw = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    // What is no JSON is judged as nothing.
  }
  const parsed = lookSchema.safeParse(raw)
  if (!parsed.success) return { ok: false, issues: parsed.error.issues }
  const kept = keptLook(parsed.data)
  const early = Object.entries(notYet(parsed.data, today)).map(([path, message]) => ({
    code: 'custom' as const,
    path: path.split('.'),
    message,
    input: today,
  }))
  const issues = Object.entries(kept.areasM2).flatMap(([id, areaM2]) => {
    const wrong = (message: string) => [
      { code: 'custom' as const, path: ['zones', id, 'areaFrom'], message, input: areaM2 },
    ]
    if (areaM2 !== null && areaM2 > MOST_AREA_M2)
      return wrong(`Drawn as ${(areaM2 / 10_000).toFixed(0)} ha; a lawn has 50 acres (20 ha) at the most.`)
    if (areaM2 !== null && areaM2 < 0.01)
      return wrong('Beds, buildings and what is cut out of it leave nothing of this zone.')
    return []
  })
  const wrong = [...early, ...issues]
  return wrong.length ? { ok: false, issues: wrong } : { ok: true, kept }
}
