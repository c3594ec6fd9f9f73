<script setup lang="ts">
import { addDays, longDay, shortDay, type Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import { compareDays } from '#core/establishment/compare'
import { indexOf, type Outlook } from '#core/establishment/outlook'
import { chanceOf } from '#core/establishment/window'
import { inTransitionZone } from '#core/establishment/whatIf'
import { CAUSES } from '~/utils/causeWords'
import { of100Words, SEASON_NAMES, windowName } from '~/utils/seasonWords'

/**
 * The odds of a day in a sentence or two: how many years stand, what a week sooner or later costs, the other seasons, and
 * lying until spring.
 */
const props = defineProps<{ outlook: Outlook; day: Day; sown: boolean; latDeg: number }>()
const emit = defineEmits<{ look: [day: Day] }>()
const context = useContextStore()
const { text } = useUnits()
const at = (day: Day) => props.outlook.sowing[indexOf(props.outlook, day)]
const chosen = computed(() => at(props.day))
/** Too cold to sprout, cold enough to lie: another plan, with its own count. */
const lies = computed(() => {
  const good = chosen.value?.dormantGood ?? null
  return good === null ? null : chanceOf(good / props.outlook.years, props.outlook.years)
})
const last = computed(() => addDays(props.outlook.first, props.outlook.sowing.length - 1))

const verdict = computed(() => {
  const day = longDay(props.day)
  const here = lies.value ?? chosen.value?.chance
  if (!here)
    return props.sown ? `Sown ${day}.` : `${day} is too far ahead. Odds go to ${shortDay(last.value, context.today)}.`
  const what = `a good stand in ${of100Words(here)} years`
  if (lies.value) return `Dormant sowing${props.sown ? ', down since' : ''} ${day}: ${what}, in spring.`
  return `${props.sown ? 'Sown' : 'Sow'} ${day}: ${what}.`
})
const counted = computed(() => {
  const here = lies.value ?? chosen.value?.chance
  if (!here) return ''
  const { years, ownYears } = props.outlook
  return `Between ${here.low} and ${here.high}, counted over ${years} ${ownYears ? 'years on record' : 'simulated years'}.`
})
const because = computed(() => {
  const here = chosen.value
  if (!here || lies.value !== null) return ''
  const tell = (lead: string, day: Day) => {
    const odds = at(day)
    const difference = compareDays(props.outlook, indexOf(props.outlook, day), indexOf(props.outlook, props.day))
    if (!odds || !difference) return ''
    if (!difference.real) return `${lead}: no real difference.`
    if (difference.of100 >= 0) return `${lead}: ${difference.of100} more.`
    // The cause that takes the most years more than on the day chosen.
    const more = (code: (typeof CAUSES)[number]['code']) => odds.causes[code] - here.causes[code]
    const worse = CAUSES.reduce((most, cause) => (more(cause.code) > more(most.code) ? cause : most))
    return `${lead}: ${-difference.of100} fewer, mostly ${worse.lost}.`
  }
  return [
    props.day > addDays(context.today, 7) ? tell('A week sooner', addDays(props.day, -7)) : '',
    tell('A week later', addDays(props.day, 7)),
  ]
    .filter(Boolean)
    .join(' ')
})
/** The other windows, and seasons that have none with what is best of them. */
const others = computed(() => {
  const { windows, best, today } = props.outlook
  const told = windows
    .filter(({ from, to }) => props.day < from || props.day > to)
    .map((window) => ({ name: windowName(window, today), day: window.best, chance: window.chance }))
  const without = best
    .filter(({ season, chance }) => chance.of100 >= 10 && !windows.some((window) => window.season === season))
    .map(({ season, day, chance }) => ({ name: `${SEASON_NAMES[season]}, no window, at best`, day, chance }))
  return [...told, ...without].filter(({ day }) => day !== props.day)
})
const WEEDS = computed(() => ({
  crabgrass: `Crabgrass germinates with it, from ${text(figure('tempC', 13, 2))} of rising soil on; what keeps it down mostly keeps seed down too.`,
  'annual bluegrass': `Annual bluegrass germinates with it as the soil falls below ${text(figure('tempC', 21, 2))}.`,
}))
const weeds = computed(() =>
  lies.value === null ? (chosen.value?.weeds ?? []).map((weed) => WEEDS.value[weed]).join(' ') : '',
)
/** Told where it is worth a thought: a stand in a tenth of the years. @source own */
const dormant = computed(() => {
  const run = props.outlook.dormant
  return props.sown || lies.value !== null || !run || run.chance.of100 < 10 ? null : run
})
</script>

<template>
  <div class="said">
    <p class="verdict">{{ verdict }}</p>
    <p v-if="counted" class="small">{{ counted }} {{ because }}</p>
    <p v-if="lies !== null" class="caution">
      Seed lies until the soil warms: 30 to 50% of it is lost by then (handbook value), so a third more to twice as much
      is sown. It comes up late and is young in summer.
    </p>
    <p v-if="!sown && weeds" class="small">{{ weeds }}</p>
    <ul v-if="!sown && (others.length || dormant)" class="small others">
      <li v-for="other in others" :key="other.day">
        {{ other.name }}:
        <button type="button" class="opens" @click="emit('look', other.day)">
          {{ shortDay(other.day, context.today) }}</button>, {{ of100Words(other.chance) }}
      </li>
      <li v-if="dormant">
        Dormant sowing, to lie until spring:
        <button type="button" class="opens" @click="emit('look', dormant.best)">
          {{ shortDay(dormant.best, context.today) }}</button>, {{ of100Words(dormant.chance) }}
      </li>
    </ul>
    <p v-if="!sown && !outlook.windows.length" class="small">
      No day of the next 18 months makes a good stand in half of the years. Another grass, a cover or more water may
      change that: see <i>What if</i> below.
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
.others li {
  line-height: 1.6;
}
</style>
