import { rule, type Rule } from './rule'
import type { ProgrammeCode } from './programmes'

/** Programmes that are nothing without turf. */
const TURF_WORK: readonly ProgrammeCode[] = ['overseed', 'hard', 'kill', 'level', 'winter', 'warm']

/** What a programme cannot do without. @source turf handbooks and trade */
export const NEEDS: readonly Rule[] = [
  rule(
    'needs',
    ['winter', 'warm'],
    [['warmSward', 'is', true]],
    ['rules.needsAWarmSeason'],
    'trade',
    'rules.warmSeasonProgrammes',
  ),
  rule(
    'needs',
    ['warm'],
    [['bermuda', 'is', true]],
    ['rules.onlyBermudaThickensFrom'],
    'trade',
    'rules.bermudaAlsoFromSeed',
  ),
  rule('needs', ['level'], [], ['rules.nothingToLevelThe', 'deepest'], 'own', 'rules.levelsOrThicknessWanted', [
    ['deepest', '>', 0],
    ['goal', 'is', 'levels'],
  ]),
  rule('needs', ['winter'], [['goal', 'is', 'winter']], ['rules.greenInWinterIs'], 'trade', 'rules.wantsGreenInWinter'),
  rule('needs', ['winter'], [['winterOpen', 'is', true]], ['rules.theTurfIsNot'], 'mem', 'rules.soilFallingBelow72'),
  rule('needs', ['spot'], [], ['rules.thinOverMoreThan', 'desirable', 'spotFrom'], 'own', 'rules.bareUnder10In', [
    ['desirable', '>=', 'spotFrom'],
    ['ground', 'is', 'cut-out'],
  ]),
  rule(
    'refuses',
    ['spot'],
    [['ground', 'is', 'turf']],
    ['rules.ofWeedsAmongThe', 'weeds'],
    'own',
    'rules.theRestDense',
    [
      ['weeds', '>', 'spotWeeds'],
      ['coarse', '>', 'spotWeeds'],
    ],
  ),
  rule('needs', ['spot'], [], ['rules.thinAllOverNot'], 'own', 'rules.bareInPatches', [
    ['patchy', 'not', false],
    ['ground', 'is', 'cut-out'],
  ]),
  rule('needs', ['bare'], [], ['rules.grassStandsHere', 'desirable', 'bare'], 'own', 'rules.bareSoilFrom80', [
    ['bare', '>=', 'bareFrom'],
    ['ground', 'is', 'cut-out'],
  ]),
  rule(
    'refuses',
    TURF_WORK,
    [['ground', 'is', 'cut-out']],
    ['rules.aCutOutHasNoTurf'],
    'own',
    'rules.newSeedbedFromBare',
  ),
  rule(
    'refuses',
    TURF_WORK,
    [['bare', '>=', 'bareFrom']],
    ['rules.noTurfToWorkOn', 'bare'],
    'own',
    'rules.newSeedbedFromBare',
  ),
  rule(
    'needs',
    ['overseed'],
    [['desirable', '>=', 'hardFrom']],
    ['rules.onlyIsDesirableGrass', 'desirable'],
    'mem',
    'rules.under30TheOld',
  ),
  rule('needs', ['strip'], [], ['rules.theSoilIsSound', 'thatch'], 'own', 'rules.thatchOver25Mm', [
    ['thatch', '>', 'thatchDeep'],
    ['ph', '<', 'phLow'],
    ['ph', '>', 'phHigh'],
    ['deepest', '>', 'hollowRelay'],
    ['drainage', 'is', 'standing'],
    ['texture', 'is', 'clay'],
    ['stones', 'is', 'many'],
    ['topsoil', '<', 'topsoilLeast'],
    ['ground', 'is', 'cut-out'],
  ]),
  rule(
    'refuses',
    ['kill'],
    [['noSprays', 'is', true]],
    ['rules.theClientRefusesSprays'],
    'user',
    'rules.lookWhatTheClient',
  ),
  rule(
    'refuses',
    ['overseed', 'hard', 'spot'],
    [['coarse', '>', 'coarseKill']],
    ['rules.coarseWeedGrassesSurvive', 'coarse'],
    'own',
    'rules.over30KillAll',
  ),
  rule(
    'refuses',
    ['overseed', 'hard', 'kill', 'strip'],
    [
      ['warmSward', 'is', true],
      ['goal', 'not', 'species'],
      ['warmWanted', 'is', true],
    ],
    ['rules.warmSeasonTurfIn'],
    'trade',
    'rules.levelInGrowthInstead',
  ),
  rule(
    'refuses',
    ['kill'],
    [
      ['killPractice', 'is', 'never'],
      ['coarse', '<=', 'coarseKill'],
    ],
    ['rules.theFirmDoesNot'],
    'user',
    'rules.practiceKillFirst',
  ),
  rule(
    'refuses',
    'seeded',
    [['sun', '<', 'sunLeast']],
    ['rules.belowOfSunNo', 'sunLeast', 'sun'],
    'mem',
    'rules.below3H',
  ),
]
