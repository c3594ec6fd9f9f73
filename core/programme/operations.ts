import type { Lag } from './network'

export const OPERATION_CODES = [
  'kill1', 'kill2', 'scalp', 'clear', 'dethatch', 'core', 'loosen', 'level', 'lift', 'sow', 'rake', 'firm', 'feed', 'cover', 'water', 'check', 'mow',
] as const
export type OperationCode = (typeof OPERATION_CODES)[number]
export type Mark = 'cut' | 'machine' | 'spray' | 'sow' | 'visit'

/** What stays the same about an operation on every lawn. */
export interface Operation {
  code: OperationCode
  name: string
  /** Button: "Mark scalped". */
  done: string
  mark: Mark
  /** Preferred day, counted from sowing or the first lift. */
  preferredDay: number
  why: string
  /** The other word for it, said once. */
  alsoCalled?: string
  caution?: string
}

const SPRAY_CAUTION = 'The label is the law; licence where required. Protective clothing, no drift, people and pets off until dry. Write the application down.'
const SERVICES_CAUTION = 'Have buried services located by the local service before tines or spade go in, several working days ahead. Hand-dig near marks.'

/** In the order in which they are done. */
export const OPERATIONS: readonly Operation[] = [
  { code: 'kill1', name: 'Kill, first', done: 'sprayed', mark: 'spray', preferredDay: -27, why: 'Ends weed grasses that survive everything else. It has to be growing, the leaf dry, little wind, no rain due.', caution: SPRAY_CAUTION },
  { code: 'kill2', name: 'Kill, again', done: 'sprayed again', mark: 'spray', preferredDay: -12, why: 'What greens up again after two weeks is what would have come through.', caution: SPRAY_CAUTION },
  {
    code: 'scalp', name: 'Scalp', done: 'scalped', mark: 'cut', preferredDay: -3,
    why: 'Lets light and seed down to the soil, and holds the old grass back while seedlings start.',
    caution: 'Boots, eyes and ears. Clear stones and people. Stop the engine and pull the plug lead before clearing the deck.',
  },
  { code: 'clear', name: 'Rake out leaves', done: 'raked out', mark: 'machine', preferredDay: -1, why: 'Seed that lies on leaves and clippings never touches soil.' },
  {
    code: 'dethatch', name: 'Dethatch', done: 'dethatched', mark: 'machine', preferredDay: -2, alsoCalled: 'scarify',
    why: 'Seed that lies on thatch dries out. Blades open the mat and bring soil up.',
    caution: 'Flag sprinkler heads and valve boxes. Isolate the machine before clearing blades. Dust: mask when it is dry.',
  },
  {
    code: 'core', name: 'Core aerate', done: 'cored', mark: 'machine', preferredDay: -1, alsoCalled: 'hollow-tine',
    why: 'Opens hard ground to roots and water, and lays soil on the surface for the seed.', caution: SERVICES_CAUTION,
  },
  { code: 'loosen', name: 'Loosen bare ground', done: 'loosened', mark: 'machine', preferredDay: -1, why: 'Bare ground has set. Roots want 2 to 6 in (50 to 150 mm) of it loose, stones out.', caution: SERVICES_CAUTION },
  {
    code: 'level', name: 'Level', done: 'levelled', mark: 'machine', preferredDay: -1, why: 'Bumps left at sowing stay for good.',
    caution: 'Dry sand is dusty (silica): mask, damp it down. Lift with two above 25 kg; watch steps and gates with the barrow.',
  },
  {
    code: 'lift', name: 'Dress, first lift', done: 'dressed', mark: 'machine', preferredDay: 0, alsoCalled: 'topdress', why: 'Growing turf knits through a thin dressing. Leaf tips must show through.',
    caution: 'Dry sand is dusty (silica): mask, damp it down. Lift with two above 25 kg; watch steps and gates with the barrow.',
  },
  {
    code: 'sow', name: 'Sow', done: 'sown', mark: 'sow', preferredDay: 0,
    why: 'Half the seed one way, half at right angles: gaps of one pass are covered by the other.',
    caution: 'Treated (coloured) seed: gloves, not for feed, keep animals off.',
  },
  { code: 'rake', name: 'Rake in', done: 'raked in', mark: 'cut', preferredDay: 0, why: 'Seed has to touch soil, and no deeper than it can grow through.' },
  { code: 'firm', name: 'Firm', done: 'firmed', mark: 'machine', preferredDay: 0, why: 'A heel must not sink more than half an inch: loose ground dries and settles.' },
  {
    code: 'feed', name: 'Feed', done: 'fed', mark: 'machine', preferredDay: 0,
    why: 'Nitrogen is nearly always short in a new seedbed. Phosphorus only where a soil test asks for it and local law allows.',
    caution: 'Sweep granules off paving; keep away from water. Local bans by date and nutrient come first.',
  },
  {
    code: 'cover', name: 'Cover', done: 'covered', mark: 'machine', preferredDay: 0,
    why: 'Holds water round the seed, hides it from birds, and pales when it is dry.',
    caution: 'Peat and compost dust: mask and gloves, damp it down, wash hands. Bags over 25 kg want two people.',
  },
  {
    code: 'water', name: 'Water in', done: 'watered in', mark: 'visit', preferredDay: 0,
    why: 'Within the hour, fine and from above: swollen seed that dries once is dead.',
    caution: 'Local watering restrictions come first. Keep hoses off the path.',
  },
  { code: 'check', name: 'First check', done: 'checked', mark: 'visit', preferredDay: 3, why: 'At the driest hour: is the top centimetre dark and moist? Washed seed, birds?' },
  {
    code: 'mow', name: 'First mow', done: 'first mown', mark: 'cut', preferredDay: 28,
    why: 'On dry grass with a sharp blade and a light machine; never more than a third, no turning on the spot.',
    caution: 'Boots, eyes and ears. Clear stones that came up with the tines.',
  },
]

/** Names of work told on the day of another. */
const SAME_DAY = ['rake', 'firm', 'cover', 'water'] as const

/**
 * Lags of all programmes; those of operations that a plan has not fall away.
 * @source reference §12, own unless said; first mow is added from the computed growth
 */
export const LAGS: readonly Lag[] = [
  { from: 'kill1', to: 'kill2', leastDays: 14, mostDays: 35, why: 'what regrows has to be seen before it is killed' },
  { from: 'kill2', to: 'scalp', leastDays: 7, mostDays: 21, why: 'the label interval, and brown all over' },
  { from: 'scalp', to: 'sow', leastDays: 0, mostDays: 7, why: 'scalped ground does not lie open longer than 7 days' },
  { from: 'scalp', to: 'dethatch', leastDays: 0, why: 'blades reach the thatch once the grass is down' },
  { from: 'scalp', to: 'clear', leastDays: 0, why: 'clippings are raked out with the leaves' },
  { from: 'clear', to: 'sow', leastDays: 0, mostDays: 5, why: 'leaves fall again' },
  { from: 'scalp', to: 'lift', leastDays: 0, mostDays: 7, why: 'the turf is cut low before it is dressed' },
  { from: 'core', to: 'lift', leastDays: 0, mostDays: 7, why: 'dressing falls into open holes' },
  { from: 'dethatch', to: 'sow', leastDays: 0, mostDays: 5, why: 'torn ground does not lie open longer than 5 days' },
  { from: 'core', to: 'sow', leastDays: 0, mostDays: 7, why: 'core holes close after 7 days' },
  { from: 'dethatch', to: 'level', leastDays: 0, why: 'soil is brought on clean ground' },
  { from: 'core', to: 'level', leastDays: 0, why: 'soil is dragged into the holes' },
  { from: 'level', to: 'sow', leastDays: 1, mostDays: 10, why: 'firmed and dragged again a day later' },
  { from: 'loosen', to: 'sow', leastDays: 0, mostDays: 7, why: 'loose ground sets again' },
  ...SAME_DAY.map((to): Lag => ({ from: 'sow', to, leastDays: 0, mostDays: 0, why: 'on the day of sowing' })),
  { from: 'lift', to: 'water', leastDays: 0, mostDays: 0, why: 'watered in at once' },
  { from: 'sow', to: 'check', leastDays: 2, mostDays: 5, why: 'seed is swollen by then and can still be saved' },
]

/** Coring against dethatching, by the school. */
export const coreLag = (order: 'after' | 'before'): Lag => order === 'after'
  ? { from: 'dethatch', to: 'core', leastDays: 0, why: 'coring comes after, so that the holes stay open' }
  : { from: 'core', to: 'dethatch', leastDays: 0, why: 'the firm cores first, while the machine is there' }

/** Feeding, by the school: with the anchor, or after the first mow. */
export function feedLags(when: 'at sowing' | 'after first mow', anchor: 'sow' | 'lift'): Lag[] {
  return when === 'at sowing' || anchor === 'lift'
    ? [{ from: anchor, to: 'feed', leastDays: 0, mostDays: 0, why: 'on the day of sowing' }]
    : [{ from: 'mow', to: 'feed', leastDays: 0, mostDays: 10, why: 'the firm feeds after the first mow' }]
}
