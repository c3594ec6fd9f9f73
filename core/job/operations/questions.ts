import { say, type Message } from '../../explain/message'
import { yesOrNo, type VisitQuestion } from './asked'
import type { Gate } from '../../explain/judgement'

/** Questions that several visits ask. */

export const HOLDS_AGAINST_A_TUG = yesOrNo({
  code: 'tug',
  asks: say('visits.tug'),
  expects: say('visits.tugExpects'),
  condition: say('operations.seedlingsHoldAgainstA'),
  right: true,
  otherwise: { state: 'hold', text: say('visits.tugNot') },
})

export const GRASS_DRY = yesOrNo({
  code: 'dry',
  asks: say('visits.grassDry'),
  expects: say('visits.grassDryExpects'),
  condition: say('operations.grassDry'),
  ofTheDay: true,
  right: true,
  otherwise: { state: 'hold', text: say('visits.grassDryNot') },
})

export const SURFACE_DRY = yesOrNo({
  code: 'dry',
  asks: say('visits.surfaceDry'),
  expects: say('visits.surfaceDryExpects'),
  condition: say('visits.surfaceDryCondition'),
  ofTheDay: true,
  right: true,
  otherwise: { state: 'hold', text: say('visits.surfaceDryNot') },
})

export const WASHED_IN = yesOrNo({
  code: 'water',
  asks: say('visits.washIn'),
  expects: say('visits.washInExpects'),
  condition: say('visits.washInCondition'),
  ofTheDay: true,
  right: true,
  otherwise: { state: 'hold', text: say('visits.washInNot') },
})

/** Granules on living grass: leaves dry, and water for them. */
export const FED_ON_GRASS: readonly VisitQuestion[] = [
  yesOrNo({
    code: 'dry',
    asks: say('visits.leafDry'),
    expects: say('visits.leafDryExpects'),
    condition: say('visits.leafDryCondition'),
    ofTheDay: true,
    right: true,
    otherwise: { state: 'hold', text: say('visits.leafDryNot') },
  }),
  WASHED_IN,
]

/** Soil that shows, and what that means for what is to be done. */
export const noGaps = (state: Gate['state'], text: Message): VisitQuestion =>
  yesOrNo({
    code: 'gaps',
    asks: say('visits.gaps'),
    expects: say('visits.gapsExpects'),
    condition: say('operations.noBarePatchLarger'),
    right: false,
    otherwise: { state, text },
  })
