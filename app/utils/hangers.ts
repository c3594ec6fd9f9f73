import { tell } from './words'
import type { LedgeMark } from '#core/job/ledgeMarks'
import type { Hanger } from './sillScale'

/** Tasks of a lawn as they hang from the ledge. */
export const hangersOf = (marks: readonly LedgeMark[], lawnId: string): Hanger[] =>
  marks.map(({ key, day, mark, label, done }) => ({
    key: `${lawnId}/${key}`,
    day,
    mark,
    label: label ? tell(label) : '',
    done,
  }))

/** Among many lawns only their sowing days hang there, by the name of the lawn. */
export const sowingsOf = (marks: readonly LedgeMark[], { id, client }: { id: string; client: string }): Hanger[] =>
  hangersOf(
    marks.filter(({ anchor }) => anchor),
    id,
  ).map((hanger) => ({ ...hanger, label: client }))
