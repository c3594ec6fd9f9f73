<script setup lang="ts">
import { addDays, type Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import { compareDays } from '#core/establishment/compare'
import { indexOf, type Outlook } from '#core/establishment/outlook'
import { chanceOf } from '#core/establishment/window'
import { lastingGate } from '#core/establishment/lasting'
import { grassByCode } from '#core/grass/grasses'
import { mainOf, type Blend } from '#core/seed/blends'
import { CAUSES } from '~/utils/causeWords'
import { of100Words, seasonName, windowName } from '~/utils/seasonWords'

/**
 * The odds of a day in a sentence or two: how many years stand, what a week sooner or later costs, the other seasons, and
 * lying until spring.
 */
const props = defineProps<{ outlook: Outlook; day: Day; sown: boolean; seed: Blend; irrigated: boolean }>()
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
    return props.sown
      ? t('sowingDay.sown', { day })
      : t('sowingDay.isTooFarAhead', { day, last: shortDay(last.value, context.today) })
  const what = t('sowingDay.aGoodStandInYears', { here: of100Words(here) })
  if (lies.value) return t('sowingDay.dormantSowingDownSince', { hasSown: Boolean(props.sown), day, what })
  return t('sowingDay.sownSow', { hasSown: Boolean(props.sown), day, what })
})
const counted = computed(() => {
  const here = lies.value ?? chosen.value?.chance
  if (!here) return ''
  const { years, ownYears } = props.outlook
  const range = t('sowingDay.betweenAndCountedOver', {
    low: here.low,
    high: here.high,
    years,
    hasOwnYears: Boolean(ownYears),
  })
  return lies.value ? range : `${range} ${t('sowingDay.meanStand', { share: chosen.value!.share })}`
})
const because = computed(() => {
  const here = chosen.value
  if (!here || lies.value !== null) return ''
  const tell = (lead: string, day: Day) => {
    const odds = at(day)
    const difference = compareDays(props.outlook, indexOf(props.outlook, day), indexOf(props.outlook, props.day))
    if (!odds || !difference) return ''
    if (!difference.real) return t('sowingDay.noRealDifference', { lead })
    if (difference.of100 >= 0) return t('sowingDay.more2', { lead, of100: difference.of100 })
    // The cause that takes the most years more than on the day chosen.
    const more = (code: (typeof CAUSES)[number]['code']) => odds.causes[code] - here.causes[code]
    const worse = CAUSES.reduce((most, cause) => (more(cause.code) > more(most.code) ? cause : most))
    return t('sowingDay.fewerMostly', { lead, of100: -difference.of100, lost: t(worse.lost) })
  }
  return [
    props.day > addDays(context.today, 7) ? tell(t('sowingDay.aWeekSooner'), addDays(props.day, -7)) : '',
    tell(t('sowingDay.aWeekLater'), addDays(props.day, 7)),
  ]
    .filter(Boolean)
    .join(' ')
})
/** Whether what is sown will live here, apart from its odds. */
const lasting = computed(() => {
  const { lasting: years } = props.outlook
  return years && props.seed.length ? lastingGate(grassByCode(mainOf(props.seed)), years, props.irrigated) : undefined
})
/** The other windows, and seasons that have none with what is best of them. */
const others = computed(() => {
  const { windows, best, today } = props.outlook
  const told = windows
    .filter(({ from, to }) => props.day < from || props.day > to)
    .map((window) => ({ name: windowName(window, today), day: window.best, chance: window.chance }))
  const without = best
    .filter(({ season, chance }) => chance.of100 >= 10 && !windows.some((window) => window.season === season))
    .map(({ season, day, chance }) => ({
      name: t('sowingDay.noWindowAtBest', { season: seasonName(season) }),
      day,
      chance,
    }))
  return [...told, ...without].filter(({ day }) => day !== props.day)
})
const WEEDS = computed(() => ({
  crabgrass: t('sowingDay.crabgrassGerminatesWithIt', { value: text(figure('tempC', 13, 2)) }),
  'annual bluegrass': t('sowingDay.annualBluegrassGerminatesWith', { value: text(figure('tempC', 21, 2)) }),
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
      {{ t('sowingDay.seedLiesUntilThe') }}
    </p>
    <p v-if="!sown && weeds" class="small">{{ weeds }}</p>
    <ul v-if="!sown && (others.length || dormant)" class="small others">
      <li v-for="other in others" :key="other.day">
        {{ other.name }}:
        <button type="button" class="opens" @click="emit('look', other.day)">
          {{ shortDay(other.day, context.today) }}</button>, {{ of100Words(other.chance) }}
      </li>
      <li v-if="dormant">
        {{ t('sowingDay.dormantSowingToLie') }}
        <button type="button" class="opens" @click="emit('look', dormant.best)">
          {{ shortDay(dormant.best, context.today) }}</button>, {{ of100Words(dormant.chance) }}
      </li>
    </ul>
    <p v-if="!sown && !outlook.windows.length" class="small">
      {{ t('sowingDay.noDayOfThe') }} <i>{{ t('sowingDay.whatIf') }}</i> {{ t('sowingDay.below') }}
    </p>
    <p v-if="!sown && lasting" class="small">
      {{ tell(lasting.text) }} <i>{{ t('sowingDay.whatIf') }}</i> {{ t('sowingDay.belowHasTheOdds') }}
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
