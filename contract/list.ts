import { said } from './said'
import { z } from 'zod'
import type { ProgrammeCode } from '#core/job/decision/programmes'
import type { Outline } from '#core/job/outline'
import type { Outcome } from '#core/job/states'
import type { Day } from '#core/measure/calendar'
import { idSchema } from './fields'

/** A page of the list: what is asked for at once, by number or by name. */
export const LIST_PAGE = 60
/** Lawns answered at once at the most: as many as the database writes down without holding others up. */
export const MOST_LISTED = 400

export const lawnsAskedSchema = z.object({
  first: z.coerce.number().int().min(1).max(MOST_LISTED).default(MOST_LISTED),
  /** So many are left out before them. */
  from: z.coerce.number().int().min(0).max(100_000).default(0),
})

export const outlinesAskedSchema = z.object({
  of: z
    .string()
    .max(LIST_PAGE * 37)
    .transform((ids) => ids.split(',').filter(Boolean))
    .pipe(z.array(idSchema).max(LIST_PAGE, said('contract.atMostLawnsAt', { LIST_PAGE }))),
  /** Odds of a handful of weather years will do where none are worked out. */
  coarse: z.literal('yes').optional(),
})

/** A lawn as the list knows it, by the job in view: the open one, or the last. */
export interface ListedLawn {
  id: string
  client: string
  address: string
  growsNow: string
  /** Loaded to try things out. */
  sample: boolean
  /** Of all zones whose area is known, m². */
  areaM2: number
  job: {
    id: string
    number: number
    programme: ProgrammeCode | null
    sowOn: Day | null
    outcome: Outcome | null
    endedOn: Day | null
  }
  /** As it was last worked out of the lawn as it stands now; null while it is being worked out. */
  outline: Outline | null
  /** The outline goes by a handful of weather years, while the others are worked out. */
  coarse?: boolean
}

/** The outline of a lawn in the list as it is today; null where it could not be worked out. */
export interface LawnOutline {
  id: string
  outline: Outline | null
  /** By a handful of weather years: asked for again without, it goes by all that a list goes by. */
  coarse: boolean
}
