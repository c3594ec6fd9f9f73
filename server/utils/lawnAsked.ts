import { say } from '#core/explain/message'
import type { H3Event } from 'h3'
import { idSchema } from '#contract/fields'
import { jobAskedSchema, type Lawn } from '#contract/lawn'
import { lawnById } from '../records/lawns'
import { paramOf, queryOf } from './ask'
import { lawnNow } from './firmNow'
import { notFound, Refusal } from './refusal'
import type { AtWork } from '../records/firms'

/** From memory for who reads; for who writes, or has just written, as it stands. */
const lawnFor = (event: H3Event, work: AtWork, id: string, jobId: string | undefined, written: boolean) =>
  event.method === 'GET' && !written ? lawnNow(work, id, jobId) : lawnById(work.firm.id, id, jobId)

/**
 * The lawn named by the path, of the firm at work, with the job named in the question in view; without one the open one.
 * @param written true where this request has written of it
 * @throws Refusal 404 for any other
 */
export async function lawnAsked(event: H3Event, work: AtWork, written = false): Promise<Lawn> {
  const { job } = queryOf(event, jobAskedSchema)
  const lawn = await lawnFor(event, work, paramOf(event, 'id', idSchema, 'lawn'), job, written)
  if (!lawn) throw notFound('lawn')
  return lawn
}

/**
 * The lawn named by the path with the job named by it in view.
 * @param state 'open' where it is to be changed
 * @throws Refusal 404 for any other, 409 for one that has ended
 */
export async function jobAsked(event: H3Event, work: AtWork, state?: 'open'): Promise<Lawn> {
  const jobId = paramOf(event, 'job', idSchema, 'job')
  const lawn = await lawnFor(event, work, paramOf(event, 'id', idSchema, 'lawn'), jobId, false)
  if (!lawn) throw notFound('job')
  if (state === 'open' && lawn.job.endedOn)
    throw new Refusal(409, 'ended', say('server.thisJobWasReopen', { state: lawn.job.state }))
  return lawn
}
