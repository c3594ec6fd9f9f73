import type { H3Event } from 'h3'
import { idSchema } from '#contract/fields'
import type { Lawn } from '#contract/lawn'
import { lawnById } from '../records/lawns'
import { paramOf } from './ask'
import { notFound } from './refusal'
import type { AtWork } from '../records/firms'

/** The lawn named by the path, of the firm at work. @throws Refusal 404 for any other */
export async function lawnAsked(event: H3Event, { firm }: AtWork): Promise<Lawn> {
  const lawn = await lawnById(firm.id, paramOf(event, 'id', idSchema, 'lawn'))
  if (!lawn) throw notFound('lawn')
  return lawn
}
