import type { NewStock, NewStockMove, StockItem, StockMove } from '#contract/stock'
import type { StockLevels } from '#core/materials/stock'
import type { Day } from '#core/quantity/calendar'
import { inFirm, type Queryable } from './db'
import type { Author } from './firms'

const ITEMS = `
  select i.id, i.matter, i.name, i.put_away as "putAway", i.version, coalesce(m.on_hand, 0) as "onHand", m.last_day as "lastDay"
  from stock_items i
  left join lateral (select sum(amount) as on_hand, max(day) as last_day from stock_moves where firm_id = i.firm_id and item_id = i.id) m on true`

export async function stockOf(firmId: string): Promise<StockItem[]> {
  const { rows } = await inFirm(firmId, (client) => client.query<StockItem>(`${ITEMS} where i.firm_id = $1 order by i.put_away, i.matter, i.name`, [firmId]))
  return rows
}

export async function stockItem(firmId: string, id: string): Promise<StockItem | undefined> {
  const { rows } = await inFirm(firmId, (client) => client.query<StockItem>(`${ITEMS} where i.firm_id = $1 and i.id = $2`, [firmId, id]))
  return rows[0]
}

/** Kg or m³ of each material that is not put away. */
export async function stockLevels(firmId: string): Promise<StockLevels> {
  const { rows } = await inFirm(firmId, (client) => client.query<{ levels: StockLevels | null }>(
    `select json_object_agg(matter, on_hand) as levels from (
       select i.matter, coalesce(sum(m.amount), 0) as on_hand
       from stock_items i left join stock_moves m on m.firm_id = i.firm_id and m.item_id = i.id
       where i.firm_id = $1 and not i.put_away group by i.matter) levels`, [firmId],
  ))
  return rows[0]!.levels ?? {}
}

/** A line with what of it is there. The same line twice, as a double click sends it, is one. */
export async function addStock({ firmId, personId }: Author, { id, matter, name, day, amount }: NewStock): Promise<void> {
  await inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(`insert into stock_items (id, firm_id, matter, name) values ($1, $2, $3, $4) on conflict (id) do nothing`, [id, firmId, matter, name])
    if (rowCount) await client.query(`insert into stock_moves (firm_id, item_id, why, day, amount, recorded_by) values ($1, $2, 'counted', $3, $4, $5)`, [firmId, id, day, amount, personId])
  })
}

/** @returns false where somebody else changed it meanwhile */
export async function editStock(firmId: string, id: string, { version, name, putAway }: { version: number; name: string; putAway: boolean }): Promise<boolean> {
  const { rowCount } = await inFirm(firmId, (client) => client.query(
    `update stock_items set name = $4, put_away = $5, version = version + 1 where firm_id = $1 and id = $2 and version = $3`, [firmId, id, version, name, putAway],
  ))
  return rowCount === 1
}

/** What came in is added; what was counted is written by how far the book was off. */
export async function moveStock({ firmId, personId }: Author, itemId: string, { id, why, day, amount, note }: NewStockMove): Promise<void> {
  await inFirm(firmId, async (client) => {
    // Two who count the same line come one after the other.
    await client.query(`select from stock_items where firm_id = $1 and id = $2 for update`, [firmId, itemId])
    await client.query(
      `insert into stock_moves (id, firm_id, item_id, why, day, amount, note, recorded_by)
       select $1, $2, $3, $4, $5, case when $4 = 'came' then $6::float8 else $6::float8 - coalesce((select sum(amount) from stock_moves where firm_id = $2 and item_id = $3), 0) end, $7, $8
       on conflict (id) do nothing`, [id, firmId, itemId, why, day, amount, note, personId],
    )
  })
}

export async function movesOfStock(firmId: string, itemId: string, most: number): Promise<StockMove[]> {
  const { rows } = await inFirm(firmId, (client) => client.query<StockMove>(
    `select m.id, m.why, m.day, m.amount, m.note, m.lawn_id as "lawnId", l.client, p.name as "savedBy"
     from stock_moves m left join lawns l on l.firm_id = m.firm_id and l.id = m.lawn_id left join people p on p.firm_id = m.firm_id and p.id = m.recorded_by
     where m.firm_id = $1 and m.item_id = $2 order by m.day desc, m.recorded_at desc limit $3`, [firmId, itemId, most],
  ))
  return rows
}

/** Work that was marked: of a lawn, a slip, and a day or every day of it. */
interface Marked {
  lawnId: string
  slip: string
  /** Null for every day. */
  doneOn: Day | null
}

/** Gives back what a mark used up; in the transaction that takes the mark back or puts another in its place. */
export const giveBack = (client: Queryable, firmId: string, { lawnId, slip, doneOn }: Marked) =>
  client.query(`delete from stock_moves where firm_id = $1 and lawn_id = $2 and slip = $3 and ($4::date is null or done_on = $4)`, [firmId, lawnId, slip, doneOn])

/** Takes what a mark used up out of the shed. @param used kg or m³ by line of the stock book */
export async function useUp(client: Queryable, { firmId, personId }: Author, { lawnId, slip, doneOn }: Marked, used: Readonly<Record<string, number>>): Promise<void> {
  for (const [itemId, amount] of Object.entries(used)) {
    await client.query(
      `insert into stock_moves (firm_id, item_id, why, day, amount, lawn_id, slip, done_on, recorded_by) values ($1, $2, 'used', $3, $4, $5, $6, $3, $7)`,
      [firmId, itemId, doneOn, -amount, lawnId, slip, personId],
    )
  }
}
