import type { PricedBy, Quantity } from '../measure/figure'
import type { Source } from '../explain/working'
import { EXPECT_FIGURES } from './decision/expectationFigures'

/** A figure that judgements and estimates lean on; a firm may put its own in its place. */
export interface PlanningFigure {
  group: 'Limits' | 'Waits' | 'Machines' | 'Prices' | 'Expected results'
  name: string
  quantity: Quantity
  /** Money is for this much: an hour, a kilogram, a cubic metre, a square metre. */
  per?: PricedBy
  value: number
  least: number
  most: number
  source: Source
}

const mem = (text: string): Source => ({ kind: 'mem', text })
const own = (text: string): Source => ({ kind: 'own', text })
const trade = (text: string): Source => ({ kind: 'trade', text })
type Limit = Omit<PlanningFigure, 'group'>
const share = (name: string, value: number, source: Source): Limit => ({
  name,
  quantity: 'share',
  value,
  least: 0,
  most: 1,
  source,
})
const depth = (name: string, value: number, source: Source): Limit => ({
  name,
  quantity: 'depthMm',
  value,
  least: 0,
  most: 300,
  source,
})
const plain = (name: string, quantity: Quantity, value: number, most: number, source: Source): Limit => ({
  name,
  quantity,
  value,
  least: 0,
  most,
  source,
})
const price = (name: string, per: PlanningFigure['per'], value: number): Limit => ({
  name,
  quantity: 'money',
  per,
  value,
  least: 0,
  most: 10_000_000,
  source: own('price to plan with'),
})

/** @source turf handbooks unless said */
const LIMITS = {
  overseedFrom: share('Desirable grass that is enough to overseed', 0.5, mem('desirable grass from 50%')),
  hardFrom: share(
    'Desirable grass under which an old sward is given up',
    0.3,
    mem('under 30% kill, or renovate hard by the firm’s practice'),
  ),
  spotFrom: share(
    'Desirable grass that leaves only patches to repair',
    0.9,
    own('bare or damaged under 10% in patches, the rest dense'),
  ),
  spotWeeds: share('Weeds over which patches alone are not enough', 0.05, own('the rest dense')),
  coarseSpot: share('Coarse weed grasses over which they are killed in spots first', 0.1, own('over 10%')),
  coarseKill: share('Coarse weed grasses over which everything is killed', 0.3, own('over 30%')),
  hollowLevel: depth('Hollow over which levels come first', 25, own('deeper than 25 mm (1 in)')),
  hollowRelay: depth('Hollow over which turf is lifted, filled and relaid', 75, own('deeper than 75 mm (3 in)')),
  lift: depth('Dressing over living grass in one lift', 12, trade('½ in (12 mm) at the most')),
  topsoilLeast: depth('Loose topsoil under which new soil is brought', 50, trade('50 to 150 mm (2 to 6 in) wanted')),
  thatch: depth('Thatch over which it is dethatched', 12, trade('limit ½ in (12 mm)')),
  thatchDeep: depth('Thatch over which one season is not enough', 25, own('over 25 mm (1 in)')),
  driver: depth('Screwdriver depth under which ground is hard', 75, mem('not in to 3 in (75 mm) when moist')),
  penetrometer: plain('Penetrometer over which roots stop', 'kPa', 2000, 10_000, mem('about 300 psi (2,000 kPa)')),
  sunLeast: plain('Sun under which no turf lasts', 'hours', 3, 24, mem('below 3 h')),
  phLow: plain('pH under which it is corrected first', 'ph', 5.5, 14, mem('below 5.5')),
  phHigh: plain('pH over which it is corrected first', 'ph', 7.8, 14, mem('above 7.8')),
  waterings: plain('Waterings a day the client must manage', 'count', 2, 12, own('twice a day, or irrigation')),
  slopeSlit: share('Slope over which seed has to be held', 0.15, own('over 15%: slit-seed, netting or fleece')),
  slopeRefer: share('Slope over which heavy machines stay off', 0.33, own('over 33%: refer')),
  droughtRain: share('Rain of four weeks, against usual, that is a drought', 0.25, own('under a quarter of the usual')),
  lowCut: depth('Kept height that wants cores taken off and better levels', 25, trade('cores off below 1 in (25 mm)')),
} satisfies Record<string, Limit>

const days = (name: string, value: number, source: Source): Limit => ({
  name,
  quantity: 'days',
  value,
  least: 0,
  most: 400,
  source,
})

/** @source own */
const WAITS = {
  locateLead: days(
    'Locating services before a machine goes in',
    5,
    mem('3 working days, a weekend between; local law first'),
  ),
  seedLead: days('Order of seed before sowing', 7, own('on site')),
  soilLead: days('Order of soil before its delivery', 4, own('on site')),
  hireLead: days('Hire of machines before the scalp', 3, own('on site')),
  testLead: days('Soil test before sowing', 12, own('laboratory and post')),
  killAgain: days('First spray to the second', 14, own('regrowth has to be seen')),
  labelWait: days('Last spray to the scalp', 7, own('label interval 3 to 7 days, and brown all over')),
  scalpOpen: days('Scalped ground lies open at the most', 7, own('until seed or dressing')),
  tornOpen: days('Torn ground lies open at the most', 5, own('until seed')),
  coreOpen: days('Core holes stay open', 7, own('until seed or dressing')),
  levelRest: days('Levelled to sown', 1, own('firmed and dragged again')),
  liftGrow: days('One lift to the next', 14, trade('10 to 14 days of growth')),
  checkFirst: days('First check, from sowing', 2, own('seed is swollen')),
  checkLast: days('First check, at the latest', 5, own('it can still be saved')),
  fleeceMost: days('Fleece lies at the most', 16, own('10 to 14 days is trade')),
  weakFirst: days('Reseed thin spots, days from germination', 14, own('2 to 4 weeks')),
  weakLast: days('Reseed thin spots, at the latest', 28, own('2 to 4 weeks')),
} satisfies Record<string, Limit>

/** A walk-behind corer with its tines on a drum; every one differs a little, and hired ones more. */
const MACHINES = {
  corerAcross: { ...depth('Corer: tines apart, across the machine', 100, own('a walk-behind corer')), least: 20 },
  corerAlong: { ...depth('Corer: holes apart, along its way', 130, own('a walk-behind corer')), least: 20 },
} satisfies Record<string, Limit>

const PRICES = {
  crew: price('Crew', 'hours', 5800),
  seed: price('Seed as sold', 'massKg', 900),
  feed: price('Feed', 'massKg', 220),
  coverSoil: price('Cover material', 'volumeM3', 6000),
  loam: price('Screened loam or sand', 'volumeM3', 5500),
  herbicide: price('Non-selective herbicide, each time', 'areaM2', 6),
  additive: price('Additive, where wanted', 'areaM2', 9),
  fleece: price('Fleece', 'areaM2', 45),
} satisfies Record<string, Limit>

const grouped = <C extends string>(
  group: PlanningFigure['group'],
  figures: Record<C, Limit>,
): Record<C, PlanningFigure> =>
  Object.fromEntries(Object.entries<Limit>(figures).map(([code, figure]) => [code, { group, ...figure }])) as Record<
    C,
    PlanningFigure
  >

/** Every figure by its code, in the order in which a firm reads them. */
export const PLANNING = {
  ...grouped('Limits', LIMITS),
  ...grouped('Waits', WAITS),
  ...grouped('Machines', MACHINES),
  ...grouped('Prices', PRICES),
  ...grouped('Expected results', EXPECT_FIGURES),
}
export type PlanningCode = keyof typeof PLANNING
export type WaitCode = keyof typeof WAITS
export type LimitCode = keyof typeof LIMITS
export type PriceCode = keyof typeof PRICES
export const PLANNING_CODES = Object.keys(PLANNING) as [PlanningCode, ...PlanningCode[]]

/** All figures as the firm has them. */
export type Planning = Record<PlanningCode, number>

/** The firm's own figures, and ours where it has none. */
export const planningOf = (own: Partial<Planning> = {}): Planning =>
  Object.fromEntries(PLANNING_CODES.map((code) => [code, own[code] ?? PLANNING[code].value])) as Planning

/** How a figure is known: ours until the firm puts in its own. */
export const sourceOf = (code: PlanningCode, planning: Planning): Source =>
  planning[code] === PLANNING[code].value ? PLANNING[code].source : { kind: 'user', text: 'Firm, planning figures' }
