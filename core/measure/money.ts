import { say } from '../explain/message'
import type { Parsed } from './parse'

/** Digits after the point of a currency: 2 for USD, 0 for JPY. @source ISO 4217, as the platform's Intl has it */
export function minorDigits(currency: string): number {
  return new Intl.NumberFormat('en-US', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2
}

/** "$165.00" of 16500 cents. */
export const showMoney = (minor: number, currency: string): string =>
  (minor / 10 ** minorDigits(currency)).toLocaleString('en-US', { style: 'currency', currency })

/** The number alone, as it is typed: "165.00". */
export const typedMoney = (minor: number, currency: string): string =>
  (minor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency))

/**
 * Reads what people type as a price: "165", "$1,165.50", "45 EUR".
 * @returns whole minor units, or a sentence on what is wrong; never a fraction of a cent
 */
export function parseMoney(typed: string, currency: string): Parsed {
  const digits = minorDigits(currency)
  const text = typed
    .trim()
    .replace(new RegExp(`^${currency}\\s*|\\s*${currency}$`, 'i'), '')
    .replace(/^\p{Sc}\s*|\s*\p{Sc}$/gu, '')
  const found = /^(\d{1,3}(?:,\d{3})+|\d+)(?:\.(\d+))?$/.exec(text)
  const example = typedMoney(16_500 * 10 ** Math.max(0, digits - 2), currency)
  if (!found || (found[2]?.length ?? 0) > digits)
    return { ok: false, message: say('measure.aPriceIn', { currency, example }) }
  const minor = Math.round(Number(`${found[1]!.replace(/,/g, '')}.${found[2] ?? 0}`) * 10 ** digits)
  return Number.isSafeInteger(minor)
    ? { ok: true, value: minor }
    : { ok: false, message: say('measure.thatNumberIsToo') }
}
