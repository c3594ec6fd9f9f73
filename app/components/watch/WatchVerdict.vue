<script setup lang="ts">
import { OPERATIONS } from '#core/job/operations/registry'
import type { Watch, WatchAction, ZoneWatch } from '#core/job/watch'
import type { Work } from '#contract/work'
import { actionWords, causeOfZone, GLYPH, standOf, verdictWords, zoneWords } from '~/utils/watchWords'

/** What the counts say, why, and what to do about it; what is to be sown again goes into the plan by one press. */
const props = defineProps<{ watched: Watch; work: Work; busy: boolean }>()
const emit = defineEmits<{ plan: [change: Partial<Work>] }>()
const context = useContextStore()
const { system } = useUnits()
const reseeding = OPERATIONS.find(({ reseeds }) => reseeds)!.code
type Reseed = Extract<WatchAction, { code: 'reseed' }>
const reseeds = computed(() =>
  props.watched.zones.flatMap(({ actions }) => actions.filter((one): one is Reseed => one.code === 'reseed')),
)
const day = computed(() => reseeds.value.map(({ on }) => on).find((on) => on !== null) ?? null)
/** All thin ground together, at the rate that its seed comes to. */
const thin = computed(() => {
  const areaM2 = reseeds.value.reduce((sum, one) => sum + one.areaM2, 0)
  const full = reseeds.value.reduce((sum, one) => sum + one.areaM2 * one.rateShare, 0)
  return areaM2 > 0 ? { areaM2, rateShare: full / areaM2 } : null
})
const planned = computed(
  () =>
    props.work.thin !== null &&
    thin.value !== null &&
    Math.abs(props.work.thin.areaM2 - thin.value.areaM2) < 0.1 &&
    props.work.pins[reseeding] === day.value,
)
function put(): void {
  if (!day.value || !thin.value) return
  const { [reseeding]: _skipped, ...skipped } = props.work.skipped
  emit('plan', {
    thin: thin.value,
    skipped,
    pins: { ...props.work.pins, [reseeding]: day.value },
    added: [...new Set([...props.work.added, reseeding])] as Work['added'],
  })
}
const glyph = (zone: ZoneWatch) => GLYPH[standOf(zone)]
</script>

<template>
  <section class="panel-open" aria-live="polite">
    <p class="verdict">{{ verdictWords(watched, context.today) }}</p>
    <div v-for="zone in watched.zones" :key="zone.id" class="zone">
      <GateGlyph :state="glyph(zone)" />
      <div>
        <p>{{ zoneWords(zone, watched.sownOn, context.today).join(' ') }}</p>
        <p v-for="cause in zone.causes.slice(0, 2)" :key="cause">{{ causeOfZone(zone, cause) }}</p>
        <ul>
          <li v-for="action in zone.actions" :key="action.code">
            <b>{{ actionWords(action, context.today, system) }}</b>
            <span v-if="action.code === 'reseed'" class="small">{{
              t('watch.actHow', { from: shortDay(action.from, context.today) })
            }}</span>
          </li>
        </ul>
      </div>
    </div>
    <p
      v-for="log in watched.logs.filter(({ tomorrow, missed }) => missed && tomorrow.unwatered !== null)"
      :key="log.id"
      class="caution"
    >
      {{ t('watch.driestAt', { zone: log.name, hour: hourWords(log.tomorrow.unwatered!) }) }}
    </p>
    <p v-if="planned" class="small">{{ t('watch.inPlan', { day: shortDay(day!, context.today) }) }}</p>
    <UButton v-else-if="day && thin" color="primary" class="justify-self-start" :loading="busy" @click="put">{{
      t('watch.putInPlan', { day: shortDay(day, context.today) })
    }}</UButton>
    <p class="small">{{ t('watch.safety') }}</p>
  </section>
</template>

<style scoped>
section {
  padding: 14px;
  display: grid;
  gap: 10px;
}
.zone {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
.zone p,
.zone li {
  margin-bottom: 4px;
}
.zone li .small {
  display: block;
}
</style>
