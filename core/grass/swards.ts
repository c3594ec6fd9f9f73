import { say, type Message } from '../explain/message'
import { GRASSES, type GrassCode, type Season } from './grasses'

/**
 * Standing turfs that are not sown here but have to be told apart as what grows now, with the heights they are mowed at, mm.
 * @source turf handbooks; own for a mixed sward
 */
const STANDING = [
  ['HBER', 'warm', 12, 40],
  ['SAG', 'warm', 65, 100],
  ['CEN', 'warm', 25, 50],
  ['BAH', 'warm', 75, 100],
  ['KIK', 'warm', 25, 50],
  ['BUF', 'warm', 50, 100],
  ['MIX', 'cool', 50, 75],
] as const satisfies readonly (readonly [string, Season, number, number])[]

export type SwardCode = GrassCode | (typeof STANDING)[number][0]

/** What can grow on a lawn now. @source turf handbooks for habit and season */
export interface Sward {
  code: SwardCode
  name: Message
  season: Season
  /** Heights it is mowed at, mm. */
  mowingMm: readonly [number, number]
  /** Fills gaps by itself, by runners above or below ground. */
  spreads: boolean
  /** Leaves broad enough to show as patches among fine ones. */
  coarse: boolean
}

const SPREADING = new Set<SwardCode>([
  'KBG',
  'CBG',
  'RBG',
  'CRF',
  'BER',
  'ZOY',
  'HBER',
  'SAG',
  'CEN',
  'BAH',
  'KIK',
  'BUF',
])
const COARSE = new Set<SwardCode>(['TF', 'SAG', 'BAH', 'KIK', 'CEN'])

export const SWARDS: readonly Sward[] = [
  ...GRASSES.map(({ code, season, mowingMm: [low, high] }): [SwardCode, Season, number, number] => [
    code,
    season,
    low,
    high,
  ]),
  ...STANDING,
].map(([code, season, low, high]) => ({
  mowingMm: [low, high] as const,
  code,
  name: say(`grass.${code}`),
  season,
  spreads: SPREADING.has(code),
  coarse: COARSE.has(code),
}))
export const SWARD_CODES = SWARDS.map(({ code }) => code) as [SwardCode, ...SwardCode[]]

/** @throws RangeError for a code that is not in the table */
export function swardByCode(code: string): Sward {
  const sward = SWARDS.find((one) => one.code === code)
  if (!sward) throw new RangeError(`There is no sward "${code}".`)
  return sward
}
