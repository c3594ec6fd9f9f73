import { describe, expect, test } from 'vitest'
import { told } from '../../explain/test/told'
import type { SwardCode } from '../../grass/swards'
import { judgeSoil, phWanted, supplyOf } from '../soilTest'
import { SOIL } from './soil'

describe('a soil report', () => {
  // Handbook knowledge, from memory: Mehlich-3 sufficient at P 30-50 and K 100-150 ppm; pH 6.0-7.0.
  test('says what is short, enough or plenty, by its own method only', () => {
    expect([18, 30, 50, 51].map((pPpm) => supplyOf({ ...SOIL, pPpm }, 'p'))).toEqual([
      'short',
      'enough',
      'enough',
      'high',
    ])
    expect([99, 100, 150, 151].map((kPpm) => supplyOf({ ...SOIL, kPpm }, 'k'))).toEqual([
      'short',
      'enough',
      'enough',
      'high',
    ])
    expect(supplyOf({ ...SOIL, method: 'Olsen' }, 'p')).toBe('not known')
    expect([supplyOf(null, 'p'), supplyOf({ ...SOIL, pPpm: null }, 'p')]).toEqual(['not known', 'not known'])
  })

  test('judges pH at its limits, and leaves what it does not know to the report', () => {
    const states = (ph: number) => judgeSoil({ ...SOIL, ph })[0]!.state
    expect([5.9, 6, 7, 7.1].map(states)).toEqual(['risk', 'met', 'met', 'risk'])
    // Handbook ranges, from memory. Found: pH 6 to 7 was wanted of every grass, and fescue turf was to be limed.
    const of = (ph: number, ...grasses: SwardCode[]) => judgeSoil({ ...SOIL, ph }, grasses)[0]!
    expect([of(5.7, 'CRF').state, of(5.7, 'TF').state, of(6.8, 'CRF').state]).toEqual(['met', 'risk', 'risk'])
    expect(told(of(5.7, 'HF').text)).toContain('No lime')
    expect([of(5.4, 'CEN').state, of(6.4, 'CEN').state]).toEqual(['met', 'risk'])
    expect([phWanted(['TF', 'CRF']), phWanted(['CEN', 'TF']), phWanted(['CEN', 'CRF'])]).toEqual([
      [6, 6.5],
      [6, 6],
      [5.5, 6],
    ])
    expect(judgeSoil({ ...SOIL, ph: null, method: 'other' })).toMatchObject([{ state: 'waiting' }])
    expect(judgeSoil(SOIL)).toHaveLength(3)
  })
})
