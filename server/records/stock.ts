import type { NewStock, NewStockMove, StockItem, StockMove } from '#contract/stock'
import type { Amounts } from '#core/job/records'
import type { Day } from '#core/measure/calendar'
import { inFirm, rowsOf, type Queryable } from './db'
import type { Author } from './firms'
import { roomFor } from './quotas'

const ITEMS = `
  select i.id, i.matter, i.name, i.put_away as "putAway", i.version, coalesce(m.on_hand, 0) as "onHand",
    m.last_day as "lastDay"
  from stock_items i
  left join lateral (select sum(amount) as on_hand, max(day) as last_day from stock_moves where firm_id = i.firm_id and item_id = i.id) m on true`

export async function stockOf(firmId: string): Promise<StockItem[]> {
  const rows = await rowsOf<StockItem>(firmId, `${ITEMS} where i.firm_id = $1 order by i.put_away, i.matter, i.name`, [
    firmId,
  ])
  return rows
}

export async function stockItem(firmId: string, id: string): Promise<StockItem | undefined> {
  const rows = await rowsOf<StockItem>(firmId, `${ITEMS} where i.firm_id = $1 and i.id = $2`, [firmId, id])
  return rows[0]
}

/** Keeps what the tasks of a job still to do will use up. */
export async function keepWanted(firmId: string, jobId: string, wanted: Amounts): Promise<void> {
  await inFirm(firmId, (client) =>
    client.query(`update jobs set wanted = $3 where firm_id = $1 and id = $2 and wanted is distinct from $3::jsonb`, [
      firmId,
      jobId,
      wanted,
    ]),
  )
}

/**
 * A line with what of it is there. The same line twice, as a double click sends it, is one.
 * @returns false where the id is somebody else's
 */
export async function addStock(
  { firmId, personId }: Author,
  { id, matter, name, day, amount }: NewStock,
): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `insert into stock_items (id, firm_id, matter, name) values ($1, $2, $3, $4) on conflict (id) do nothing`,
      [id, firmId, matter, name],
    )
    if (rowCount) await roomFor(client, firmId, 'stock')
    if (rowCount)
      await client.query(
        `insert into stock_moves (firm_id, item_id, why, day, amount, recorded_by)
          values ($1, $2, 'counted', $3, $4, $5)`,
        [firmId, id, day, amount, personId],
      )
    else
      return (await client.query(`select from stock_items where firm_id = $1 and id = $2`, [firmId, id])).rowCount === 1
    return true
  })
}

/** @returns false where somebody else changed it meanwhile */
export async function editStock(
  firmId: string,
  id: string,
  { version, name, putAway }: { version: number; name: string; putAway: boolean },
): Promise<boolean> {
  const { rowCount } = await inFirm(firmId, (client) =>
    client.query(
      `update stock_items set name = $4, put_away = $5, version = version + 1
        where firm_id = $1 and id = $2 and version = $3`,
      [firmId, id, version, name, putAway],
    ),
  )
  return rowCount === 1
}

/** A line of the book says no more than this of one thing, kg or m³; far beyond any shed. */
export const MOST_ON_HAND = 1_000_000

/**
 * What came in is added; what was counted is written by how far the book was off.
 * @returns false where the line would say more than any shed holds
 */
export async function moveStock(
  { firmId, personId }: Author,
  itemId: string,
  { id, why, day, amount, note }: NewStockMove,
): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    // Two who count the same line come one after the other.
    await client.query(`select from stock_items where firm_id = $1 and id = $2 for update`, [firmId, itemId])
    const { rows } = await client.query<{ onHand: number; there: boolean }>(
      `select coalesce(sum(amount), 0) as "onHand", coalesce(bool_or(id = $3), false) as there from stock_moves
        where firm_id = $1 and item_id = $2`,
      [firmId, itemId, id],
    )
    if (rows[0]!.there) return true
    if (why === 'came' && rows[0]!.onHand + amount > MOST_ON_HAND) return false
    await client.query(
      `insert into stock_moves (id, firm_id, item_id, why, day, amount, note, recorded_by)
       select $1, $2, $3, $4, $5, case when $4 = 'came' then $6::float8
         else $6::float8 - coalesce((select sum(amount) from stock_moves where firm_id = $2 and item_id = $3), 0) end,
         $7, $8
       on conflict (id) do nothing`,
      [id, firmId, itemId, why, day, amount, note, personId],
    )
    await roomFor(client, firmId, 'moves')
    return true
  })
}

export async function movesOfStock(firmId: string, itemId: string, most: number): Promise<StockMove[]> {
  const rows = await rowsOf<StockMove>(
    firmId,
    `select m.id, m.why, m.day, m.amount, m.note, m.lawn_id as "lawnId", c.name as client, p.name as "savedBy"
     from stock_moves m left join lawns l on l.firm_id = m.firm_id and l.id = m.lawn_id
       left join clients c on c.firm_id = l.firm_id and c.id = l.client_id
       left join people p on p.firm_id = m.firm_id and p.id = m.recorded_by
     where m.firm_id = $1 and m.item_id = $2 order by m.day desc, m.recorded_at desc limit $3`,
    [firmId, itemId, most],
  )
  return rows
}

/** Gives back what a mark used up; in the transaction that takes the mark back. */
export const giveBack = (client: Queryable, firmId: string, markId: string) =>
  client.query(`delete from stock_moves where firm_id = $1 and mark_id = $2`, [firmId, markId])

/** A mark that used something up. */
interface UsingMark {
  id: string
  lawnId: string
  doneOn: Day
}

/** Takes what a mark used up out of the shed. @param used kg or m³ by line of the stock book */
export async function useUp(
  client: Queryable,
  { firmId, personId }: Author,
  { id, lawnId, doneOn }: UsingMark,
  used: Readonly<Record<string, number>>,
): Promise<void> {
  // In one order, so that two marks that use the same lines do not wait for each other.
  for (const [itemId, amount] of Object.entries(used).sort(([a], [b]) => (a < b ? -1 : 1))) {
    await client.query(
      `insert into stock_moves (firm_id, item_id, why, day, amount, lawn_id, mark_id, recorded_by)
        values ($1, $2, 'used', $3, $4, $5, $6, $7)`,
      [firmId, itemId, doneOn, -amount, lawnId, id, personId],
    )
  }
}
