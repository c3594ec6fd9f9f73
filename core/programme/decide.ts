import { grassByCode } from '../grass/grasses'
import { addDays, shortDay, type Day } from '../quantity/calendar'
import { figure } from '../quantity/figure'
import type { Gate } from '../quantity/judgement'
import type { Phrase } from '../quantity/phrase'
import type { Application, Survey } from '../site/survey'

/** The sowing window as dates, with how many of the years made a good stand on its best day. */
export interface DatedWindow {
  from: Day
  to: Day
  best: Day
  bestGood: number
}

export interface DecideInput {
  survey: Survey
  applications: readonly Application[]
  today: Day
  /** Windows ahead, in order; the first may be months away. */
  windows: readonly DatedWindow[]
  years: number
}

export interface Decision {
  programme: 'overseed' | 'not now'
  verdict: string
  because: string
  reasons: Gate[]
  /** First day on which seed may go down as things stand. */
  earliest: Day
  window?: DatedWindow
  /** A stop that no note can overrule: law, label, or nothing to sow into. */
  binding: boolean
}

/** Days from today within which a window is one to plan for now. @source own */
const PLAN_AHEAD_DAYS = 120
const THRESHOLDS = { overseed: 0.5, hopeless: 0.3, thatchMm: 12, deepThatchMm: 25 } as const

/** The first day clear of every label interval, and what holds until then. */
export function barrierUntil(applications: readonly Application[], today: Day): { clear: Day; by?: Application } {
  let clear = today
  let by: Application | undefined
  for (const application of applications) {
    const until = addDays(application.appliedOn, application.waitDays)
    if (until > clear) [clear, by] = [until, application]
  }
  return by ? { clear, by } : { clear }
}

/** What the label forbids of a sowing day; undefined where it forbids nothing. The label is the law: no note overrules it. */
export function labelForbids(applications: readonly Application[], sowOn: Day): string | undefined {
  const { clear, by } = barrierUntil(applications, sowOn)
  return by && `The label of ${by.ingredient} keeps seed off until ${shortDay(clear, sowOn)}. Choose that day or a later one, or correct the wait in Look.`
}

function stateOfStand({ desirableShare }: Survey): Gate {
  const share = figure('share', desirableShare, 2)
  if (desirableShare >= THRESHOLDS.overseed) {
    return { state: 'met', text: [share, ' is grass worth keeping; half is enough to overseed.'], source: { kind: 'mem', text: 'desirable grass from 50%' } }
  }
  const text: Phrase = desirableShare >= THRESHOLDS.hopeless
    ? ['Only ', share, ' is grass worth keeping. Overseed hard, and expect a second season of it.']
    : ['Only ', share, ' is grass worth keeping. Overseeding alone will not turn this lawn; clear it harder before seed.']
  return { state: 'risk', text, source: { kind: 'mem', text: 'below 50% a harder renovation, below 30% killing' } }
}

function stateOfThatch({ thatchMm }: Survey): Gate {
  const depth = figure('depthMm', thatchMm)
  if (thatchMm > THRESHOLDS.deepThatchMm) {
    return { state: 'risk', text: [depth, ' of thatch is more than one season takes out. Dethatch in several passes, again next year.'], source: { kind: 'own', text: 'over 25 mm (1 in)' } }
  }
  if (thatchMm > THRESHOLDS.thatchMm) {
    return { state: 'met', text: [depth, ' of thatch is over ½ in (12 mm): dethatching is in the sequence.'], source: { kind: 'trade', text: 'limit ½ in (12 mm)' } }
  }
  return { state: 'met', text: [depth, ' of thatch is normal: dethatch lightly, to bring soil up to the seed.'], source: { kind: 'trade', text: 'limit ½ in (12 mm)' } }
}

function stateOfSun({ sun, grass: code }: Survey): Gate {
  const grass = grassByCode(code)
  const source = { kind: 'mem', text: `${grass.name} wants ${grass.sunHours} h of sun` } as const
  if (sun === 'dense') return { state: 'hold', text: ['Below 3 hours of sun no turf lasts. Open the shade first, or plant something else.'], source }
  if (sun === 'part' && grass.sunHours >= 5) return { state: 'risk', text: [`Part shade is thin for ${grass.name}. Tall fescue or a fine fescue stands it better.`], source }
  return { state: 'met', text: [`Sun is enough for ${grass.name}.`], source }
}

function stateOfBarrier(input: DecideInput): Gate {
  const { clear, by } = barrierUntil(input.applications, input.today)
  if (!by) {
    return input.applications.length
      ? { state: 'met', text: ['Every label interval has run out.'], source: { kind: 'user', text: 'Look, put on before' } }
      : { state: 'waiting', text: ['Nothing is written down as put on before. Ask the client about spring pre-emergents.'], source: { kind: 'user', text: 'Look, put on before' } }
  }
  const source = { kind: 'user', text: `label wait of ${by.ingredient}, ${by.waitDays} days` } as const
  const inTime = input.windows.some((w) => w.to >= clear && w.from <= addDays(input.today, PLAN_AHEAD_DAYS))
  const text = `${by.ingredient} keeps seed from growing until ${shortDay(clear, input.today)}.`
  return inTime
    ? { state: 'met', text: [text, ' The window reaches past it.'], source }
    : { state: 'hold', text: [`Barrier active: ${text}`], source }
}

function stateOfWindow(input: DecideInput, usable: DatedWindow | undefined): Gate {
  const source = { kind: 'computed', text: `${input.years} weather years, soil and frost` } as const
  const next = input.windows[0]
  if (usable) return { state: 'met', text: [`Sowing window ${shortDay(usable.from)} to ${shortDay(usable.to, input.today)}, best ${usable.bestGood} of ${input.years} years.`], source }
  if (!next) return { state: 'hold', text: ['No day of the next year makes a good stand in half of the years. Another grass or station may change that.'], source }
  return { state: 'hold', text: [`Outside every window. The next opens ${shortDay(next.from, input.today)}.`], source }
}

/**
 * Overseed, or not now, with the reasons in the order in which they weigh.
 * @source reference §10, thresholds; models.md §8, window
 */
export function decide(input: DecideInput): Decision {
  const { clear } = barrierUntil(input.applications, input.today)
  const horizon = addDays(input.today, PLAN_AHEAD_DAYS)
  const usable = input.windows.find((w) => w.from <= horizon && w.to >= clear)
  const inSeason = input.windows.find((w) => w.from <= horizon)
  const barrier = stateOfBarrier(input)
  const sun = stateOfSun(input.survey)
  const reasons = [barrier, stateOfWindow(input, inSeason), sun, stateOfStand(input.survey), stateOfThatch(input.survey)]
  const hold = reasons.find((reason) => reason.state === 'hold')

  if (!hold && usable) {
    const risk = reasons.some((reason) => reason.state === 'risk')
    return {
      programme: 'overseed', window: usable, reasons, earliest: clear, binding: false,
      verdict: risk ? 'Overseed, with a caution.' : 'Overseed.',
      because: `The stand can be thickened from seed, and ${shortDay(usable.from)} to ${shortDay(usable.to)} gives it time to root.`,
    }
  }
  const later = input.windows.find((w) => w.to >= clear)
  const nextDay = later && (later.from > clear ? later.from : clear)
  const because = sun.state === 'hold' ? 'dense shade' : barrier.state === 'hold' ? `barrier until ${shortDay(clear, input.today)}` : 'outside every window'
  return {
    programme: 'not now', reasons, earliest: nextDay ?? clear, binding: barrier.state === 'hold',
    verdict: `Not now: ${because}.`,
    because: sun.state === 'hold' ? 'Ask again when more light reaches the ground.' : nextDay ? `Next possible sowing day ${shortDay(nextDay, input.today)}.` : 'No later window was found in the year ahead.',
    // No window waits for ground that gets too little light.
    ...(later && sun.state !== 'hold' ? { window: later } : {}),
  }
}
