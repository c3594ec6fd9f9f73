import type { GrassCode } from '../../grass/grasses'
import { PROGRAMME_CODES, PROGRAMME_NAMES, type ProgrammeCode } from './expectationFigures'

export { PROGRAMME_CODES, PROGRAMME_NAMES, type ProgrammeCode }

/** What a programme is made of; which one fits a zone is for the rules. */
export interface Programme {
  code: ProgrammeCode
  name: string
  /** What it is, in a line. */
  about: string
  /** Button: what choosing it does. */
  plan: string
  /** What has its day chosen in When. */
  anchor: 'seeding' | 'dressing'
  /** Of the rate for a new stand; 0 sows nothing. */
  rateShare: number
  /** How much work and upset it is, for putting programmes in order. */
  work: number
  /** The old sward is to live on. */
  keepsTurf: boolean
  dethatchPasses: number
  /** Of the finished grid on ground that is not hard, mm; 0 where it is not cored. @source trade: 75 to 100 mm */
  coreSpacingMm: number
  /** Sown whatever the zone is to be in summer. */
  seed?: GrassCode
}

/** @source trade; rates of turf handbooks */
export const PROGRAMMES: Record<ProgrammeCode, Programme> = {
  spot: {
    code: 'spot',
    name: PROGRAMME_NAMES.spot,
    about: 'bare or damaged patches only',
    plan: 'Plan the spot repair',
    anchor: 'seeding',
    rateShare: 1,
    work: 0,
    keepsTurf: true,
    dethatchPasses: 0,
    coreSpacingMm: 0,
  },
  overseed: {
    code: 'overseed',
    name: PROGRAMME_NAMES.overseed,
    about: 'the old sward thinned, seed into it',
    plan: 'Plan the overseeding',
    anchor: 'seeding',
    rateShare: 0.5,
    work: 1,
    keepsTurf: true,
    dethatchPasses: 2,
    coreSpacingMm: 100,
  },
  hard: {
    code: 'hard',
    name: PROGRAMME_NAMES.hard,
    about: 'no killing: torn hard, sown heavily',
    plan: 'Plan the hard renovation',
    anchor: 'seeding',
    rateShare: 1,
    work: 2,
    keepsTurf: true,
    dethatchPasses: 4,
    coreSpacingMm: 75,
  },
  kill: {
    code: 'kill',
    name: PROGRAMME_NAMES.kill,
    about: 'two sprays, then a new lawn',
    plan: 'Plan the killing and renovation',
    anchor: 'seeding',
    rateShare: 1,
    work: 3,
    keepsTurf: false,
    dethatchPasses: 2,
    coreSpacingMm: 100,
  },
  strip: {
    code: 'strip',
    name: PROGRAMME_NAMES.strip,
    about: 'the old sward off, new soil on',
    plan: 'Plan the stripping',
    anchor: 'seeding',
    rateShare: 1,
    work: 3,
    keepsTurf: false,
    dethatchPasses: 5,
    coreSpacingMm: 100,
  },
  level: {
    code: 'level',
    name: PROGRAMME_NAMES.level,
    about: 'dressing in lifts over growing turf, no seed',
    plan: 'Plan the levelling',
    anchor: 'dressing',
    rateShare: 0,
    work: 1,
    keepsTurf: true,
    dethatchPasses: 0,
    coreSpacingMm: 100,
  },
  winter: {
    code: 'winter',
    name: PROGRAMME_NAMES.winter,
    about: 'annual ryegrass into turf going dormant',
    plan: 'Plan the winter colour',
    anchor: 'seeding',
    rateShare: 1,
    work: 1,
    keepsTurf: true,
    dethatchPasses: 0,
    coreSpacingMm: 0,
    seed: 'ARG',
  },
  warm: {
    code: 'warm',
    name: PROGRAMME_NAMES.warm,
    about: 'bermuda seed into live bermuda',
    plan: 'Plan the warm-season overseeding',
    anchor: 'seeding',
    rateShare: 0.5,
    work: 1,
    keepsTurf: true,
    dethatchPasses: 2,
    coreSpacingMm: 100,
  },
}
