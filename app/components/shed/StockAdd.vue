<script setup lang="ts">
import { newStockSchema } from '#contract/stock'
import { feedMatter, MATTERS, STOCK_QUANTITY, type Matter, type StockKind } from '#core/materials/stock'
import { orZero } from '~/composables/useSend'

/** Something the shed holds and nobody has written down yet. */
const KINDS: { value: StockKind; name: string }[] = [
  { value: 'seed', name: t('shed.seed') },
  { value: 'feed', name: t('shed.feed') },
  { value: 'cover', name: t('shed.cover') },
  { value: 'soil', name: t('shed.soilSand') },
]
const context = useContextStore()
const stock = useStockStore()
const { parse, unit } = useUnits()
const { busy, message, errors, judged, send } = useSend()
const kind = ref<StockKind | null>('seed')
const listed = ref<Matter>(MATTERS.seed[0]!.matter)
const form = reactive({ analysis: '', name: '', amount: '' })
const quantity = computed(() => STOCK_QUANTITY[kind.value ?? 'seed'])
const choices = computed(() =>
  kind.value === 'feed' || !kind.value
    ? []
    : MATTERS[kind.value].map(({ matter, name }) => ({ label: tell(name), value: matter })),
)
watch(kind, () => {
  if (choices.value.length) listed.value = choices.value[0]!.value
})
let id = crypto.randomUUID()

async function add(): Promise<void> {
  const amount = parse(quantity.value, form.amount)
  const wanted = judged(
    newStockSchema,
    {
      id,
      matter: kind.value === 'feed' ? (feedMatter(form.analysis) ?? '') : listed.value,
      name: form.name,
      day: context.today,
      amount: orZero(amount),
    },
    { amount },
  )
  if (!wanted || !(await send(() => stock.add(wanted)))) return
  id = crypto.randomUUID()
  Object.assign(form, { analysis: '', name: '', amount: '' })
}
</script>

<template>
  <form class="panel add" novalidate :aria-label="t('shed.addToTheStock')" @submit.prevent="add">
    <h2>{{ t('shed.addToTheBook') }}</h2>
    <PickOne v-model="kind" :label="t('shed.kind')" :choices="KINDS" needed />
    <UFormField v-if="kind === 'feed'" :label="t('shed.analysis')" :error="errors.matter ?? false"
      ><UInput v-model="form.analysis" placeholder="18-24-12" maxlength="20" class="w-full"
    /></UFormField>
    <UFormField v-else :label="t('shed.whatItIs')" :error="errors.matter ?? false"
      ><USelect v-model="listed" :items="choices" :aria-label="t('shed.whatItIs')" class="w-full"
    /></UFormField>
    <UFormField :label="t('shed.nameLotOrBag')" :error="errors.name ?? false"
      ><UInput v-model="form.name" :placeholder="t('shed.lot26114')" maxlength="80" class="w-full"
    /></UFormField>
    <UFormField :label="t('shed.onHand', { quantity: unit(quantity) })" :error="errors.amount ?? false"
      ><UInput
        v-model="form.amount"
        :placeholder="quantity === 'massKg' ? t('shed.n50Lb') : t('shed.n2Yd3')"
        maxlength="20"
        class="w-full"
    /></UFormField>
    <UButton type="submit" color="primary" :loading="busy">{{ t('shed.save') }}</UButton>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </form>
</template>

<style scoped>
.add {
  padding: 14px 16px;
  display: grid;
  gap: 10px;
  justify-items: start;
  align-content: start;
}
.add > :not(button, h2) {
  width: 100%;
}
</style>
