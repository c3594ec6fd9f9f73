<script setup lang="ts">
import { currentStep, stepsOf, tasksDone } from '~/utils/lawnState'
import { sownWords, stateWords, zoneWords } from '~/utils/jobWords'
import { programmeWords } from '~/utils/programmeWords'

/** All jobs of the lawn: those that are open, and the record of those that ended. */
const { id, lawn, missing, shown } = useLawn()
const context = useContextStore()
const store = useLawnsStore()
const route = useRoute()
/** The step an open job is at. */
const stepOf = (jobId: string) =>
  lawn.value?.job.id === jobId
    ? currentStep(
        stepsOf({
          ...lawn.value.plan,
          missing: missing.value.length,
          tasks: tasksDone(shown.value?.schedule),
          today: context.today,
          area: '',
          load: '',
          watering: null,
          sownDays: null,
        }),
      ).code
    : 'look'
async function ended(): Promise<void> {
  // The job in view has ended; what is open by now comes into view.
  if (route.query.job) await navigateTo({ query: {} })
  else await store.load(id)
}
</script>

<template>
  <div v-if="lawn" class="jobs">
    <table class="ledger" :aria-label="t('job.jobsOfThisLawn')">
      <thead>
        <tr>
          <th scope="col">{{ t('job.job3') }}</th>
          <th scope="col">{{ t('job.programme') }}</th>
          <th scope="col">{{ t('job.zones') }}</th>
          <th scope="col">{{ t('job.sowing') }}</th>
          <th scope="col">{{ t('job.state') }}</th>
          <th scope="col">
            <span class="sr-only">{{ t('job.open') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="job in lawn.jobs" :key="job.id" :class="{ here: job.id === lawn.job.id }">
          <td class="num">{{ job.number }}</td>
          <td>{{ programmeWords(job) }}</td>
          <td>{{ zoneWords(job, lawn) }}</td>
          <td>{{ sownWords(job, context.today) }}</td>
          <td>{{ stateWords(job, context.today) }}</td>
          <td class="right">
            <NuxtLink v-if="job.endedOn" :to="`/lawns/${id}/jobs/${job.id}`" class="opens">{{
              t('job.recordOfJob', { number: job.number })
            }}</NuxtLink>
            <NuxtLink v-else :to="{ path: `/lawns/${id}/${stepOf(job.id)}`, query: { job: job.id } }" class="opens">{{
              t('job.openJob', { number: job.number })
            }}</NuxtLink>
          </td>
        </tr>
      </tbody>
    </table>
    <section v-if="!lawn.job.endedOn" class="block" aria-labelledby="end-job">
      <h2 id="end-job">{{ t('job.job', { number: lawn.job.number }) }}</h2>
      <EndJob :key="lawn.job.id" :lawn="lawn" @ended="ended" />
    </section>
    <NextJob :key="lawn.jobs.length" :lawn="lawn" />
  </div>
</template>

<style scoped>
.jobs,
.block {
  display: grid;
  gap: 10px;
}
.here td {
  font-weight: 600;
}
@media (max-width: 900px) {
  .ledger {
    font-size: 13px;
  }
  .ledger th,
  .ledger td {
    padding: 8px 4px;
  }
}
</style>
