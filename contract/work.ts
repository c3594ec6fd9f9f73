import { said } from './said'
import { z } from 'zod'
import type { Day } from '#core/measure/calendar'
import { ADDABLE, OPERATION_CODES } from '#core/job/operations/registry'
import { between, daySchema, few, hours, idSchema, MOST_AREA_M2, noneOr, required, text } from './fields'

/** The key of a task: an operation, an operation and its number, or work of one's own. */
const KEY = new RegExp(
  `^(?:(?:${OPERATION_CODES.filter((code) => code !== 'own').join('|')})(?:-[0-9]{1,2})?|own-[0-9a-f-]{36})$`,
)
export const taskKeySchema = z.string().regex(KEY, said('contract.noOperationOfThis'))
/** A gate of a task, as notes overrule it: "scalp:surface". */
const gateKeySchema = z
  .string()
  .max(80)
  .regex(/^[a-zA-Z0-9-]+:[a-z]+$/, said('contract.noGateOfThis'))

/** A record with no more entries than a plan has tasks. */
const byTask = <T extends z.ZodType>(schema: T, most: number, what: string) =>
  z
    .record(taskKeySchema, schema)
    .refine((all) => Object.keys(all).length <= most, said('contract.atMost', { most, what }))
const MOST_TASKS = 80

const ownWorkSchema = z.object({ name: required(60), day: daySchema, hours, note: text(300) })

/** What the technician decided about the run of operations; what is empty goes by the schedule. */
export const workSchema = z.object({
  /** Days that were agreed: changes move as few of them as they can. */
  days: byTask(daySchema, MOST_TASKS, 'days'),
  /** Days chosen by hand for single tasks. */
  pins: byTask(daySchema, MOST_TASKS, 'days'),
  added: z
    .array(z.enum(ADDABLE))
    .max(ADDABLE.length)
    .transform((codes) => [...new Set(codes)]),
  own: byTask(ownWorkSchema, 20, 'operations of your own').refine(
    (all) => Object.keys(all).every((key) => key.startsWith('own-')),
    said('contract.workOfYourOwn'),
  ),
  /** Left out, with the reason. */
  skipped: byTask(required(300), MOST_TASKS, 'operations left out'),
  /** Gates overruled, with the note. */
  overruled: z
    .record(gateKeySchema, required(400))
    .refine((all) => Object.keys(all).length <= MOST_TASKS, said('contract.atMostOverruled', { MOST_TASKS })),
  /** Ground that counts found too thin, and with how much of the full rate it is sown again. */
  thin: z
    .object({
      areaM2: between(0.1, MOST_AREA_M2, said('contract.between1Ft01')),
      rateShare: between(0.05, 1, said('contract.between1And100')),
    })
    .nullable()
    .default(null),
})
export type Work = z.infer<typeof workSchema>

/** What was really done on a day; only the day has to be told. */
export const doneSchema = z.object({
  doneOn: daySchema,
  /** Of the whole operation, what was done on this day. */
  share: between(0.01, 1, said('contract.between1And100')).default(1),
  /** What is looked at before going on was as it should be. */
  passed: z.boolean().default(true),
  hours: hours.nullable().default(null),
  heightMm: between(3, 300, said('contract.betweenAnd12In')).nullable().default(null),
  passes: z
    .int(said('contract.aWholeNumber'))
    .min(1, said('contract.oneAtLeast'))
    .max(20, said('contract.atMost20'))
    .nullable()
    .default(null),
  massKg: noneOr(0.001, 20_000, said('contract.between0And44')).nullable().default(null),
  volumeM3: noneOr(0.001, 20_000, said('contract.between0And26')).nullable().default(null),
  /** Ground it was done on, as the task had it. */
  areaM2: between(0.1, MOST_AREA_M2, said('contract.between1Ft01')).nullable().default(null),
  /** Kg or m³ taken out of the shed, by line of the stock book. */
  used: few(between(0.001, 20_000, said('contract.moreThan0')), 6, 'lines of the stock book').default({}),
  weather: text(120).default(''),
  note: text(400).default(''),
  /** What held the work when it was done all the same; the note says why. */
  against: text(400).default(''),
})
export type DoneTold = z.infer<typeof doneSchema>
/** A mark under an id made by the browser, so that a double click or a lost answer makes one of it. */
export const markSchema = doneSchema.extend({ id: idSchema, task: taskKeySchema })
export type NewMark = z.infer<typeof markSchema>

/** Work marked done, as it is read: whose mark it is, and of when. */
export interface DoneOperation extends DoneTold {
  id: string
  key: string
  doneOn: Day
  savedBy: string | null
}
