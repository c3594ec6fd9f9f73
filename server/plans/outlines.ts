import { createHash } from 'node:crypto'
import type { LawnOutline } from '#contract/list'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import type { Outline } from '#core/job/outline'
import type { FirmRecord } from '#core/job/records'
import { practicesOf, sownOn } from '#core/job/seeding'
import { compute } from '../compute/pool'
import { failureOf } from '../records/failures'
import type { AtWork } from '../records/firms'
import { lawnsOf } from '../records/lawns'
import { keepOutlines, keptOutlines, type KeptOutline } from '../records/listed'
import type { StationRecord } from '../records/stations'
import { engine } from '../utils/engine'
import { localFetch } from '../utils/localFetch'
import { log } from '../utils/log'
import { firmOf } from './plannedJob'
import { Refusal } from '../utils/refusal'
import { sunFollows } from '../utils/sunFollows'
import { freshStations } from '../weather/collect'
import { stationTold, type StationTold } from '../weather/grounds'
import { briefText, type BriefText } from '../weather/sill'
import { stationOf } from '../weather/stationOf'
import { subjectOf, type Subject } from '../weather/subject'

/** Lawns handed to a thread at once: copying more would hold the server's own. */
const IN_ONE_GO = 10
/** Seasons that are asked for at once: as many as keep every thread at work on a ground of its own. */
const AT_ONCE = 16

/** How outlines are asked for. */
interface AskedHow {
  /** Whether odds of a handful of years will do where none are kept; such outlines are told, and not kept. */
  coarse: boolean
  /** Somebody waits no longer: what is worked out already stays kept. */
  gone: () => boolean
}
/** An outline, and whether it goes by a handful of years. */
interface Made {
  outline: Outline
  coarse: boolean
}

/** What is asked of each station once, however many lawns read it. */
function askedOnce(work: AtWork): (station: StationRecord) => Promise<StationTold> {
  const asked = new Map<string, Promise<StationTold>>()
  return (station) => {
    const told = asked.get(station.id) ?? stationTold(work, station)
    asked.set(station.id, told)
    return told
  }
}

/** The season of a subject in brief; null where its station cannot tell, or it could not be worked out. */
async function briefFor(
  work: AtWork,
  station: StationRecord,
  subject: Subject,
  told: (station: StationRecord) => Promise<StationTold>,
  coarse: boolean,
): Promise<BriefText | null> {
  try {
    return await briefText(work, { station, told: await told(station) }, subject, coarse)
  } catch (error) {
    // One lawn that cannot be reckoned with stops no list; a database that is gone stops it whole.
    if (failureOf(error) !== undefined) throw error
    if (!(error instanceof Refusal)) log.error({ reason: String(error) }, 'a season was left out of a list')
    return null
  }
}

async function briefsOf(
  work: AtWork,
  lawns: readonly Lawn[],
  { coarse, gone }: AskedHow,
): Promise<Map<string, BriefText | null>> {
  const stations = await freshStations(work, localFetch)
  const told = askedOnce(work)
  const asked = lawns.flatMap((lawn) => {
    const station = stationOf(lawn, stations)
    if (lawn.job.endedOn || !station || !sownOn(groundOf(lawn), jobOf(lawn), practicesOf(jobOf(lawn), work.firm)))
      return []
    const subject = subjectOf(lawn, station, work)
    return [{ id: lawn.id, station, subject, ground: JSON.stringify([station.id, subject.ground, subject.heightM]) }]
  })
  // Lawns of one ground one after the other: a thread works its soil out once for all of them.
  const left = asked.sort((a, b) => (a.ground < b.ground ? -1 : a.ground > b.ground ? 1 : 0))
  const briefs = new Map<string, BriefText | null>()
  const worker = async (): Promise<void> => {
    for (let one = left.shift(); one && !gone(); one = left.shift())
      briefs.set(one.id, await briefFor(work, one.station, one.subject, told, coarse))
  }
  await Promise.all(Array.from({ length: AT_ONCE }, worker))
  return briefs
}

/** Works outlines out beside the server's own thread. */
async function workedOut(work: AtWork, firm: FirmRecord, ids: string[], how: AskedHow): Promise<Map<string, Made>> {
  const lawns = await lawnsOf(work.firm.id, ids)
  // Where a server ended before the sun of a saved plan was there, it is worked out by whoever lists the lawn next.
  for (const lawn of lawns) if (lawn.sunAwaited) void sunFollows(work.firm.id, lawn).catch(() => undefined)
  const briefs = await briefsOf(work, lawns, how)
  const made = new Map<string, Made>()
  for (let i = 0; i < lawns.length && !how.gone(); i += IN_ONE_GO) {
    const some = lawns.slice(i, i + IN_ONE_GO)
    const outlines = await compute('outlinesOf', {
      firm,
      lawns: some.map((lawn) => ({ lawn, brief: briefs.get(lawn.id)?.brief ?? null })),
    })
    for (const [n, outline] of outlines.entries()) {
      const { id } = some[n]!
      if ('failed' in outline) log.error({ lawn: id, reason: outline.failed }, 'a job was left out of a list')
      else made.set(id, { outline, coarse: briefs.get(id)?.coarse ?? false })
    }
  }
  return made
}

/** Changes with the firm, its practice, the day and the weather: with all an outline depends on besides its lawn. */
function aroundOf(work: AtWork, firm: FirmRecord): string {
  const { homeStationId, timeZone } = work.firm
  return createHash('sha256')
    .update(JSON.stringify([firm, homeStationId, timeZone, work.stamps.stations]))
    .digest('hex')
}

/**
 * Outlines of lawns as they are today: those that nothing has changed for as they are kept, the others worked out anew and
 * kept.
 */
export async function outlinesToday(work: AtWork, ids: readonly string[], how: AskedHow): Promise<LawnOutline[]> {
  const firm = await firmOf(work)
  const around = aroundOf(work, firm)
  const kept = await keptOutlines(work.firm.id, engine(), ids)
  const stale = kept.filter((one) => one.around !== around)
  const made = stale.length
    ? await workedOut(
        work,
        firm,
        stale.map(({ lawnId }) => lawnId),
        how,
      )
    : new Map<string, Made>()
  const toKeep = stale.flatMap(({ jobId, own, lawnId }: KeptOutline) => {
    const told = made.get(lawnId)
    return told && !told.coarse && own ? [{ jobId, own, outline: told.outline }] : []
  })
  // Not kept is worked out again; nobody has to be told.
  if (toKeep.length)
    await keepOutlines(work.firm.id, around, toKeep).catch((error: unknown) => {
      log.warn({ reason: String(error) }, 'outlines were not kept')
    })
  return kept.map(({ lawnId, around: of, outline }) => ({
    id: lawnId,
    outline: of === around ? outline : (made.get(lawnId)?.outline ?? null),
    coarse: made.get(lawnId)?.coarse ?? false,
  }))
}
