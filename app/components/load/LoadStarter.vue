<script setup lang="ts">
import { figure } from '#core/measure/figure'

/** Starter fertilizer: amount, analysis, and what it gives. */
const { form, errors, load } = useBring()
const { text, shown, other, system } = useUnits()
const { settings, feed } = load

const rate = (gPerM2: number) => shown(figure('rateGPerM2', gPerM2)).value
const gives = computed(() =>
  feed.value
    ? [
        ['N', rate(settings.value.starterNGPerM2)],
        ['P₂O₅, as P', `${rate(feed.value.p2o5GPerM2)}, ${rate(feed.value.pGPerM2)}`],
        ['K₂O, as K', `${rate(feed.value.k2oGPerM2)}, ${rate(feed.value.kGPerM2)}`],
      ]
    : [],
)
</script>

<template>
  <LoadCard title="Starter">
    <template #stub>
      <span v-if="feed" class="hero">
        <WorkedNumber :worked="feed.product" bare /> <i class="unit">{{ shown(feed.product.working.result).unit }}</i>
      </span>
      <span v-if="feed" class="small">
        {{ other(feed.product.working.result) }} of {{ settings.starterAnalysis }}<br />
        {{ text(figure('rateGPerM2', feed.productRateGPerM2)) }}
      </span>
    </template>
    <UFormField label="Analysis, N-P-K" name="analysis" :error="errors.analysis">
      <UInput id="field-analysis" v-model="form.analysis" />
    </UFormField>
    <UFormField label="Nitrogen wanted" name="nitrogen" :error="errors.nitrogen">
      <UInput id="field-nitrogen" v-model="form.nitrogen" />
    </UFormField>
    <p class="wide caution">
      Phosphorus and potassium only where the soil test asks for them and local law allows. Sweep granules off paving
      and keep them from water.
    </p>
    <template v-if="feed" #load>
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">Gives</th>
            <th scope="col" class="right">{{ system === 'us' ? 'lb/1,000 ft²' : 'g/m²' }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[what, amount] in gives" :key="what">
            <td>{{ what }}</td>
            <td class="right num">{{ amount }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </LoadCard>
</template>
