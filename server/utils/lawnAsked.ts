import type { H3Event } from 'h3'
import { idSchema } from '#contract/fields'
import { jobAskedSchema, type Lawn } from '#contract/lawn'
import { lawnById } from '../records/lawns'
import { paramOf, queryOf } from './ask'
import { notFound, Refusal } from './refusal'
import type { AtWork } from '../records/firms'

/**
 * The lawn named by the path, of the firm at work, with the job named in the question in view; without one the open one.
 * @throws Refusal 404 for any other
 */
export async function lawnAsked(event: H3Event, { firm }: AtWork): Promise<Lawn> {
  const { job } = queryOf(event, jobAskedSchema)
  const lawn = await lawnById(firm.id, paramOf(event, 'id', idSchema, 'lawn'), job)
  if (!lawn) throw notFound('lawn')
  return lawn
}

/**
 * The lawn named by the path with the job named by it in view.
 * @param state 'open' where it is to be changed
 * @throws Refusal 404 for any other, 409 for one that has ended
 */
export async function jobAsked(event: H3Event, { firm }: AtWork, state?: 'open'): Promise<Lawn> {
  const jobId = paramOf(event, 'job', idSchema, 'job')
  const lawn = await lawnById(firm.id, paramOf(event, 'id', idSchema, 'lawn'), jobId)
  if (!lawn) throw notFound('job')
  if (state === 'open' && lawn.job.endedOn)
    throw new Refusal(409, 'ended', `This job was ${lawn.job.state}. Reopen it first; nothing was saved.`)
  return lawn
}
