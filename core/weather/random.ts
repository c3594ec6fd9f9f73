/**
 * Seeded random numbers, so that the same seed gives the same years in browser, server and tests.
 * @source sfc32 by Chris Doty-Humphrey (public domain, PractRand); gamma by Marsaglia & Tsang 2000; from memory
 */
export interface Random {
  /** Uniform in [0, 1). */
  uniform: () => number
  /** Standard normal. */
  normal: () => number
  /** Gamma with the shape given and scale 1. */
  gamma: (shape: number) => number
}

function sfc32(seed: number): () => number {
  let a = seed | 0
  let b = 0x9e3779b9 | 0
  let c = 0x243f6a88 | 0
  let counter = 1
  const next = () => {
    const t = (((a + b) | 0) + counter) | 0
    counter = (counter + 1) | 0
    a = b ^ (b >>> 9)
    b = (c + (c << 3)) | 0
    c = (((c << 21) | (c >>> 11)) + t) | 0
    return (t >>> 0) / 4294967296
  }
  for (let i = 0; i < 15; i++) next()
  return next
}

export function seededRandom(seed: number): Random {
  const uniform = sfc32(seed)
  let spare: number | undefined

  const normal = (): number => {
    if (spare !== undefined) {
      const value = spare
      spare = undefined
      return value
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()))
    const angle = 2 * Math.PI * uniform()
    spare = radius * Math.sin(angle)
    return radius * Math.cos(angle)
  }

  const gamma = (shape: number): number => {
    if (shape < 1) return gamma(shape + 1) * Math.pow(1 - uniform(), 1 / shape)
    const d = shape - 1 / 3
    const c = 1 / Math.sqrt(9 * d)
    for (;;) {
      const x = normal()
      const v = (1 + c * x) ** 3
      if (v > 0 && Math.log(1 - uniform()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v
    }
  }

  return { uniform, normal, gamma }
}

/** A step that changes about half of all bits whatever goes in. @source lowbias32 by Chris Wellons (public domain), from memory */
function mixed(value: number): number {
  let h = value | 0
  h = Math.imul(h ^ (h >>> 16), 0x21f0aaad)
  h = Math.imul(h ^ (h >>> 15), 0x735a2d97)
  return h ^ (h >>> 15)
}

/**
 * Random numbers that belong to a day: what is drawn for it is the same wherever a series begins, in browser, server and
 * tests.
 */
export interface RandomDay {
  /** Uniform in (0, 1). @param which of the numbers of the day, from 0 */
  uniform: (which: number) => number
}

/** @param seed of the series @param day any whole number, such as the number of a day */
export function randomDay(seed: number, day: number): RandomDay {
  const key = mixed(mixed(seed) + Math.imul(day, 0x9e3779b9))
  return { uniform: (which) => ((mixed(key + Math.imul(which + 1, 0x85ebca6b)) >>> 0) + 0.5) / 4294967296 }
}
