<script setup lang="ts">
import { figure } from '#core/measure/figure'

/** Sizes of bags that are to be had, and how many of each cover the seed. */
const context = useContextStore()
const { form, errors, load } = useBring()
const { text, system, parse } = useUnits()

const pick = computed(() => load.bags.value.pick)
const neededKg = computed(() => load.seed.value.product.value)
const needed = computed(() => text(load.seed.value.product.working.result))
const leftOver = computed(() => (pick.value ? text(figure('massKg', pick.value.leftOverKg)) : ''))
const cost = computed(() => {
  const minor = pick.value?.priceMinor ?? null
  return minor === null ? '' : `, ${text({ quantity: 'money', value: minor, currency: context.currency })}`
})

function addBag(): void {
  if (form.bags.length < 4) form.bags.push({ size: system.value === 'us' ? '10 lb' : '5 kg', price: '' })
}
const barWidth = (size: string) => {
  const parsed = parse('massKg', size)
  return parsed.ok ? parsed.value : 1
}
</script>

<template>
  <b>{{ t('load.bags') }}</b>
  <div v-for="(bag, i) in form.bags" :key="i" class="bag">
    <UFormField :name="`bag${i}`" :error="errors[`bags.${i}.massKg`]">
      <UInput :id="`field-bag${i}`" v-model="bag.size" :aria-label="t('load.bagSize', { i: i + 1 })" />
    </UFormField>
    <UFormField :name="`price${i}`" :error="errors[`bags.${i}.priceMinor`]">
      <UInput
        :id="`field-price${i}`"
        v-model="bag.price"
        :placeholder="t('load.price')"
        :readonly="!context.isOwner"
        :aria-label="t('load.priceOfBag', { i: i + 1 })"
      />
    </UFormField>
    <b class="num count" :aria-label="t('load.toLoad', { counts: pick?.counts[i] ?? 0 })"
      >× {{ pick?.counts[i] ?? 0 }}</b
    >
    <UButton
      v-if="form.bags.length > 1"
      variant="outline"
      size="xs"
      :aria-label="t('load.takeBagSizeOff', { i: i + 1 })"
      icon="i-lucide-x"
      @click="form.bags.splice(i, 1)"
    />
  </div>
  <UButton v-if="form.bags.length < 4" class="justify-self-start" variant="outline" size="sm" @click="addBag">
    {{ t('load.addASize') }}
  </UButton>
  <div v-if="pick" class="bar" role="img" :aria-label="t('load.usedLeftOver', { needed, leftOver })">
    <template v-for="(bag, i) in form.bags" :key="i">
      <i v-for="n in Math.min(6, pick.counts[i] ?? 0)" :key="n" :style="{ flexGrow: barWidth(bag.size) }" />
    </template>
    <u :style="{ width: `${(100 * neededKg) / pick.totalKg}%` }" />
  </div>
  <span v-if="pick" class="small">
    <b>{{ needed }}</b> {{ t('load.used') }} <b>{{ leftOver }}</b> {{ t('load.leftOver') }}<b>{{ cost }}</b
    >. {{ cost ? t('load.theCheapestThatCovers') : t('load.leastLeftOverWith') }}
  </span>
  <span v-else class="text-clay-500">{{ load.bags.value.problem }}</span>
  <span v-if="!context.isOwner" class="small">{{ t('load.pricesArePutIn') }}</span>
</template>

<style scoped>
.bag {
  display: grid;
  grid-template-columns: 1fr 1fr auto auto;
  gap: 8px;
  align-items: center;
}
.count {
  font-size: 16px;
  min-width: 34px;
}
.bar {
  position: relative;
  height: 26px;
  border: 2px solid var(--ink);
  display: flex;
  overflow: hidden;
}
.bar i {
  flex: 1;
  border-right: 2px solid var(--ink);
  z-index: 1;
}
.bar i:last-of-type {
  border: 0;
}
.bar u {
  position: absolute;
  inset: 2px auto 2px 2px;
  background: var(--moss);
}
</style>
