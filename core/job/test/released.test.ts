import { describe, expect, test } from 'vitest'
import { RELEASING_MOWINGS } from '../../establishment/growth'
import { keyOf, OPERATIONS } from '../operations/registry'
import { buildSchedule } from '../schedule/schedule'
import { doneOn, planned, scheduleInput, TODAY } from './ground'

/** A plan sown long ago, so many mowings recorded. */
function laid(mowings: number, zone: Parameters<typeof planned>[0], added: string[] = []) {
  const turns = Array.from({ length: mowings }, (_, i) => [keyOf('mow', i + 1), TODAY] as [string, typeof TODAY])
  const input = scheduleInput({ parts: planned(zone), done: doneOn(...turns) })
  return buildSchedule({ ...input, extent: { ...input.extent, added } }).tasks
}
const waits = (task: ReturnType<typeof laid>[number] | undefined) =>
  task!.gates.filter(({ state, text }) => state === 'waiting' && text.key === 'operations.ofRecorded')

describe('what is released by four mowings (common practice, no source)', () => {
  const LOW = { zone: { grass: 'CBG', mowingHeightMm: 20 } } as const

  test('the reel, on turf that is kept low and on no other', () => {
    const reel = OPERATIONS.find(({ code }) => code === 'reelMow')!
    expect(laid(0, {}).some(({ key }) => key === reel.code)).toBe(false)
    const before = laid(RELEASING_MOWINGS - 1, LOW)
    expect(waits(before.find(({ key }) => key === reel.code))).toHaveLength(1)
    const after = laid(RELEASING_MOWINGS, LOW)
    expect(waits(after.find(({ key }) => key === reel.code))).toEqual([])
    const mow = before.find(({ operation }) => operation.opensLawn)!
    expect(before.find(({ key }) => key === reel.code)!.to > mow.to).toBe(true)
  })

  // Found: put into the plan of a seeded lawn, the regulator came four weeks after sowing, on seedlings mown once.
  test('the growth regulator on seedlings, but not on turf that is dressed and grows through', () => {
    const of = (mowings: number) => laid(mowings, {}, ['regulator']).find(({ key }) => key === 'regulator')
    expect(waits(of(1))).toHaveLength(1)
    expect(waits(of(RELEASING_MOWINGS))).toEqual([])
    const level = laid(0, { programme: 'level', zone: { deepestMm: 30, hollowM3: 0.5, hollowM2: 20 } }, ['regulator'])
    expect(waits(level.find(({ key }) => key === 'regulator'))).toEqual([])
  })
})
