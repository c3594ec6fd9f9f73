import type { MessageKey } from '#words/message'
import { RELEASING_MOWINGS } from '../../establishment/growth'
import { say, type Message } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import type { Worked } from '../../explain/working'
import type { Matter, StockKind } from '../../materials/stock'
import type { Figure } from '../../measure/figure'
import type { ProgrammeCode } from '../decision/programmes'
import type { Practices } from '../decision/practices'
import type { Part } from '../parts'
import type { Planning, PriceCode, WaitCode } from '../planningFigures'
import type { PlanSettings } from '../settings'
import type { LabelWait } from './labels'
import type { VisitQuestion } from './asked'
import type { MachineCode } from './accessGates'

export type Mark = 'cut' | 'machine' | 'spray' | 'sow' | 'visit' | 'call'
/** Made ready from afar, done on the lawn, or looked after when it grows. */
export type Phase = 'before' | 'work' | 'after'
/** What has its day chosen: seed, or a first dressing where nothing is sown. */
export type Anchor = 'seeding' | 'dressing'
/** What is put down, as far as weather goes; a spray is taken up by leaves, or watered into the soil. */
export type PutDown = 'seed' | 'granules' | 'spray' | 'soilSpray' | 'dressing'

/** What stays the same about an operation on every lawn, in plain words and marks. */
export interface Operation<C extends string = string> {
  code: C
  name: Message
  /** Button: "Mark scalped". */
  done: Message
  mark: Mark
  phase: Phase
  /** Preferred day, counted from sowing or the first dressing. */
  preferredDay: number
  /** How much a day off the preferred one weighs against others. @source own */
  weight: number
  why: Message
  /** What is looked at before the next step may start. */
  check?: Message
  /** The other word for it, said once. */
  alsoCalled?: Message
  caution?: Message
  /** Its day is the one that is chosen. */
  anchors?: Anchor
  /** Done in the autumn before the year of sowing. */
  autumnBefore?: true
  /** What is told when it is marked, besides what all tell. */
  records?: readonly ('heightMm' | 'passes')[]
  /** Kind of material that it uses up. */
  uses?: StockKind
  /** What hangs from the ledge on its day; visits hang by their names. */
  ledgeLabel?: Message
}

/** How an operation is set on some ground, and what it waits for on the day. */
export interface Brief {
  settings: Message
  gates: Gate[]
  hours: Worked
  /** Where it is done another way than its name says. */
  name?: Message
}

/** Which of several an operation is. */
export interface Turn {
  number: number
  of: number
}

/** Material that an operation uses up, in the unit its stock is kept in. */
export interface Wanted {
  matter: Matter
  words: Message
  /** Kg, or m³ loose. */
  amount: number
}

/** What the whole lawn, the season and the technician say about what a plan has to hold. */
export interface Extent {
  soilTested: boolean
  /** The ground will be too dry for tines. */
  dryGround: boolean
  /** A killing in the autumn before is still to be had. */
  autumnAhead: boolean
  /** Seed is to lie until spring: it is not watered in, and nothing swells in the first days. */
  dormant: boolean
  /** Trees drop their leaves on the seedlings. */
  leavesFall: boolean
  /** Sown while days grow: its first enemy is summer. */
  springSown?: boolean
  /** The client refuses sprays. */
  noSprays?: boolean
  /** The client mows. */
  clientMows?: boolean
  /** Operations that the technician put in besides. */
  added: readonly string[]
}

/** What decides whether a part has an operation, beside the part itself. */
export interface PlanAround {
  extent: Extent
  /** Whether the part has another operation. */
  has: (code: string) => boolean
}

/** Days after sowing that the weather years tell: early, middle and late. */
export interface Waits {
  early: number
  middle: number
  late: number
}

/** What the season says of a sowing, as far as it is worked out. */
export interface SeasonWaits {
  firstMow?: Waits
  /** Days from sowing to the fourth mowing, in the middle year. */
  fourthMow?: number
  firstGreen?: Waits
}

/** Days of a lag: fixed, a planning figure that a firm may put its own in the place of, or what the season says. */
export type LagDays = number | WaitCode | ((season: SeasonWaits) => number | undefined)

/** What a plan holds, as far as a lag depends on it. */
export interface LagPlan {
  practices: Practices
  anchor: Anchor
  /** Coarse weed grasses stand on more than spots of it: they die slowly. */
  coarse: boolean
  has: (code: string) => boolean
}

/** A least and a most number of days between two operations; it falls away where a plan lacks one of them. */
export interface LagRule {
  from: string
  to: string
  least: LagDays
  most?: LagDays
  why: Message
  /** Counted from the first of several turns; otherwise from the last. */
  fromFirst?: true
  /** Each turn of the one before the turn of the other that is so many after it; otherwise the lag is of all turns. */
  eachTurn?: number
  when?: (plan: LagPlan) => boolean
}

/** What the preferred day of an operation follows, days after sowing or the first dressing. */
export interface DayAbout extends Turn {
  /** Middle of the weather years; a usual wait where they are not worked out. */
  mow: number
  /** The fourth mowing, which releases weed control and the lawn. */
  fourthMow: number
  up: number
  /** From the first dressing to the last. */
  dressingDays: number
  anchor: Anchor
  planning: Planning
  parts: readonly Part[]
}

/** Something that is paid for beside hours and stock. */
export interface Charge {
  what: Message
  price: PriceCode
  amount: Figure
}

/** Work that goes over several days before its own, as cuts do that want days between them. */
export interface Spread {
  days: (parts: readonly Part[]) => number
  /** What is said where fewer days are left. */
  squeezed: (parts: readonly Part[], left: number) => Message
}

/**
 * Everything that is known of an operation. The engine (schedule, gates, quantities, hours, price) goes by what is said
 * here and knows none by name: adding one is adding one of these.
 */
export interface Definition<C extends string = string> extends Operation<C> {
  /** Its place in the order of the work. */
  order: number
  /** Programmes that have it where it is wanted; in others it can only be added. */
  programmes: readonly ProgrammeCode[]
  /** A technician may add it to any plan. */
  addable?: true
  /** It can be left out with a reason where time is short. */
  dispensable?: true
  /** A day that has passed is no end of a plan: it is late. So it is with all that is not the work itself. */
  mayBeLate?: true
  /** Missed, it is done all the same: what grows is mown, a cover comes off. */
  neverTooLate?: true
  /** Whether a part has it, of those whose programme may; always where nothing is said. */
  wanted?: (part: Part, around: PlanAround) => boolean
  /** How often, one turn after the other; once where nothing is said. */
  times?: (parts: readonly Part[]) => number
  /** What a turn is called in words about days; with `times`. */
  turnName?: Message
  /** Between one turn and the next. */
  between?: Pick<LagRule, 'least' | 'why'>
  lags?: readonly LagRule[]
  /** Goes ahead of another on the same day, by the practice. */
  goesBefore?: (practices: Practices) => string | undefined
  /** Preferred day after sowing or the first dressing, where it is not fixed. */
  day?: (about: DayAbout) => number
  spread?: Spread
  /** Its hours go over so many days, its own the first; one where nothing is said. */
  overDays?: (parts: readonly Part[]) => number
  /** What has to be done and found right before it is begun; the last of them that a plan has. */
  after?: readonly string[]
  /**
   * Waits until so many turns of another were recorded, by the practice. The next of them can be recorded with it, where it has a name
   * for one.
   */
  wantsTurns?: { of: string; least: number | ((practices: Practices) => number); words: Message; one?: MessageKey }
  /** Takes a sample whose results are a fact of their own. */
  samples?: true
  /** Goes by the results of a sample. */
  wantsResults?: true
  putsDown?: PutDown
  /** Fertilizer of an analysis with so much nitrogen, g/m²: law and limits of its place are asked. */
  feeds?: (part: Part) => { analysis: string; nGPerM2: number; establishing: boolean }
  /** Stops weed seed at germination, and seed of the wrong grass with it. */
  preEmergent?: true
  /** Soil at 50 mm under which it does no good, °C: it goes to the next season that is warmer. */
  leastSoilC?: number
  /** Only inside of a sowing window; otherwise in the next. */
  wantsWindow?: true
  /** Wants grass and surface dry. */
  wantsDry?: true
  /** Turf that it opens burns in a heat wave. */
  scorches?: true
  /** Tears living turf, which has to be growing and not short of water to close. */
  tearsTurf?: true
  /** Ground neither too dry nor too wet. */
  wantsMoistGround?: true
  /** Only growing turf or weeds answer to it; of warm-season turf where so said. */
  wantsGrowth?: true | 'warm'
  /** What has to come through the gate for a part. */
  machine?: (part: Part) => MachineCode | undefined
  /** Steel goes into the ground: nothing before the lines are located. */
  breaksGround?: true
  /** Has buried lines located. */
  locates?: true
  /** Softens dry ground. */
  soaks?: true
  /** Once it is done, dry ground needs no soaking any more. */
  pastSoaking?: true
  /** Orders what the others use. */
  orders?: true
  /** Grows through no more once turf stops growing: the last turn has to be before that. */
  needsGrowthAfter?: true
  /** Its ground is a part of the part: the firm's pace over whole ground does not hold for it. */
  partOfGround?: true
  /** The lawn is kept off from it on, until it is used again. */
  closesLawn?: true
  /** The first of four mowings, after which it is used again. */
  opensLawn?: true
  /** Seed is seen to be up; six weeks later the lawn bears feet. */
  seesEmergence?: true
  /** What came of the job is looked at as a whole, for its end. */
  inspects?: true
  /** Sows again where what came up is too thin. */
  reseeds?: true
  /** What is asked there on the day, one after the other. */
  asks?: readonly VisitQuestion[]
  /** A visit that looks at seedlings. */
  watchesSeedlings?: true
  /** Marked done, it keeps seed off the whole lawn for so long. */
  keepsSeedOff?: LabelWait
  /** Setting of the plan that sets it. */
  setBy?: keyof PlanSettings
  /** How it is done on a part of the lawn, by its survey and settings. */
  brief: (part: Part, turn: Turn) => Brief
  /** What it uses up on a part. */
  uses?: StockKind
  demand?: (part: Part, turn: Turn) => Wanted[]
  charges?: (task: { name: Message; groundM2: number }, parts: readonly Part[]) => Charge[]
}

/** Keeps the code of a definition as its literal, so that the codes of all are known to the compiler. */
export const operation = <const C extends string>(definition: Definition<C>): Definition<C> => definition

/** Seen on the day itself, by whoever stands there. */
export const onTheDay = (text: Message): Gate => ({ state: 'waiting', text })

/** What seedlings bear once they were mown four times. */
export const MOWN_FOUR_TIMES = {
  of: 'mow',
  least: RELEASING_MOWINGS,
  words: say('operations.mowings'),
  one: 'operations.mowingNumber',
} as const satisfies NonNullable<Definition['wantsTurns']>

/** Programmes that make a new bed of most of the lawn, by the same run of work. */
export const RENOVATIONS = ['overseed', 'hard', 'kill', 'strip', 'warm'] as const
/** Programmes that make a seedbed of all of their ground, of turf or of bare soil. */
export const SEEDBEDS = ['bare', ...RENOVATIONS] as const
/** Programmes that lay seed into a bed made for it. */
export const SEEDED = ['spot', ...SEEDBEDS] as const
