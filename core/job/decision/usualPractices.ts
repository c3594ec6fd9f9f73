import type { Practices } from './practices'

/** What a firm is taken to do that has not said. */
export const DEFAULT_PRACTICES: Practices = {
  kill: 'by survey',
  cores: 'leave',
  coreOrder: 'after',
  rate: 'label',
  springRate: 'same',
  scalp: 'by stand',
  season: 'by window',
  starter: 'starter',
  feedWhen: 'at sowing',
  feedAgain: 'second mowing',
  preventer: 'none',
  sowing: 'broadcast',
  mixing: 'apart',
  additive: 'none',
  cover: 'always',
  coverMaterial: 'compost',
  dressing: 'by depth',
  soil: 'by texture',
  firming: 'firm',
  loam: 'bring',
  coreHoles: 'trade spacing',
  warmSowing: 'dethatch and cover',
  winterGrass: 'annual',
  hybridBermuda: 'sprigs or sod',
  relaying: 'own turf',
  wetBy: 'computed',
  wateringHours: 'until late afternoon',
  stepDown: 'gradual',
  wateringRounds: 'none',
  firstCut: 'by thirds',
}

/** A firm's practices, with what it has not said yet filled by the usual. */
export const allPractices = (kept: Partial<Practices>): Practices => ({ ...DEFAULT_PRACTICES, ...kept })
