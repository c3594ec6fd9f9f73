import type { Gate } from '../../explain/judgement'
import type { Phrase } from '../../explain/phrase'
import { firstCutMm, firstMowHeightMm } from '../../establishment/growth'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { Part } from '../parts'
import { MOWER } from './cautions'
import { onTheDay, operation, RENOVATIONS, SEEDED, type Brief } from './definition'
import { clippings, scalpSpanDays, scalpSteps } from './scalping'

function scalped({ survey, settings }: Part): Brief {
  const { heightsMm, severe } = scalpSteps(survey.mowingHeightMm, settings.scalpToMm)
  const steps = heightsMm.flatMap((mm): Phrase => [' to ', figure('depthMm', mm)])
  const gates: Gate[] = [onTheDay('grass dry at each cut, blade sharp')]
  if (severe) gates.unshift({ state: 'risk', text: ['more than a third comes off each time; add a cut if it rips'] })
  const already = survey.mowingHeightMm <= settings.scalpToMm
  return {
    settings: already
      ? [
          'One cut at ',
          figure('depthMm', survey.mowingHeightMm),
          ', as it is kept, bag on: it is no higher than the scalp goes.',
        ]
      : [
          figure('count', heightsMm.length),
          heightsMm.length > 1 ? ' cuts lowering ' : ' cut, ',
          figure('depthMm', survey.mowingHeightMm),
          ...steps,
          ', bag on. Haul off ',
          clippings(survey.areaM2, survey.mowingHeightMm, settings.scalpToMm),
          ' of clippings.',
        ],
    gates,
    hours: crewHours('Scalp', survey.areaM2, [{ what: 'Cuts', passes: heightsMm.length, rateM2PerH: RATES.scalp }]),
  }
}

/** Cuts need two days between them; said when those left before the last of them are too few. */
function squeezed(parts: readonly Part[], left: number): string {
  const cuts = Math.max(
    ...parts.map(({ survey, settings }) => scalpSteps(survey.mowingHeightMm, settings.scalpToMm).heightsMm.length),
  )
  const days = left === 0 ? 'none is' : left === 1 ? '1 is' : `${left} are`
  const asked = `${cuts} cuts two days apart take ${scalpSpanDays(parts)} days`
  return `${asked}; ${days} left before the last. Take a later day, or cut closer together on dry grass.`
}

const scalp = operation({
  code: 'scalp',
  order: 110,
  name: 'Scalp',
  done: 'scalped',
  mark: 'cut',
  phase: 'work',
  preferredDay: -3,
  weight: 1,
  why: 'Lets light and seed down to the soil, and holds the old grass back while seedlings start.',
  check: 'Soil shows; no mat of clippings left.',
  caution: MOWER,
  programmes: [...RENOVATIONS, 'level', 'winter'],
  records: ['heightMm'],
  setBy: 'scalpToMm',
  spread: { days: scalpSpanDays, squeezed },
  after: ['kill3', 'kill2', 'kill1'],
  lags: [
    { from: 'scalp', to: 'sow', least: 0, most: 'scalpOpen', why: 'scalped ground does not lie open longer' },
    { from: 'scalp', to: 'dethatch', least: 0, why: 'blades reach the thatch once the grass is down' },
    { from: 'scalp', to: 'clear', least: 0, why: 'clippings are raked out with the leaves' },
    { from: 'scalp', to: 'core', least: 0, why: 'cored once the grass is down' },
    { from: 'scalp', to: 'lift', least: 0, most: 'scalpOpen', why: 'the turf is cut low before it is dressed' },
  ],
  wantsDry: true,
  scorches: true,
  closesLawn: true,
  brief: scalped,
})

const nip = operation({
  code: 'nip',
  order: 280,
  name: 'First light mowing',
  done: 'mown lightly',
  mark: 'cut',
  phase: 'after',
  preferredDay: 9,
  weight: 0.5,
  why:
    'A light cut with a rotary mower pushes growth sideways; then twice a week and more. The cylinder mower ' +
    'waits until the sand has gone.',
  check: 'Leaf stands over the sand.',
  caution: MOWER,
  programmes: ['level'],
  records: ['heightMm'],
  after: ['lift'],
  day: ({ dressingDays }) => dressingDays + 9,
  lags: [
    { from: 'lift', to: 'nip', least: 7, most: 14, why: 'leaf has to stand over the dressing' },
    { from: 'nip', to: 'regulator', least: 14, why: 'bare patches have to have closed' },
  ],
  wantsDry: true,
  wantsGrowth: true,
  brief: ({ survey }) => ({
    settings: [
      'Rotary mower at ',
      figure('depthMm', survey.mowingHeightMm),
      ' and a little over, tips only; then twice a week.',
    ],
    gates: [onTheDay('leaf over the sand, surface dry')],
    hours: crewHours('First light mowing', survey.areaM2, [{ what: 'Mowing', passes: 1, rateM2PerH: RATES.scalp }]),
  }),
})

const mow = operation({
  code: 'mow',
  order: 320,
  name: 'First mow',
  done: 'first mown',
  mark: 'cut',
  phase: 'after',
  preferredDay: 28,
  weight: 1,
  why: 'On dry grass with a sharp blade and a light machine; never more than a third, no turning on the spot.',
  check: 'Cut clean, nothing pulled.',
  caution: 'Boots, eyes and ears. Clear stones that came up with the tines.',
  programmes: [...SEEDED, 'winter'],
  records: ['heightMm'],
  ledgeLabel: 'First mow',
  day: ({ mow: middle }) => middle,
  after: ['green', 'sow'],
  lags: [
    {
      from: 'sow',
      to: 'mow',
      least: ({ firstMow }) => firstMow?.early ?? 14,
      most: ({ firstMow }) => firstMow?.late,
      why: 'the grass has to reach mowing height',
    },
    { from: 'mow', to: 'close', least: 14, why: 'mown as usual a few times' },
  ],
  wantsDry: true,
  opensLawn: true,
  brief: ({ survey, grass }) => {
    const keptMm = Math.min(Math.max(survey.mowingHeightMm, grass.mowingMm[0]), grass.mowingMm[1])
    const standingMm = firstMowHeightMm(keptMm)
    return {
      settings: [
        'At ',
        figure('depthMm', standingMm),
        ', down to ',
        figure('depthMm', firstCutMm(standingMm, keptMm)),
        ', bag on, light machine, push and pull.',
      ],
      gates: [onTheDay('seedlings hold against a tug'), onTheDay('grass dry')],
      hours: crewHours('First mow', survey.areaM2, [{ what: 'Mowing', passes: 1, rateM2PerH: RATES.scalp }]),
    }
  },
})

export const MOWING = [scalp, nip, mow] as const
