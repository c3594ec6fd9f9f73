import { defineStore } from 'pinia'
import { firmRecordOf, type Context } from '#contract/context'
import { DEFAULT_PRACTICES } from '#core/job/decision/usualPractices'
import { USUAL_FEED_RULES } from '#core/materials/feedRules'
import type { Day } from '#core/measure/calendar'
import { countIn, speak } from '~/utils/words'
import { problemOf, type Problem } from '~/utils/api'
import type { FirmRecord } from '#core/job/records'

/** Before anybody is known to be at work. */
const NOBODY: Parameters<typeof firmRecordOf>[0] = {
  firm: {
    practices: DEFAULT_PRACTICES,
    planning: {},
    currency: 'USD',
    workingDays: [0, 1, 2, 3, 4, 5, 6],
    holidays: [],
    feedRules: { ...USUAL_FEED_RULES, blackouts: [] },
    hoursADay: 16,
  },
  today: '1970-01-01' as Day,
  pace: {},
  stock: {},
  spokenFor: {},
}

/** Who is at work, in which units, on what day. */
export const useContextStore = defineStore('context', () => {
  const context = ref<Context>()
  const problem = ref<Problem>()
  /** The session ended while a page stands open: signing in again goes on where it was. */
  const signInAgain = ref(false)

  let asking: Promise<void> | undefined
  /** Who is at work; asked for again while the answer is on its way, it is the same question. */
  function begin(): Promise<void> {
    asking ??= load().finally(() => {
      asking = undefined
    })
    return asking
  }

  async function load(): Promise<void> {
    try {
      const found = await $fetch<Context>('/api/context')
      await speak(found.firm.language)
      context.value = found
      void useDeviceStore().begin(found.person.id)
      problem.value = undefined
    } catch (error) {
      problem.value = problemOf(error)
    }
  }

  /** Moves the demo's clock. */
  async function step(days: number): Promise<void> {
    await $fetch('/api/firm/clock', { method: 'POST', body: { days } })
    await load()
  }

  const firm = computed(() => context.value?.firm)
  const person = computed(() => context.value?.person)
  const isOwner = computed(() => person.value?.role === 'owner')
  const today = computed<Day>(() => context.value?.today ?? ('1970-01-01' as Day))
  const units = computed(() => person.value?.units ?? firm.value?.units ?? 'us')
  watch(units, countIn, { immediate: true, flush: 'sync' })
  const currency = computed(() => firm.value?.currency ?? 'USD')
  /** The firm as its jobs are planned. */
  const firmRecord = computed<FirmRecord>(() => firmRecordOf(context.value ?? NOBODY))
  return { context, problem, signInAgain, begin, load, step, firm, person, isOwner, today, units, currency, firmRecord }
})
