import type { Message } from '#core/explain/message'
import { say } from '#core/explain/message'
import type { Queryable } from './db'

/** So much of a thing that no firm has it, and so little that one firm cannot fill the machine for the others. */
const QUOTAS = {
  lawns: {
    most: 2500,
    count: 'select count(*) from lawns where firm_id = $1',
    words: say('server.yourFirmHas2'),
  },
  corners: {
    most: 120_000,
    words: say('server.thePlansOfYour'),
    count: `select coalesce(sum(jsonb_array_length(points) + coalesce((select sum(jsonb_array_length(hole))
        from jsonb_array_elements(holes) hole), 0)), 0) from site_features where firm_id = $1`,
  },
  depths: {
    most: 120_000,
    count: `select coalesce(sum(length(hollows::text) / 3), 0) from zones where firm_id = $1 and hollows <> '[]'`,
    words: say('server.theHollowsOfYour'),
  },
  stations: {
    most: 60,
    count: 'select count(*) from stations where firm_id = $1',
    words: say('server.yourFirmHas60'),
  },
  stationKeys: {
    most: 120,
    count: 'select count(*) from station_keys where firm_id = $1',
    words: say('server.yourFirmHas120'),
  },
  stock: {
    most: 600,
    count: 'select count(*) from stock_items where firm_id = $1',
    words: say('server.theStockBookHas'),
  },
  photos: {
    most: 6000,
    count: 'select count(*) from photos where firm_id = $1',
    words: say('server.yourFirmHas6'),
  },
  people: {
    most: 200,
    count: 'select count(*) from people where firm_id = $1',
    words: say('server.yourFirmHas200'),
  },
  links: {
    most: 100,
    count: 'select count(*) from entry_links where firm_id = $1 and used_at is null and expires_at > now()',
    words: say('server.thereAre100Open'),
  },
  moves: {
    most: 100_000,
    count: 'select count(*) from stock_moves where firm_id = $1',
    words: say('server.theStockBookHas100'),
  },
} as const
export type Quota = keyof typeof QUOTAS

/** Marks of one job, and what was seen of it; a season has some dozens. */
const [MOST_MARKS, MOST_SEEN] = [800, 1500]

/** There is no room for more of something; says of what, and what to do. */
export class NoRoom extends Error {
  constructor(readonly said: Message) {
    super(said.key)
  }
}

/** Within the caller's transaction, after what was added. @throws NoRoom where that is more than is kept */
export async function roomFor(client: Queryable, firmId: string, ...quotas: readonly Quota[]): Promise<void> {
  for (const quota of quotas) {
    const { most, count, words } = QUOTAS[quota]
    const { rows } = await client.query<{ count: string }>(`select (${count}) as count`, [firmId])
    if (Number(rows[0]!.count) > most) throw new NoRoom(words)
  }
}

async function rowsIn(
  client: Queryable,
  table: 'marks' | 'observations',
  of: [firmId: string, jobId: string],
): Promise<number> {
  const { rows } = await client.query<{ count: string }>(
    `select count(*) from ${table} where firm_id = $1 and job_id = $2`,
    of,
  )
  return Number(rows[0]!.count)
}

/** @throws NoRoom where a job has more marks than are kept */
export async function roomForMarks(client: Queryable, firmId: string, jobId: string): Promise<void> {
  if ((await rowsIn(client, 'marks', [firmId, jobId])) > MOST_MARKS)
    throw new NoRoom(say('server.thisJobHasMarks', { MOST_MARKS }))
}

/** @throws NoRoom where more was seen of a job than is kept */
export async function roomForObservations(client: Queryable, firmId: string, jobId: string): Promise<void> {
  if ((await rowsIn(client, 'observations', [firmId, jobId])) > MOST_SEEN)
    throw new NoRoom(say('server.thisJobHasSeen', { MOST_SEEN }))
}
