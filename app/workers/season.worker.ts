import type { SeasonTold } from '#contract/context'
import { buildSeason, firstYears, type Season } from '#core/establishment/season'
import { yearsOfTurf } from '#core/establishment/lasting'
import {
  bedKey,
  oddsOf,
  type GoodYears,
  variantsOf,
  watersOf,
  type Variant,
  type VariantOdds,
} from '#core/establishment/whatIf'

/** A question to the worker; a later one ends an earlier, and null ends all. */
export interface SeasonAsked {
  number: number
  told: SeasonTold | null
}

/** An answer: the variants of the question, or the odds of one of them, coarse first. */
export type SeasonAnswer = { number: number } & (
  | { kind: 'variants'; variants: Variant[] }
  | {
      kind: 'odds'
      odds: VariantOdds
      coarse: boolean
      done: number
      of: number
      /** Of the plan: good years of 100 by day over the years that the others are compared on. */
      compared?: number[]
    }
  | { kind: 'failed'; message: string }
)

/** Years of the first, coarse answer. */
const COARSE_YEARS = 6
/** Years on which others are compared with the plan, which has all of its page; each is worked out on this device. */
const COMPARED_YEARS = 100
let current = 0
const say = (answer: SeasonAnswer) => {
  self.postMessage(answer)
}
/** Lets a newer question in. */
const breathe = () =>
  new Promise((go) => {
    setTimeout(go, 0)
  })

async function work(number: number, { input, seed, risk, zones }: SeasonTold): Promise<void> {
  const variants = variantsOf(seed, input.ground, risk, zones, yearsOfTurf(input))
  say({ number, kind: 'variants', variants })
  const runs = [
    { years: COARSE_YEARS, of: variants.slice(0, 1), coarse: true },
    { years: Math.min(COMPARED_YEARS, input.years), of: variants, coarse: false },
  ]
  let done = 0
  let plan: GoodYears | undefined
  for (const { years, of, coarse } of runs) {
    plan = undefined
    // Ground that differs wants soil of its own; the rest share one.
    const seasons = new Map<string, Season>()
    const waters = new Map<string, ReturnType<typeof watersOf>>()
    for (const variant of of) {
      const key = JSON.stringify(variant.ground)
      // The plan counts all years of its page, and lends the first of them to what is compared with it.
      const all = variant.code === 'plan' && !coarse ? buildSeason({ ...input, ground: variant.ground }) : undefined
      if (!seasons.has(key)) {
        seasons.set(key, all ? firstYears(all, years) : buildSeason({ ...input, years, ground: variant.ground }))
        await breathe()
        if (current !== number) return
      }
      const season = seasons.get(key)!
      const bed = bedKey(variant)
      if (!waters.has(bed)) waters.set(bed, watersOf(variant, season))
      const { odds, years: judged } = oddsOf(variant, season, waters.get(bed), coarse ? undefined : plan)
      if (variant.code === 'plan') plan = judged
      say({
        number,
        kind: 'odds',
        odds: all && all.years.length > years ? oddsOf(variant, all).odds : odds,
        ...(all ? { compared: odds.chance.map(({ of100 }) => of100) } : {}),
        coarse,
        done: coarse ? 0 : ++done,
        of: variants.length,
      })
      await breathe()
      if (current !== number) return
    }
  }
}

self.onmessage = ({ data }: MessageEvent<SeasonAsked>) => {
  current = data.number
  if (data.told)
    work(data.number, data.told).catch((error: unknown) => {
      say({ number: data.number, kind: 'failed', message: (error as Error).message })
    })
}
