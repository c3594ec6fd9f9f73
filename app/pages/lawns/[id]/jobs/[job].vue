<script setup lang="ts">
import type { EndedJob } from '#contract/keptJob'
import { problemOf, type Problem } from '~/utils/api'

/** A job that has ended, as it was. */
const route = useRoute()
const id = String(route.params.id)
const jobId = String(route.params.job)
const store = useLawnsStore()
const { lawn } = useLawn()
const { busy, message, send } = useSend()
const problem = ref<Problem>()
const { data: record } = await useAsyncData(`record-${jobId}`, async () => {
  try {
    return await $fetch<EndedJob>(`/api/lawns/${id}/jobs/${jobId}/record`)
  } catch (error) {
    problem.value = problemOf(error)
    return null
  }
})
async function reopen(): Promise<void> {
  if (await send(() => store.reopenJob(id, jobId))) await navigateTo({ path: `/lawns/${id}/do`, query: { job: jobId } })
}
</script>

<template>
  <div>
    <p v-if="problem" class="problem" role="alert">
      {{ problem.message }} <NuxtLink :to="`/lawns/${id}/jobs`" class="opens">{{ t('job.allJobsOfThis') }}</NuxtLink>
    </p>
    <template v-if="record">
      <JobRecord :record="record" />
      <details v-if="record.kept.inspection && lawn" class="paper">
        <summary>{{ t('inspection.titleOf') }}</summary>
        <InspectionPaper
          :inspection="record.kept.inspection"
          :lawn="lawn"
          :job-id="jobId"
          :address="record.ground.address || record.ground.client"
        />
      </details>
      <JobPhotos :lawn-id="id" :job-id="jobId" :zones="record.ground.zones" />
      <PlanVersions :lawn-id="id" :job-id="jobId" :version="record.plan.version" ended />
      <p v-if="message" class="problem" role="alert">{{ message }}</p>
      <p class="actions">
        <NuxtLink :to="`/lawns/${id}/jobs`" class="opens">{{ t('job.allJobsOfThis') }}</NuxtLink>
        <UButton variant="outline" size="sm" :loading="busy" @click="reopen">{{ t('job.reopenThisJob') }}</UButton>
      </p>
    </template>
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-top: 10px;
}
@media print {
  .actions {
    display: none;
  }
}
</style>
