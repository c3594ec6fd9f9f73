export interface BagSize {
  massKg: number
  /** Minor units of the firm's money; null when not known. */
  priceMinor: number | null
}

export interface BagPick {
  /** How many of each size, in the order given. */
  counts: number[]
  totalKg: number
  leftOverKg: number
  priceMinor: number | null
}

const MOST_BAGS = 500

/**
 * The cheapest combination of bags that covers a need; without prices, the one with least left over, then fewest bags.
 * Exact: every count of each size up to what covers the need alone is weighed.
 * @throws RangeError when a size is not above zero, none is given, or more than 500 bags would be needed
 */
export function pickBags(needKg: number, sizes: readonly BagSize[]): BagPick {
  if (!sizes.length || sizes.length > 4) throw new RangeError('Between one and four bag sizes.')
  if (!(needKg > 0) || sizes.some((s) => !(s.massKg > 0)))
    throw new RangeError('Need and bags have to weigh something.')
  if (needKg / Math.max(...sizes.map((s) => s.massKg)) > MOST_BAGS) throw new RangeError('That is more than 500 bags.')
  const priced = sizes.every((s) => s.priceMinor !== null)
  const order = sizes.map((_, i) => i).sort((a, b) => sizes[b]!.massKg - sizes[a]!.massKg)
  let best: { counts: number[]; rank: number[] } | undefined

  const weigh = (counts: number[]) => {
    const totalKg = counts.reduce((sum, n, i) => sum + n * sizes[i]!.massKg, 0)
    const bags = counts.reduce((sum, n) => sum + n, 0)
    const price = priced ? counts.reduce((sum, n, i) => sum + n * sizes[i]!.priceMinor!, 0) : 0
    const rank = [price, Math.round((totalKg - needKg) * 1000), bags]
    const firstDifference = best ? rank.findIndex((value, i) => value !== best!.rank[i]) : 0
    if (!best || (firstDifference >= 0 && rank[firstDifference]! < best.rank[firstDifference]!))
      best = { counts: [...counts], rank }
  }

  const place = (at: number, counts: number[], leftKg: number) => {
    const i = order[at]!
    const enough = Math.max(0, Math.ceil(leftKg / sizes[i]!.massKg - 1e-9))
    if (at === order.length - 1) {
      counts[i] = enough
      weigh(counts)
      counts[i] = 0
      return
    }
    const most = at === 0 ? enough : Math.min(enough, MOST_BAGS)
    for (let n = 0; n <= most; n++) {
      counts[i] = n
      place(at + 1, counts, leftKg - n * sizes[i]!.massKg)
    }
    counts[i] = 0
  }
  place(
    0,
    sizes.map(() => 0),
    needKg,
  )

  const counts = best!.counts
  const totalKg = counts.reduce((sum, n, i) => sum + n * sizes[i]!.massKg, 0)
  return {
    counts,
    totalKg,
    leftOverKg: totalKg - needKg,
    priceMinor: priced ? counts.reduce((sum, n, i) => sum + n * sizes[i]!.priceMinor!, 0) : null,
  }
}
