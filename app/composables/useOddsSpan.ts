import { addDays, daysBetween, weekdayIndex, type Day } from '#core/measure/calendar'
import { indexOf, type Outlook } from '#core/establishment/outlook'
import { chanceOf, type DatedWindow } from '#core/establishment/window'
import { stackOf } from '~/utils/oddsChart'

/** Edges of the chart beside its days, px. */
export const [CHART_LEFT, CHART_RIGHT] = [40, 8]
/** Width of a day's name under the chart with some air, px. */
const LABEL_PX = 52
/** Days that are shown at once, at least, and what is shown before and after a window. */
const [SHOWN_LEAST, BEFORE_WINDOW, AFTER_WINDOW] = [84, 18, 40]

/** Every day that is worked out, and the season of them that the chart of When shows. */
export function useOddsSpan(
  { outlook, lifted, day }: { outlook: () => Outlook; lifted: () => boolean; day: Ref<Day> },
  width: Ref<number>,
) {
  const { number } = useUnits()
  const narrow = computed(() => width.value < 560)
  const windows = computed<DatedWindow[]>(() => (lifted() ? outlook().growing : outlook().windows))
  const last = computed(() => addDays(outlook().first, outlook().sowing.length - 1))
  const within = (of: Day) => (of < outlook().first ? outlook().first : of > last.value ? last.value : of)

  /** The day about which the chart was last turned; moving within what is shown does not turn it. */
  const turnedTo = ref(day.value)
  const span = computed(() => {
    const about = within(turnedTo.value)
    const window = windows.value.find(({ from, to }) => about >= addDays(from, -35) && about <= addDays(to, 35))
    const low = window && window.from < about ? window.from : about
    const high = window && window.to > about ? window.to : about
    const from = within(addDays(low, -BEFORE_WINDOW))
    const to = within(addDays(high, AFTER_WINDOW))
    const days = Math.max(SHOWN_LEAST, daysBetween(from, to) + 1)
    const begins = within(addDays(last.value, 1 - days) < from ? addDays(last.value, 1 - days) : from)
    return { from: begins, days: Math.min(days, daysBetween(begins, last.value) + 1) }
  })
  const shows = (of: Day) => of >= span.value.from && of < addDays(span.value.from, span.value.days)
  watch(day, (now) => {
    if (!shows(now)) turnedTo.value = now
  })

  const first = computed(() => indexOf(outlook(), span.value.from))
  /** Years of 100 by layer: of stands, or where nothing is sown of turf that grows through a dressing. */
  const stack = computed(() => {
    const { sowing, growsThrough, years } = outlook()
    if (!lifted()) return stackOf(sowing, years)
    return stackOf(
      growsThrough.map((good) => ({
        good,
        causes: { washout: 0, dry: 0, weeds: 0, birds: 0, heat: 0, frost: 0, cold: years - good },
      })),
      years,
    )
  })
  const chanceOn = (of: Day) => {
    const at = indexOf(outlook(), of)
    if (!lifted()) return outlook().sowing[at]?.chance
    const share = stack.value.good[at]
    return share === undefined ? undefined : chanceOf(share / 100, outlook().years)
  }
  const perDay = computed(() => (width.value - CHART_LEFT - CHART_RIGHT) / span.value.days)
  const x = (of: Day) => CHART_LEFT + (daysBetween(span.value.from, of) + 0.5) * perDay.value
  /** Mondays, as many as have room for their names. */
  const labels = computed(() => {
    const everyDays = 7 * Math.max(1, Math.ceil(LABEL_PX / (7 * perDay.value)))
    return Array.from({ length: span.value.days }, (_, i) => {
      const of = addDays(span.value.from, i)
      return weekdayIndex(of) === 1 && i % everyDays < 7 ? shortDay(of) : ''
    })
  })
  const cut = <T>(values: readonly T[]) => values.slice(first.value, first.value + span.value.days)

  return {
    narrow,
    span,
    shows,
    last,
    within,
    windows,
    stack,
    labels,
    perDay,
    x,
    chanceOn,
    shown: computed(() => ({
      good: cut(stack.value.good),
      causes: stack.value.causes.map(({ code, values }) => ({ code, values: cut(values) })),
    })),
    /** Windows that reach into what is shown. */
    inSight: computed(() => windows.value.filter(({ from, to }) => shows(from) || shows(to))),
    /** Soil under each day that has a label. */
    soils: computed(() =>
      labels.value.flatMap((label, i) => {
        const soilC = outlook().soilC.median[first.value + i]
        if (!label || soilC === undefined) return []
        return [{ x: CHART_LEFT + (i + 0.5) * perDay.value, soil: `${Math.round(number('tempC', soilC))}°` }]
      }),
    ),
    grain: computed(() => outlook().grain.map((year) => year.slice(first.value, first.value + span.value.days))),
  }
}
