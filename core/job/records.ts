import type { Seen } from '../learning/seen'
import type { FeedRules } from '../materials/feedRules'
import type { Matter, StockLevels } from '../materials/stock'
import type { Day } from '../measure/calendar'
import type { Blend } from '../seed/blends'
import type { SoilTest } from '../site/soilTest'
import type { Application } from '../site/survey'
import type { Zone, ZoneMeasure } from '../site/zone'
import type { Texture } from '../soil/soil'
import type { IrrigationZone } from '../water/irrigation'
import type { Practices } from './decision/practices'
import type { ProgrammeCode } from './decision/programmes'
import type { Pace } from './hours'
import type { Planning } from './planningFigures'
import type { OwnWork } from './schedule/input'
import type { PlanSettings } from './settings'

/** The ground of a job: the place, the zones it treats, what was found there and what was put on it. */
export interface LawnRecord {
  client: string
  latDeg: number
  lonDeg?: number
  /** Above the sea, m; null where nobody said. */
  heightM: number | null
  texture: Texture
  /** By their ids. */
  zones: Readonly<Record<string, Zone>>
  /** What was worked out of the survey when it was saved, by zone. */
  measured: Readonly<Record<string, ZoneMeasure>>
  applications: readonly Application[]
  /** Marks of other jobs on the lawn: label intervals run across them. */
  marksElsewhere: readonly Mark[]
  /** Asked, and nothing was put on that is known of. */
  nothingPutOn: boolean
  /** What is drawn, as far as it lies in the ground. */
  features: Readonly<Record<string, { kind: string; located: boolean }>>
  access: {
    services: 'not asked' | 'asked' | 'located'
    leaves?: 'none' | 'some' | 'heavy' | null
    /** Width of the narrowest gate on the way. */
    gateM?: number | null
    steps?: number | null
    /** From where a load is tipped to the lawn, one way. */
    barrowM?: number | null
  }
  soilTest: (Pick<SoilTest, 'ph'> & Partial<Pick<SoilTest, 'method' | 'pPpm' | 'kPpm'>>) | null
  water: {
    source: 'none' | 'hose' | 'sprinklers' | null
    /** How often a day somebody waters, honestly. */
    timesADay: number | null
    homeWhen?: 'all day' | 'mornings and evenings' | 'seldom' | null
    restriction: 'none' | 'limited' | 'ban' | null
    restrictedUntil: Day | null
    /** As measured and drawn; one a zone of the lawn where nobody told of any. */
    irrigation?: readonly IrrigationZone[]
    /** Hours of the clock at which it may be watered; all where none is told. */
    hours?: readonly (readonly [from: number, to: number])[]
  }
  wishes: {
    goal: 'thicker' | 'species' | 'levels' | 'winter' | 'patches' | null
    upkeep?: 'low' | 'usual' | 'high' | null
    /** The client refuses sprays. */
    noSprays?: boolean
    mownBy?: 'client' | 'us' | 'contractor' | null
    mowDays?: readonly number[]
  }
}

/** Kg or m³ by material. */
export type Amounts = Readonly<Partial<Record<Matter, number>>>

/** A piece of work marked done: of its task what share, on which day, and whether it passed its check. */
export interface Mark {
  key: string
  doneOn: Day
  /** 0-1 of the whole task; marks add up. */
  share: number
  passed: boolean
}

/** Ground that came up too thin: m², and of the full rate what it is sown with again, 0-1. */
export interface ThinGround {
  areaM2: number
  rateShare: number
}

/** What somebody decided about the run of tasks; what is empty goes by the schedule. */
export interface JobWork {
  /** Days that were confirmed: changes move as few of them as they can. */
  days: Readonly<Record<string, Day>>
  /** Days chosen by hand for single tasks. */
  pins: Readonly<Record<string, Day>>
  added: readonly string[]
  own: Readonly<Record<string, OwnWork>>
  /** Left out, with the reason. */
  skipped: Readonly<Record<string, string>>
  /** Gates overridden, with the note: "scalp:surface". */
  overruled: Readonly<Record<string, string>>
  /** What counts found too thin; null or left out where nobody counted. */
  thin?: ThinGround | null
}

/** One renovation or overseeding of a lawn, as far as somebody decided about it. */
export interface JobRecord {
  programme: ProgrammeCode | null
  /** Zones that are treated otherwise than the rest, or left as they are. */
  zonePlans: Readonly<Record<string, { programme: ProgrammeCode | 'leave' }>>
  /** Where the job differs from the firm's practices. */
  practices: Partial<Practices>
  /** Seed sown together in place of the zones' one grass; empty where that alone is sown. */
  blend: Blend
  sowOn: Day | null
  /** Null while nobody has touched them: then they are what the practices begin with. */
  settings: PlanSettings | null
  work: JobWork
  done: readonly Mark[]
  /** What was seen after sowing; nothing where left out. */
  seen?: readonly Seen[]
  /** What of the shed is spoken for by this job, as it was kept last: kg or m³ by material. */
  spokenFor: Amounts
}

/** The firm that does it: its practices and figures, its days, its pace, its shed, and which day it is. */
export interface FirmRecord {
  today: Day
  /** Of its clock; that of the sun where left out. */
  timeZone?: string
  practices: Practices
  planning: Planning
  /** ISO code of the planning prices. */
  currency: string
  /** 0 is Sunday. */
  workingDays: readonly number[]
  holidays: readonly Day[]
  /** What the law of its place says to fertilizer. */
  feedRules: FeedRules
  hoursADay: number
  /** How fast the firm really is, by operation. */
  pace: Readonly<Record<string, Pace>>
  /** What the shed holds, and what all open jobs will use up of it. */
  stock: StockLevels
  spokenFor: Amounts
}
