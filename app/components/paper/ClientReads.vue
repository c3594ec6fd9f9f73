<script setup lang="ts">
import type { ClientReads } from '#contract/firm'
import type { Lawn } from '#contract/lawn'
import { SHEET_LANGUAGES } from '#words/message'
import { unitItems } from '~/utils/unitWords'

/** In which language and units the client reads what is printed for them. */
const props = defineProps<{ lawn: Pick<Lawn, 'id' | 'clientReads'> }>()
const store = useLawnsStore()
const { busy, message, send } = useSend()
/** A choice that stands for none. */
const FIRM = 'firm'
const names = { 'en-US': t('firm.american'), 'en-GB': t('firm.british'), es: t('water.sheetInSpanish') }
const asTheFirm = { label: t('water.asTheFirm'), value: FIRM }
const LANGUAGES = [asTheFirm, ...SHEET_LANGUAGES.map((value) => ({ label: names[value], value }))]
const UNITS = [asTheFirm, ...unitItems()]
const change = (reads: Partial<ClientReads>) =>
  send(() => store.clientReads(props.lawn.id, { ...props.lawn.clientReads, ...reads }))
const orNone = <T extends string>(value: T): Exclude<T, typeof FIRM> | null =>
  value === FIRM ? null : (value as Exclude<T, typeof FIRM>)
const language = computed({
  get: () => props.lawn.clientReads.language ?? FIRM,
  set: (value) => void change({ language: orNone(value) }),
})
const units = computed({
  get: () => props.lawn.clientReads.units ?? FIRM,
  set: (value) => void change({ units: orNone(value) }),
})
</script>

<template>
  <div class="reads">
    <UFormField :label="t('water.clientReads')"
      ><USelect v-model="language" :items="LANGUAGES" :disabled="busy" :aria-label="t('water.clientReads')"
    /></UFormField>
    <UFormField :label="t('water.clientUnits')"
      ><USelect v-model="units" :items="UNITS" :disabled="busy" :aria-label="t('water.clientUnits')"
    /></UFormField>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </div>
</template>

<style scoped>
.reads {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
@media print {
  .reads {
    display: none;
  }
}
</style>
