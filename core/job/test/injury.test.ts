import { expect, test } from 'vitest'
import { told } from '../../explain/test/told'
import type { GrassCode } from '../../grass/grasses'
import { addDays, toDay } from '../../measure/calendar'
import { pureSeed } from '../../seed/blends'
import { injuryGates } from '../operations/injuryGates'
import type { Part } from '../parts'

const DAY = toDay('2026-09-18')
const gates = (ingredient: string, code: GrassCode, daysAgo = 10, anchors: 'seeding' | 'dressing' = 'seeding') =>
  injuryGates([{ ingredient, appliedOn: addDays(DAY, -daysAgo), waitDays: 0 }], { anchors }, DAY, [
    { seed: pureSeed(code) } as unknown as Part,
  ])

// Label knowledge, from memory. Found: neither ingredient held any grass back, since neither has a wait.
test.each([
  ['mesotrione', 'CBG', 'hold'],
  ['mesotrione', 'BER', 'hold'],
  ['mesotrione', 'ZOY', 'hold'],
  ['mesotrione', 'CRF', 'risk'],
  ['mesotrione', 'KBG', undefined],
  ['mesotrione', 'TF', undefined],
  ['siduron', 'BER', 'hold'],
  ['siduron', 'ZOY', undefined],
  ['Siduron ', 'BER', 'hold'],
  ['prodiamine', 'BER', undefined],
] as const)('%s before %s: %s', (ingredient, code, state) => {
  expect(gates(ingredient, code)[0]?.state).toBe(state)
})

test('is a matter of the seedbed, of the months before, and no note overrides it', () => {
  expect(gates('mesotrione', 'BER', 10, 'dressing')).toEqual([])
  expect(gates('mesotrione', 'BER', 120)).toEqual([])
  const [gate] = gates('mesotrione', 'BER')
  expect(gate).toMatchObject({ binding: true, code: 'injury' })
  expect(told(gate!.text)).toContain('injures bermudagrass')
})
