<script setup lang="ts">
import { blendWords } from '#core/seed/blends'
import { figure } from '#core/measure/figure'
import type { Gate } from '#core/explain/judgement'

/** Seed of the largest part: amount, label of the lot, bags. */
const { form, errors, load } = useBring()
const { text, shown, other } = useUnits()
const { settings, seed, sown, errorShare, usual, others } = load

const OLD_LOT: Gate = {
  state: 'risk',
  text: ['germination under 85%: an old lot, or a poor one'],
  source: { kind: 'trade', text: 'good lot' },
}
const enough = computed(() => {
  const { density, crowded } = load
  const stand = load.enough.value.map((n) => text(figure('seedsPerCm2', n)).split(' ')[0]).join(' to ')
  return {
    state: crowded.value ? ('risk' as const) : ('met' as const),
    text: [
      figure('seedsPerCm2', density.value),
      ` of live seed; ${stand} make a full new stand`,
      crowded.value ? ', and more than twice that only competes' : '',
    ],
  }
})
const error = computed(() =>
  errorShare.value
    ? `area good to ±${Math.round(errorShare.value * 100)}%: ±${text(figure('massKg', seed.value.product.value * errorShare.value, 2))}`
    : '',
)
</script>

<template>
  <LoadCard title="Seed">
    <template #stub>
      <span class="hero">
        <WorkedNumber :worked="seed.product" bare /> <i class="unit">{{ shown(seed.product.working.result).unit }}</i>
      </span>
      <span class="small">
        {{ other(seed.product.working.result) }}, {{ blendWords(sown) }}<br />
        {{ text(seed.productRate.working.result) }} of product<br />
        two passes of <WorkedNumber :worked="seed.pass" />
        <template v-if="error"><br />{{ error }}</template>
      </span>
    </template>
    <UFormField label="Live seed" name="rate" :error="errors.rate">
      <UInput id="field-rate" v-model="form.rate" />
    </UFormField>
    <UFormField label="Purity on the label" name="purity" :error="errors.purity">
      <UInput id="field-purity" v-model="form.purity" />
    </UFormField>
    <UFormField label="Germination" name="germination" :error="errors.germination">
      <UInput id="field-germination" v-model="form.germination" />
    </UFormField>
    <UFormField label="Coating" name="coating" :error="errors.coating">
      <UInput id="field-coating" v-model="form.coating" />
    </UFormField>
    <UCheckbox
      v-model="form.purityOfBareSeed"
      class="wide"
      label="The label states purity of the bare seed, so the coating comes on top"
    />
    <div class="wide">
      <GateLine v-if="settings.lot.germinationShare < 0.85" :gate="OLD_LOT" />
      <GateLine :gate="enough" />
      <span class="small">Usual for overseeding: <WorkedNumber :worked="usual" />.</span>
      <p v-for="{ part, need } in others" :key="part.zones.join()" class="small">
        <b>{{ part.zones.join(', ') }}:</b> <WorkedNumber :worked="need.product" /> of
        {{ blendWords(part.seed) }} besides, at its usual rate and this label.
      </p>
    </div>
    <template #load><LoadBags /></template>
  </LoadCard>
</template>
