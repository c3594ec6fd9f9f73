import type { Message } from '#core/explain/message'
import type { RejectedRow } from '#contract/station'

/** Rows that could not be used: the first of them by name, and how many there were. */
export class Rejected {
  readonly rows: RejectedRow[] = []
  count = 0
  constructor(private readonly most = 200) {}
  add(line: number, reason: Message): void {
    this.count++
    if (this.rows.length < this.most) this.rows.push({ line, reason })
  }
}
