import type { CoverMaterial } from './plan'

/**
 * What practitioners hold different opinions on, as far as it changes an overseeding planned here. The firm chooses; a
 * plan begins with its choice.
 * @source practice §2, common practice, no source
 */
export interface Schools {
  rate: 'label' | 'heavy'
  scalp: 'by stand' | 'lowest notch' | 'shortest safe'
  cover: 'always' | 'none'
  coverMaterial: CoverMaterial
  starter: 'starter' | 'balanced'
}

export interface Choice<T extends string = string> {
  code: T
  name: string
  /** What it changes in sequence, cost or risk. */
  changes: string
}

type Questions = { [Q in keyof Schools]: { asks: string; choices: readonly Choice<Schools[Q]>[] } }

export const SCHOOLS: Questions = {
  rate: {
    asks: 'Seed rate',
    choices: [
      { code: 'label', name: 'Label rate', changes: 'Enough live seed; more only competes and costs.' },
      { code: 'heavy', name: 'Half again', changes: 'Crowds weeds out where the old sward is kept alive; half again the seed and its price.' },
    ],
  },
  scalp: {
    asks: 'How low before sowing',
    choices: [
      { code: 'by stand', name: 'By the stand', changes: 'Lowest notch, but the shortest safe height where more than 70% is kept.' },
      { code: 'lowest notch', name: 'Lowest notch', changes: 'More light and soil for the seed, more clippings; the old grass is set back hard.' },
      { code: 'shortest safe', name: 'Shortest safe height', changes: 'The old sward stays in use; seed lies in more shade.' },
    ],
  },
  cover: {
    asks: 'Cover over the seed',
    choices: [
      { code: 'always', name: 'Always', changes: 'Holds water and hides seed; material to buy, carry and spread.' },
      { code: 'none', name: 'None', changes: 'No material; three to seven waterings a day and a slower, thinner start.' },
    ],
  },
  coverMaterial: {
    asks: 'Cover with',
    choices: [
      { code: 'compost', name: 'Compost', changes: 'Peat-free, dark when moist; weighs more than peat.' },
      { code: 'peat', name: 'Peat', changes: 'Light to carry, pales clearly when dry; not renewable.' },
      { code: 'screened topsoil', name: 'Screened topsoil', changes: 'Heaviest; evens small bumps as well.' },
    ],
  },
  starter: {
    asks: 'Feed at sowing',
    choices: [
      { code: 'starter', name: 'Starter, 18-24-12', changes: 'High in phosphorus: only where the soil test is short of it and local law allows.' },
      { code: 'balanced', name: 'Balanced, 10-10-10', changes: 'Less phosphorus for the same nitrogen; nearly twice the product to spread.' },
    ],
  },
}

export const DEFAULT_SCHOOLS: Schools = { rate: 'label', scalp: 'by stand', cover: 'always', coverMaterial: 'compost', starter: 'starter' }

/** Share of the label rate that the heavy school sows. @source practice §2: half again; common practice, no source */
export const HEAVY_RATE = 1.5

export const STARTER_ANALYSIS: Record<Schools['starter'], string> = { starter: '18-24-12', balanced: '10-10-10' }
