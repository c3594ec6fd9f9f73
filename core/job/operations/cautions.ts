import { say } from '../../explain/message'
/** What is said where work can hurt someone; label, local code and licence come first. */
export const SPRAY = say('operations.theLabelIsThe')
export const SERVICES = say('operations.haveBuriedServicesLocated')
export const SOIL = say('operations.drySandIsDusty')
export const MOWER = say('operations.bootsEyesAndEars')
export const GRANULES = say('operations.sweepGranulesOffPaving')
