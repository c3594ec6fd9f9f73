import { createHash } from 'node:crypto'
import type { SeasonTold, SillData } from '#contract/context'
import type { Lawn } from '#contract/lawn'
import { blendWords, mainOf } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import type { AtWork } from '../records/firms'
import { keepOutlook, keptBrief, keptOutlook, type KeptOutlook, type OutlookText } from '../records/outlooks'
import type { StationRecord } from '../records/stations'
import { workedOut } from '../seasons/threads'
import { engine } from '../utils/engine'
import { log } from '../utils/log'
import { remembering } from '../utils/remembered'
import { groundsOf, stationTold, type Grounds, type StationTold } from './grounds'
import { zoneSubjects, type Subject } from './subject'

/** Texts of a third of a megabyte; a list reads their briefs, a tenth of that again. */
const [MOST_OUTLOOKS, MOST_BRIEFS] = [12, 240]
/** A record of decades weighs megabytes; lawns of one station share it. */
const MOST_GROUNDS = 8
const outlooks = remembering<OutlookText>(MOST_OUTLOOKS)
const briefs = remembering<string>(MOST_BRIEFS)
const grounds = remembering<Grounds>(MOST_GROUNDS)
/** Seasons that are worked out just now, for all who ask. */
const inTheMaking = new Map<string, Promise<KeptOutlook>>()

/** Works a season out, once however many ask, and keeps it for every server. */
function made(firmId: string, hash: string, work: () => Promise<KeptOutlook>): Promise<KeptOutlook> {
  const making =
    inTheMaking.get(hash) ??
    work()
      .then(async (outlook) => {
        // Not kept is worked out again; nobody has to be told.
        await keepOutlook(firmId, hash, outlook).catch((error: unknown) => {
          log.warn({ reason: String(error) }, 'a season was not kept')
        })
        return outlook
      })
      .finally(() => {
        inTheMaking.delete(hash)
      })
  inTheMaking.set(hash, making)
  return making
}

/**
 * How a season is told: for its own page; to a list, of one sowing day and by fewer years, where a range a little wider will
 * do; and to both at first by a handful of years, marked as coarse, while the others are worked out.
 */
const TOLD = {
  whole: { years: 200, of: 'all' },
  coarse: { years: 8, of: 'all' },
  listed: { years: 100, of: 'brief' },
  listedCoarse: { years: 8, of: 'brief' },
  // What is sown has its weather on record: years differ by what is still ahead.
  course: { years: 40, of: 'course' },
} as const

/** The season of a subject by the hash of all that it is worked out from. */
function seasonOf(
  work: AtWork,
  { station, told }: { station: StationRecord; told: StationTold },
  { ground, heightM, seed, risk, mowingMm, stand, sowOn }: Subject,
) {
  const { key, read } = groundsOf(work, station, told, { ground, heightM })
  return (as: keyof typeof TOLD, when: 'soon' | 'later') => {
    const { years, of: told } = TOLD[as]
    const of = {
      years,
      seed,
      risk,
      mowingMm,
      ...(told === 'brief' ? { stand: undefined, only: { sowOn } } : { stand }),
      ...(as === 'coarse' ? { coarse: true as const } : {}),
      ...(told === 'course' && sowOn ? { courseOf: sowOn } : {}),
    }
    const hash = createHash('sha256')
      .update(JSON.stringify([work.firm.id, engine(), key, of]))
      .digest('hex')
    const workOut = async (): Promise<KeptOutlook> => {
      const { input, yearsFrom } = await grounds(key, read)
      return { ...(await workedOut({ key, input, ...of }, when)), yearsFrom }
    }
    return { hash, workOut, make: () => made(work.firm.id, hash, workOut) }
  }
}

/** What a list reads of a subject's season. */
export interface BriefText {
  /** A `Brief` as JSON. */
  brief: string
  /** Of a handful of years, while the others are not worked out. */
  coarse: boolean
}

/**
 * What a list reads of a subject's season: what its own page was told where that is kept, so that both say the same.
 * @param from a station and what it tells, asked once for a list
 * @param coarse whether a handful of years will do where nothing is kept
 */
export async function briefText(
  work: AtWork,
  from: { station: StationRecord; told: StationTold },
  subject: Subject,
  coarse: boolean,
): Promise<BriefText> {
  const season = seasonOf(work, from, subject)
  const listed = season('listed', 'later')
  const hashes = [season('whole', 'later').hash, listed.hash]
  const known = hashes.map((hash) => briefs.known(hash)).find((brief) => brief !== undefined)
  if (known) return { brief: await known, coarse: false }
  const kept = await keptBrief(work.firm.id, hashes)
  if (kept) return { brief: await briefs(kept.hash, () => Promise.resolve(kept.brief)), coarse: false }
  if (coarse) return { brief: (await season('listedCoarse', 'later').workOut()).brief, coarse: true }
  return { brief: await briefs(listed.hash, async () => (await listed.make()).brief), coarse: false }
}

/** What the sill shows of one subject, its outlook still as text. */
export interface SillText extends Omit<SillData, 'outlook' | 'jobId'> {
  outlook: string
}

/** The outlook of a whole season. @throws Error where only its brief was worked out */
function textOf({ outlook, yearsFrom }: KeptOutlook): OutlookText {
  if (outlook === null) throw new Error('A brief is no outlook.')
  return { outlook, yearsFrom }
}

/** The outlook of a subject over all its years, or a coarse one where that will do and they are not at hand. */
async function outlookText(
  firmId: string,
  season: ReturnType<typeof seasonOf>,
  coarse: boolean,
  onMade: () => Promise<void>,
): Promise<OutlookText & { coarse: boolean }> {
  const { hash, make } = season('whole', 'soon')
  if (coarse) {
    const kept = inTheMaking.has(hash) ? undefined : await (outlooks.known(hash) ?? keptOutlook(firmId, hash))
    if (!kept) return { ...textOf(await season('coarse', 'soon').workOut()), coarse: true }
    return { ...(await outlooks(hash, () => Promise.resolve(kept))), coarse: false }
  }
  const whole = async () => {
    const outlook = textOf(await make())
    await onMade()
    return outlook
  }
  return { ...(await outlooks(hash, async () => (await keptOutlook(firmId, hash)) ?? (await whole()))), coarse: false }
}

/** How a season is asked for. */
export interface Asked {
  /** Whether fewer years will do, marked so, where all are not worked out yet. */
  coarse: boolean
  /** Told once all its years are worked out. */
  onMade?: () => Promise<void>
}

/** Everything the sill shows of one subject, from one station. */
export async function sillText(
  work: AtWork,
  station: StationRecord,
  subject: Subject,
  { coarse, onMade = () => Promise.resolve() }: Asked,
): Promise<SillText> {
  const told = await stationTold(work, station)
  const outlook = await outlookText(work.firm.id, seasonOf(work, { station, told }, subject), coarse, onMade)
  const grass = grassByCode(mainOf(subject.seed))
  return {
    place: subject.place,
    stationId: station.id,
    stationName: station.name,
    grassName: grass.name,
    seedName: blendWords(subject.seed),
    grassSeason: grass.season,
    forecast: told.now.forecast,
    forecastIssued: told.now.forecastIssued,
    recordEnds: told.now.lastDay,
    ...outlook,
  }
}

/**
 * How what was sown on a subject's sowing day comes up, an `EmergenceCourse` as JSON.
 * @returns null where that was before the season begins
 */
export async function courseText(work: AtWork, station: StationRecord, subject: Subject): Promise<string | null> {
  const { hash, make } = seasonOf(work, { station, told: await stationTold(work, station) }, subject)('course', 'soon')
  return (await keptOutlook(work.firm.id, hash))?.outlook ?? (await make()).outlook
}

/** An object as JSON with one more of its values, which is JSON already. */
const spliced = (told: object, name: string, json: string) => `${JSON.stringify(told).slice(0, -1)},"${name}":${json}}`

/** The answer of the sill: a `SillTold` as JSON, its large part not read and written again on the way. */
export function sillJson({ outlook, ...told }: SillText, jobId: string | null): string {
  return spliced({ ...told, jobId }, 'outlook', outlook)
}

/** The same season as its ingredients, for what is tried out in a browser: a `SeasonTold` as JSON. */
export async function seasonTold(work: AtWork, station: StationRecord, subject: Subject, lawn: Lawn): Promise<string> {
  const { read } = groundsOf(work, station, await stationTold(work, station), subject)
  const zones = zoneSubjects(lawn, station, work).map(({ name, odds: { seed, ground, risk } }) => ({
    name,
    seed,
    ground,
    risk,
  }))
  const ingredients: Omit<SeasonTold, 'input'> = { seed: subject.seed, risk: subject.risk, zones }
  return spliced(ingredients, 'input', (await read()).input)
}
