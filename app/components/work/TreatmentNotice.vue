<script setup lang="ts">
import type { Lawn } from '#contract/lawn'
import type { Task } from '#core/job/schedule/schedule'
import { figure } from '#core/measure/figure'

/** A sheet for the client and the garden gate where something is sprayed; on paper only. */
defineProps<{ lawn: Lawn; task: Task }>()
const context = useContextStore()
const { text } = useUnits()
</script>

<template>
  <section class="notice" :aria-label="t('work.treatmentNotice')">
    <p class="firm">
      {{ context.firm?.name
      }}<span v-for="licence in context.firm?.licences ?? []" :key="licence.number"
        >, {{ licence.what }} {{ licence.number }}</span
      >
    </p>
    <h1>{{ t('work.thisLawnIsTreated') }}</h1>
    <p class="day">{{ longDay(task.to) }}</p>
    <p>{{ lawn.client }}, {{ lawn.address }}. {{ tell(task.name) }}, {{ text(figure('areaM2', lawn.areaM2)) }}.</p>
    <table>
      <tbody>
        <tr>
          <th scope="row">{{ t('work.productAndRegistrationNumber') }}</th>
          <td />
        </tr>
        <tr>
          <th scope="row">{{ t('work.activeIngredient') }}</th>
          <td />
        </tr>
        <tr>
          <th scope="row">{{ t('work.rateAndAmount') }}</th>
          <td />
        </tr>
        <tr>
          <th scope="row">{{ t('work.sprayedByLicence') }}</th>
          <td />
        </tr>
        <tr>
          <th scope="row">{{ t('work.begunAndEndedAt') }}</th>
          <td />
        </tr>
        <tr>
          <th scope="row">{{ t('work.keepOffUntil') }}</th>
          <td />
        </tr>
        <tr>
          <th scope="row">{{ t('work.telephone') }}</th>
          <td />
        </tr>
      </tbody>
    </table>
    <p>
      <b>{{ t('work.peopleAndAnimalsStay') }}</b> {{ t('work.doNotMowOr') }}
    </p>
    <p>
      {{ t('work.theLabelOfThe') }}
    </p>
  </section>
</template>

<style scoped>
.notice {
  display: none;
}
@media print {
  .notice {
    display: block;
    color: #222;
    font-size: 13pt;
    line-height: 1.45;
  }
  .firm {
    font-size: 11pt;
    border-bottom: 1.5pt solid #222;
    padding-bottom: 4pt;
  }
  h1 {
    font-size: 34pt;
    margin: 14pt 0 2pt;
  }
  .day {
    font-size: 20pt;
    margin: 0 0 12pt;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    margin: 12pt 0;
  }
  th {
    text-align: left;
    width: 42%;
    font-weight: 600;
  }
  th,
  td {
    border-bottom: 0.75pt solid #222;
    padding: 9pt 0;
  }
}
</style>
