import { groundOf, jobOf, missingOf, type Lawn } from '#contract/lawn'
import { glanceOfBrief, type Brief } from '#core/establishment/glance'
import { outlineOf, type Outline } from '#core/job/outline'
import { growsFrom } from '#core/job/states'
import type { FirmRecord } from '#core/job/records'

/** Lawns to be outlined with their seasons in brief, a `Brief` as JSON, where one is known. */
export interface OutlinesTask {
  firm: FirmRecord
  lawns: readonly { lawn: Lawn; brief: string | null }[]
}

function outlined(firm: FirmRecord, { lawn, brief }: OutlinesTask['lawns'][number]): Outline | { failed: string } {
  try {
    return outlineOf({
      job: jobOf(lawn),
      lawn: groundOf(lawn),
      firm,
      glance: brief === null ? null : glanceOfBrief(JSON.parse(brief) as Brief, growsFrom(jobOf(lawn))),
      ended: lawn.job.endedOn !== null,
      missing: missingOf(lawn),
    })
  } catch (error) {
    // One that cannot be planned stops no list.
    return { failed: String(error) }
  }
}

/** Outlines in the order of the lawns. */
export const outlinesOf = ({ firm, lawns }: OutlinesTask): (Outline | { failed: string })[] =>
  lawns.map((one) => outlined(firm, one))
