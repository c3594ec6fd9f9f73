import type { MessageKey } from '#words/message'

/** What each view is for and how it is worked, by the end of its path. */
const HELP: readonly { at: RegExp; title: MessageKey; does: readonly MessageKey[] }[] = [
  {
    at: /^\/set-up/,
    title: 'help.setUp',
    does: ['help.putInWhereYou', 'help.thePictureShowsThe'],
  },
  {
    at: /^\/lawns\/?$/,
    title: 'help.lawns',
    does: ['help.allLawnsOfThe', 'help.pointAtARow'],
  },
  {
    at: /\/look$/,
    title: 'help.look',
    does: ['help.theSurveyWhatGrows', 'help.measurementsAreTypedAs', 'help.drawTheLawnOr'],
  },
  {
    at: /\/decide$/,
    title: 'help.decide',
    does: ['help.theProgrammesThatFit', 'help.belowWhatDoesNot'],
  },
  {
    at: /\/when$/,
    title: 'help.when',
    does: ['help.howManyOf100', 'help.theRangeIsCounting'],
  },
  {
    at: /\/do$/,
    title: 'help.do',
    does: ['help.theDatedTasksFrom', 'help.dragATaskOr'],
  },
  {
    at: /\/bring$/,
    title: 'help.bring',
    does: ['help.whatToLoadSeed'],
  },
  {
    at: /\/water$/,
    title: 'help.water',
    does: ['help.waterPhases', 'help.waterZones', 'help.waterLog'],
  },
  {
    at: /\/inspection$/,
    title: 'help.inspection',
    does: ['help.theEndOfAJob', 'help.picturesAndCover'],
  },
  {
    at: /\/watch$/,
    title: 'help.watch',
    does: ['help.watchCounts', 'help.watchActions', 'help.watchHeights'],
  },
  {
    at: /\/jobs(\/[^/]+)?$/,
    title: 'help.jobs',
    does: ['help.theJobsOfThis'],
  },
  {
    at: /^\/shed/,
    title: 'help.shed',
    does: ['help.whatIsOnHand'],
  },
  {
    at: /^\/weather/,
    title: 'help.weather',
    does: ['help.stationsWithTheirRecord', 'help.aSecondStationChanges'],
  },
  {
    at: /^\/firm/,
    title: 'help.firm',
    does: ['help.howTheFirmWorks'],
  },
]

/** @param path of the page in view @returns nothing where a page explains itself */
export const helpOf = (path: string) => HELP.find(({ at }) => at.test(path))
