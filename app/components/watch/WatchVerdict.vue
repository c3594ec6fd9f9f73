<script setup lang="ts">
import { isPlanned, planReseeding, reseedingOf } from '#core/job/reseeding'
import type { Watch, ZoneWatch } from '#core/job/watch'
import type { Work } from '#contract/work'
import type { WateringProgramme } from '#core/water/programme'
import { hourWords } from '~/utils/hourWords'
import { runWords } from '~/utils/runWords'
import { actionWords, causeOfZone, GLYPH, standOf, verdictWords, zoneSays } from '~/utils/watchWords'

/** What the counts say, why, and what to do about it; what is to be sown again goes into the plan by one press. */
const props = defineProps<{ watched: Watch; watering: WateringProgramme | undefined; work: Work; busy: boolean }>()
const emit = defineEmits<{ plan: [change: Partial<Work>] }>()
const context = useContextStore()
const { system } = useUnits()
const reseeding = computed(() => reseedingOf(props.watched))
const planned = computed(() => reseeding.value !== undefined && isPlanned(props.work, reseeding.value))
function put(): void {
  if (reseeding.value) emit('plan', planReseeding(props.work, reseeding.value) as Partial<Work>)
}
/** When and how long what waters a zone is to run, as Water has it. */
function howToWater({ id }: ZoneWatch): string {
  const log = props.watched.logs.find(({ zoneId }) => zoneId === id) ?? props.watched.logs.find(({ zoneId }) => !zoneId)
  const wet = props.watering?.phases[0]?.zones.find((zone) => zone.id === log?.id)
  if (!wet?.run || !wet.cycles.length) return t('watch.actWater')
  return t('watch.actWaterHow', {
    hours: wet.cycles.map(({ hour }) => hourWords(hour)).join(', '),
    minutes: runWords(wet.run),
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
        <p>{{ zoneSays(zone, watched.sownOn, context.today).join(' ') }}</p>
        <p v-for="cause in zone.causes.slice(0, 2)" :key="cause">{{ causeOfZone(zone, cause) }}</p>
        <ul>
          <li v-for="action in zone.actions" :key="action.code">
            <b>{{ action.code === 'water' ? howToWater(zone) : actionWords(action, context.today, system) }}</b>
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
    <p v-if="planned" class="small">{{ t('watch.inPlan', { day: shortDay(reseeding!.on, context.today) }) }}</p>
    <UButton v-else-if="reseeding" color="primary" class="justify-self-start" :loading="busy" @click="put">{{
      t('watch.putInPlan', { day: shortDay(reseeding.on, context.today) })
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
