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
const ZONES = computed(() => props.zones.map(({ id: value, name: label }) => ({ value, label })))
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
  <form class="panel-open height" @submit.prevent="save">
    <UFormField v-if="zones.length > 1" :label="t('watch.zone')"
      ><USelect v-model="zoneId" :items="ZONES" :aria-label="t('watch.zone')"
    /></UFormField>
    <UFormField :label="t('watch.heightField')" :help="unit('depthMm')" :error="errors.heightMm"
      ><UInput v-model="typed" maxlength="30" inputmode="decimal"
    /></UFormField>
    <div class="actions">
      <UButton color="primary" type="submit" :loading="busy">{{ t('watch.saveHeight') }}</UButton>
      <UButton variant="ghost" @click="emit('cancel')">{{ t('watch.cancel') }}</UButton>
    </div>
  </form>
</template>

<style scoped>
.height {
  padding: 14px;
  display: grid;
  gap: 10px;
}
.actions {
  display: flex;
  gap: 10px;
}
</style>
