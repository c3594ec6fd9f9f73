import { createHash } from 'node:crypto'
import type { Look } from '#contract/look'
import { areasOf, sunKeyText, sunQuestionOf, type SunQuestion } from '#core/site/measure'

/**
 * A survey as it is written down. Its drawing goes as text: a thread makes it, and who saves it does not build it
 * anew.
 */
export interface KeptLook {
  look: Omit<Look, 'features'>
  /** Rows of the drawing as JSON. */
  features: string
  /** Of each zone, m²; null where none is known. */
  areasM2: Readonly<Record<string, number | null>>
  /** What its sun is worked out for; null where no zone is drawn. */
  sunWanted: string | null
}

/** Rows by id as one JSON array. @param more columns besides, by id */
export const rowsOf = (all: Readonly<Record<string, object>>, more: Readonly<Record<string, object>> = {}): string =>
  JSON.stringify(Object.entries(all).map(([id, one]) => ({ id, ...one, ...more[id] })))

/** Known by a hash of everything it is worked out of. */
export const sunWantedOf = (question: SunQuestion | undefined): string | null =>
  question ? createHash('sha256').update(sunKeyText(question)).digest('hex') : null

export function keptLook(whole: Look): KeptLook {
  const { features, ...look } = whole
  return {
    look,
    features: rowsOf(features),
    areasM2: areasOf(look.zones, features),
    sunWanted: sunWantedOf(sunQuestionOf(whole)),
  }
}
