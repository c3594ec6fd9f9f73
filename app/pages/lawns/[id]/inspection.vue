<script setup lang="ts">
import { inspectionOf } from '#core/job/inspection'

/** The end of a job: before and now, what was told and what came, and what the lawn wants next. */
const { lawn, job, ground, plan, stepTo } = useLawn()
const context = useContextStore()
const sill = useSillStore()
const inspection = computed(() =>
  lawn.value && job.value && ground.value && plan.value
    ? inspectionOf(
        { job: job.value, lawn: ground.value, firm: context.firmRecord, plan: plan.value },
        lawn.value.job.promised,
      )
    : undefined,
)
const waits = computed(() => !plan.value?.glance && !sill.problem && !sill.lacks)
</script>

<template>
  <div v-if="lawn && waits" class="panel empty" role="status">{{ t('watch.workingOut') }}</div>
  <section v-else-if="lawn && !inspection" class="panel empty">
    <p>{{ t('inspection.gone') }}</p>
    <UButton variant="outline" :to="stepTo('do')">{{ t('watch.goToDo') }}</UButton>
  </section>
  <div v-else-if="lawn && inspection" class="page">
    <p v-if="inspection.stands.verdict === 'not seen'" class="caution">{{ t('inspection.measureFirst') }}</p>
    <InspectionPaper :inspection :lawn :job-id="lawn.job.id" :address="lawn.address || lawn.client" />
    <aside class="panel then">
      <p>{{ t('inspection.afterClose') }}</p>
      <UButton color="primary" :to="stepTo('jobs')">{{ t('inspection.toJobs') }}</UButton>
      <UButton variant="outline" :to="stepTo('watch')">{{ t('inspection.backToWatch') }}</UButton>
    </aside>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 860px) minmax(180px, 260px);
  gap: 16px;
  align-items: start;
}
.page > .caution {
  grid-column: 1 / -1;
}
.then {
  padding: 12px 14px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
@media (max-width: 900px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .then,
  .page > .caution {
    display: none;
  }
  .page {
    display: block;
  }
}
</style>
