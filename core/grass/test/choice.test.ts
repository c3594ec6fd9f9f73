import { told } from '../../explain/test/told'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ZONE } from '../../job/test/ground'
import type { ZoneSurvey } from '../../site/zone'
import { judgeGrasses, type GrassWishes } from '../choice'
import { lastingGate } from '../../establishment/lasting'
import { GRASSES, type Grass, type GrassCode } from '../grasses'
import { swardByCode, SWARDS } from '../swards'

const judge = (zone: Partial<ZoneSurvey> = {}, wishes: Partial<GrassWishes> = {}) =>
  judgeGrasses({ ...ZONE, ...zone }, { look: 'family', lasting: () => undefined, ...wishes })
const of = (code: GrassCode, zone: Partial<ZoneSurvey> = {}, wishes: Partial<GrassWishes> = {}) =>
  judge(zone, wishes).find(({ grass }) => grass.code === code)!
const says = (code: GrassCode, zone: Partial<ZoneSurvey> = {}, wishes: Partial<GrassWishes> = {}) =>
  of(code, zone, wishes)
    .conflicts.map(({ text }) => told(text))
    .join(' ')

describe('the grass for a zone', () => {
  test('that is there already, in sun and at its height, is the first choice', () => {
    expect(judge()[0]!.grass.code).toBe('TF')
    expect(of('TF')).toMatchObject({ suits: true, conflicts: [] })
    expect(judge({ sward: 'BER', grass: 'BER', mowingHeightMm: 35 }, {})[0]!.grass.code).toBe('BER')
  })

  test('below three hours of sun is none: every one is held', () => {
    // Handbook knowledge, from memory: below 3 h no turf lasts.
    for (const { conflicts, suits } of judge({ sunHours: 2.5 }))
      expect([suits, conflicts[0]!.state]).toEqual([false, 'hold'])
  })

  test('in part shade is a fine fescue or tall fescue, and not bluegrass or bermuda', () => {
    // Handbook knowledge, from memory: sun needed, fine fescues 3-4 h, bluegrass 6 h, bermuda 7-8 h.
    const shade = { sunHours: 3.6, sward: null }
    expect(['CRF', 'CHF', 'HF', 'TF']).toContain(judge(shade)[0]!.grass.code)
    for (const code of ['KBG', 'BER', 'PRG'] as const) expect(says(code, shade)).toContain('of sun')
  })

  test('is of its climate: what will not live there is not the first choice', () => {
    const lasting = (grass: Grass) => lastingGate(grass, { hotDays: 87, coldestC: 14 }, false)
    expect(says('TF', {}, { lasting })).toContain('will not last here')
    expect(judge({ sward: null }, { lasting })[0]!.grass.season).toBe('warm')
    const cold = (grass: Grass) => lastingGate(grass, { hotDays: 1, coldestC: -15 }, false)
    expect(says('BER', {}, { lasting: cold })).toContain('will not last here')
    expect(says('KBG', {}, { lasting: cold })).not.toContain('last here')
  })

  test('bears the height it is kept at, being walked on, and the look that is wanted', () => {
    expect(says('TF', { keptMm: 40 })).toContain('lower than')
    expect(says('CBG', { keptMm: 60 })).toContain('very low cut')
    expect(says('CRF', { wear: 'heavy' })).toContain('being walked on')
    expect(says('TF', {}, { look: 'fine' })).toContain('too broad in the leaf')
    expect(says('RBG', { drainage: 'free' })).toContain('wet shade')
    expect(says('ARG')).toContain('gone within the year')
  })

  test('matches what stays: another leaf or season shows among it, and not where little is kept', () => {
    expect(says('PRG')).toContain('shows as patches')
    expect(says('CRF', { sward: 'PRG' })).toContain('compare the green')
    expect(says('TF', { sward: 'BER' })).toContain('green at other times')
    expect(says('PRG', { desirableShare: 0.1 })).not.toContain('patches')
    expect(says('PRG', { sward: 'MIX' })).toBe('')
  })

  test('is ranked: the best first, all told, and each conflict with its source', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 14, noNaN: true }),
        fc.integer({ min: 0, max: 120 }),
        fc.constantFrom(...SWARDS.map(({ code }) => code)),
        fc.integer({ min: 5, max: 120 }),
        (sunHours, hotDays, sward, keptMm) => {
          const lasting = (grass: Grass) => lastingGate(grass, { hotDays, coldestC: 0 }, false)
          const verdicts = judge({ sunHours, sward, keptMm }, { lasting })
          expect(verdicts.map(({ grass }) => grass.code).sort()).toEqual(GRASSES.map(({ code }) => code).sort())
          expect(verdicts.map(({ score }) => score)).toEqual(verdicts.map(({ score }) => score).sort((a, b) => a - b))
          for (const { conflicts } of verdicts)
            for (const { source } of conflicts) expect(told(source!.text).length).toBeGreaterThan(3)
        },
      ),
    )
  })

  test('with more sun is never worse off', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GRASSES.map(({ code }) => code)),
        fc.double({ min: 0, max: 14, noNaN: true }),
        fc.double({ min: 0, max: 14, noNaN: true }),
        (code, a, b) => {
          expect(of(code, { sunHours: Math.max(a, b) }).score).toBeLessThanOrEqual(
            of(code, { sunHours: Math.min(a, b) }).score,
          )
        },
      ),
    )
  })
})

test('standing turfs are told by habit and season', () => {
  // Habit as handbooks have it, from memory: bunch ryegrass and tall fescue; runners in bluegrass, bermuda, zoysia,
  // St. Augustine.
  for (const code of ['PRG', 'TF', 'CHF', 'HF', 'ARG']) expect([code, swardByCode(code).spreads]).toEqual([code, false])
  for (const code of ['KBG', 'BER', 'ZOY', 'SAG', 'HBER'])
    expect([code, swardByCode(code).spreads]).toEqual([code, true])
  expect(
    SWARDS.filter(({ season }) => season === 'warm')
      .map(({ code }) => code)
      .sort(),
  ).toEqual(['BAH', 'BER', 'BUF', 'CEN', 'HBER', 'KIK', 'SAG', 'ZOY'])
  expect(() => swardByCode('OAK')).toThrow(RangeError)
})
