import { tellerOf } from '#words/teller'
import type { UnitSystem } from '../../measure/figure'
import type { Message } from '../message'

const teller = tellerOf('en-US')
/** A message of the core as it is read in American English. */
export const told = ({ key, values }: Message, units: UnitSystem = 'metric'): string => teller.text(key, values, units)

/** What is said by the error that some work ends with; undefined where it ends well. */
export function refusalOf(work: () => unknown): string | undefined {
  try {
    work()
  } catch (error) {
    const { said } = error as { said?: Message }
    return said ? told(said) : String(error)
  }
  return undefined
}
