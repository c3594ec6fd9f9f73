import { glanceOf, type Glance } from '#core/establishment/glance'
import { indexOf } from '#core/establishment/outlook'
import type { Lawn } from '#contract/lawn'
import type { Day } from '#core/measure/calendar'
import { decisionOf, sequenceOf, settingsOf, type Weather } from '~/utils/planOf'

/** The lawn of the page with its season, decision, settings and sequence, all following what is edited. */
export function useLawn() {
  const route = useRoute()
  const store = useLawnsStore()
  const sill = useSillStore()
  const context = useContextStore()
  const id = String(route.params.id)

  const lawn = computed<Lawn | undefined>(() => store.byId(id))
  const outlook = computed(() => (sill.lawnId === id ? sill.data?.outlook : undefined))
  const glance = computed<Glance | undefined>(() => outlook.value && glanceOf(outlook.value, lawn.value?.plan.sowOn ?? null))
  const settings = computed(() => lawn.value && settingsOf(lawn.value, context.practice))
  const decision = computed(() => (lawn.value && glance.value ? decisionOf(lawn.value, glance.value, context.practice) : undefined))
  const forecast = computed(() => (sill.lawnId === id ? sill.data?.forecast ?? [] : []))
  const weather = computed<Weather>(() => {
    const seen = outlook.value
    if (!seen) return { forecast: forecast.value }
    const on = <T>(series: readonly T[]) => (day: Day) => series[indexOf(seen, day)]
    return { forecast: forecast.value, soilOn: on(seen.soilC.median), groundOn: on(seen.groundLeft), fellOn: on(seen.rainMm) }
  })
  const sequence = computed(() => lawn.value && sequenceOf(lawn.value, glance.value, context.practice, weather.value))

  /** The sequence as it would be from another sowing day. */
  function sequenceFrom(sowOn: Day) {
    if (!lawn.value || !outlook.value) return undefined
    const trial: Lawn = { ...lawn.value, plan: { ...lawn.value.plan, programme: lawn.value.plan.programme ?? decision.value?.leans ?? 'overseed', sowOn } }
    return sequenceOf(trial, glanceOf(outlook.value, sowOn), context.practice, weather.value)
  }
  return { id, lawn, outlook, glance, settings, decision, sequence, sequenceFrom, forecast, weather }
}
