<script setup lang="ts">
import { blendWords } from '#core/seed/blends'
import { figure } from '#core/measure/figure'
import { say } from '#core/explain/message'
import type { Gate } from '#core/explain/judgement'

/** Seed of the largest part: amount, label of the lot, bags. */
const { form, errors, load } = useBring()
const { text, shown, other } = useUnits()
const { settings, seed, sown, errorShare, usual, others, labelAge: age } = load
const context = useContextStore()

const OLD_LOT: Gate = {
  state: 'risk',
  text: say('load.germinationUnder85An'),
  source: { kind: 'trade', text: say('load.goodLot') },
}
const enough = computed(() => {
  const { density, crowded } = load
  const stand = load.enough.value.seedsPerCm2.map((n) => text(figure('seedsPerCm2', n)).split(' ')[0]).join(' to ')
  return {
    state: crowded.value ? ('risk' as const) : ('met' as const),
    text: say('load.ofLiveSeedMake', {
      density: figure('seedsPerCm2', density.value),
      stand,
      open: figure('share', load.enough.value.openShare, 2),
      isOpen: load.enough.value.openShare < 1,
      crowded: crowded.value ? say('load.andMoreThanTwice') : '',
    }),
  }
})
const error = computed(() =>
  errorShare.value
    ? t('load.areaGoodTo', {
        errorShare: Math.round(errorShare.value * 100),
        product: text(figure('massKg', seed.value.product.value * errorShare.value, 2)),
      })
    : '',
)
</script>

<template>
  <LoadCard :title="t('load.seed')">
    <template #stub>
      <span class="hero">
        <WorkedNumber :worked="seed.product" bare /> <i class="unit">{{ shown(seed.product.working.result).unit }}</i>
      </span>
      <span class="small">
        {{ other(seed.product.working.result) }}, {{ tell(blendWords(sown)) }}<br />
        {{ t('load.ofProduct', { result: text(seed.productRate.working.result) }) }}<br />
        {{ t('load.twoPassesOf') }} <WorkedNumber :worked="seed.pass" />
        <template v-if="error"><br />{{ error }}</template>
      </span>
    </template>
    <UFormField :label="t('load.liveSeed')" name="rate" :error="errors.rate">
      <UInput id="field-rate" v-model="form.rate" />
    </UFormField>
    <UFormField :label="t('load.purityOnTheLabel')" name="purity" :error="errors.purity">
      <UInput id="field-purity" v-model="form.purity" />
    </UFormField>
    <UFormField :label="t('load.germination')" name="germination" :error="errors.germination">
      <UInput id="field-germination" v-model="form.germination" />
    </UFormField>
    <UFormField :label="t('load.coating')" name="coating" :error="errors.coating">
      <UInput id="field-coating" v-model="form.coating" />
    </UFormField>
    <UFormField :label="t('load.testedOn')" name="testedOn" :error="errors['lot.testedOn']">
      <UInput id="field-testedOn" v-model="form.testedOn" type="date" :max="context.today" />
    </UFormField>
    <UCheckbox v-model="form.purityOfBareSeed" class="wide" :label="t('load.theLabelStatesPurity')" />
    <div class="wide">
      <GateLine v-if="settings.lot.germinationShare < 0.85" :gate="OLD_LOT" />
      <GateLine v-if="age" :gate="age" />
      <GateLine :gate="enough" />
      <span class="small">{{ t('load.usualForOverseeding') }} <WorkedNumber :worked="usual" />.</span>
      <p v-for="{ part, need } in others" :key="part.zones.join()" class="small">
        <b>{{ part.zones.join(', ') }}:</b> <WorkedNumber :worked="need.product" />
        {{ t('load.ofBesidesAtIts', { seed: blendWords(part.seed) }) }}
      </p>
    </div>
    <template #load><LoadBags /></template>
  </LoadCard>
</template>
