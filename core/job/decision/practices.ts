import { say, type Message } from '../../explain/message'
import type { CoverMaterial } from '../../materials/covers'
import type { StepDown, WetBy } from '../../water/programme'

/**
 * What practitioners hold different opinions on. The firm chooses; a plan begins with its choice and may differ.
 * @source trade
 */
export interface Practices {
  kill: 'by survey' | 'always' | 'never'
  cores: 'leave' | 'remove'
  coreOrder: 'after' | 'before'
  rate: 'label' | 'heavy'
  springRate: 'same' | 'more'
  scalp: 'by stand' | 'lowest notch' | 'shortest safe'
  season: 'by window' | 'autumn' | 'spring'
  starter: 'starter' | 'balanced' | 'none'
  feedWhen: 'at sowing' | 'after first mow'
  feedAgain: 'second week' | 'second mowing' | 'fourth mowing'
  preventer: 'none' | 'apart' | 'combined'
  sowing: 'broadcast' | 'slit'
  mixing: 'apart' | 'mixed'
  additive: 'none' | 'priced'
  cover: 'always' | 'none'
  coverMaterial: CoverMaterial
  dressing: 'by depth' | 'seed first' | 'dress first'
  soil: 'by texture' | 'sand' | 'half organic' | 'topsoil'
  firming: 'firm' | 'loose'
  loam: 'bring' | 'without'
  coreHoles: 'trade spacing' | 'handbook'
  warmSowing: 'dethatch and cover' | 'core and drag'
  winterGrass: 'annual' | 'intermediate' | 'perennial'
  hybridBermuda: 'sprigs or sod' | 'named seed'
  relaying: 'own turf' | 'new turf' | 'seed on top'
  wetBy: WetBy
  wateringHours: 'until late afternoon' | 'early evening too'
  stepDown: StepDown
  wateringRounds: 'none' | 'once a day' | 'twice a day'
  firstCut: 'by thirds' | 'low at once'
}
export type PracticeCode = keyof Practices

export interface Choice<T extends string = string> {
  code: T
  name: Message
  /** What it changes in schedule, cost or risk. */
  changes: Message
}

type Questions = { [Q in PracticeCode]: { asks: Message; choices: readonly Choice<Practices[Q]>[] } }
const choice = <T extends string>(code: T, name: Message, changes: Message): Choice<T> => ({ code, name, changes })

export const PRACTICES: Questions = {
  kill: {
    asks: say('practices.killFirst'),
    choices: [
      choice('by survey', say('practices.byTheSurvey'), say('practices.onlyForCoarseWeed')),
      choice('always', say('practices.forACleanSlate'), say('practices.twoSpraysAndFour')),
      choice('never', say('practices.never'), say('practices.scalpTearCoreAnd')),
    ],
  },
  cores: {
    asks: say('practices.cores'),
    choices: [
      choice('leave', say('practices.leaveAndBreak'), say('practices.soilOnTheSurface')),
      choice('remove', say('practices.takeOff'), say('practices.noBumpsAndLess')),
    ],
  },
  coreOrder: {
    asks: say('practices.coreAerate'),
    choices: [
      choice('after', say('practices.afterDethatching'), say('practices.holesStayOpenFor')),
      choice('before', say('practices.beforeIt'), say('practices.oneHireDayFor')),
    ],
  },
  rate: {
    asks: say('practices.seedRate'),
    choices: [
      choice('label', say('practices.labelRate'), say('practices.enoughLiveSeedMore')),
      choice('heavy', say('practices.halfAgain'), say('practices.crowdsWeedsOutWhere')),
    ],
  },
  springRate: {
    asks: say('practices.seedInSpring'),
    choices: [
      choice('same', say('practices.sameRate'), say('practices.theOddsAreShown')),
      choice('more', say('practices.aQuarterMore'), say('practices.sinceFewerMakeIt')),
    ],
  },
  scalp: {
    asks: say('practices.howLowBeforeSowing'),
    choices: [
      choice('by stand', say('practices.byTheStand'), say('practices.lowestNotchButThe')),
      choice('lowest notch', say('practices.lowestNotch'), say('practices.moreLightAndSoil')),
      choice('shortest safe', say('practices.shortestSafeHeight'), say('practices.theOldSwardStays')),
    ],
  },
  season: {
    asks: say('practices.season'),
    choices: [
      choice('by window', say('practices.byTheWindow'), say('practices.theComputedOddsDecide')),
      choice('autumn', say('practices.autumn'), say('practices.fallingSoilTemperatureFewer')),
      choice('spring', say('practices.spring'), say('practices.risingSoilTemperatureAgainst')),
    ],
  },
  starter: {
    asks: say('practices.feedAtSowing'),
    choices: [
      choice('starter', say('practices.starter182412'), say('practices.highInPhosphorusOnly')),
      choice('balanced', say('practices.balanced101010'), say('practices.lessPhosphorusForThe')),
      choice('none', say('practices.none'), say('practices.seedCarriesEnoughTo')),
    ],
  },
  feedWhen: {
    asks: say('practices.whenToFeed'),
    choices: [
      choice('at sowing', say('practices.withTheSeed'), say('practices.doneInOneVisit')),
      choice('after first mow', say('practices.afterTheFirstMow'), say('practices.lessIsWashedOut')),
    ],
  },
  feedAgain: {
    asks: say('practices.whenToFeedAgain'),
    choices: [
      choice('second week', say('practices.inTheSecondWeek'), say('practices.inTheSecondWeekChanges')),
      choice('second mowing', say('practices.afterTheSecondMowing'), say('practices.afterTheSecondMowingChanges')),
      choice('fourth mowing', say('practices.afterTheFourthMowing'), say('practices.afterTheFourthMowingChanges')),
    ],
  },
  preventer: {
    asks: say('practices.preEmergent'),
    choices: [
      choice('none', say('practices.none'), say('practices.theNewGrassDoes')),
      choice('apart', say('practices.seedlingSafeApart'), say('practices.mesotrioneOrSiduronType')),
      choice('combined', say('practices.withTheStarter'), say('practices.onePassTheLimits')),
    ],
  },
  sowing: {
    asks: say('practices.gettingSeedIn'),
    choices: [
      choice('broadcast', say('practices.dethatchSowRake'), say('practices.soilShowsAllOver')),
      choice('slit', say('practices.slitSeed'), say('practices.inPlaceOfDethatching')),
    ],
  },
  mixing: {
    asks: say('practices.seedAndFeed'),
    choices: [
      choice('apart', say('practices.eachByItself'), say('practices.eachWithItsOwn')),
      choice('mixed', say('practices.mixedByHand'), say('practices.onePassLessOn')),
    ],
  },
  additive: {
    asks: say('practices.additives'),
    choices: [
      choice('none', say('practices.none'), say('practices.unprovenNeverInPlace')),
      choice('priced', say('practices.asACostLine'), say('practices.moistureHolderOrRoot')),
    ],
  },
  cover: {
    asks: say('practices.coverOverTheSeed'),
    choices: [
      choice('always', say('practices.always'), say('practices.holdsWaterAndHides')),
      choice('none', say('practices.none'), say('practices.noMaterialThreeTo')),
    ],
  },
  coverMaterial: {
    asks: say('practices.coverWith'),
    choices: [
      choice('compost', say('practices.compost'), say('practices.peatFreeDarkWhen')),
      choice('peat', say('practices.peat'), say('practices.lightToCarryPales')),
      choice('screened topsoil', say('practices.screenedTopsoil'), say('practices.heaviestEvensSmallBumps')),
      choice('straw', say('practices.straw'), say('practices.cheapAndQuickThin')),
      choice('fleece', say('practices.fleece'), say('practices.warmsLateSowingsAnd')),
    ],
  },
  dressing: {
    asks: say('practices.soilAndSeed'),
    choices: [
      choice('by depth', say('practices.byTheDepth'), say('practices.soilFirstWhereMore')),
      choice('seed first', say('practices.seedThenDressing'), say('practices.aThinDressingCovers')),
      choice('dress first', say('practices.dressingThenSeed'), say('practices.seedStaysNearThe')),
    ],
  },
  soil: {
    asks: say('practices.soilForLevelling'),
    choices: [
      choice('by texture', say('practices.byTheSoil'), say('practices.sandOnAGood')),
      choice('sand', say('practices.straightSand'), say('practices.dryFineStoneFree')),
      choice('half organic', say('practices.halfOrganic'), say('practices.holdsWaterOnSand')),
      choice('topsoil', say('practices.topsoil'), say('practices.bettersClayBringsWeed')),
    ],
  },
  firming: {
    asks: say('practices.firming'),
    choices: [
      choice('firm', say('practices.heelOrRoll'), say('practices.footprintsMustNotSink')),
      choice('loose', say('practices.leaveLoose'), say('practices.aPassLessHighs')),
    ],
  },
  loam: {
    asks: say('practices.afterStripping'),
    choices: [
      choice('bring', say('practices.bringLoam'), say('practices.n50To75Mm')),
      choice('without', say('practices.withoutLoam'), say('practices.stripInFourOr')),
    ],
  },
  coreHoles: {
    asks: say('practices.coreHoles'),
    choices: [
      choice('trade spacing', say('practices.tradeSpacing'), say('practices.tradeSpacingChanges')),
      choice('handbook', say('practices.handbookHoles'), say('practices.handbookHolesChanges')),
    ],
  },
  warmSowing: {
    asks: say('practices.warmSowing'),
    choices: [
      choice('dethatch and cover', say('practices.dethatchAndCover'), say('practices.dethatchAndCoverChanges')),
      choice('core and drag', say('practices.coreAndDrag'), say('practices.coreAndDragChanges')),
    ],
  },
  winterGrass: {
    asks: say('practices.winterGrass'),
    choices: [
      choice('annual', say('practices.annualRyegrass'), say('practices.annualRyegrassChanges')),
      choice('intermediate', say('practices.intermediateRyegrass'), say('practices.intermediateRyegrassChanges')),
      choice('perennial', say('practices.perennialRyegrass'), say('practices.perennialRyegrassChanges')),
    ],
  },
  relaying: {
    asks: say('practices.relaying'),
    choices: [
      choice('own turf', say('practices.ownTurf'), say('practices.ownTurfChanges')),
      choice('new turf', say('practices.newTurf'), say('practices.newTurfChanges')),
      choice('seed on top', say('practices.seedOnTop'), say('practices.seedOnTopChanges')),
    ],
  },
  wetBy: {
    asks: say('practices.wetBy'),
    choices: [
      choice('computed', say('practices.wetComputed'), say('practices.wetComputedChanges')),
      choice('three', say('practices.wetThree'), say('practices.wetThreeChanges')),
      choice('six weeks', say('practices.wetSixWeeks'), say('practices.wetSixWeeksChanges')),
    ],
  },
  wateringHours: {
    asks: say('practices.wateringHours'),
    choices: [
      choice('until late afternoon', say('practices.untilLateAfternoon'), say('practices.untilLateAfternoonChanges')),
      choice('early evening too', say('practices.earlyEveningToo'), say('practices.earlyEveningTooChanges')),
    ],
  },
  stepDown: {
    asks: say('practices.stepDown'),
    choices: [
      choice('gradual', say('practices.stepGradual'), say('practices.stepGradualChanges')),
      choice('deeper', say('practices.stepDeeper'), say('practices.stepDeeperChanges')),
      choice('weekly', say('practices.stepWeekly'), say('practices.stepWeeklyChanges')),
    ],
  },
  wateringRounds: {
    asks: say('practices.wateringRounds'),
    choices: [
      choice('none', say('practices.none'), say('practices.noRoundsChanges')),
      choice('once a day', say('practices.onceADay'), say('practices.roundsChanges', { times: 1 })),
      choice('twice a day', say('practices.twiceADay'), say('practices.roundsChanges', { times: 2 })),
    ],
  },
  firstCut: {
    asks: say('practices.firstCut'),
    choices: [
      choice('by thirds', say('practices.byThirds'), say('practices.byThirdsChanges')),
      choice('low at once', say('practices.lowAtOnce'), say('practices.lowAtOnceChanges')),
    ],
  },
  hybridBermuda: {
    asks: say('practices.hybridBermuda'),
    choices: [
      choice('sprigs or sod', say('practices.sprigsOrSod'), say('practices.sprigsOrSodChanges')),
      choice('named seed', say('practices.namedSeed'), say('practices.namedSeedChanges')),
    ],
  },
}
export const PRACTICE_CODES = Object.keys(PRACTICES) as PracticeCode[]
