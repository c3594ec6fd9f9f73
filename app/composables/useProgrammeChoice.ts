import { NO_WORK } from '#core/job/nothingDecided'
import type { PracticeCode, Practices } from '#core/job/decision/practices'
import { settingsUnder, type Candidate } from '#core/job/decision/candidates'
import type { ProgrammeCode } from '#core/job/decision/programmes'
import { beginningSettings, practicesOf } from '#core/job/seeding'
import { noteProblem } from '~/utils/overrule'

type Here = ReturnType<typeof useLawn>

/** Choosing a programme: at once where the rules recommend it, with a note where they do not. */
export function useProgrammeChoice(here: Here, candidateFor: (code: ProgrammeCode) => Candidate | undefined) {
  const { lawn, job, ground, decision, drop, savePlan, stepTo } = here
  const context = useContextStore()
  const chosen = computed(() => lawn.value?.plan.programme ?? null)
  /** A choice against the rules, or against a hold, keeps a note. */
  const against = ref<Candidate>()
  const note = ref('')
  const noteError = ref('')

  async function plan(candidate: Candidate, why: string | null): Promise<void> {
    if (!lawn.value || !job.value) return
    const { code } = candidate.programme
    const before = lawn.value.plan
    const settings = beginningSettings(
      ground.value!,
      job.value,
      practicesOf(job.value, context.firmRecord),
      code,
      context.firmRecord,
    )
    // A plan for another work keeps its day only where that still comes after all of it.
    const sowOn = before.sowOn && candidate.sowOn <= before.sowOn ? before.sowOn : null
    const work = code === before.programme ? {} : { work: NO_WORK }
    const saved = await savePlan({ programme: code, overruleNote: why, settings, sowOn, ...work })
    if (!saved) return
    against.value = undefined
    // What was tried of another programme says nothing of this one.
    if (code !== before.programme) drop()
    await navigateTo(stepTo('when'))
  }
  function askWhy(candidate: Candidate): void {
    against.value = candidate
    note.value = ''
    noteError.value = ''
    void nextTick(() => document.querySelector<HTMLInputElement>('#field-note')?.focus())
  }
  function choose(candidate: Candidate): void {
    const recommended = decision.value?.recommended
    const other = recommended !== undefined && candidate.programme.code !== recommended
    if (candidate.waiting.holds.length || other) askWhy(candidate)
    else void plan(candidate, null)
  }
  function insist(code: ProgrammeCode): void {
    const candidate = candidateFor(code)
    if (candidate) askWhy(candidate)
  }
  function override(): void {
    noteError.value = noteProblem(note.value)
    if (!noteError.value && against.value) void plan(against.value, note.value.trim())
  }
  async function remove(): Promise<void> {
    const nothing = { programme: null, sowOn: null, overruleNote: null, settings: null, work: NO_WORK }
    if (await savePlan(nothing)) drop()
  }

  async function practise(question: PracticeCode, code: string): Promise<void> {
    if (!lawn.value || !job.value) return
    const before = practicesOf(job.value, context.firmRecord)
    const after = { ...before, [question]: code } as Practices
    const practices = { ...lawn.value.plan.practices, [question]: code } as Partial<Practices>
    if (context.firmRecord.practices[question] === code) Reflect.deleteProperty(practices, question)
    const settings = chosen.value
      ? settingsUnder({ job: job.value, lawn: ground.value!, firm: context.firmRecord }, before, after, chosen.value)
      : lawn.value.plan.settings
    await savePlan({ practices, settings })
  }
  async function treat(zoneId: string, programme: ProgrammeCode | 'leave' | 'rest', why: string): Promise<void> {
    if (!lawn.value) return
    const zonePlans = { ...lawn.value.plan.zonePlans }
    if (programme === 'rest') Reflect.deleteProperty(zonePlans, zoneId)
    else zonePlans[zoneId] = { programme, note: why }
    await savePlan({ zonePlans })
  }

  return { chosen, against, note, noteError, choose, insist, override, remove, practise, treat }
}
