import type { Queryable } from './db'

/** So much of a thing that no firm has it, and so little that one firm cannot fill the machine for the others. */
const QUOTAS = {
  lawns: {
    most: 2500,
    count: 'select count(*) from lawns where firm_id = $1',
    words: 'Your firm has 2,500 lawns, as many as are kept. Delete one that is no longer looked after.',
  },
  corners: {
    most: 120_000,
    words:
      'The plans of your firm hold 120,000 corners, as many as are kept. Draw with fewer, or delete a lawn that is no longer looked after.',
    count: `select coalesce(sum(jsonb_array_length(points) + coalesce((select sum(jsonb_array_length(hole))
        from jsonb_array_elements(holes) hole), 0)), 0) from site_features where firm_id = $1`,
  },
  depths: {
    most: 120_000,
    count: `select coalesce(sum(length(hollows::text) / 3), 0) from zones where firm_id = $1 and hollows <> '[]'`,
    words: 'The hollows of your firm hold 120,000 depths, as many as are kept. Measure with a wider spacing.',
  },
  stations: {
    most: 60,
    count: 'select count(*) from stations where firm_id = $1',
    words: 'Your firm has 60 stations, as many as are kept. Remove one that no lawn reads.',
  },
  stationKeys: {
    most: 120,
    count: 'select count(*) from station_keys where firm_id = $1',
    words: 'Your firm has 120 keys, as many as are kept. Revoke one that nothing delivers by.',
  },
  stock: {
    most: 600,
    count: 'select count(*) from stock_items where firm_id = $1',
    words: 'The stock book has 600 lines, as many as are kept. Count an old line anew instead of adding another.',
  },
  photos: {
    most: 6000,
    count: 'select count(*) from photos where firm_id = $1',
    words: 'Your firm has 6,000 photos, as many as are kept. Delete some first; this one was not kept.',
  },
  people: {
    most: 200,
    count: 'select count(*) from people where firm_id = $1',
    words: 'Your firm has 200 people, as many as are kept.',
  },
  links: {
    most: 100,
    count: 'select count(*) from entry_links where firm_id = $1 and used_at is null and expires_at > now()',
    words: 'There are 100 open links. Revoke some under Firm, People first.',
  },
  moves: {
    most: 100_000,
    count: 'select count(*) from stock_moves where firm_id = $1',
    words: 'The stock book has 100,000 entries, as many as are kept.',
  },
} as const
export type Quota = keyof typeof QUOTAS

/** Marks of one job; a season has some dozens. */
const MOST_MARKS = 800

/** There is no room for more of something; says of what, and what to do. */
export class NoRoom extends Error {}

/** Within the caller's transaction, after what was added. @throws NoRoom where that is more than is kept */
export async function roomFor(client: Queryable, firmId: string, ...quotas: readonly Quota[]): Promise<void> {
  for (const quota of quotas) {
    const { most, count, words } = QUOTAS[quota]
    const { rows } = await client.query<{ count: string }>(`select (${count}) as count`, [firmId])
    if (Number(rows[0]!.count) > most) throw new NoRoom(words)
  }
}

/** @throws NoRoom where a job has more marks than are kept */
export async function roomForMarks(client: Queryable, firmId: string, jobId: string): Promise<void> {
  const { rows } = await client.query<{ count: string }>(
    'select count(*) from marks where firm_id = $1 and job_id = $2',
    [firmId, jobId],
  )
  if (Number(rows[0]!.count) > MOST_MARKS)
    throw new NoRoom(`This job has ${MOST_MARKS} marks, as many as are kept. Take back some that are wrong.`)
}
