/** Numbers between 0 and 1 that differ with each call, and are always the same ones. */
export function draws(seed: number): () => number {
  let state = seed
  return () => (state = (state * 16807) % 2147483647) / 2147483647
}
