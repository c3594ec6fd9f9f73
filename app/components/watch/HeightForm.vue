<script setup lang="ts">
import type { NewSeen } from '#contract/seen'

/** Height of the seedlings' leaves as it was measured today. */
const props = defineProps<{ zones: { id: string; name: string }[]; busy: boolean }>()
const emit = defineEmits<{ save: [seen: NewSeen]; cancel: [] }>()
const { parse, unit } = useUnits()
const { zoneId, errors, noted } = useSeenForm(props.zones)
const typed = ref('')
function save(): void {
  const heightMm = parse('depthMm', typed.value)
  const seen = noted('height', { heightMm: orZero(heightMm) }, { heightMm })
  if (seen) emit('save', seen)
}
</script>

<template>
  <SeenForm
    v-model:zone-id="zoneId"
    class="height"
    :zones="zones"
    :busy="busy"
    :save="t('watch.saveHeight')"
    @submit="save"
    @cancel="emit('cancel')"
  >
    <UFormField :label="t('watch.heightField')" :help="unit('depthMm')" :error="errors.heightMm"
      ><UInput v-model="typed" maxlength="30" inputmode="decimal"
    /></UFormField>
  </SeenForm>
</template>
