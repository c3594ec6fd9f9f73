import type { CoverMaterial } from '../../materials/covers'

/**
 * What practitioners hold different opinions on. The firm chooses; a plan begins with its choice and may differ.
 * @source trade
 */
export interface Practices {
  kill: 'by survey' | 'always' | 'never'
  cores: 'leave' | 'remove'
  coreOrder: 'after' | 'before'
  rate: 'label' | 'heavy'
  springRate: 'same' | 'more'
  scalp: 'by stand' | 'lowest notch' | 'shortest safe'
  season: 'by window' | 'autumn' | 'spring'
  starter: 'starter' | 'balanced' | 'none'
  feedWhen: 'at sowing' | 'after first mow'
  preventer: 'none' | 'apart' | 'combined'
  sowing: 'broadcast' | 'slit'
  mixing: 'apart' | 'mixed'
  additive: 'none' | 'priced'
  cover: 'always' | 'none'
  coverMaterial: CoverMaterial
  dressing: 'by depth' | 'seed first' | 'dress first'
  soil: 'by texture' | 'sand' | 'half organic' | 'topsoil'
  firming: 'firm' | 'loose'
  loam: 'bring' | 'without'
}
export type PracticeCode = keyof Practices

export interface Choice<T extends string = string> {
  code: T
  name: string
  /** What it changes in schedule, cost or risk. */
  changes: string
}

type Questions = { [Q in PracticeCode]: { asks: string; choices: readonly Choice<Practices[Q]>[] } }
const choice = <T extends string>(code: T, name: string, changes: string): Choice<T> => ({ code, name, changes })

export const PRACTICES: Questions = {
  kill: {
    asks: 'Kill first',
    choices: [
      choice('by survey', 'By the survey', 'Only for coarse weed grasses, another species or new levels.'),
      choice(
        'always',
        'For a clean slate',
        'Two sprays and four to five weeks of brown before the scalp; licence where required.',
      ),
      choice('never', 'Never', 'Scalp, tear, core and sow heavily; coarse weed grasses come back.'),
    ],
  },
  cores: {
    asks: 'Cores',
    choices: [
      choice('leave', 'Leave and break', 'Soil on the surface helps seed touch it.'),
      choice('remove', 'Take off', 'No bumps and less weed seed; a pass more and cores to haul off.'),
    ],
  },
  coreOrder: {
    asks: 'Core aerate',
    choices: [
      choice('after', 'After dethatching', 'Holes stay open for the seed.'),
      choice('before', 'Before it', 'One hire day for both machines; blades break the cores, holes close a little.'),
    ],
  },
  rate: {
    asks: 'Seed rate',
    choices: [
      choice('label', 'Label rate', 'Enough live seed; more only competes and costs.'),
      choice(
        'heavy',
        'Half again',
        'Crowds weeds out where the old sward is kept alive; half again the seed and its price.',
      ),
    ],
  },
  springRate: {
    asks: 'Seed in spring',
    choices: [
      choice('same', 'Same rate', 'The odds are shown instead.'),
      choice('more', 'A quarter more', 'Since fewer make it to the summer.'),
    ],
  },
  scalp: {
    asks: 'How low before sowing',
    choices: [
      choice('by stand', 'By the stand', 'Lowest notch, but the shortest safe height where more than 70% is kept.'),
      choice(
        'lowest notch',
        'Lowest notch',
        'More light and soil for the seed, more clippings; the old grass is set back hard.',
      ),
      choice('shortest safe', 'Shortest safe height', 'The old sward stays in use; seed lies in more shade.'),
    ],
  },
  season: {
    asks: 'Season',
    choices: [
      choice('by window', 'By the window', 'The computed odds decide.'),
      choice('autumn', 'Autumn', 'Falling soil temperature, fewer weeds; waits for it.'),
      choice('spring', 'Spring', 'Rising soil temperature, against time on both sides; waits for it.'),
    ],
  },
  starter: {
    asks: 'Feed at sowing',
    choices: [
      choice(
        'starter',
        'Starter, 18-24-12',
        'High in phosphorus: only where the soil test is short of it and local law allows.',
      ),
      choice(
        'balanced',
        'Balanced, 10-10-10',
        'Less phosphorus for the same nitrogen; nearly twice the product to spread.',
      ),
      choice('none', 'None', 'Seed carries enough to sprout; the first feed follows the first mow.'),
    ],
  },
  feedWhen: {
    asks: 'When to feed',
    choices: [
      choice('at sowing', 'With the seed', 'Done in one visit.'),
      choice(
        'after first mow',
        'After the first mow',
        'Less is washed out of bare ground: sand, rain, winter colour. One more visit.',
      ),
    ],
  },
  preventer: {
    asks: 'Pre-emergent',
    choices: [
      choice('none', 'None', 'The new grass does the crowding out.'),
      choice(
        'apart',
        'Seedling-safe, apart',
        'Mesotrione or siduron type where the species and law allow; a pass more.',
      ),
      choice('combined', 'With the starter', 'One pass; the limits of feed and label both apply.'),
    ],
  },
  sowing: {
    asks: 'Getting seed in',
    choices: [
      choice('broadcast', 'Dethatch, sow, rake', 'Soil shows all over; seed lies even.'),
      choice(
        'slit',
        'Slit-seed',
        'In place of dethatching, sowing and raking where the sward stays: two directions, no deeper than ¼ in (6 mm); rows show until they close.',
      ),
    ],
  },
  mixing: {
    asks: 'Seed and feed',
    choices: [
      choice('apart', 'Each by itself', 'Each with its own setting.'),
      choice('mixed', 'Mixed by hand', 'One pass less on small areas; the setting is a guess.'),
    ],
  },
  additive: {
    asks: 'Additives',
    choices: [
      choice('none', 'None', 'Unproven; never in place of a watering.'),
      choice('priced', 'As a cost line', 'Moisture holder or root stimulant; a line in the price.'),
    ],
  },
  cover: {
    asks: 'Cover over the seed',
    choices: [
      choice('always', 'Always', 'Holds water and hides seed; material to buy, carry and spread.'),
      choice('none', 'None', 'No material; three to seven waterings a day and a slower, thinner start.'),
    ],
  },
  coverMaterial: {
    asks: 'Cover with',
    choices: [
      choice('compost', 'Compost', 'Peat-free, dark when moist; weighs more than peat.'),
      choice('peat', 'Peat', 'Light to carry, pales clearly when dry; not renewable.'),
      choice('screened topsoil', 'Screened topsoil', 'Heaviest; evens small bumps as well.'),
      choice('straw', 'Straw', 'Cheap and quick, thin enough to see soil; weed-free straw, never hay.'),
      choice(
        'fleece',
        'Fleece',
        'Warms late sowings and holds them on slopes; off when green shows, 16 days at the most.',
      ),
    ],
  },
  dressing: {
    asks: 'Soil and seed',
    choices: [
      choice('by depth', 'By the depth', 'Soil first where more than ½ in (12 mm) is moved.'),
      choice('seed first', 'Seed, then dressing', 'A thin dressing covers the seed.'),
      choice('dress first', 'Dressing, then seed', 'Seed stays near the surface and is raked in.'),
    ],
  },
  soil: {
    asks: 'Soil for levelling',
    choices: [
      choice('by texture', 'By the soil', 'Sand on a good soil, half organic on sand, topsoil on clay.'),
      choice('sand', 'Straight sand', 'Dry, fine, stone-free; stays where it is put.'),
      choice('half organic', 'Half organic', 'Holds water on sand; decays, and bumps may come back.'),
      choice('topsoil', 'Topsoil', 'Betters clay; brings weed seed unless screened and clean.'),
    ],
  },
  firming: {
    asks: 'Firming',
    choices: [
      choice('firm', 'Heel or roll', 'Footprints must not sink; highs and lows show before seed goes down.'),
      choice('loose', 'Leave loose', 'A pass less; highs and lows show in days to two weeks.'),
    ],
  },
  loam: {
    asks: 'After stripping',
    choices: [
      choice('bring', 'Bring loam', '50 to 75 mm (2 to 3 in) of screened loam; no coring.'),
      choice('without', 'Without loam', 'Strip in four or more passes, core, sow, thin dressing; fleece when late.'),
    ],
  },
}
export const PRACTICE_CODES = Object.keys(PRACTICES) as PracticeCode[]

export const DEFAULT_PRACTICES: Practices = {
  kill: 'by survey',
  cores: 'leave',
  coreOrder: 'after',
  rate: 'label',
  springRate: 'same',
  scalp: 'by stand',
  season: 'by window',
  starter: 'starter',
  feedWhen: 'at sowing',
  preventer: 'none',
  sowing: 'broadcast',
  mixing: 'apart',
  additive: 'none',
  cover: 'always',
  coverMaterial: 'compost',
  dressing: 'by depth',
  soil: 'by texture',
  firming: 'firm',
  loam: 'bring',
}

/** A firm's practices, with what it has not said yet filled by the usual. */
export const allPractices = (kept: Partial<Practices>): Practices => ({ ...DEFAULT_PRACTICES, ...kept })

/** Share of the label rate that the heavy practice sows. @source trade: half again */
export const HEAVY_RATE = 1.5
/** Share more sown in spring by those who hold it. @source own */
export const SPRING_RATE = 1.25

export const STARTER_ANALYSIS: Record<Exclude<Practices['starter'], 'none'>, string> = {
  starter: '18-24-12',
  balanced: '10-10-10',
}
