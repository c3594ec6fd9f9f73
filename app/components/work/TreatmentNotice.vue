<script setup lang="ts">
import type { Lawn } from '#contract/lawn'
import type { Task } from '#core/job/schedule/schedule'
import { longDay } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'

/** A sheet for the client and the garden gate where something is sprayed; on paper only. */
defineProps<{ lawn: Lawn; task: Task }>()
const context = useContextStore()
const { text } = useUnits()
</script>

<template>
  <section class="notice" aria-label="Treatment notice">
    <p class="firm">
      {{ context.firm?.name
      }}<span v-for="licence in context.firm?.licences ?? []" :key="licence.number"
        >, {{ licence.what }} {{ licence.number }}</span
      >
    </p>
    <h1>This lawn is treated</h1>
    <p class="day">{{ longDay(task.to) }}</p>
    <p>{{ lawn.client }}, {{ lawn.address }}. {{ task.name }}, {{ text(figure('areaM2', lawn.areaM2)) }}.</p>
    <table>
      <tbody>
        <tr>
          <th scope="row">Product and registration number</th>
          <td />
        </tr>
        <tr>
          <th scope="row">Active ingredient</th>
          <td />
        </tr>
        <tr>
          <th scope="row">Rate and amount</th>
          <td />
        </tr>
        <tr>
          <th scope="row">Sprayed by, licence</th>
          <td />
        </tr>
        <tr>
          <th scope="row">Begun and ended at</th>
          <td />
        </tr>
        <tr>
          <th scope="row">Keep off until</th>
          <td />
        </tr>
        <tr>
          <th scope="row">Telephone</th>
          <td />
        </tr>
      </tbody>
    </table>
    <p>
      <b>People and animals stay off until it is dry, or as long as the label says where that is longer.</b> Do not mow
      or water it before then. Shoes stay outside. Toys, bowls and washing come in beforehand; windows on this side stay
      shut.
    </p>
    <p>
      The label of the product is the law and is shown on request. Local rules may ask for this notice to stay up
      longer: take it down on ____________.
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
