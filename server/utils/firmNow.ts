import type { Lawn } from '#contract/lawn'
import { countedOf, type Counted } from '../records/counted'
import type { AtWork } from '../records/firms'
import { lawnById } from '../records/lawns'
import { listedLawns, type ListPart } from '../records/listed'
import { stationsOf, type StationRecord } from '../records/stations'
import { remembering } from './remembered'

// What was read of a firm holds until something of it changes, which the database tells with who is at work. So most
// requests ask it one question. Who has just written asks the records themselves.

/** Firms that are at work just now. */
const MOST_FIRMS = 100
/** Drawings of hundreds of corners among them: some tens of kB each. */
const MOST_LAWNS = 60
/** A page of hundreds of lawns weighs a tenth of a megabyte. */
const MOST_PAGES = 60
const counted = remembering<Counted>(MOST_FIRMS)
const stations = remembering<readonly StationRecord[]>(MOST_FIRMS)
const lawns = remembering<Lawn | undefined>(MOST_LAWNS)
const pages = remembering<string>(MOST_PAGES)

/** Nobody changes what others are handed too. */
function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value)
    Object.values(value).forEach(frozen)
  }
  return value
}

/** What is counted of a firm's work, as it stood when the request came. */
export const countedNow = ({ firm, today, stamps }: AtWork): Promise<Counted> =>
  counted([firm.id, today, stamps.records].join('/'), async () => frozen(await countedOf(firm.id)))

/** The firm's stations as they stood when the request came, with what they told. */
export const stationsNow = ({ firm, stamps }: AtWork): Promise<readonly StationRecord[]> =>
  stations([firm.id, stamps.stations].join('/'), async () => frozen(await stationsOf(firm.id)))

/**
 * A lawn as it stood when the request came.
 * @param jobId the job to look at; without one the open one, or the last
 */
export const lawnNow = ({ firm, stamps }: AtWork, id: string, jobId?: string): Promise<Lawn | undefined> =>
  lawns([firm.id, stamps.records, id, jobId].join('/'), async () => frozen(await lawnById(firm.id, id, jobId)))

/** A part of the list as it stood when the request came: `ListedLawn`s as JSON. */
export const listNow = ({ firm, stamps }: AtWork, engine: string, { first, from }: ListPart): Promise<string> =>
  pages([firm.id, stamps.records, first, from].join('/'), () => listedLawns(firm.id, engine, { first, from }))
