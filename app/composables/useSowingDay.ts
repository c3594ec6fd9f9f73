import { addDays, nearestWorkingDay, type Day } from '#core/measure/calendar'
import { barrierUntil } from '#core/job/decision/decide'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { inSeason, leadDaysOf } from '#core/job/decision/wait'
import { isAnchorKey } from '#core/job/operations/registry'

/** Days ahead that are put forward where no window is open. */
const FORTNIGHT = 14

/** The day that is looked at in When: kept, tried out, or the best that is still open. */
export function useSowingDay({ lawn, plan, outlook, tries, tryOut }: ReturnType<typeof useLawn>) {
  const context = useContextStore()
  const sownOn = computed(() => lawn.value?.done.find(({ key }) => isAnchorKey(key))?.doneOn)
  const programme = computed(() => lawn.value?.plan.programme ?? null)
  /** Nothing is sown: the day is that of the first lift, in the growing season. */
  const lifted = computed(() => programme.value !== null && PROGRAMMES[programme.value].anchor === 'dressing')

  /** The best day of the first window that is still open, clear of every label interval. */
  const suggested = computed<Day>(() => {
    const of = lawn.value
    const fallback = addDays(context.today, FORTNIGHT)
    if (!of || !outlook.value) return fallback
    const soonest = addDays(context.today, programme.value ? leadDaysOf(programme.value) : 0)
    const barrier = lifted.value ? context.today : barrierUntil(of.applications, context.today).clear
    const clear = barrier > soonest ? barrier : soonest
    const windows = lifted.value
      ? outlook.value.growing
      : inSeason(outlook.value.windows, plan.value!.practices.season, of.latDeg)
    const window = windows.find(({ to }) => to >= clear)
    if (!window) {
      const best = lifted.value ? [] : outlook.value.best.filter(({ day }) => day >= clear)
      return best.reduce(
        (most, one) => (one.chance.of100 > most.of100 ? { day: one.day, of100: one.chance.of100 } : most),
        {
          day: fallback,
          of100: 0,
        },
      ).day
    }
    const from = window.from < clear ? clear : window.from
    const best = window.best < clear ? clear : window.best
    return nearestWorkingDay(best, context.firmRecord.workingDays, from, window.to)
  })
  const kept = computed(() => sownOn.value ?? lawn.value?.plan.sowOn ?? null)

  /** Tried out where it is not the one that is kept. */
  const day = computed<Day>({
    get: () => tries('day')?.change.sowOn ?? kept.value ?? suggested.value,
    set: (asked) => {
      const words = t('sowingDay.firstLiftSowOn', {
        hasLifted: Boolean(lifted.value),
        asked: shortDayWithWeekday(asked),
      })
      tryOut('day', asked === kept.value ? undefined : { words, change: { sowOn: asked } })
    },
  })
  // Until a day is kept or chosen the best is put forward, and hangs from the ledge too; it goes with this view.
  watchEffect(() => {
    const tried = tries('day')
    const open = outlook.value && !kept.value && (!tried || tried.offered)
    if (open && tried?.change.sowOn !== suggested.value)
      tryOut('day', { words: '', change: { sowOn: suggested.value }, offered: true })
  })
  onUnmounted(() => {
    if (tries('day')?.offered) tryOut('day', undefined)
  })

  return { day, sownOn, suggested, lifted }
}
