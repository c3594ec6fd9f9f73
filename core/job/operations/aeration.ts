import { say } from '../../explain/message'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { bringsLoam, madeOfBareSoil, type Part } from '../parts'
import { SERVICES } from './cautions'
import { coreHolesPerM2, coreSpacingMm, coringPasses } from './coring'
import { onTheDay, operation, RENOVATIONS, type Brief } from './definition'

/** Depth of tines, and of loosening by hand, mm. @source trade */
const TINES_MM = 75
/** Smaller ground is forked, not cored. @source own */
const FORK_BELOW_M2 = 20

const small = ({ survey }: Part): boolean => survey.areaM2 < FORK_BELOW_M2

function cored(part: Part): Brief {
  const { survey, practices, planning } = part
  const off = practices.cores === 'remove' || survey.mowingHeightMm < planning.lowCut
  const spacingMm = coreSpacingMm(part)
  const passes = coringPasses(spacingMm, planning)
  const holes = coreHolesPerM2(passes.value, planning.corerAcross, planning.corerAlong)
  return {
    settings: say('operations.passPassesInA', {
      passes,
      passes2: passes.value,
      TINES_MM: figure('depthMm', TINES_MM),
      spacingMm: figure('depthMm', spacingMm),
      holes: figure('holesPerM2', holes),
      hasOff: Boolean(off),
    }),
    gates: [onTheDay(say('operations.soilMoistNotWet'))],
    hours: crewHours(say('operations.coreAerate'), survey.areaM2, [
      { what: say('operations.passes'), passes: passes.value, rateM2PerH: RATES.core },
      ...(off ? [{ what: say('operations.coresOffWithThe'), passes: 1, rateM2PerH: RATES.scalp }] : []),
    ]),
  }
}

const core = operation({
  code: 'core',
  order: 140,
  name: say('operations.coreName'),
  done: say('operations.coreDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  alsoCalled: say('operations.coreAlsoCalled'),
  why: say('operations.coreWhy'),
  check: say('operations.coreCheck'),
  caution: SERVICES,
  programmes: [...RENOVATIONS, 'level'],
  records: ['passes'],
  machine: () => 'corer',
  dispensable: true,
  wanted: (part) => !bringsLoam(part) && !small(part),
  after: ['dethatch', 'scalp'],
  // Dethatching comes first in the order of the work; on one day the practice says which machine goes first.
  goesBefore: ({ coreOrder }) => (coreOrder === 'before' ? 'dethatch' : undefined),
  lags: [
    {
      from: 'dethatch',
      to: 'core',
      least: 0,
      why: say('operations.coringComesAfterSo'),
      when: ({ practices }) => practices.coreOrder === 'after',
    },
    {
      from: 'core',
      to: 'dethatch',
      least: 0,
      why: say('operations.theFirmCoresFirst'),
      when: ({ practices }) => practices.coreOrder === 'before',
    },
    { from: 'core', to: 'lift', least: 0, most: 'coreOpen', why: say('operations.dressingFallsIntoOpen') },
    { from: 'core', to: 'sow', least: 0, most: 'coreOpen', why: say('operations.coreHolesClose') },
    { from: 'core', to: 'level', least: 0, why: say('operations.soilIsDraggedInto') },
  ],
  wantsMoistGround: true,
  breaksGround: true,
  pastSoaking: true,
  closesLawn: true,
  brief: cored,
})

const fork = operation({
  code: 'fork',
  order: 150,
  name: say('operations.forkName'),
  done: say('operations.forkDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  why: say('operations.forkWhy'),
  check: say('operations.forkCheck'),
  caution: SERVICES,
  programmes: [...RENOVATIONS, 'level'],
  addable: true,
  records: ['passes'],
  wanted: (part) => !bringsLoam(part) && small(part),
  lags: [
    { from: 'fork', to: 'lift', least: 0, most: 'coreOpen', why: say('operations.dressingFallsIntoOpen') },
    { from: 'fork', to: 'sow', least: 0, most: 'coreOpen', why: say('operations.holesOfTheFork') },
    { from: 'fork', to: 'level', least: 0, why: say('operations.soilIsDraggedInto') },
  ],
  wantsMoistGround: true,
  breaksGround: true,
  pastSoaking: true,
  brief: ({ survey }) => ({
    settings: say('operations.forkByHandDeep', {
      areaM2: figure('areaM2', survey.areaM2),
      TINES_MM: figure('depthMm', TINES_MM),
    }),
    gates: [onTheDay(say('operations.soilMoistNotWet2'))],
    hours: crewHours(say('operations.fork'), survey.areaM2, [
      { what: say('operations.byFork'), passes: 1, rateM2PerH: RATES.fork },
    ]),
  }),
})

function forked({ survey }: Part): Brief {
  return {
    settings: say('operations.forkOfBareGround', {
      areaM2: figure('areaM2', survey.areaM2),
      TINES_MM: figure('depthMm', TINES_MM),
    }),
    gates: [],
    hours: crewHours(say('operations.loosen'), survey.areaM2, [
      { what: say('operations.byFork'), passes: 1, rateM2PerH: RATES.fork },
    ]),
  }
}

/** A seedbed is loosened this deep, mm, in two directions. @source turf handbooks, from memory: 4 to 6 in */
const TILL_MM = 101.6
const TILL_PASSES = 2

function tilled({ survey }: Part): Brief {
  return {
    settings: say('operations.tillInTwoDirections', {
      areaM2: figure('areaM2', survey.areaM2),
      TILL_MM: figure('depthMm', TILL_MM),
    }),
    gates: [onTheDay(say('operations.aHandfulCrumbles')), onTheDay(say('operations.noTillingUnderTrees'))],
    hours: crewHours(say('operations.loosen'), survey.areaM2, [
      { what: say('operations.passesOfTheTiller'), passes: TILL_PASSES, rateM2PerH: RATES.till },
    ]),
  }
}

const loosen = operation({
  code: 'loosen',
  order: 160,
  name: say('operations.loosenName'),
  done: say('operations.loosenDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  why: say('operations.loosenWhy'),
  check: say('operations.loosenCheck'),
  caution: SERVICES,
  programmes: ['spot', 'bare'],
  records: ['passes'],
  lags: [
    { from: 'loosen', to: 'sow', least: 0, most: 7, why: say('operations.looseGroundSetsAgain') },
    { from: 'loosen', to: 'level', least: 0, why: say('operations.soilIsWorkedIntoTheOld') },
  ],
  wantsMoistGround: true,
  breaksGround: true,
  pastSoaking: true,
  closesLawn: true,
  brief: (part) => (madeOfBareSoil(part) && !small(part) ? tilled(part) : forked(part)),
})

export const AERATION = [core, fork, loosen] as const
