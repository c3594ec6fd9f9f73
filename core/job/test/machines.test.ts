import { expect, test } from 'vitest'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { aLook, aZone, ZONE_ID } from '../../../contract/test/looks'
import { aFirm, aPlannedLawn } from '../../../contract/test/plannedLawn'
import { told } from '../../explain/test/told'
import { grassByCode } from '../../grass/grasses'
import { PROGRAMMES } from '../decision/programmes'
import { NO_WORK } from '../nothingDecided'
import { planJob } from '../planJob'
import { planningOf, type Planning } from '../planningFigures'
import type { FirmRecord } from '../records'
import { defaultScalpMm, defaultSettings } from '../settings'

const firm = (planning: Partial<Planning> = {}): FirmRecord => aFirm({ planning: planningOf(planning) })
const look = aLook({ zones: { [ZONE_ID]: aZone({ tapedM2: 400, mowingHeightMm: 75 }) } })
const lawn = (access: Partial<Lawn['access']>, work: Partial<Lawn['plan']['work']> = {}, practices = {}): Lawn =>
  aPlannedLawn(look, { practices, work: { ...NO_WORK, ...work } }, { access: { ...look.access, ...access } })
const stopped = (of: Lawn, planning: Partial<Planning> = {}) =>
  planJob(jobOf(of), groundOf(of), firm(planning)).schedule!.tasks.flatMap(({ key, gates }) =>
    gates.filter(({ code }) => code === 'gate' || code === 'steps').map((gate) => ({ key, ...gate })),
  )

test('a machine that does not come through the gate is a risk of its task alone, by the firm’s own machine', () => {
  // 0.8 m: wider than a dethatcher's 760 mm, narrower than a corer's 910 mm (planning figures, common practice).
  const narrow = lawn({ gateM: 0.8 })
  expect(stopped(narrow).map(({ key, code, state }) => [key, code, state])).toEqual([['core', 'gate', 'risk']])
  expect(told(stopped(narrow)[0]!.text)).toMatch(/^The gate is 80 cm wide, the corer needs 91 cm\./)
  expect(stopped(narrow, { corerGate: 700 })).toEqual([])
  expect(stopped(lawn({ gateM: 0.5 })).map(({ key }) => key)).toEqual(['scalp', 'dethatch', 'core'])
  expect(stopped(lawn({ gateM: null }))).toEqual([])
  expect(stopped(lawn({ gateM: 0.91 }))).toEqual([])
})

test('steps are counted for each machine, and nobody is to lift one alone', () => {
  const steep = stopped(lawn({ steps: 5 }))
  expect(steep.map(({ key, code }) => [key, code])).toEqual([['core', 'steps']])
  expect(told(steep[0]!.text)).toMatch(/^5 steps up to the lawn; the corer is taken over 3 at most\..*nobody lifts/)
  expect(stopped(lawn({ steps: 3 }))).toEqual([])
})

test('slit seeding brings its own machine, and a note says why work goes ahead anyway', () => {
  const slit = lawn({ gateM: 0.8 }, {}, { sowing: 'slit' })
  expect(stopped(slit).map(({ key }) => key)).toContain('sow')
  const noted = lawn({ gateM: 0.8 }, { overruled: { 'core:gate': 'over the neighbor’s drive' } })
  expect(stopped(noted).map(({ overruled }) => overruled)).toEqual(['over the neighbor’s drive'])
})

test('no scalp is set below the lowest notch of the firm’s mower', () => {
  const bermuda = { standingMm: 12, floorMm: 0, notchMm: 6 }
  expect(defaultScalpMm(bermuda, 0.4, 'lowest notch')).toBe(12)
  expect(defaultScalpMm({ ...bermuda, notchMm: 30 }, 0.4, 'lowest notch')).toBe(30)
  const beginning = { grass: grassByCode('TF'), desirableShare: 0.4, programme: PROGRAMMES.overseed }
  expect(defaultSettings({ ...beginning, cut: { notchMm: 38 } }).scalpToMm).toBe(38)
  expect(defaultSettings(beginning).scalpToMm).toBe(25)
})
