import { figure } from '#core/measure/figure'
import { asSaid } from '#contract/said'
import { say, type Message } from '#core/explain/message'
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
    const wrong = (problem: Message) => [
      { code: 'custom' as const, path: ['zones', id, 'areaFrom'], message: asSaid(problem), input: areaM2 },
    ]
    if (areaM2 !== null && areaM2 > MOST_AREA_M2)
      return wrong(say('server.drawnAsHaA', { areaM2: figure('areaM2', areaM2) }))
    if (areaM2 !== null && areaM2 < 0.01) return wrong(say('server.bedsBuildingsAndWhat'))
    return []
  })
  const wrong = [...early, ...issues]
  return wrong.length ? { ok: false, issues: wrong } : { ok: true, kept }
}
