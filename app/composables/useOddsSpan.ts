import { addDays, daysBetween, shortDay, weekdayIndex, type Day } from '#core/measure/calendar'
import { indexOf, type Outlook } from '#core/establishment/outlook'

/** Edges of the chart beside its days, px. */
export const [CHART_LEFT, CHART_RIGHT] = [40, 8]
/** Width of a day's name under the chart with some air, px. */
const LABEL_PX = 52
/** Last day that has odds, days ahead. */
const LAST_AHEAD = 149

/** Days of the chart of When with their counts, and where each lies. */
export function useOddsSpan(
  { outlook, lifted, day }: { outlook: () => Outlook; lifted: () => boolean; day: Ref<Day> },
  width: Ref<number>,
) {
  const { number } = useUnits()
  const narrow = computed(() => width.value < 560)
  const seasons = computed(() => (lifted() ? outlook().growing : outlook().windows))

  /** Shown: from a week back or the day chosen, until well past the window. */
  const span = computed(() => {
    const { today } = outlook()
    const window = seasons.value[0]
    const last = addDays(today, LAST_AHEAD)
    const wanted = window && window.from < last ? addDays(window.to, 35) : last
    const from = day.value < addDays(today, -7) ? addDays(day.value, -5) : addDays(today, -7)
    const soonest = addDays(today, 43)
    const least = addDays(day.value > soonest ? day.value : soonest, 7)
    const end = wanted < least ? least : wanted
    return { from, days: Math.min(daysBetween(from, last), daysBetween(from, end)) + 1 }
  })
  const first = computed(() => indexOf(outlook(), span.value.from))
  /** Days with their counts: of stands, or where nothing is sown of turf that grows through a dressing. */
  const counted = computed(() => {
    const { sowing, growsThrough, years } = outlook()
    if (!lifted()) return sowing
    return sowing.map((of, i) => {
      const good = growsThrough[i]!
      return { ...of, good, causes: { washout: 0, dry: 0, heat: 0, frost: 0, cold: years - good } }
    })
  })
  const days = computed(() => counted.value.slice(first.value, first.value + span.value.days))
  const perDay = computed(() => (width.value - CHART_LEFT - CHART_RIGHT) / days.value.length)
  const x = (of: Day) => CHART_LEFT + (daysBetween(span.value.from, of) + 0.5) * perDay.value
  /** Mondays, as many as have room for their names. */
  const labels = computed(() => {
    const everyDays = 7 * Math.max(1, Math.ceil(LABEL_PX / (7 * perDay.value)))
    return days.value.map((_, i) => {
      const of = addDays(span.value.from, i)
      return weekdayIndex(of) === 1 && i % everyDays < 7 ? shortDay(of) : ''
    })
  })

  return {
    narrow,
    span,
    days,
    labels,
    perDay,
    x,
    chosen: computed(() => counted.value[indexOf(outlook(), day.value)]),
    window: computed(() => {
      const soonest = seasons.value[0]
      return soonest && daysBetween(span.value.from, soonest.from) < span.value.days ? soonest : undefined
    }),
    /** Soil under each day that has a label. */
    soils: computed(() =>
      labels.value.flatMap((label, i) => {
        const soilC = outlook().soilC.median[first.value + i]!
        if (!label) return []
        return [{ x: CHART_LEFT + (i + 0.5) * perDay.value, soil: `${Math.round(number('tempC', soilC))}°` }]
      }),
    ),
    grain: computed(() => outlook().grain.map((year) => year.slice(first.value, first.value + span.value.days))),
  }
}
