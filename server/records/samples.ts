import type { Lawn } from '#contract/lawn'
import { inFirm } from './db'
import type { Author } from './firms'
import { forgetClients } from './clients'
import { addLawn, saveLook } from './lawns'
import type { SampleLawn } from '../samples/sampleLawns'

/** Adds what is not there yet; a sample that somebody has changed meanwhile stays as it is. @returns how many were added */
export async function addSamples(by: Author, samples: readonly SampleLawn[]): Promise<number> {
  let added = 0
  for (const { lawn, look } of samples) {
    const { zone, water, ...told } = look
    const begun: Lawn | undefined = await addLawn(by, lawn, { sample: true })
    if (!begun || begun.surveyedOn) continue
    const zones = Object.fromEntries(Object.keys(begun.zones).map((id) => [id, zone]))
    if (await saveLook(by, lawn.id, { ...begun, ...told, zones, water: { ...begun.water, ...water } })) added++
  }
  return added
}

/** Takes away all samples with their jobs; what their marks took off the stock goes back. @returns how many there were */
export const removeSamples = (firmId: string): Promise<number> =>
  inFirm(firmId, async (client) => {
    await client.query(
      `delete from stock_moves where firm_id = $1 and lawn_id in (select id from lawns where firm_id = $1 and sample)`,
      [firmId],
    )
    const { rowCount } = await client.query(`delete from lawns where firm_id = $1 and sample`, [firmId])
    await forgetClients(client, firmId)
    return rowCount ?? 0
  })
