import { countShares, standShares, type Blend } from '../seed/blends'
import { grassByCode, type Grass } from '../grass/grasses'
import { emergedShare } from './germination'
import { CAUSES } from './losses'
import type { SeedWater } from './moisture'
import type { SeasonYear } from './season'
import { judgeYear, type Established, type SeedbedRisk, type SeedYear, type YearOutlook } from './sowing'

/** One weather year for a mixture: each seed by itself, and all of them together. */
export interface BlendYear {
  whole: SeedYear
  /** In the order of the mixture. */
  parts: YearOutlook[]
}

interface Counted {
  grass: Grass
  outlook: YearOutlook
  count: number
}

const collected = ({ outlook: { germinatedCd } }: Counted, sown: number, day: number): number =>
  germinatedCd[day]! - (sown > 0 ? germinatedCd[sown - 1]! : 0)

/**
 * Day on which the mixture's seedlings reach a share of their number, between the days of its quickest and its
 * slowest seed.
 */
function dayUp(parts: readonly Counted[], key: 'up05' | 'up50' | 'up95', share: number, sown: number): number {
  const days = parts.map(({ outlook }) => outlook[key][sown]!)
  const last = parts[0]!.outlook.germinatedCd.length - 1
  let low = Math.min(...days)
  if (!Number.isFinite(low)) return Infinity
  const emerged = (day: number) =>
    parts.reduce((sum, part) => sum + part.count * emergedShare(part.grass, collected(part, sown, day)), 0)
  let high = Math.min(last, Math.max(...days))
  // The days of single shares are exact, the distribution is not: a hair's breadth must not cost a day.
  const wanted = share - 1e-6
  if (emerged(high) < wanted) return Infinity
  while (low < high) {
    const middle = (low + high) >> 1
    if (emerged(middle) >= wanted) high = middle
    else low = middle + 1
  }
  return low
}

/** What all parts come to by what each makes of a full stand; the worst loss is the one that takes most of the whole. */
function together(parts: readonly Established[], stands: readonly number[]): Established {
  const days = parts[0]!.share.length
  const out: Established = { share: new Float32Array(days), worst: new Uint8Array(days) }
  const lost = new Float64Array(CAUSES.length)
  for (let i = 0; i < days; i++) {
    lost.fill(0)
    let share = 0
    parts.forEach((part, k) => {
      share += stands[k]! * part.share[i]!
      lost[part.worst[i]!]! += stands[k]! * (1 - part.share[i]!)
    })
    out.share[i] = share
    out.worst[i] = lost.indexOf(Math.max(...lost))
  }
  return out
}

/**
 * Follows a mixture sown on every day of one weather year: emergence added by number of seeds, the stand by what each seed
 * makes of a full one.
 * @param water of the bed in this year; kept moist where left out
 * @param sownDays so many of the first days are sown on; all where left out
 * @source own
 */
export function judgeBlend(
  year: SeasonYear,
  blend: Blend,
  risk: SeedbedRisk,
  water?: SeedWater,
  sownDays?: number,
): BlendYear {
  const outlooks = blend.map(({ grass }) => judgeYear(year, grassByCode(grass), risk, water, sownDays))
  if (outlooks.length === 1) return { whole: outlooks[0]!, parts: outlooks }
  const [counts, stands] = [countShares(blend), standShares(blend)]
  const counted = outlooks.map((outlook, i): Counted => ({
    outlook,
    grass: grassByCode(blend[i]!.grass),
    count: counts[i]!,
  }))
  const days = outlooks[0]!.share.length
  const up = (key: 'up05' | 'up50' | 'up95', share: number) =>
    Float64Array.from({ length: days }, (_, sown) => dayUp(counted, key, share, sown))
  return {
    parts: outlooks,
    whole: {
      ...together(outlooks, stands),
      dormant: together(
        outlooks.map(({ dormant }) => dormant),
        stands,
      ),
      up05: up('up05', 0.05),
      up50: up('up50', 0.5),
      up95: up('up95', 0.95),
    },
  }
}
