import { GRASSES, type GrassCode, type Season } from './grasses'

/** Standing turfs that are not sown here but have to be told apart as what grows now. */
const STANDING = [
  ['HBER', 'hybrid bermuda', 'warm'],
  ['SAG', 'St. Augustinegrass', 'warm'],
  ['CEN', 'centipedegrass', 'warm'],
  ['BAH', 'bahiagrass', 'warm'],
  ['KIK', 'kikuyu', 'warm'],
  ['BUF', 'buffalograss', 'warm'],
  ['MIX', 'a mixture, or not known', 'cool'],
] as const satisfies readonly (readonly [string, string, Season])[]

export type SwardCode = GrassCode | (typeof STANDING)[number][0]

/** What can grow on a lawn now. @source turf handbooks for habit and season */
export interface Sward {
  code: SwardCode
  name: string
  season: Season
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
  ...GRASSES.map(({ code, name, season }): [SwardCode, string, Season] => [code, name, season]),
  ...STANDING,
].map(([code, name, season]) => ({ code, name, season, spreads: SPREADING.has(code), coarse: COARSE.has(code) }))
export const SWARD_CODES = SWARDS.map(({ code }) => code) as [SwardCode, ...SwardCode[]]

/** @throws RangeError for a code that is not in the table */
export function swardByCode(code: string): Sward {
  const sward = SWARDS.find((one) => one.code === code)
  if (!sward) throw new RangeError(`There is no sward "${code}".`)
  return sward
}
