import type { H3Event } from 'h3'
import { sillAskedSchema, type SillLacking } from '#contract/context'
import { asJson } from './answer'
import { queryOf } from './ask'
import { Refusal } from './refusal'

/** Whether a first look will do. */
export const coarseAsked = (event: H3Event): boolean => queryOf(event, sillAskedSchema).coarse !== undefined

/** The season as text; where no station can tell it, what is missing: a firm that has just begun did nothing wrong. */
export async function sillAnswer(event: H3Event, tell: () => Promise<string>): Promise<string> {
  try {
    return asJson(event, await tell())
  } catch (error) {
    if (!(error instanceof Refusal && error.code === 'weather')) throw error
    return asJson(event, JSON.stringify({ lacks: error.said } satisfies SillLacking))
  }
}
