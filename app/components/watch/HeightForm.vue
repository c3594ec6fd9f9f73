<script setup lang="ts">
import { seenSchema, type NewSeen } from '#contract/seen'

/** Height of the seedlings' leaves as it was measured today. */
const props = defineProps<{ zones: { id: string; name: string }[]; busy: boolean }>()
const emit = defineEmits<{ save: [seen: NewSeen]; cancel: [] }>()
const context = useContextStore()
const { parse, unit } = useUnits()
const { judged, errors } = useSend()
/** Sent again after a lost answer, it is the same note. */
const id = crypto.randomUUID()
const zoneId = ref(props.zones[0]?.id ?? '')
const typed = ref('')
function save(): void {
  const heightMm = parse('depthMm', typed.value)
  const told = judged(
    seenSchema,
    { id, kind: 'height', seenOn: context.today, zoneId: zoneId.value, heightMm: orZero(heightMm) },
    { heightMm },
  )
  if (told) emit('save', told)
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
