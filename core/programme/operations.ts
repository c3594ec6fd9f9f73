import type { Lag } from './network'

export const OPERATION_CODES = ['scalp', 'dethatch', 'core', 'sow', 'rake', 'feed', 'cover', 'water', 'check', 'mow'] as const
export type OperationCode = (typeof OPERATION_CODES)[number]
export type Mark = 'cut' | 'machine' | 'sow' | 'visit'

/** What stays the same about an operation on every lawn. */
export interface Operation {
  code: OperationCode
  name: string
  /** Button: "Mark scalped". */
  done: string
  mark: Mark
  /** Preferred day, counted from sowing. */
  preferredDay: number
  why: string
  /** The other word for it, said once. */
  alsoCalled?: string
  caution?: string
}

export const OPERATIONS: readonly Operation[] = [
  {
    code: 'scalp', name: 'Scalp', done: 'scalped', mark: 'cut', preferredDay: -3,
    why: 'Lets light and seed down to the soil, and holds the old grass back while seedlings start.',
    caution: 'Boots, eyes and ears. Clear stones and people. Stop the engine and pull the plug lead before clearing the deck.',
  },
  {
    code: 'dethatch', name: 'Dethatch', done: 'dethatched', mark: 'machine', preferredDay: -2, alsoCalled: 'scarify',
    why: 'Seed that lies on thatch dries out. Blades open the mat and bring soil up.',
    caution: 'Flag sprinkler heads and valve boxes. Isolate the machine before clearing blades. Dust: mask when it is dry.',
  },
  {
    code: 'core', name: 'Core aerate', done: 'cored', mark: 'machine', preferredDay: -1, alsoCalled: 'hollow-tine',
    why: 'Opens hard ground to roots and water, and lays soil on the surface for the seed.',
    caution: 'Have buried services located by the local service before tines go in, several working days ahead. Hand-dig near marks.',
  },
  {
    code: 'sow', name: 'Sow', done: 'sown', mark: 'sow', preferredDay: 0,
    why: 'Half the seed one way, half at right angles: gaps of one pass are covered by the other.',
    caution: 'Treated (coloured) seed: gloves, not for feed, keep animals off.',
  },
  { code: 'rake', name: 'Rake in', done: 'raked in', mark: 'cut', preferredDay: 0, why: 'Seed has to touch soil, and no deeper than it can grow through.' },
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

/** Lags of an overseeding. @source reference §12, own unless said; first mow is added from the computed growth */
export const OVERSEED_LAGS: readonly Lag[] = [
  { from: 'scalp', to: 'sow', leastDays: 0, mostDays: 7, why: 'scalped ground does not lie open longer than 7 days' },
  { from: 'scalp', to: 'dethatch', leastDays: 0, why: 'blades reach the thatch once the grass is down' },
  { from: 'dethatch', to: 'sow', leastDays: 0, mostDays: 5, why: 'torn ground does not lie open longer than 5 days' },
  { from: 'dethatch', to: 'core', leastDays: 0, why: 'coring comes after, so that the holes stay open' },
  { from: 'core', to: 'sow', leastDays: 0, mostDays: 7, why: 'core holes close after 7 days' },
  ...(['rake', 'feed', 'cover', 'water'] as const).map((to): Lag => ({ from: 'sow', to, leastDays: 0, mostDays: 0, why: 'on the day of sowing' })),
  { from: 'sow', to: 'check', leastDays: 2, mostDays: 5, why: 'seed is swollen by then and can still be saved' },
]
