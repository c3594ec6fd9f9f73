import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { minorDigits, parseMoney, showMoney, typedMoney } from '../money'

describe('money', () => {
  test('has the minor digits of its currency', () => {
    // ISO 4217: US dollar and euro 2, yen 0, Kuwaiti dinar 3; from memory.
    expect(['USD', 'EUR', 'JPY', 'KWD'].map(minorDigits)).toEqual([2, 2, 0, 3])
    expect([showMoney(16_500, 'USD'), showMoney(16_500, 'JPY'), typedMoney(16_500, 'KWD')]).toEqual([
      '$165.00',
      '¥16,500',
      '16.500',
    ])
  })

  test('is read as people type it, and never to a fraction of a cent', () => {
    for (const typed of ['165', '165.00', '$165', '$ 165.0', 'usd 165', '165 USD', ' 165 $ '])
      expect(parseMoney(typed, 'USD')).toEqual({ ok: true, value: 16_500 })
    expect(parseMoney('€1,165.50', 'EUR')).toEqual({ ok: true, value: 116_550 })
    expect(parseMoney('1,165', 'JPY')).toEqual({ ok: true, value: 1165 })
    for (const typed of ['', '-5', '1.005', '12,50', 'free', '1e3', '165 EUR', '1.5.0'])
      expect(parseMoney(typed, 'USD')).toMatchObject({ ok: false })
    expect(parseMoney('10.5', 'JPY')).toMatchObject({
      ok: false,
      message: { key: 'measure.aPriceIn', values: { currency: 'JPY', example: '16500' } },
    })
  })

  test('typed as shown reads the same, in every currency', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10 ** 10 }),
        fc.constantFrom('USD', 'EUR', 'JPY', 'KWD', 'NZD', 'GBP'),
        (minor, currency) => {
          expect(parseMoney(typedMoney(minor, currency), currency)).toEqual({ ok: true, value: minor })
          // Some signs carry letters ("NZ$"); digits and point are what is compared.
          expect(parseMoney(showMoney(minor, currency).replace(/^[A-Z]+\s*/, ''), currency)).toEqual({
            ok: true,
            value: minor,
          })
        },
      ),
    )
  })
})
