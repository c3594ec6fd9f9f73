/** A field that two people changed to different things. */
export interface Clash {
  path: string
  base: unknown
  mine: unknown
  theirs: unknown
}

export interface Merged<T> {
  /** Both people's changes; where they clash, mine. */
  value: T
  clashes: Clash[]
  /** Fields that came from the other. */
  taken: string[]
}

type Fields = Record<string, unknown>

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const same = (a: unknown, b: unknown): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b))

/** Keys in one order, so that equal things read alike. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted)
  return isFields(value)
    ? Object.fromEntries(
        Object.keys(value)
          .sort()
          .map((key) => [key, sorted(value[key])]),
      )
    : value
}

/**
 * Brings two people's edits of one thing together: what only one changed is kept, what both changed differently is a
 * clash to be settled by a person. Lists count as one field.
 * @param base what both began with @param mine as I left it @param theirs as it is saved now
 */
export function mergeEdits<T extends object>(base: T, mine: T, theirs: T): Merged<T> {
  const clashes: Clash[] = []
  const taken: string[] = []
  const merge = (b: Fields, m: Fields, t: Fields, prefix: string): Fields => {
    const out: Fields = {}
    for (const key of new Set([...Object.keys(m), ...Object.keys(t)])) {
      const path = prefix + key
      const [was, own, other] = [b[key], m[key], t[key]]
      if (isFields(own) && isFields(other) && isFields(was)) out[key] = merge(was, own, other, `${path}.`)
      else if (same(own, other) || same(other, was)) out[key] = own
      else if (same(own, was)) {
        out[key] = other
        taken.push(path)
      } else {
        out[key] = own
        clashes.push({ path, base: was, mine: own, theirs: other })
      }
    }
    // What was taken out is not there, rather than there as nothing.
    for (const key of Object.keys(out)) if (out[key] === undefined) Reflect.deleteProperty(out, key)
    return out
  }
  return { value: merge(base as Fields, mine as Fields, theirs as Fields, '') as T, clashes, taken }
}

/** The merged thing with the other's value where it was chosen. */
export function settle<T extends object>(merged: Merged<T>, takeTheirs: ReadonlySet<string>): T {
  const value = structuredClone(merged.value) as Fields
  for (const { path, theirs } of merged.clashes) {
    if (!takeTheirs.has(path)) continue
    const keys = path.split('.')
    const last = keys.pop()!
    let at = value
    for (const key of keys) at = at[key] as Fields
    if (theirs === undefined) Reflect.deleteProperty(at, last)
    else at[last] = theirs
  }
  return value as T
}
