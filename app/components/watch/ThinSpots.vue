<script setup lang="ts">
import type { Feature } from '#core/site/sitePlan'
import { figure } from '#core/measure/figure'
import type { ZoneWatch } from '#core/job/watch'
import { causeName } from '~/utils/watchWords'

/** Thin spots of all zones on the plan, with their ground, what each takes, and why. */
const props = defineProps<{ zones: readonly ZoneWatch[]; features: Readonly<Record<string, Feature>> }>()
const context = useContextStore()
const { text } = useUnits()
const rows = computed(() => props.zones.flatMap(({ name, spots }) => spots.map((spot) => ({ zone: name, ...spot }))))
</script>

<template>
  <section v-if="rows.length">
    <h2>{{ t('watch.spots') }}</h2>
    <div class="both">
      <WatchPlan :features :spots="rows" />
      <table class="ledger" :aria-label="t('watch.spots')">
        <thead>
          <tr>
            <th scope="col">{{ t('watch.zone') }}</th>
            <th scope="col">{{ t('watch.spotSeen') }}</th>
            <th scope="col" class="right">{{ t('watch.spotGround') }}</th>
            <th scope="col" class="right">{{ t('watch.spotSeed') }}</th>
            <th scope="col">{{ t('watch.spotCause') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in rows" :key="i">
            <td>{{ row.zone }}</td>
            <td>{{ shortDay(row.seenOn, context.today) }}</td>
            <td class="right num">{{ text(figure('areaM2', row.areaM2)) }}</td>
            <td class="right num">{{ text(figure('smallMassKg', row.massKg)) }}</td>
            <td>{{ causeName(row.cause) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.both {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: start;
}
.both > * {
  flex: 1 1 240px;
  min-width: 0;
}
</style>
