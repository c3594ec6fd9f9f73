import { say, type Message } from '../explain/message'
import type { PricedBy, Quantity } from '../measure/figure'
import type { Source } from '../explain/working'
import { EXPECT_FIGURES } from './decision/expectationFigures'

/** A figure that judgements and estimates lean on; a firm may put its own in its place. */
export interface PlanningFigure {
  group: 'Limits' | 'Waits' | 'Machines' | 'Prices' | 'Expected results'
  name: Message
  quantity: Quantity
  /** Money is for this much: an hour, a kilogram, a cubic metre, a square metre. */
  per?: PricedBy
  value: number
  least: number
  most: number
  source: Source
}

const mem = (text: Message): Source => ({ kind: 'mem', text })
const own = (text: Message): Source => ({ kind: 'own', text })
const trade = (text: Message): Source => ({ kind: 'trade', text })
type Limit = Omit<PlanningFigure, 'group'>
const share = (name: Message, value: number, source: Source): Limit => ({
  name,
  quantity: 'share',
  value,
  least: 0,
  most: 1,
  source,
})
const depth = (name: Message, value: number, source: Source): Limit => ({
  name,
  quantity: 'depthMm',
  value,
  least: 0,
  most: 300,
  source,
})
const plain = (name: Message, quantity: Quantity, value: number, most: number, source: Source): Limit => ({
  name,
  quantity,
  value,
  least: 0,
  most,
  source,
})
const price = (name: Message, per: PlanningFigure['per'], value: number): Limit => ({
  name,
  quantity: 'money',
  per,
  value,
  least: 0,
  most: 10_000_000,
  source: own(say('figures.priceToPlanWith')),
})

/** @source turf handbooks unless said */
const LIMITS = {
  overseedFrom: share(say('figures.desirableGrassThatIs'), 0.5, mem(say('figures.desirableGrassFrom50'))),
  hardFrom: share(say('figures.desirableGrassUnderWhich'), 0.3, mem(say('figures.under30KillOr'))),
  spotFrom: share(say('figures.desirableGrassThatLeaves'), 0.9, own(say('figures.bareOrDamagedUnder'))),
  bareFrom: share(say('figures.bareSoilFromWhich'), 0.8, own(say('figures.nothingToKeep'))),
  spotWeeds: share(say('figures.weedsOverWhichPatches'), 0.05, own(say('figures.theRestDense'))),
  weedsAll: share(say('figures.weedsAll'), 0.1, own(say('figures.weedsAllFrom'))),
  coarseSpot: share(say('figures.coarseWeedGrassesOver'), 0.1, own(say('figures.over10'))),
  coarseKill: share(say('figures.coarseWeedGrassesOverWhich'), 0.3, own(say('figures.over30'))),
  hollowLevel: depth(say('figures.hollowOverWhichLevels'), 25, own(say('figures.deeperThan25Mm'))),
  hollowRelay: depth(say('figures.hollowOverWhichTurf'), 75, own(say('figures.deeperThan75Mm'))),
  lift: depth(say('figures.dressingOverLivingGrass'), 12, trade(say('figures.in12MmAt'))),
  topsoilLeast: depth(say('figures.looseTopsoilUnderWhich'), 50, trade(say('figures.n50To150Mm'))),
  thatch: depth(say('figures.thatchOverWhichIt'), 12, trade(say('figures.limitIn12Mm'))),
  thatchDeep: depth(say('figures.thatchOverWhichOne'), 25, own(say('figures.over25Mm1'))),
  thatchSeason: depth(say('figures.thatchOfASeason'), 12, mem(say('figures.thatchOfASeasonFrom'))),
  driver: depth(say('figures.screwdriverDepthUnderWhich'), 75, mem(say('figures.notInTo3'))),
  penetrometer: plain(say('figures.penetrometerOverWhichRoots'), 'kPa', 2000, 10_000, mem(say('figures.about300Psi2'))),
  sunLeast: plain(say('figures.sunUnderWhichNo'), 'hours', 3, 24, mem(say('figures.below3H'))),
  phLow: plain(say('figures.phUnderWhichIt'), 'ph', 5.5, 14, mem(say('figures.below55'))),
  phHigh: plain(say('figures.phOverWhichIt'), 'ph', 7.8, 14, mem(say('figures.above78'))),
  waterings: plain(say('figures.wateringsADayThe'), 'count', 2, 12, own(say('figures.twiceADayOr'))),
  roundHours: {
    ...plain(say('figures.wateringVisit'), 'hours', 0.4, 8, own(say('figures.wateringVisitFrom'))),
    least: 0.05,
  },
  slopeSlit: share(say('figures.slopeOverWhichSeed'), 0.15, own(say('figures.over15SlitSeed'))),
  slopeRefer: share(say('figures.slopeOverWhichHeavy'), 0.33, own(say('figures.over33Refer'))),
  droughtRain: share(say('figures.rainOfFourWeeks'), 0.25, own(say('figures.underAQuarterOf'))),
  nSoluble: {
    ...plain(say('figures.solubleNitrogen'), 'rateGPerM2', 3.418, 4.887, mem(say('figures.solubleNitrogenFrom'))),
    least: 0.5,
  },
  nMost: {
    ...plain(say('figures.allNitrogen'), 'rateGPerM2', 4.394, 4.887, mem(say('figures.allNitrogenFrom'))),
    least: 0.5,
  },
  fieldCovered: {
    ...share(say('figures.fieldCovered'), 0.6, own(say('figures.liveSeedUpCovered'))),
    least: 0.05,
  },
  fieldSurface: {
    ...share(say('figures.fieldSurface'), 0.4, own(say('figures.liveSeedUp'))),
    least: 0.05,
  },
  fieldAmongGrass: {
    ...share(say('figures.fieldAmongGrass'), 0.3, own(say('figures.liveSeedUp'))),
    least: 0.05,
  },
  lowCut: depth(say('figures.keptHeightThatWants'), 25.4, trade(say('figures.coresOffBelow1'))),
} satisfies Record<string, Limit>

const days = (name: Message, value: number, source: Source): Limit => ({
  name,
  quantity: 'days',
  value,
  least: 0,
  most: 400,
  source,
})

/** @source own */
const WAITS = {
  locateLead: days(say('figures.locatingServicesBeforeA'), 5, mem(say('figures.n3WorkingDaysA'))),
  seedLead: days(say('figures.orderOfSeedBefore'), 7, own(say('figures.onSite'))),
  soilLead: days(say('figures.orderOfSoilBefore'), 4, own(say('figures.onSite'))),
  hireLead: days(say('figures.hireOfMachinesBefore'), 3, own(say('figures.onSite'))),
  testLead: days(say('figures.soilTestBeforeSowing'), 12, own(say('figures.laboratoryAndPost'))),
  killAgain: days(say('figures.firstSprayToThe'), 14, own(say('figures.regrowthHasToBe'))),
  labelWait: days(say('figures.lastSprayToThe'), 7, own(say('figures.labelInterval3To'))),
  coarseWait: days(say('figures.lastSprayToTheScalpCoarse'), 17, own(say('figures.coarseTakeTenDaysMore'))),
  scalpOpen: days(say('figures.scalpedGroundLiesOpen'), 7, own(say('figures.untilSeedOrDressing'))),
  tornOpen: days(say('figures.tornGroundLiesOpen'), 5, own(say('figures.untilSeed'))),
  coreOpen: days(say('figures.coreHolesStayOpen'), 7, own(say('figures.untilSeedOrDressing'))),
  levelRest: days(say('figures.levelledToSown'), 1, own(say('figures.firmedAndDraggedAgain'))),
  liftGrow: days(say('figures.oneLiftToThe'), 14, trade(say('figures.n10To14Days'))),
  checkFirst: days(say('figures.firstCheckFromSowing'), 2, own(say('figures.seedIsSwollen'))),
  checkLast: days(say('figures.firstCheckAtThe'), 5, own(say('figures.itCanStillBe'))),
  fleeceMost: days(say('figures.fleeceLiesAtThe'), 16, own(say('figures.n10To14DaysIs'))),
  weakFirst: days(say('figures.reseedThinSpotsDays'), 14, own(say('figures.n2To4Weeks'))),
  weakLast: days(say('figures.reseedThinSpotsAt'), 28, own(say('figures.n2To4Weeks'))),
} satisfies Record<string, Limit>

const wide = (name: Message, value: number): Limit => ({
  name,
  quantity: 'widthMm',
  value,
  least: 300,
  most: 5000,
  source: own(say('figures.widthOverWheels')),
})
const steps = (name: Message, value: number): Limit =>
  plain(name, 'count', value, 100, own(say('figures.twoPeopleCarry')))

/** Walk-behind machines; every one differs a little, and hired ones more. */
const MACHINES = {
  mowerNotch: {
    ...depth(say('figures.mowerLowestNotch'), 6, own(say('figures.usualOfReel'))),
    least: 3,
    most: 100,
  },
  mowerGate: wide(say('figures.mowerGate'), 660),
  mowerSteps: steps(say('figures.mowerSteps'), 20),
  dethatcherGate: wide(say('figures.dethatcherGate'), 760),
  dethatcherSteps: steps(say('figures.dethatcherSteps'), 8),
  corerGate: wide(say('figures.corerGate'), 910),
  corerSteps: steps(say('figures.corerSteps'), 3),
  slitSeederGate: wide(say('figures.slitSeederGate'), 910),
  slitSeederSteps: steps(say('figures.slitSeederSteps'), 3),
  corerAcross: { ...depth(say('figures.corerTinesApartAcross'), 100, own(say('figures.aWalkBehindCorer'))), least: 20 },
  corerAlong: { ...depth(say('figures.corerHolesApartAlong'), 130, own(say('figures.aWalkBehindCorer'))), least: 20 },
} satisfies Record<string, Limit>

/** How much of the ground a season turns over to another species. @source own */
const CONVERSION = {
  convertOverseed: share(say('figures.convertOverseed'), 0.2, own(say('figures.toBeReplacedByCounts'))),
  convertHard: share(say('figures.convertHard'), 0.45, own(say('figures.toBeReplacedByCounts'))),
  convertKill: share(say('figures.convertKill'), 0.92, own(say('figures.toBeReplacedByCounts'))),
} satisfies Record<string, Limit>

const PRICES = {
  crew: price(say('figures.crew'), 'hours', 5800),
  seed: price(say('figures.seedAsSold'), 'massKg', 900),
  feed: price(say('figures.feed'), 'massKg', 220),
  coverSoil: price(say('figures.coverMaterial'), 'volumeM3', 6000),
  loam: price(say('figures.screenedLoamOrSand'), 'volumeM3', 5500),
  herbicide: price(say('figures.nonSelectiveHerbicideEach'), 'areaM2', 6),
  additive: price(say('figures.additiveWhereWanted'), 'areaM2', 9),
  fleece: price(say('figures.fleece'), 'areaM2', 45),
  sod: price(say('figures.sod'), 'areaM2', 450),
  water: price(say('figures.water'), 'volumeM3', 300),
} satisfies Record<string, Limit>

const grouped = <C extends string>(
  group: PlanningFigure['group'],
  figures: Record<C, Limit>,
): Record<C, PlanningFigure> =>
  Object.fromEntries(Object.entries<Limit>(figures).map(([code, figure]) => [code, { group, ...figure }])) as Record<
    C,
    PlanningFigure
  >

/** Every figure by its code, in the order in which a firm reads them. */
export const PLANNING = {
  ...grouped('Limits', LIMITS),
  ...grouped('Waits', WAITS),
  ...grouped('Machines', MACHINES),
  ...grouped('Prices', PRICES),
  ...grouped('Expected results', CONVERSION),
  ...grouped('Expected results', EXPECT_FIGURES),
}
export type PlanningCode = keyof typeof PLANNING
export type WaitCode = keyof typeof WAITS
export type LimitCode = keyof typeof LIMITS
export type PriceCode = keyof typeof PRICES
export const PLANNING_CODES = Object.keys(PLANNING) as [PlanningCode, ...PlanningCode[]]

/** All figures as the firm has them. */
export type Planning = Record<PlanningCode, number>

/** The firm's own figures, and ours where it has none. */
export const planningOf = (own: Partial<Planning> = {}): Planning =>
  Object.fromEntries(PLANNING_CODES.map((code) => [code, own[code] ?? PLANNING[code].value])) as Planning

/** How a figure is known: ours until the firm puts in its own. */
export const sourceOf = (code: PlanningCode, planning: Planning): Source =>
  planning[code] === PLANNING[code].value
    ? PLANNING[code].source
    : { kind: 'user', text: say('figures.firmPlanningFigures') }
