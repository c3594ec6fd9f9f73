import { told } from '../../explain/test/told'
import { describe, expect, test } from 'vitest'
import type { JudgedReading } from '../probe'
import { soilWorking, type SoilNow } from '../soilWorking'

const reading: JudgedReading = {
  at: '2026-09-08T06:40',
  depthMm: 50,
  tempC: 17,
  modelC: 16.4,
  surpriseK: 0.2,
  used: true,
}
const worked = (change: Partial<SoilNow> = {}) =>
  soilWorking({ reading, correctionK: 0.6, nowC: 21.5, stationName: 'Ridge', recordEnds: null, ...change })
const value = (what: RegExp, of = worked()) => of.lines.find((line) => what.test(told(line.what)))?.value.value

describe('the working of the soil now', () => {
  test('adds up: the model’s mean of today and what the readings move it by', () => {
    expect(value(/^Modeled at 50 mm/)! + value(/move it by/)!).toBeCloseTo(worked().result.value, 9)
    expect(value(/^Soil now/)).toBe(worked().result.value)
  })

  test('shows a reading beside the model of its own hour, and says when it is left out', () => {
    expect([value(/^Probe, Sep 8 06:40/), value(/its depth and hour/)]).toEqual([17, 16.4])
    const out = worked({ reading: { ...reading, used: false }, correctionK: 0 })
    expect(told(out.lines[0]!.source!.text)).toContain('left out')
    expect(told(out.formula)).toContain('The reading is left out')
    expect(out.lines.some(({ what }) => /move it by/.test(told(what)))).toBe(false)
  })

  test('without a probe is the model alone, from normals where no day was observed', () => {
    const plain = soilWorking({ correctionK: 0, nowC: 21, stationName: 'Ridge', recordEnds: null })
    expect([
      told(plain.formula).startsWith('No probe'),
      plain.lines.length,
      told(plain.lines[0]!.source!.text).endsWith('normals only'),
    ]).toEqual([true, 1, true])
  })
})
