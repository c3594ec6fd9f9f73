import type { WaitCode } from '../planningFigures'
import type { Lag } from '../schedule/network'
import type { OperationCode } from './operations'

/** Days of a lag: ours and fixed, or a planning figure that a firm may put its own in the place of. */
type Days = number | WaitCode

/** A lag between operations as the catalogue has it. */
export interface CatalogueLag {
  from: OperationCode
  to: OperationCode
  least: Days
  most?: Days
  why: string
}

const lag = (
  from: OperationCode,
  to: OperationCode,
  least: Days,
  most: Days | undefined,
  why: string,
): CatalogueLag => ({ from, to, least, why, ...(most === undefined ? {} : { most }) })

const MACHINES = ['core', 'fork', 'loosen', 'relay', 'dethatch'] as const
/** Told on the day of sowing. */
const SAME_DAY = ['rake', 'firm', 'cover', 'water'] as const

/**
 * Lags of all programmes; those of operations that a plan has not fall away.
 * @source reference §12, own unless said there; first mow and first green come from the computed season
 */
export const LAGS: readonly CatalogueLag[] = [
  lag('order', 'sow', 'seedLead', undefined, 'seed takes that long to come'),
  lag('order', 'delivery', 'soilLead', undefined, 'soil takes that long to come'),
  lag('order', 'scalp', 'hireLead', undefined, 'machines are hired ahead'),
  lag('soilTest', 'sow', 'testLead', undefined, 'the laboratory takes that long'),
  lag('soilTest', 'lift', 'testLead', undefined, 'the laboratory takes that long'),
  ...MACHINES.map((machine) =>
    lag(
      'locate',
      machine,
      'locateLead',
      14,
      'three working days for the locating service, local law first; marks fade after two weeks',
    ),
  ),
  lag('hardWeeds', 'sow', 28, undefined, 'the label keeps seed off that long'),
  lag('hardWeeds', 'kill1', 0, undefined, 'selective before the blanket spray'),
  lag('killAutumn', 'kill1', 90, 300, 'a winter lies between'),
  lag('kill1', 'kill2', 'killAgain', 35, 'what regrows has to be seen before it is killed'),
  lag('kill2', 'kill3', 10, 28, 'what regrows again has to be seen'),
  lag('kill3', 'scalp', 'labelWait', 21, 'the label interval, and brown all over'),
  lag('kill2', 'scalp', 'labelWait', 21, 'the label interval, and brown all over'),
  lag('relay', 'scalp', 0, undefined, 'turf is relaid before the mower comes'),
  lag('relay', 'lift', 0, undefined, 'the deep hollow is filled first'),
  lag('waterAhead', 'core', 1, 3, 'water has to sink in before the tines'),
  lag('waterAhead', 'dethatch', 1, undefined, 'water has to sink in before the blades'),
  lag('waterAhead', 'fork', 1, 3, 'water has to sink in before the fork'),
  lag('scalp', 'sow', 0, 'scalpOpen', 'scalped ground does not lie open longer'),
  lag('scalp', 'dethatch', 0, undefined, 'blades reach the thatch once the grass is down'),
  lag('scalp', 'clear', 0, undefined, 'clippings are raked out with the leaves'),
  lag('scalp', 'core', 0, undefined, 'cored once the grass is down'),
  lag('clear', 'sow', 0, 5, 'leaves fall again'),
  lag('scalp', 'lift', 0, 'scalpOpen', 'the turf is cut low before it is dressed'),
  lag('core', 'lift', 0, 'coreOpen', 'dressing falls into open holes'),
  lag('fork', 'lift', 0, 'coreOpen', 'dressing falls into open holes'),
  lag('dethatch', 'sow', 0, 'tornOpen', 'torn ground does not lie open longer'),
  lag('core', 'sow', 0, 'coreOpen', 'core holes close'),
  lag('fork', 'sow', 0, 'coreOpen', 'holes of the fork close'),
  lag('dethatch', 'level', 0, undefined, 'soil is brought on clean ground'),
  lag('core', 'level', 0, undefined, 'soil is dragged into the holes'),
  lag('fork', 'level', 0, undefined, 'soil is dragged into the holes'),
  lag('dethatch', 'delivery', 0, undefined, 'the ground is cleared before soil comes'),
  lag('delivery', 'level', 0, 5, 'a heap does not lie on a lawn for long'),
  lag('delivery', 'lift', 0, 5, 'a heap does not lie on a lawn for long'),
  lag('delivery', 'sow', 0, 10, 'a heap does not lie on a lawn for long'),
  lag('level', 'sow', 'levelRest', 10, 'firmed and dragged again a day later'),
  lag('loosen', 'sow', 0, 7, 'loose ground sets again'),
  ...SAME_DAY.map((to) => lag('sow', to, 0, 0, 'on the day of sowing')),
  lag('lift', 'water', 0, 0, 'watered in at once'),
  lag('sow', 'preventer', 0, 7, 'at sowing or within a week, by the label'),
  lag('sow', 'check', 'checkFirst', 'checkLast', 'seed is swollen by then and can still be saved'),
  lag('sow', 'uncover', 4, 'fleeceMost', 'fleece comes off before seedlings rot under it'),
  lag('green', 'uncover', 0, undefined, 'green has to show first'),
  lag('green', 'weak', 'weakFirst', 'weakLast', 'weak spots show two to four weeks after it is up'),
  lag('mow', 'weedControl', 21, undefined, 'three more mowings, about a week apart'),
  lag('sow', 'feedAgain', 28, undefined, 'the first feed is used up'),
  lag('mow', 'feedAgain', 0, 62, 'it goes on grass that has been mown, while the first feed is just used up'),
  lag('sow', 'close', 42, undefined, 'six weeks at the least'),
  lag('mow', 'close', 14, undefined, 'mown as usual a few times'),
  lag('weedControl', 'close', 0, undefined, 'the last thing done is looked at'),
  lag('sow', 'nextSeason', 180, 400, 'it has to have stood a winter and a summer'),
  lag('lift', 'nip', 7, 14, 'leaf has to stand over the dressing'),
  lag('lift', 'recoveryFeed', 7, 28, 'growth has to begin'),
  lag('nip', 'regulator', 14, undefined, 'bare patches have to have closed'),
  lag('lift', 'close', 28, undefined, 'it has to have grown through'),
]

/** Coring against dethatching, by the school. */
export const coreLag = (order: 'after' | 'before'): CatalogueLag =>
  order === 'after'
    ? lag('dethatch', 'core', 0, undefined, 'coring comes after, so that the holes stay open')
    : lag('core', 'dethatch', 0, undefined, 'the firm cores first, while the machine is there')

/** Feeding, by the school: with the anchor, or after the first mow. */
export const feedLag = (when: 'at sowing' | 'after first mow', anchor: 'sow' | 'lift'): CatalogueLag =>
  when === 'at sowing' || anchor === 'lift'
    ? lag(anchor, 'feed', 0, 0, 'on the day of sowing')
    : lag('mow', 'feed', 0, 10, 'the firm feeds after the first mow')

/** Between one lift and the next. */
export const LIFT_LAG: Omit<CatalogueLag, 'from' | 'to'> = {
  least: 'liftGrow',
  why: 'turf has to grow through a lift before the next',
}

/** A lag with the firm's days in it. @param names of its ends in the network */
export const lagFor = (
  { from, to, least, most, why }: Omit<CatalogueLag, 'from' | 'to'> & { from: string; to: string },
  figures: Record<WaitCode, number>,
): Lag => {
  const days = (told: Days) => (typeof told === 'number' ? told : figures[told])
  return {
    from,
    to,
    leastDays: days(least),
    why,
    ...(most === undefined ? {} : { mostDays: Math.max(days(least), days(most)) }),
  }
}
