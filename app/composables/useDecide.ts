import {
  candidateOf,
  candidatesOf,
  differencesOf,
  refusedOf,
  type Candidate,
  type Considered,
  type Difference,
  type Refused,
} from '#core/job/decision/candidates'
import type { ProgrammeCode } from '#core/job/decision/programmes'

/** Every programme on the lawn of the page, and what other practices would change. */
export function useDecide({ ground, shownJob, season, shown }: OpenLawn) {
  const context = useContextStore()
  const considered = computed<Considered | undefined>(
    () =>
      ground.value &&
      shownJob.value &&
      shown.value?.decision && {
        job: shownJob.value,
        lawn: ground.value,
        firm: context.firmRecord,
        season: season.value,
        decision: shown.value.decision,
      },
  )
  const candidates = computed<Candidate[]>(() => (considered.value ? candidatesOf(considered.value) : []))
  const refused = computed<Refused[]>(() => (considered.value ? refusedOf(considered.value) : []))
  /** One that the rules refuse, for a technician who knows better and says why. */
  const candidateFor = (code: ProgrammeCode): Candidate | undefined =>
    considered.value && candidateOf(considered.value, code)
  const differences = computed<Difference[]>(() => {
    const [base] = candidates.value
    return considered.value && base ? differencesOf(considered.value, base) : []
  })
  return { candidates, refused, differences, candidateFor }
}
