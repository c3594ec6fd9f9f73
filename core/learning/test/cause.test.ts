import { expect, test } from 'vitest'
import { likelyCauses, type Evidence } from '../cause'

const NOTHING: Evidence = {
  colderDays: 0,
  foundDry: false,
  missed: 0,
  dryHours: 0,
  seenWashed: false,
  rainOverMm: 0,
  seenBirds: false,
  sun: 'full',
  sunnierFine: false,
}
const of = (change: Partial<Evidence>) => likelyCauses({ ...NOTHING, ...change })

test('what was seen comes before what was logged, and that before what is reckoned', () => {
  expect(of({ seenWashed: true, foundDry: true, missed: 3, seenBirds: true })).toEqual(['washout', 'dry', 'birds'])
  expect(of({ missed: 2, colderDays: 5, rainOverMm: 4 })).toEqual(['dry', 'washout', 'cold'])
  expect(of({ dryHours: 8, colderDays: 5 })).toEqual(['cold', 'dry'])
})

test('a trace of something is no cause, and with none it says so', () => {
  expect(of({ missed: 1, dryHours: 2, colderDays: 1 })).toEqual(['unknown'])
  expect(of({})).toEqual(['unknown'])
})

test('shade is one only where sunnier ground beside it came up', () => {
  expect(of({ sun: 'dense' })).toEqual(['unknown'])
  expect(of({ sun: 'dense', sunnierFine: true })).toEqual(['shade'])
  expect(of({ sun: 'full', sunnierFine: true })).toEqual(['unknown'])
})
