import { PROGRAMMES, type ProgrammeCode } from '#core/job/decision/programmes'

/** What a job is about. */
export const programmeWords = ({ programme }: { programme: ProgrammeCode | null }): string =>
  programme ? PROGRAMMES[programme].name : 'Not decided'
