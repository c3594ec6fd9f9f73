import { say, type Message } from '../explain/message'
import type { Parsed } from '../measure/parse'

const AXES = {
  latitude: { signs: { n: 1, s: -1 }, example: say('site.n3705Or37') },
  longitude: { signs: { e: 1, w: -1 }, example: say('site.n794Or79') },
} as const satisfies Record<string, { signs: Record<string, 1 | -1>; example: Message }>

/**
 * Reads degrees as they stand on a map or a phone: "37.05", "−79.4", "79.4 W", "37° 3' N", "37 3 20 S".
 * @returns degrees, north and east positive, or a sentence on what is wrong; the bounds are the contract's
 */
export function parseDegrees(axis: keyof typeof AXES, typed: string): Parsed {
  const { signs, example } = AXES[axis]
  const refused: Parsed = { ok: false, message: say('site.degreesSuchAs', { example }) }
  const text = typed.trim().toLowerCase().replace(/[−–]/g, '-').replace(/[′’]/g, "'").replace(/[″”]/g, '"')
  const found =
    /^(-?)(\d{1,3}(?:\.\d+)?)\s*°?\s*(?:(\d{1,2}(?:\.\d+)?)\s*'?\s*(?:(\d{1,2}(?:\.\d+)?)\s*"?)?)?\s*([nsew])?$/.exec(
      text,
    )
  if (!found) return refused
  const [, minus, degrees, minutes = '0', seconds = '0', letter] = found
  if (Number(minutes) >= 60 || Number(seconds) >= 60 || (minutes !== '0' && degrees!.includes('.'))) return refused
  const side = letter ? (signs as Record<string, 1 | -1>)[letter] : 1
  if (!side || (letter && minus)) return refused
  const size = Number(degrees) + Number(minutes) / 60 + Number(seconds) / 3600
  return { ok: true, value: (minus ? -size : size) * side }
}
