<script setup lang="ts">
import { addDays, longDay, shortDay, type Day } from '#core/measure/calendar'
import { indexOf, type Outlook } from '#core/establishment/outlook'
import { inTransitionZone } from '#core/establishment/whatIf'
import { CAUSES } from '~/utils/causeWords'

/**
 * The odds of a day in a sentence or two: how many years stand, what a week sooner or later costs, spring against
 * autumn, and lying until spring.
 */
const props = defineProps<{ outlook: Outlook; day: Day; sown: boolean; latDeg: number }>()
const emit = defineEmits<{ look: [day: Day] }>()
const context = useContextStore()
const at = (day: Day) => props.outlook.sowing[indexOf(props.outlook, day)]
const chosen = computed(() => at(props.day))
const years = computed(() => `${props.outlook.years} ${props.outlook.ownYears ? 'years on record' : 'simulated years'}`)
/** Too cold to sprout, cold enough to lie: another plan, with its own count. */
const lies = computed(() => chosen.value?.dormantGood ?? null)

const verdict = computed(() => {
  const day = longDay(props.day)
  if (!chosen.value) return props.sown ? `Sown on ${day}.` : `${day} lies beyond what is worked out.`
  if (lies.value !== null)
    return `${props.sown ? 'Dormant sowing, down since' : 'Dormant sowing on'} ${day}. Of ${years.value}, ${lies.value} make a stand in spring of what winter leaves.`
  return `${props.sown ? `Sown on ${day}.` : `Sow on ${day}.`} Of ${years.value}, ${chosen.value.good} ${props.sown ? 'make' : 'made'} a good stand.`
})
const because = computed(() => {
  const here = chosen.value
  if (!here || lies.value !== null) return ''
  const [sooner, later] = [at(addDays(props.day, -7)), at(addDays(props.day, 7))]
  /** The cause that takes the most years more than on the day chosen. */
  const worse = (odds: NonNullable<typeof sooner>) =>
    [...CAUSES].sort(
      (a, b) => odds.causes[b.code] - here.causes[b.code] - (odds.causes[a.code] - here.causes[a.code]),
    )[0]!
  const tell = (lead: string, odds: typeof sooner) => {
    if (!odds) return ''
    if (odds.good >= here.good) return `${lead} is as good.`
    const cause = worse(odds)
    return `${lead}, ${cause.does} ${odds.causes[cause.code]} years instead of ${here.causes[cause.code]}.`
  }
  return [props.day > addDays(context.today, 7) ? tell('A week sooner', sooner) : '', tell('A week later', later)]
    .filter(Boolean)
    .join(' ')
})
/** Spring is rising soil, autumn falling, on both sides of the equator. */
const seasons = computed(() => {
  const { rising, falling } = props.outlook.best
  if (!rising || !falling) return ''
  const told = ({ day, good }: typeof rising) => `${shortDay(day, context.today)}, ${good} of ${props.outlook.years}`
  return `Best day of spring ${told(rising)}; of autumn ${told(falling)}.`
})
const WEEDS = {
  crabgrass:
    'Crabgrass sprouts with it, from 55 °F (13 °C) of rising soil on; what keeps it down mostly keeps seed down too.',
  'annual bluegrass': 'Annual bluegrass sprouts with it as the soil falls below 70 °F (21 °C).',
} as const
const weeds = computed(() =>
  lies.value === null ? (chosen.value?.weeds ?? []).map((weed) => WEEDS[weed]).join(' ') : '',
)
/** Told where it is worth a thought: a stand in a tenth of the years. @source own */
const dormant = computed(() => {
  const run = props.outlook.dormant
  return props.sown || lies.value !== null || !run || run.bestGood * 10 < props.outlook.years ? null : run
})
</script>

<template>
  <div class="said">
    <p class="verdict">{{ verdict }}</p>
    <p v-if="because" class="small">{{ because }}</p>
    <p v-if="lies !== null" class="caution">
      Seed lies until the soil warms: 30 to 50% of it is lost by then (handbooks, from memory), so a third more to twice
      as much is sown. It comes up late and meets summer young.
    </p>
    <p v-if="!sown && weeds" class="small">{{ weeds }}</p>
    <p v-if="!sown" class="small">
      <template v-if="seasons">{{ seasons }}&ensp;</template>
      <template v-if="dormant"
        ><b>Dormant sowing</b>, to lie until spring:
        <button type="button" class="opens" @click="emit('look', dormant.best)">
          {{ shortDay(dormant.best, context.today) }}</button>, {{ dormant.bestGood }} of {{ outlook.years }}.</template
      >
    </p>
    <p v-if="!sown && inTransitionZone(latDeg)" class="small">
      Between 33° and 39° of latitude neither cool- nor warm-season grass is quite at home: <i>What if</i> below has the
      odds of both.
    </p>
  </div>
</template>

<style scoped>
.said {
  display: grid;
  gap: 8px;
}
.verdict {
  font-size: 21px;
}
</style>
