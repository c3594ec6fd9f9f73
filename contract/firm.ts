import { said } from './said'
import { LANGUAGES, SHEET_LANGUAGES } from '#words/message'
import { PHOSPHORUS_RULES } from '#core/materials/feedRules'
import { isDay } from '#core/measure/calendar'
import { z } from 'zod'
import { between, daySchema, idSchema, required, text, versionSchema } from './fields'
import { planningSchema, practicesSchema } from './practices'

export const ROLES = ['owner', 'technician'] as const
export type Role = (typeof ROLES)[number]

const name = required(80, said('contract.enterAName'))
/** As it was typed: which addresses are one is judged in one place, the database. */
const email = text(200).pipe(z.email(said('contract.anEMailAddress')))
/** Longer than this only makes hashing slow. */
const password = z.string().min(10, said('contract.atLeast10Characters')).max(200, said('contract.atMost200Characters'))
const units = z.enum(['us', 'metric'])

const knows = (kind: 'timeZone' | 'currency', value: string): boolean => {
  try {
    new Intl.NumberFormat('en-US', kind === 'currency' ? { style: 'currency', currency: value } : {})
    new Intl.DateTimeFormat('en-US', kind === 'timeZone' ? { timeZone: value } : {})
    return true
  } catch {
    return false
  }
}
const timeZone = z
  .string()
  .max(60)
  .refine((zone) => /^[A-Z]/.test(zone) && knows('timeZone', zone), said('contract.aTimeZoneSuch'))
const currency = z
  .string()
  .regex(/^[A-Z]{3}$/, said('contract.threeLettersSuchAs'))
  .refine((code) => knows('currency', code), said('contract.threeLettersSuchAs'))

/** What a firm mostly sows. */
export const GROWS = ['cool', 'warm', 'both'] as const
const language = z.enum(LANGUAGES)

export const signUpSchema = z.object({
  firmName: name,
  units,
  currency,
  timeZone,
  language: language.default('en-US'),
  name,
  email,
  password,
})
/** Six digits of an authenticator, or one of the codes written down for the day it is lost. */
const secondFactorCode = text(20).regex(/^(\d{6}|[\dA-Z]{4}-[\dA-Z]{4})$/i, said('contract.sixDigitsOrA'))
export const signInSchema = z.object({
  email: text(200),
  password: z.string().max(200),
  code: secondFactorCode.optional(),
})
export const passwordChangeSchema = z.object({ current: z.string().max(200), password })

/** The secret of an invitation or a reset; it travels behind the # of a link, so no log sees it. */
const secret = z.string().regex(/^[\w-]{43}$/, said('contract.thisLinkIsNot'))
export const linkSchema = z.object({ secret })
export const joinSchema = z.object({
  secret,
  password,
  name: name.optional(),
  email: email.optional(),
  code: secondFactorCode.optional(),
})

export const linkRequestSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('invitation'), role: z.enum(ROLES) }),
  z.object({ kind: z.literal('reset'), personId: idSchema }),
])
export const personChangeSchema = z.object({ role: z.enum(ROLES), active: z.boolean() })
/** How a client reads: as the firm does, where nothing else is said. */
export const clientReadsSchema = z.object({
  language: z.enum(SHEET_LANGUAGES).nullable(),
  units: units.nullable(),
})
export type ClientReads = z.infer<typeof clientReadsSchema>

export const ownUnitsSchema = z.object({ units: units.nullable() })
export const clockStepSchema = z.object({
  days: z.int().min(1, said('contract.aDayAtLeast')).max(31, said('contract.atMost31Days')),
})

const licenceSchema = z.object({
  what: required(60, said('contract.whatItIsFor')),
  number: required(40, said('contract.itsNumber')),
})
export type Licence = z.infer<typeof licenceSchema>

/** A day of every year, "11-15". */
const monthDay = text(5).refine(
  (typed) => /^\d\d-\d\d$/.test(typed) && isDay(`2000-${typed}`),
  said('contract.aMonthAndADay'),
)
/** What the law of the firm's place says to fertilizer. */
const feedRulesSchema = z.object({
  phosphorus: z.enum(PHOSPHORUS_RULES),
  blackouts: z.array(z.object({ from: monthDay, to: monthDay })).max(6, said('contract.atMostSix')),
})

export const firmSettingsSchema = z.object({
  version: versionSchema,
  name,
  units,
  currency,
  timeZone,
  language,
  grows: z.enum(GROWS),
  practices: practicesSchema,
  planning: planningSchema,
  workingDays: z
    .array(z.int().min(0).max(6))
    .min(1, said('contract.oneWorkingDayAt'))
    .max(7)
    .transform((days) => [...new Set(days)].sort()),
  holidays: z
    .array(daySchema)
    .max(60, said('contract.atMost60Holidays'))
    .transform((days) => [...new Set(days)].sort()),
  feedRules: feedRulesSchema,
  /** Crew hours that can be put into one day: people times hours. */
  hoursADay: between(1, 400, said('contract.between1And400')),
  licences: z.array(licenceSchema).max(12, said('contract.atMost12Licences')),
  homeStationId: idSchema.nullable(),
})
export type FirmSettings = z.infer<typeof firmSettingsSchema>

export interface PersonListed {
  id: string
  name: string
  email: string
  role: Role
  active: boolean
}

/** A signed-in browser of one's own. */
export interface OpenSession {
  id: string
  /** In a few words; empty where it did not say. */
  device: string
  openedAt: string
  seenAt: string
  /** The one that asks. */
  here: boolean
}

/** A link that would still open. */
export interface LinkListed {
  id: string
  kind: 'invitation' | 'reset'
  /** As what an invitation lets in. */
  role: Role | null
  /** Whose password it sets anew. */
  forWhom: string | null
  madeBy: string
  madeAt: string
  expiresAt: string
}

/** A link just made: told once, since only its hash is kept. */
export interface LinkMade {
  id: string
  kind: 'invitation' | 'reset'
  secret: string
  expiresAt: string
}

/** What an open link is for. */
export interface LinkShown {
  kind: 'invitation' | 'reset'
  firmName: string
  role: Role | null
  email: string | null
  madeBy: string
  /** The person has a second factor, and is asked for it. */
  secondFactor: boolean
}

/** A secret for an authenticator, shown until it is confirmed by a code. */
export interface SecondFactorProposed {
  /** Base 32, for who types it. */
  secret: string
  /** The same as `otpauth://…`, and drawn as a QR code in SVG. */
  address: string
  qrSvg: string
}
export const secondFactorSchema = z.object({ code: secondFactorCode })
export const passwordSchema = z.object({ current: z.string().max(200) })
