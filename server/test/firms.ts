import { randomUUID } from 'node:crypto'
import { beforeEach } from 'vitest'
import type { Lawn } from '#contract/lawn'
import { markSchema, type NewMark } from '#contract/work'
import type { Author } from '../records/firms'
import { addLawn } from '../records/lawns'
import { newFirm, owner, useTestDatabase } from './database'

/** An empty database with two firms in it before each test: what one has, the other must not see. */
export function useTwoFirms(set: (ours: Author, theirs: Author) => void): void {
  useTestDatabase()
  beforeEach(async () => {
    await owner('delete from firms')
    set(await newFirm('Ours'), await newFirm('Theirs'))
  })
}

export const NEW_LAWN = {
  client: 'Odell',
  address: '4 Quarry Rise',
  areaM2: 612,
  areaTyped: '6,590 sq ft',
  growsNow: 'thin tall fescue',
}
/** Where a station or a lawn may stand. */
export const PLACE = { latDeg: 37, lonDeg: -79, heightM: null, coastal: false }

/** A lawn as its firm adds it, under an id of its own. */
export async function added(by: Author): Promise<Lawn> {
  return (await addLawn(by, { id: randomUUID(), ...NEW_LAWN }))!
}

/** The job of a lawn that is in view. */
export const inView = ({ id, job }: Lawn) => ({ lawnId: id, jobId: job.id })

/** A mark of work that was finished on a day. */
export const on = (task: string, day: string, told: object = {}): NewMark =>
  markSchema.parse({ id: randomUUID(), task, doneOn: day, ...told })
