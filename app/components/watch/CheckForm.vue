<script setup lang="ts">
import type { NewSeen } from '#contract/seen'

/** The bed at its driest hour, in the first days: moist or dry, washed, birds. One question after the other. */
const props = defineProps<{ zones: { id: string; name: string }[]; busy: boolean }>()
const emit = defineEmits<{ save: [seen: NewSeen]; cancel: [] }>()
const { zoneId, errors, noted } = useSeenForm(props.zones)
const moist = ref<boolean | null>(null)
const washed = ref(false)
const birds = ref(false)
const TOP = [
  { value: true, name: t('watch.moist') },
  { value: false, name: t('watch.dry') },
]
function save(): void {
  const seen = noted('check', { moist: moist.value, washed: washed.value, birds: birds.value })
  if (seen) emit('save', seen)
}
</script>

<template>
  <SeenForm
    v-model:zone-id="zoneId"
    class="check"
    :zones="zones"
    :busy="busy"
    :save="t('watch.saveCheck')"
    @submit="save"
    @cancel="emit('cancel')"
  >
    <p class="small">{{ t('watch.checkHelp') }}</p>
    <PickOne v-model="moist" :label="t('watch.checkTop')" :choices="TOP" />
    <p v-if="errors.moist" class="problem" role="alert">{{ errors.moist }}</p>
    <UCheckbox v-model="washed" :label="t('watch.washed')" />
    <UCheckbox v-model="birds" :label="t('watch.birds')" />
  </SeenForm>
</template>
