import { createHash } from 'node:crypto'
import type { SeasonTold, SillData } from '#contract/context'
import type { Lawn } from '#contract/lawn'
import { blendWords, mainOf } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import type { AtWork } from '../records/firms'
import { keepOutlook, keptBrief, keptOutlook, type KeptOutlook } from '../records/outlooks'
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
const outlooks = remembering<Omit<KeptOutlook, 'brief'>>(MOST_OUTLOOKS)
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
 * The season of a subject by the hash of all that it is worked out from.
 * @param when 'soon' where somebody waits for this one, 'later' where it is one of a list
 */
function seasonOf(
  work: AtWork,
  { station, told }: { station: StationRecord; told: StationTold },
  { ground, heightM, seed, risk, mowingMm, stand }: Subject,
  when: 'soon' | 'later',
) {
  const { key, read } = groundsOf(work, station, told, { ground, heightM })
  const hash = createHash('sha256')
    .update(JSON.stringify([work.firm.id, engine(), key, seed, risk, mowingMm, stand]))
    .digest('hex')
  const make = () =>
    made(work.firm.id, hash, async () => {
      const { input, yearsFrom } = await grounds(key, read)
      return { ...(await workedOut({ key, input, seed, risk, mowingMm, stand }, when)), yearsFrom }
    })
  return { hash, make }
}

/**
 * What a list reads of a subject's season, a `Brief` as JSON.
 * @param from a station and what it tells, asked once for a list
 */
export async function briefText(
  work: AtWork,
  from: { station: StationRecord; told: StationTold },
  subject: Subject,
): Promise<string> {
  const { hash, make } = seasonOf(work, from, subject, 'later')
  return briefs(hash, async () => (await keptBrief(work.firm.id, hash)) ?? (await make()).brief)
}

/** What the sill shows of one subject, its outlook still as text. */
export interface SillText extends Omit<SillData, 'outlook' | 'jobId'> {
  outlook: string
}

/** Everything the sill shows of one subject, from one station. */
export async function sillText(work: AtWork, station: StationRecord, subject: Subject): Promise<SillText> {
  const told = await stationTold(work, station)
  const { hash, make } = seasonOf(work, { station, told }, subject, 'soon')
  const { outlook, yearsFrom } = await outlooks(
    hash,
    async () => (await keptOutlook(work.firm.id, hash)) ?? (await make()),
  )
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
    yearsFrom,
    outlook,
  }
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
