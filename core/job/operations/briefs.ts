import { say } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { figure } from '../../measure/figure'
import type { Part } from '../parts'
import type { Brief, Definition, Turn } from './definition'

const same = (a: Gate, b: Gate): boolean => JSON.stringify([a.state, a.text]) === JSON.stringify([b.state, b.text])

/** The brief of an operation over all parts that have it; where there are several, each is named by its zones. */
export function briefOf(
  { brief: told }: Pick<Definition, 'brief'>,
  parts: readonly Part[],
  turn: Turn = { number: 1, of: 1 },
): Brief {
  const briefs = parts.map((part) => told(part, turn))
  if (briefs.length === 1) return briefs[0]!
  const settings = say('operations.perPart', {
    parts: briefs.map((brief, i) =>
      say('operations.onPart', { zones: [...parts[i]!.zones], settings: brief.settings }),
    ),
  })
  const gates = briefs
    .flatMap((brief) => brief.gates)
    .filter((gate, i, all) => all.findIndex((other) => same(gate, other)) === i)
  const value = briefs.reduce((sum, { hours }) => sum + hours.value, 0)
  const lines = briefs.flatMap(({ hours }) => hours.working.lines)
  const { title, formula } = briefs[0]!.hours.working
  const name = briefs.find((brief) => brief.name)?.name
  return {
    ...(name ? { name } : {}),
    settings,
    gates,
    hours: {
      value,
      working: {
        title,
        formula,
        result: figure('hours', value),
        lines: [
          ...lines,
          { operator: '=', what: say('operations.allParts'), value: figure('hours', value), subtotal: true },
        ],
      },
    },
  }
}
