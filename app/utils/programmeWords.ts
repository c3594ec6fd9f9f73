import { PROGRAMMES, type ProgrammeCode } from '#core/job/decision/programmes'
import { t, tell } from './words'

/** What a job is about. */
export const programmeWords = ({ programme }: { programme: ProgrammeCode | null }): string =>
  programme ? tell(PROGRAMMES[programme].name) : t('decide.notDecided')
