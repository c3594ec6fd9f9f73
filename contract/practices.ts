import { said } from './said'
import { z } from 'zod'
import { PLANNING, PLANNING_CODES } from '#core/job/planningFigures'
import { PRACTICE_CODES, PRACTICES, type PracticeCode, type Practices } from '#core/job/decision/practices'

const codesOf = <Q extends PracticeCode>(question: Q) =>
  z.enum(PRACTICES[question].choices.map(({ code }) => code) as [Practices[Q], ...Practices[Q][]])
type Codes = { [Q in PracticeCode]: ReturnType<typeof codesOf<Q>> }
export const practicesSchema = z.object(
  Object.fromEntries(PRACTICE_CODES.map((question) => [question, codesOf(question)])) as unknown as Codes,
)

/** The firm's own planning figures; what it leaves out stays ours. */
export const planningSchema = z.partialRecord(z.enum(PLANNING_CODES), z.number()).superRefine((figures, context) => {
  for (const [code, value] of Object.entries(figures) as [keyof typeof PLANNING, number][]) {
    const { least, most, name } = PLANNING[code]
    if (!(value >= least && value <= most))
      context.addIssue({ code: 'custom', path: [code], message: said('contract.betweenAnd', { name, least, most }) })
  }
})
