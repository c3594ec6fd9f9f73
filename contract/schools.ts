import { z } from 'zod'
import { PLANNING, PLANNING_CODES } from '#core/job/planningFigures'
import { SCHOOL_CODES, SCHOOLS, type School, type Schools } from '#core/job/decision/practices'

const codesOf = <Q extends School>(question: Q) =>
  z.enum(SCHOOLS[question].choices.map(({ code }) => code) as [Schools[Q], ...Schools[Q][]])
type Codes = { [Q in School]: ReturnType<typeof codesOf<Q>> }
export const schoolsSchema = z.object(
  Object.fromEntries(SCHOOL_CODES.map((question) => [question, codesOf(question)])) as unknown as Codes,
)

/** The firm's own planning figures; what it leaves out stays ours. */
export const planningSchema = z.partialRecord(z.enum(PLANNING_CODES), z.number()).superRefine((figures, context) => {
  for (const [code, value] of Object.entries(figures) as [keyof typeof PLANNING, number][]) {
    const { least, most, name } = PLANNING[code]
    if (!(value >= least && value <= most))
      context.addIssue({ code: 'custom', path: [code], message: `${name}: between ${least} and ${most}.` })
  }
})
