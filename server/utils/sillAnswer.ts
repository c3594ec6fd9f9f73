import type { H3Event } from 'h3'
import type { SillLacking } from '#contract/context'
import { asJson } from './answer'
import { Refusal } from './refusal'

/** The season as text; where no station can tell it, what is missing: a firm that has just begun did nothing wrong. */
export async function sillAnswer(event: H3Event, tell: () => Promise<string>): Promise<string> {
  try {
    return asJson(event, await tell())
  } catch (error) {
    if (!(error instanceof Refusal && error.code === 'weather')) throw error
    return asJson(event, JSON.stringify({ lacks: error.said } satisfies SillLacking))
  }
}
