/** What kind of trouble a failed question to the database is; each kind is told in its own words, once. */
export type Failure =
  | 'unreachable'
  | 'slow'
  | 'full'
  | 'busy'
  | 'other schema'
  /** What was sent cannot be kept: the contract should have said so by field. */
  | 'unkeepable'
  | 'taken'
  | 'gone'
  | 'ours'

/** By the whole SQLSTATE where it says more than its class. @source PostgreSQL documentation, appendix A */
const BY_CODE: Readonly<Record<string, Failure>> = {
  ECONNREFUSED: 'unreachable',
  ECONNRESET: 'unreachable',
  ENOTFOUND: 'unreachable',
  ETIMEDOUT: 'unreachable',
  EPIPE: 'unreachable',
  '57P01': 'unreachable',
  '57P02': 'unreachable',
  '57P03': 'unreachable',
  '57P05': 'unreachable',
  '53300': 'unreachable',
  '3D000': 'unreachable',
  '57014': 'slow',
  '55P03': 'slow',
  '25P03': 'slow',
  '25P04': 'slow',
  '40001': 'busy',
  '40P01': 'busy',
  '22023': 'other schema',
  '42P01': 'other schema',
  '42703': 'other schema',
  '42883': 'other schema',
  '42704': 'other schema',
  '42501': 'other schema',
  '42P10': 'other schema',
  '26000': 'other schema',
  '23505': 'taken',
  '23P01': 'taken',
  '23503': 'gone',
  '23001': 'gone',
  '23502': 'unkeepable',
  '23514': 'unkeepable',
  '53000': 'full',
  '53100': 'full',
  '53200': 'full',
}
/** By the first two characters. */
const BY_CLASS: Readonly<Record<string, Failure>> = {
  '08': 'unreachable',
  '28': 'unreachable',
  '57': 'unreachable',
  '58': 'full',
  '53': 'full',
  '54': 'unkeepable',
  '22': 'unkeepable',
  '23': 'unkeepable',
  '40': 'busy',
}
/** What node-postgres says without a code of its own. */
const UNREACHABLE_WORDS =
  /connection terminated|timeout exceeded when trying to connect|not queryable|connection error|client was closed/i

/** The kind of a failure, whatever threw it; undefined where it is none of the database's. */
export function failureOf(error: unknown): Failure | undefined {
  const code = String((error as { code?: unknown } | null)?.code ?? '')
  const text = error instanceof Error ? error.message : String(error)
  if (BY_CODE[code]) return BY_CODE[code]
  if (/^[\dA-Z]{5}$/.test(code)) return BY_CLASS[code.slice(0, 2)] ?? 'ours'
  if (UNREACHABLE_WORDS.test(text)) return 'unreachable'
  if (/query read timeout/i.test(text)) return 'slow'
  return undefined
}
