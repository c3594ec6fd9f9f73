import { z } from 'zod'
import type { Message } from '#core/explain/message'
import type { FirmSettings, Role } from './firm'
import type { StockLevels } from '#core/materials/stock'
import type { Pace } from '#core/job/hours'
import { planningOf } from '#core/job/planningFigures'
import type { Amounts, FirmRecord } from '#core/job/records'
import type { Day } from '#core/measure/calendar'
import type { UnitSystem } from '#core/measure/figure'
import type { Outlook } from '#core/establishment/outlook'
import { readOutlook, type OutlookTold } from '#core/establishment/outlookTold'
import type { SeasonInput } from '#core/establishment/season'
import type { SeedbedRisk } from '#core/establishment/sowing'
import type { Ground } from '#core/soil/soilCourse'
import type { Blend } from '#core/seed/blends'
import type { ForecastDay } from '#core/weather/weather'

/** Who is at work, for which firm, and what day it is. */
export interface Context {
  firm: FirmSettings & { demo: boolean }
  person: { id: string; name: string; email: string; role: Role; units: UnitSystem | null; secondFactor: boolean }
  today: Day
  /** How fast the firm really is, by operation. */
  pace: Record<string, Pace>
  /** What the shed holds. */
  stock: StockLevels
  /** What all open jobs will use up of it, kg or m³ by material. */
  spokenFor: Amounts
  /** Rows that could not be reckoned with: the rest stands without them. */
  leftOut: LeftOut[]
}

/** Something left out of an answer, and why. */
export interface LeftOut {
  what: string
  why: string
}

/** The sill's data: the ground it is for, its station, and its season. */
export interface SillData {
  place: string
  /** Job of the lawn it is of; null for the home station. */
  jobId: string | null
  stationId: string
  stationName: string
  grassName: Message
  /** What is sown, in words. */
  seedName: Message
  grassSeason: 'cool' | 'warm'
  forecast: ForecastDay[]
  /** Day it was issued on; null where there is none. */
  forecastIssued: Day | null
  /** Last day the station has observed; null for none. */
  recordEnds: Day | null
  /** How the weather years were made, in words. */
  yearsFrom: string
  /** A first look by a handful of years, while all of them are worked out. */
  coarse: boolean
  outlook: Outlook
}

/** How a season is asked for: a first look will do, or all its years are waited for. */
export const sillAskedSchema = z.object({ coarse: z.literal('yes').optional() })

/** The same as it crosses. */
export type SillTold = Omit<SillData, 'outlook'> & { outlook: OutlookTold }
/** In its place, where no station can tell a season: what is missing, in words. */
export interface SillLacking {
  lacks: Message
}
export const sillOf = (told: SillTold): SillData => ({ ...told, outlook: readOutlook(told.outlook) })

/**
 * A line of long work: what is being done and how far it is, or the end of it as it would have been answered at once.
 */
export type Step = { doing: string; share: number | null } | { status: number; body: unknown }

export interface ApiError {
  error: {
    code: string
    /** In American English, for who has no catalogue of messages. */
    message: string
    fields?: Record<string, string>
    /** The same to be told in any language. */
    said?: { message: Message; fields: Record<string, Message> }
    /** What somebody else has saved meanwhile, where that is why. */
    theirs?: unknown
  }
}

/** What a lawn's season is computed from, for what is tried out in the browser. */
export interface SeasonTold {
  input: SeasonInput
  seed: Blend
  risk: SeedbedRisk
  /** Zones that differ, each with its own seed and exposure. */
  zones: { name: string; seed: Blend; ground: Ground; risk: SeedbedRisk }[]
}

type FirmAtWork = Pick<Context, 'today' | 'pace' | 'stock' | 'spokenFor'> & {
  firm: Pick<
    FirmSettings,
    'practices' | 'planning' | 'workingDays' | 'holidays' | 'feedRules' | 'hoursADay' | 'currency'
  > &
    Partial<Pick<FirmSettings, 'timeZone'>>
}
/** The firm as its jobs are planned. */
export const firmRecordOf = ({ firm, today, pace, stock, spokenFor }: FirmAtWork): FirmRecord => ({
  today,
  ...(firm.timeZone === undefined ? {} : { timeZone: firm.timeZone }),
  practices: firm.practices,
  planning: planningOf(firm.planning),
  workingDays: firm.workingDays,
  holidays: firm.holidays,
  feedRules: firm.feedRules,
  hoursADay: firm.hoursADay,
  pace,
  stock,
  spokenFor,
  currency: firm.currency,
})
