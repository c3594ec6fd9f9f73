import type { DeliveryResult } from '#contract/delivery'
import { english } from '../utils/english'
import { compute } from '../compute/pool'
import { keepWeatherRows } from '../records/stations'
import type { Delivered } from '../records/stationKeys'

/** A table of days whose columns say what they are, read beside the server's own thread and kept. @throws Refusal in words */
export async function deliverFile({ firmId, stationId, today }: Delivered, bytes: Uint8Array): Promise<DeliveryResult> {
  const { pieces, count, rejected, rejectedCount } = await compute('deliveredFile', { bytes, last: today })
  const { added, changed } = count ? await keepWeatherRows(firmId, stationId, pieces) : { added: 0, changed: 0 }
  return {
    added,
    changed,
    unchanged: count - added - changed,
    // A script has no catalogue of messages.
    rejected: rejected.map(({ line, reason }) => ({ line, reason: english(reason) })),
    rejectedCount,
  }
}
