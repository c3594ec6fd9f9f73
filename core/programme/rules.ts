import type { Quantity } from '../quantity/figure'
import type { SourceKind } from '../quantity/working'
import type { ProgrammeCode } from './programmes'
import type { LimitCode } from './planning'

/** What is known of a zone when it is judged. Null is "not looked at"; a condition on it does not hold. */
export interface Findings {
  desirable: number
  weeds: number
  coarse: number
  bare: number
  patchy: boolean | null
  thatch: number
  driver: number | null
  penetrometer: number | null
  deepest: number
  sun: number
  /** What the grass wanted needs. */
  sunNeed: number
  slope: number | null
  ph: number | null
  kept: number
  timesADay: number | null
  irrigated: boolean
  warmSward: boolean
  spreads: boolean
  bermuda: boolean
  warmWanted: boolean
  goal: string | null
  killSchool: string
  wear: string | null
  drainage: string | null
  /** A stop on sowing that is not of this zone: the last fifth of the year ahead. */
  winterOpen: boolean
}
export type Measure = keyof Findings

/** A measure against a limit of the planning figures, or against a plain value. */
export type Condition = readonly [Measure, '<' | '<=' | '>' | '>=', LimitCode | number] | readonly [Measure, 'is' | 'not', string | boolean]

/**
 * Data, one rule a line. `needs` refuses its programmes unless it holds; `refuses` refuses them where it holds; the first
 * `leans` that holds, in this order, of a programme that is not refused is where the rules lean. `risk` and `adds` say
 * something at a programme; `waits` keeps all seed off until the cause is dealt with.
 */
export interface Rule {
  effect: 'needs' | 'refuses' | 'leans' | 'risk' | 'adds' | 'waits'
  of: readonly ProgrammeCode[] | 'all' | 'seeded'
  /** All of these. */
  when: readonly Condition[]
  /** And one of these, where there are any. */
  any?: readonly Condition[]
  /** What is said: {measure} and {limit} become figures. */
  says: string
  kind: SourceKind
  from: string
}

export const MEASURE_QUANTITY: Partial<Record<Measure, Quantity>> = {
  desirable: 'share', weeds: 'share', coarse: 'share', bare: 'share', thatch: 'depthMm', driver: 'depthMm', penetrometer: 'kPa', deepest: 'depthMm', sun: 'hours', sunNeed: 'hours',
  slope: 'share', ph: 'ph', kept: 'depthMm', timesADay: 'count',
}

const rule = (effect: Rule['effect'], of: Rule['of'], when: readonly Condition[], says: string, kind: SourceKind, from: string, any?: readonly Condition[]): Rule =>
  ({ effect, of, when, says, kind, from, ...(any ? { any } : {}) })

const COOL: readonly ProgrammeCode[] = ['spot', 'overseed', 'hard', 'kill', 'strip']

/** @source reference §10; practice §2 */
export const RULES: readonly Rule[] = [
  // What a programme cannot do without.
  rule('needs', ['winter', 'level', 'warm'], [['warmSward', 'is', true]], 'needs a warm-season lawn', 'trade', 'warm-season programmes'),
  rule('needs', ['warm'], [['bermuda', 'is', true]], 'only bermuda thickens from seed among warm-season turf', 'trade', 'bermuda also from seed'),
  rule('needs', ['level'], [['spreads', 'is', true]], 'this turf does not knit over a dressing', 'trade', 'no seed needed if it spreads'),
  rule('needs', ['level'], [], 'nothing to level: the deepest hollow is {deepest}', 'own', 'levels or thickness wanted', [['deepest', '>', 0], ['goal', 'is', 'levels']]),
  rule('needs', ['winter'], [['goal', 'is', 'winter']], 'green in winter is not asked for', 'trade', 'wants green in winter'),
  rule('needs', ['winter'], [['winterOpen', 'is', true]], 'the turf is not going dormant within the months ahead', 'mem', 'soil falling below 72 °F (22 °C)'),
  rule('needs', ['spot'], [['desirable', '>=', 'spotFrom']], 'thin over more than patches: {desirable} is grass worth keeping, {spotFrom} wanted', 'own', 'bare under 10% in patches'),
  rule('needs', ['spot'], [['weeds', '<=', 'spotWeeds'], ['coarse', '<=', 'spotWeeds']], '{weeds} of weeds among the grass; patches alone do not mend that', 'own', 'the rest dense'),
  rule('needs', ['spot'], [['patchy', 'not', false]], 'thin all over, not in patches', 'own', 'bare in patches'),
  rule('needs', ['overseed'], [['desirable', '>=', 'hardFrom']], 'only {desirable} is grass worth keeping', 'mem', 'under 30% the old sward is given up'),
  rule('needs', ['strip'], [], 'the soil is sound and thatch is {thatch}', 'own', 'thatch over 25 mm, new soil or levels wanted', [['thatch', '>', 'thatchDeep'], ['ph', '<', 'phLow'], ['ph', '>', 'phHigh'], ['deepest', '>', 'hollowRelay'], ['drainage', 'is', 'standing']]),
  rule('refuses', ['overseed', 'hard', 'spot'], [['coarse', '>', 'coarseKill']], '{coarse} coarse weed grasses survive everything but killing', 'own', 'over 30% kill all'),
  rule('refuses', ['overseed', 'hard', 'kill', 'strip'], [['warmSward', 'is', true], ['goal', 'not', 'species'], ['warmWanted', 'is', true]], 'warm-season turf in growth closes by itself', 'trade', 'level in growth instead'),
  rule('refuses', ['kill'], [['killSchool', 'is', 'never'], ['coarse', '<=', 'coarseKill']], 'the firm does not kill for this', 'user', 'school: kill first'),
  rule('refuses', 'seeded', [['sun', '<', 'sunLeast']], 'below {sunLeast} of sun no turf lasts, and this gets {sun}', 'mem', 'below 3 h'),

  // Where the rules lean: the first that holds.
  rule('leans', ['winter'], [['goal', 'is', 'winter']], 'Green in winter is wanted of turf that goes dormant.', 'trade', 'winter colour'),
  rule('leans', ['level'], [['goal', 'is', 'levels']], 'Levels are wanted, and this turf grows through a dressing.', 'trade', 'level in growth'),
  rule('leans', ['level'], [['deepest', '>', 'lift']], 'A hollow of {deepest} mends in lifts while the turf grows.', 'trade', 'level in growth'),
  rule('leans', ['warm'], [['desirable', '<', 'spotFrom']], 'Live bermuda takes bermuda seed in early summer.', 'trade', 'warm-season overseed'),
  rule('leans', ['kill'], [['coarse', '>', 'coarseKill']], '{coarse} is coarse perennial weed grass, and nothing but killing ends it.', 'own', 'over 30% kill all'),
  rule('leans', ['strip'], [['thatch', '>', 'thatchDeep'], ['desirable', '<', 'overseedFrom']], '{thatch} of thatch under {desirable} of grass: little is worth saving.', 'own', 'thatch over 25 mm: strip'),
  rule('leans', ['kill'], [['killSchool', 'is', 'always']], 'The firm kills for a clean slate.', 'user', 'school: kill first'),
  rule('leans', ['kill'], [['killSchool', 'not', 'never'], ['goal', 'is', 'species']], 'Another species is wanted: the old one would come through.', 'trade', 'species change'),
  rule('leans', ['kill'], [['killSchool', 'not', 'never'], ['deepest', '>', 'hollowRelay']], 'Hollows of {deepest} want levelling from bare ground.', 'own', 'deeper than 75 mm'),
  rule('leans', ['hard'], [['desirable', '<', 'hardFrom']], 'Only {desirable} is grass worth keeping; torn hard and sown heavily, the new stand outgrows the weeds.', 'mem', 'below 30%, hard by the firm’s school'),
  rule('leans', ['hard'], [['desirable', '<', 'overseedFrom']], '{desirable} is grass worth keeping, {overseedFrom} would be enough to overseed.', 'mem', 'desirable 30 to 50%'),
  rule('leans', ['spot'], [], '{desirable} is dense grass; {bare} bare is mended by itself.', 'own', 'bare under 10% in patches'),
  rule('leans', ['overseed'], [['desirable', '>=', 'overseedFrom']], '{desirable} is grass worth keeping, {overseedFrom} is enough to overseed.', 'mem', 'desirable grass from 50%'),

  // What keeps seed off until it is dealt with.
  rule('waits', 'seeded', [['sun', '<', 'sunLeast']], 'Shade: {sun} of sun, {sunLeast} at the least. Open the shade first, or plant something else.', 'mem', 'below 3 h no turf lasts'),
  rule('waits', 'seeded', [['drainage', 'is', 'standing']], 'Water stands here. Drain it first: what comes up rots.', 'own', 'cause not removed'),
  rule('waits', 'seeded', [['wear', 'is', 'heavy'], ['goal', 'not', 'patches']], 'Walked bare. Lay a path or keep feet off first, or it wears through again.', 'own', 'cause not removed'),
  rule('waits', 'seeded', [['irrigated', 'is', false], ['timesADay', '<', 'waterings']], 'The client can water {timesADay} times a day, {waterings} wanted. Wait for the wetter season, or find somebody.', 'own', 'cannot water twice a day'),

  // What is said beside a programme.
  rule('risk', ['overseed', 'hard', 'spot', 'strip'], [['coarse', '>', 'coarseSpot']], '{coarse} coarse weed grass: kill it in spots before anything, or it comes through.', 'own', 'over 10%'),
  rule('risk', ['overseed'], [['desirable', '<', 'overseedFrom']], 'Thin: expect a second season of it.', 'mem', 'below 50%'),
  rule('risk', ['overseed', 'hard'], [['thatch', '>', 'thatchDeep']], '{thatch} of thatch is more than one season takes out. Again next year.', 'own', 'over 25 mm'),
  rule('risk', ['overseed', 'hard'], [['deepest', '>', 'hollowLevel']], 'Hollows of {deepest}: level first in lifts, or they stay for good.', 'own', 'deeper than 25 mm'),
  rule('risk', ['overseed', 'hard'], [['kept', '<', 'lowCut'], ['deepest', '>', 'lift']], 'To be kept at {kept}: levels are not fit for so low a cut.', 'trade', 'low cut wants levels'),
  rule('risk', ['kill'], [], 'Brown for five weeks; licence where required. The label is the law.', 'mem', 'non-selective herbicide'),
  rule('risk', ['kill', 'strip', 'hard'], [['slope', '>', 'slopeSlit']], 'The slope lies open on {slope}: half an inch of rain takes soil with it.', 'own', 'over 15%'),
  rule('risk', 'seeded', [['slope', '>', 'slopeSlit']], '{slope} of slope: slit-seed, netting or fleece.', 'own', 'over 15%'),
  rule('risk', 'all', [['slope', '>', 'slopeRefer']], '{slope} of slope: no ride-on or heavy machine; refer it.', 'own', 'over 33%'),
  rule('risk', 'seeded', [['ph', '<', 'phLow']], 'pH {ph}: lime first or together, in splits.', 'mem', 'below 5.5'),
  rule('risk', 'seeded', [['ph', '>', 'phHigh']], 'pH {ph}: bring it down first or together, in splits.', 'mem', 'above 7.8'),
  rule('risk', 'seeded', [['wear', 'is', 'some']], 'Walked on: keep feet off until the second mow.', 'own', 'wear'),
  rule('risk', 'seeded', [['drainage', 'is', 'slow']], 'Drains slowly: shorter waterings, more of them.', 'own', 'drainage'),
  rule('risk', ['hard'], [['desirable', '>=', 'overseedFrom']], 'Rough on the {desirable} that is worth keeping.', 'own', 'overseeding keeps it'),
  rule('adds', COOL, [['thatch', '>', 'thatch']], '{thatch} of thatch is over {thatch!}: dethatching is in the sequence.', 'trade', 'limit ½ in (12 mm)'),
  rule('adds', COOL, [['driver', '<', 'driver']], 'A screwdriver goes in {driver}, under {driver!}: it is cored.', 'mem', 'not in to 75 mm when moist'),
  rule('adds', COOL, [['penetrometer', '>', 'penetrometer']], '{penetrometer} is over {penetrometer!}: it is cored.', 'mem', 'about 2,000 kPa'),
]
