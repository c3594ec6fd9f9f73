import type { Operation, OperationCode } from './operations'

const SPRAY = 'The label is the law; licence where required. Protective clothing, no drift, people and pets off until dry. Write the application down.'
const SERVICES = 'Have buried services located by the local service before tines or spade go in, several working days ahead. Hand-dig near marks.'
const SOIL = 'Dry sand is dusty (silica): mask, damp it down. Lift with two above 25 kg; watch steps and gates with the barrow.'
const MOWER = 'Boots, eyes and ears. Clear stones and people. Stop the engine and pull the plug lead before clearing the deck.'
const GRANULES = 'Sweep granules off paving; keep away from water. Local bans by date and nutrient come first.'

/** What has to be ready before somebody drives out. */
const BEFORE: Operation[] = [
  {
    code: 'hardWeeds', name: 'Treat hard weeds', done: 'treated', mark: 'spray', phase: 'before', preferredDay: -35, weight: 0.2, check: 'Weeds gone, or twisted and yellow.',
    why: 'Broad-leaved weeds that outlive a renovation are taken out with a selective product while the grass stands.', caution: SPRAY,
  },
  { code: 'soilTest', name: 'Soil test', done: 'sampled', mark: 'visit', phase: 'before', preferredDay: -21, weight: 0.1, why: 'Phosphorus and potassium go on only if the test asks; bare ground loses them most easily. Cores from many spots.', check: 'Results in.' },
  { code: 'order', name: 'Order and hire', done: 'ordered', mark: 'call', phase: 'before', preferredDay: -14, weight: 0.1, why: 'Seed, soil and machines by their lead times. One hire serves several lawns in a day.', check: 'Everything confirmed, with a day.' },
  { code: 'locate', name: 'Locate services', done: 'located', mark: 'call', phase: 'before', preferredDay: -8, weight: 0.2, why: 'Cables, pipes, drains and pet fences are marked before any machine goes in; marks last two weeks.', check: 'Flags in, sprinkler heads and valve boxes too.', caution: SERVICES },
]

const KILLS: Operation[] = [
  { code: 'killAutumn', name: 'Kill, autumn before', done: 'sprayed in autumn', mark: 'spray', phase: 'work', preferredDay: -240, weight: 0.02, why: 'Ground cleared for bermuda is killed the autumn before and again in spring: what winters comes up with the seed.', check: 'All brown before winter.', caution: SPRAY },
  { code: 'kill1', name: 'Kill, first', done: 'sprayed', mark: 'spray', phase: 'work', preferredDay: -27, weight: 0.3, why: 'Ends weed grasses that survive everything else. It has to be growing, the leaf dry, little wind, no rain due.', check: 'All brown; coarse grasses take up to 10 days longer.', caution: SPRAY },
  { code: 'kill2', name: 'Kill, again', done: 'sprayed again', mark: 'spray', phase: 'work', preferredDay: -12, weight: 0.3, why: 'What greens up again after two weeks is what would have come through.', check: 'Brown all over, nothing greens up.', caution: SPRAY },
  { code: 'kill3', name: 'Kill, third', done: 'sprayed a third time', mark: 'spray', phase: 'work', preferredDay: -11, weight: 0.3, why: 'Regrowth after the second: roots of coarse grasses that had not all leafed out.', check: 'Brown all over, nothing greens up.', caution: SPRAY },
]

const GROUND: Operation[] = [
  { code: 'relay', name: 'Lift turf, fill, relay', done: 'relaid', mark: 'machine', phase: 'work', preferredDay: -6, weight: 0.3, why: 'A deep narrow hollow takes more soil than grass grows through: the turf comes off, goes back on top.', check: 'Straight-edge across; turf lies tight, edges closed.', caution: SERVICES },
  { code: 'waterAhead', name: 'Water ahead', done: 'watered ahead', mark: 'visit', phase: 'work', preferredDay: -2, weight: 0.5, why: 'Tines bounce off dry ground. Deep, a day or more before, and again on the morning.', check: 'A plug comes out whole.', caution: 'Local watering restrictions come first. Keep hoses off the path.' },
  { code: 'scalp', name: 'Scalp', done: 'scalped', mark: 'cut', phase: 'work', preferredDay: -3, weight: 1, why: 'Lets light and seed down to the soil, and holds the old grass back while seedlings start.', check: 'Soil shows; no mat of clippings left.', caution: MOWER },
  { code: 'delivery', name: 'Take delivery', done: 'delivered', mark: 'visit', phase: 'work', preferredDay: -2, weight: 0.5, why: 'Look before it is tipped: stones, weeds, wet. Scoops vary; note the real volume. A fixed date that pushes everything before it.', check: 'What came is dry, screened and enough.', caution: 'Keep people off where the truck backs and tips. Sheet a heap that waits.' },
  { code: 'clear', name: 'Rake out leaves', done: 'raked out', mark: 'machine', phase: 'work', preferredDay: -1, weight: 1, why: 'Seed that lies on leaves and clippings never touches soil.', check: 'Clean down to the crowns.' },
  { code: 'dethatch', name: 'Dethatch', done: 'dethatched', mark: 'machine', phase: 'work', preferredDay: -2, weight: 1, alsoCalled: 'scarify', why: 'Seed has to touch soil. Blades only just bring up soil.', check: 'Brown of soil shows all over.', caution: 'Flag sprinkler heads and valve boxes. Isolate the machine before clearing blades. Dust: mask when it is dry.' },
  { code: 'core', name: 'Core aerate', done: 'cored', mark: 'machine', phase: 'work', preferredDay: -1, weight: 1, alsoCalled: 'hollow-tine', why: 'Opens hard ground to roots and water, and lays soil on the surface for the seed.', check: 'Holes counted in a square foot.', caution: SERVICES },
  { code: 'fork', name: 'Fork', done: 'forked', mark: 'machine', phase: 'work', preferredDay: -1, weight: 1, why: 'A small hard place is not worth the corer: a garden fork, levered a little.', check: 'Water runs in.', caution: SERVICES },
  { code: 'loosen', name: 'Loosen bare ground', done: 'loosened', mark: 'machine', phase: 'work', preferredDay: -1, weight: 1, why: 'Bare ground has set. Roots want 2 to 6 in (50 to 150 mm) of it loose, stones out.', check: 'A hand goes in; stones and roots are out.', caution: SERVICES },
  { code: 'level', name: 'Level', done: 'levelled', mark: 'machine', phase: 'work', preferredDay: -1, weight: 1, why: 'Bumps left at sowing stay for good.', check: 'Straight-edge; footprints do not sink, before seed goes down.', caution: SOIL },
  { code: 'lift', name: 'Dress', done: 'dressed', mark: 'machine', phase: 'work', preferredDay: 0, weight: 1, alsoCalled: 'topdress', why: 'Growing turf knits through a thin dressing. Leaf tips must show through.', check: 'Leaf tips show through all over.', caution: SOIL },
]

const BED: Operation[] = [
  { code: 'sow', name: 'Sow', done: 'sown', mark: 'sow', phase: 'work', preferredDay: 0, weight: 1, why: 'Half the seed one way, half at right angles: gaps of one pass are covered by the other.', check: 'Even; none on paving.', caution: 'Treated (coloured) seed: gloves, not for feed, keep animals off.' },
  { code: 'rake', name: 'Rake in', done: 'raked in', mark: 'cut', phase: 'work', preferredDay: 0, weight: 1, why: 'Seed has to touch soil, and no deeper than it can grow through.', check: 'Some seed still shows.' },
  { code: 'firm', name: 'Firm', done: 'firmed', mark: 'machine', phase: 'work', preferredDay: 0, weight: 1, why: 'A heel must not sink more than half an inch: loose ground dries and settles.', check: 'Footprint test.' },
  { code: 'feed', name: 'Feed', done: 'fed', mark: 'machine', phase: 'work', preferredDay: 0, weight: 1, why: 'Nitrogen is nearly always short in a new seedbed. Phosphorus only where a soil test asks for it and local law allows.', check: 'What is left in the hopper agrees.', caution: GRANULES },
  { code: 'preventer', name: 'Weed preventer', done: 'put down', mark: 'spray', phase: 'work', preferredDay: 0, weight: 0.3, why: 'Of the seedling-safe kind only: it stops weed seed and spares the grass named on its label.', caution: SPRAY },
  { code: 'cover', name: 'Cover', done: 'covered', mark: 'machine', phase: 'work', preferredDay: 0, weight: 1, why: 'Holds water round the seed, hides it from birds, and pales when it is dry.', check: 'Soil still shows a little.', caution: 'Peat and compost dust: mask and gloves, damp it down, wash hands. Bags over 25 kg want two people.' },
  { code: 'water', name: 'Water in', done: 'watered in', mark: 'visit', phase: 'work', preferredDay: 0, weight: 1, why: 'Within the hour, fine and from above: swollen seed that dries once is dead.', check: 'Damp to an inch, no puddles.', caution: 'Local watering restrictions come first. Keep hoses off the path.' },
]

/** Visits of practice §7, and what turf without seed wants after a dressing. */
const AFTER: Operation[] = [
  { code: 'check', name: 'First check', done: 'checked', mark: 'visit', phase: 'after', preferredDay: 3, weight: 1, why: 'At the driest hour: is the top centimetre dark and moist? Washed seed, birds?', check: 'Dark and moist, seed where it was.' },
  { code: 'nip', name: 'Nip the top', done: 'nipped', mark: 'cut', phase: 'after', preferredDay: 9, weight: 0.5, why: 'A light cut with a rotary mower pushes growth sideways; then twice a week and more. The cylinder mower waits until the sand has gone.', check: 'Leaf stands over the sand.', caution: MOWER },
  { code: 'green', name: 'First green', done: 'counted', mark: 'visit', phase: 'after', preferredDay: 12, weight: 0.3, why: 'Seedlings counted in small squares, sun and shade apart. Shade lags; more seed now is never the answer.', check: 'Counts near what was to be expected.' },
  { code: 'uncover', name: 'Cover off', done: 'uncovered', mark: 'visit', phase: 'after', preferredDay: 12, weight: 0.5, why: 'Green shows through the fleece; under it seedlings grow weak and rot.', check: 'Soil still visible: a full carpet now means too much seed.' },
  { code: 'recoveryFeed', name: 'Recovery feed', done: 'fed', mark: 'machine', phase: 'after', preferredDay: 14, weight: 0.1, why: 'Light and often while turf grows through: every two weeks, then monthly. Foliar feed stays on the leaf a day before it is watered in.', caution: GRANULES },
  { code: 'mow', name: 'First mow', done: 'first mown', mark: 'cut', phase: 'after', preferredDay: 28, weight: 1, why: 'On dry grass with a sharp blade and a light machine; never more than a third, no turning on the spot.', check: 'Cut clean, nothing pulled.', caution: 'Boots, eyes and ears. Clear stones that came up with the tines.' },
  { code: 'regulator', name: 'Growth regulator', done: 'put down', mark: 'spray', phase: 'after', preferredDay: 28, weight: 0.1, why: 'Only when no bare patch larger than a hand is left: it holds runners back too.', caution: SPRAY },
  { code: 'weak', name: 'Weak spots', done: 'reseeded', mark: 'visit', phase: 'after', preferredDay: 35, weight: 0.1, why: 'Two to four weeks after it is up the weak spots show clearly. Those only are seeded again; short mowing intervals thicken the rest.', check: 'No gap larger than a hand.' },
  { code: 'weedControl', name: 'Weed control', done: 'treated', mark: 'spray', phase: 'after', preferredDay: 55, weight: 0.1, why: 'After the fourth mowing, or as the label says. Before that coarse grasses are dug out or wiped leaf by leaf.', caution: SPRAY },
  { code: 'feedAgain', name: 'Feed again', done: 'fed again', mark: 'machine', phase: 'after', preferredDay: 56, weight: 0.1, why: 'When the first feed is used up: about eight weeks, by its release up to ninety days. Never for more ground than was measured.', caution: GRANULES },
  { code: 'close', name: 'Close the job', done: 'closed', mark: 'visit', phase: 'after', preferredDay: 63, weight: 0.1, why: 'Weeks six to ten: mown as usual, no gaps. What stands is noted for next year.', check: 'A sward that wears.' },
  { code: 'nextSeason', name: 'Next season’s count', done: 'counted', mark: 'visit', phase: 'after', preferredDay: 330, weight: 0.01, why: 'What stood the year and what thinned out decides the next overseeding.' },
]

const ALL = new Map([...BEFORE, ...KILLS, ...GROUND, ...BED, ...AFTER].map((operation) => [operation.code, operation]))
/** @throws RangeError for a code that is not in the catalogue */
export function operationByCode(code: OperationCode): Operation {
  const operation = ALL.get(code)
  if (!operation) throw new RangeError(`No operation ${code}.`)
  return operation
}

/** What a technician may add to any plan. */
export const ADDABLE = ['hardWeeds', 'soilTest', 'kill3', 'waterAhead', 'fork', 'preventer', 'green', 'weak', 'regulator', 'weedControl', 'feedAgain', 'close', 'nextSeason'] as const satisfies readonly OperationCode[]
