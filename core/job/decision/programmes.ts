import { say, type Message } from '../../explain/message'
import type { GrassCode } from '../../grass/grasses'
import type { Practices } from './practices'
import { PROGRAMME_CODES, PROGRAMME_NAMES, type ProgrammeCode } from './expectationFigures'

export { PROGRAMME_CODES, PROGRAMME_NAMES, type ProgrammeCode }

/** What a programme is made of; which one fits a zone is for the rules. */
export interface Programme {
  code: ProgrammeCode
  name: Message
  /** What it is, in a line. */
  about: Message
  /** Button: what choosing it does. */
  plan: Message
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
  /** Sown whatever the zone is to be in summer, by the practice. */
  seed?: (practices: Pick<Practices, 'winterGrass'>) => GrassCode
}

/** Ryegrass for the winter. @source trade */
const RYEGRASSES: Record<Practices['winterGrass'], GrassCode> = { annual: 'ARG', intermediate: 'IRG', perennial: 'PRG' }

/** @source trade; rates of turf handbooks */
export const PROGRAMMES: Record<ProgrammeCode, Programme> = {
  spot: {
    code: 'spot',
    name: PROGRAMME_NAMES.spot,
    about: say('programmes.spotAbout'),
    plan: say('programmes.spotPlan'),
    anchor: 'seeding',
    rateShare: 1,
    work: 0,
    keepsTurf: true,
    dethatchPasses: 0,
    coreSpacingMm: 0,
  },
  bare: {
    code: 'bare',
    name: PROGRAMME_NAMES.bare,
    about: say('programmes.bareAbout'),
    plan: say('programmes.barePlan'),
    anchor: 'seeding',
    rateShare: 1,
    work: 2,
    keepsTurf: false,
    dethatchPasses: 0,
    coreSpacingMm: 0,
  },
  overseed: {
    code: 'overseed',
    name: PROGRAMME_NAMES.overseed,
    about: say('programmes.overseedAbout'),
    plan: say('programmes.overseedPlan'),
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
    about: say('programmes.hardAbout'),
    plan: say('programmes.hardPlan'),
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
    about: say('programmes.killAbout'),
    plan: say('programmes.killPlan'),
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
    about: say('programmes.stripAbout'),
    plan: say('programmes.stripPlan'),
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
    about: say('programmes.levelAbout'),
    plan: say('programmes.levelPlan'),
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
    about: say('programmes.winterAbout'),
    plan: say('programmes.winterPlan'),
    anchor: 'seeding',
    rateShare: 1,
    work: 1,
    keepsTurf: true,
    dethatchPasses: 0,
    coreSpacingMm: 0,
    seed: ({ winterGrass }) => RYEGRASSES[winterGrass],
  },
  warm: {
    code: 'warm',
    name: PROGRAMME_NAMES.warm,
    about: say('programmes.warmAbout'),
    plan: say('programmes.warmPlan'),
    anchor: 'seeding',
    rateShare: 0.5,
    work: 1,
    keepsTurf: true,
    dethatchPasses: 2,
    coreSpacingMm: 100,
  },
}
