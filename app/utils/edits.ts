import { mergeEdits, type Merged } from '#contract/merge'
import type { Saved as SavedBy } from '#contract/lawn'
import { saving, type Saved } from './api'

/** Something two people may save at once: it counts its versions and says who saved last. */
export interface Versioned extends Partial<SavedBy> {
  version: number
}

/** Two people's edits of one thing that need a person to settle them. */
export interface OpenClash<T extends Versioned> {
  merged: Merged<T>
  theirs: T
}

export type Merging<T extends Versioned> =
  | { ok: true; value: T; merged: string[]; savedBy: string | null }
  | { ok: false; clash: OpenClash<T> }
  | { ok: false; problem: Extract<Saved, { ok: false }>['problem'] }

/** How often somebody may save just before us until we give up and say so. */
const MOST_ROUNDS = 4

/**
 * Saves an edit; where somebody saved first, what only one changed is brought together and saved, and what both changed
 * is handed back as a clash. Nothing of either is dropped.
 * @param fields takes from an answer what can be edited, so that a stamp is no clash
 */
export async function saveMerging<T extends Versioned>(
  base: T,
  mine: T,
  send: (value: T) => Promise<unknown>,
  fields: (answer: T) => T,
): Promise<Merging<T>> {
  let [was, value] = [fields(base), fields(mine)]
  let taken: string[] = []
  let savedBy: string | null = null
  for (let round = 0; ; round++) {
    const attempt = value
    const saved = await saving(() => send(attempt))
    if (saved.ok) return { ok: true, value, merged: taken, savedBy }
    const theirs = saved.problem.code === 'conflict' ? (saved.problem.theirs as T | undefined) : undefined
    if (!theirs || round === MOST_ROUNDS) return { ok: false, problem: saved.problem }
    const now = fields(theirs)
    // The version is nobody's edit.
    const merged = mergeEdits({ ...was, version: now.version }, { ...value, version: now.version }, now)
    if (merged.clashes.length) return { ok: false, clash: { merged, theirs } }
    was = now
    value = merged.value
    taken = [...new Set([...taken, ...merged.taken])]
    savedBy = theirs.savedBy ?? null
  }
}
