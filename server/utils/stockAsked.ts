import type { H3Event } from 'h3'
import { idSchema } from '#contract/fields'
import type { StockItem } from '#contract/stock'
import type { AtWork } from '../records/firms'
import { stockItem } from '../records/stock'
import { paramOf } from './ask'
import { notFound } from './refusal'

/** The line of the stock book named by the path, of the firm at work. @throws Refusal 404 for any other */
export async function stockAsked(event: H3Event, { firm }: AtWork): Promise<StockItem> {
  const item = await stockItem(firm.id, paramOf(event, 'id', idSchema, 'line'))
  if (!item) throw notFound('line')
  return item
}
