<script setup lang="ts">
import { addDays, type Day } from '#core/measure/calendar'
import type { LeafStage } from '#core/learning/leafStage'
import type { Watch } from '#core/job/watch'
import { seenSchema, type NewSeen } from '#contract/seen'
import { leafStageName } from '~/utils/watchWords'

/** Stages of the seedlings' leaves with their days and what each allows; one press says what stands today. */
const props = defineProps<{
  stages: NonNullable<Watch['growth']>['stages']
  sownOn: Day
  /** Today, days after sowing. */
  day: number
  zoneId: string
  busy: boolean
}>()
const emit = defineEmits<{ save: [seen: NewSeen] }>()
const context = useContextStore()
const MEANS: Record<LeafStage, string> = {
  'one leaf': t('watch.leafOneMeans'),
  'second leaf': t('watch.leafSecondMeans'),
  'two to three leaves': t('watch.leafThreeMeans'),
  tillering: t('watch.leafTillerMeans'),
}
const now = computed(() => props.stages.findLast(({ day }) => day <= props.day)?.stage)
const isUp = computed(() => props.stages[0]!.day <= props.day + 7)
function save(stage: LeafStage): void {
  const told = seenSchema.safeParse({
    id: crypto.randomUUID(),
    kind: 'leaf',
    seenOn: context.today,
    zoneId: props.zoneId,
    stage,
  })
  if (told.success) emit('save', told.data)
}
</script>

<template>
  <section>
    <h2>{{ t('watch.leaves') }}</h2>
    <ol class="stages">
      <li v-for="{ stage, day: from } in stages" :key="stage" :class="{ now: stage === now }">
        <b>{{ leafStageName(stage) }}</b>
        <span class="num">{{ t('watch.leafFrom', { day: shortDay(addDays(sownOn, from), context.today) }) }}</span>
        <i class="small">{{ MEANS[stage] }}</i>
        <UButton
          v-if="isUp"
          size="sm"
          variant="outline"
          :disabled="busy"
          :aria-label="t('watch.leafSeen', { stage: leafStageName(stage) })"
          @click="save(stage)"
          >{{ t('watch.leafToday') }}</UButton
        >
      </li>
    </ol>
    <p class="small">{{ t('watch.leafHelp') }}</p>
  </section>
</template>

<style scoped>
.stages {
  margin-top: 6px;
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px;
}
.stages li {
  display: grid;
  grid-template-rows: auto auto 1fr auto;
  justify-items: start;
  gap: 4px;
  border: 1px solid var(--rule-2);
  background: var(--lime);
  padding: 8px 10px;
}
.stages i {
  font-style: normal;
}
.stages .now {
  border: 2px solid var(--ink);
  background: var(--color-straw-tint);
}
@media (max-width: 700px) {
  .stages {
    grid-template-columns: minmax(0, 1fr);
  }
  .stages button {
    min-height: 48px;
  }
}
</style>
