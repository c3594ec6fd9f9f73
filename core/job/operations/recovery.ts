import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { MOWER, SPRAY } from './cautions'
import { onTheDay, operation, SEEDED } from './definition'
import { LICENCE, sprayed } from './herbicide'

const clear = operation({
  code: 'clear',
  order: 120,
  name: 'Rake out leaves',
  done: 'raked out',
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  why: 'Seed that lies on leaves and clippings never touches soil.',
  check: 'Clean down to the crowns.',
  programmes: ['winter'],
  records: ['passes'],
  after: ['scalp'],
  lags: [{ from: 'clear', to: 'sow', least: 0, most: 5, why: 'leaves fall again' }],
  wantsDry: true,
  brief: ({ survey }) => ({
    settings: ['Leaves and clippings off, by rake or with the mower’s bag.'],
    gates: [],
    hours: crewHours('Rake out leaves', survey.areaM2, [
      { what: 'Clearing by mower', passes: 1, rateM2PerH: RATES.scalp },
    ]),
  }),
})

/** Days after sowing on which leaves first lie thick enough to come off. @source own: late October after September */
const LEAVES_DAYS = 35
const removeLeaves = operation({
  code: 'removeLeaves',
  order: 305,
  name: 'Remove leaves from seedlings',
  done: 'leaves off',
  mark: 'visit',
  phase: 'after',
  preferredDay: LEAVES_DAYS,
  weight: 0.1,
  why:
    'Seedlings under a mat of wet leaves go yellow in days and rot. Off while they are dry, each week until ' +
    'the trees are bare.',
  check: 'No leaf lies on leaf; nothing pulled up.',
  caution: 'Eyes and ears with a blower; clear stones and people.',
  programmes: SEEDED,
  addable: true,
  wanted: (_, { extent }) => extent.leavesFall,
  after: ['green'],
  lags: [
    { from: 'sow', to: 'removeLeaves', least: 10, most: 75, why: 'leaves do not lie on seedlings for longer' },
    { from: 'removeLeaves', to: 'close', least: 0, why: 'the last thing done is looked at' },
  ],
  wantsDry: true,
  brief: ({ survey }) => ({
    settings: [
      'Blower at low power from the side, or a spring rake held flat over ',
      figure('areaM2', survey.areaM2),
      '; once it has been mown, the mower with its bag. Again each week until the trees are bare.',
    ],
    gates: [onTheDay('leaves dry; seedlings hold against a tug')],
    hours: crewHours('Remove leaves', survey.areaM2, [{ what: 'Blowing', passes: 1, rateM2PerH: RATES.inspect }]),
  }),
})

const regulator = operation({
  code: 'regulator',
  order: 330,
  name: 'Growth regulator',
  done: 'put down',
  mark: 'spray',
  phase: 'after',
  preferredDay: 28,
  weight: 0.1,
  why: 'Only when no bare patch larger than a hand is left: it holds runners back too.',
  caution: SPRAY,
  programmes: [],
  addable: true,
  after: ['nip'],
  day: ({ dressingDays }) => dressingDays + 28,
  putsDown: 'spray',
  wantsGrowth: true,
  brief: (part) => ({
    settings: ['Over ', figure('areaM2', part.survey.areaM2), '. Rate by the label.'],
    gates: [onTheDay('no bare patch larger than a hand'), LICENCE],
    hours: sprayed('Growth regulator', part),
  }),
})

/** Days from an autumn sowing to the spring in which warm-season turf greens up. @source own: October to May */
const GREEN_UP_DAYS = 210
const springGreenUp = operation({
  code: 'springGreenUp',
  order: 365,
  name: 'Spring green-up',
  done: 'mown low',
  mark: 'cut',
  phase: 'after',
  preferredDay: GREEN_UP_DAYS,
  weight: 0.05,
  why:
    'Ryegrass that goes on growing shades the warm-season turf and takes its water. It is checked as the soil' +
    ' warms, so that the turf below gets the light.',
  check: 'Warm-season turf shows green through, half and more.',
  caution: MOWER,
  programmes: ['winter'],
  records: ['heightMm'],
  lags: [
    { from: 'sow', to: 'springGreenUp', least: 120, most: 300, why: 'a winter lies between' },
    { from: 'mow', to: 'springGreenUp', least: 60, why: 'the winter sward has to have served' },
  ],
  wantsDry: true,
  wantsGrowth: 'warm',
  brief: ({ survey }) => ({
    settings: [
      'Lower the mower step by step, never more than a third at once, to the lowest height that the warm-season' +
        ' turf bears, bag on. No nitrogen for the ryegrass from now on, or a selective spray takes it out, by its' +
        ' label. Feed when the turf below is half green and more. Keep ',
      figure('areaM2', survey.areaM2),
      ' watered through the change.',
    ],
    gates: [onTheDay('where it is sprayed out: label for this turf, licence of who sprays')],
    hours: crewHours('Spring green-up', survey.areaM2, [{ what: 'Mowing low', passes: 2, rateM2PerH: RATES.scalp }]),
  }),
})

export const RECOVERY = [clear, removeLeaves, regulator, springGreenUp] as const
