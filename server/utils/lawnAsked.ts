import type { H3Event } from 'h3'
import { idSchema, type Lawn } from '#contract/lawn'
import { lawnById } from '../records/lawns'
import { notFound, paramOf, type AtWork } from './answer'

/** The lawn named by the path, of the firm at work. @throws Refusal 404 for any other */
export async function lawnAsked(event: H3Event, { firm }: AtWork): Promise<Lawn> {
  const lawn = await lawnById(firm.id, paramOf(event, 'id', idSchema, 'lawn'))
  if (!lawn) throw notFound('lawn')
  return lawn
}
