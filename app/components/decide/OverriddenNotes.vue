<script setup lang="ts">
import type { Lawn } from '#contract/lawn'
import { PROGRAMMES } from '#core/job/decision/programmes'
import type { Day } from '#core/measure/calendar'

/** What was chosen against the rules, with the notes that say why. */
const props = defineProps<{ lawn: Lawn }>()
const context = useContextStore()

const notes = computed(() => {
  const { plan, zones } = props.lawn
  const whole = plan.overruleNote
    ? [{ what: plan.programme ? tell(PROGRAMMES[plan.programme].name) : t('decide.thePlan'), why: plan.overruleNote }]
    : []
  const ofZones = Object.entries(plan.zonePlans).flatMap(([zoneId, { programme, note: why }]) =>
    why && programme !== 'leave'
      ? [{ what: `${tell(PROGRAMMES[programme].name)}, ${zones[zoneId]?.name ?? t('decide.aZoneThatIs')}`, why }]
      : [],
  )
  return [...whole, ...ofZones]
})
const when = computed(() => {
  const { savedBy, savedAt } = props.lawn.plan
  const day = savedAt ? shortDay(savedAt.slice(0, 10) as Day, context.today) : ''
  return [savedBy, day].filter(Boolean).join(', ')
})
</script>

<template>
  <section v-if="notes.length">
    <h2>
      {{ t('decide.overridden') }} <span class="small">{{ when }}</span>
    </h2>
    <p v-for="one in notes" :key="one.what">
      <b>{{ one.what }}</b>: {{ t('decide.quoted', { why: one.why }) }}
    </p>
  </section>
</template>

<style scoped>
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
</style>
