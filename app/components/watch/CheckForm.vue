<script setup lang="ts">
import { seenSchema, type NewSeen } from '#contract/seen'

/** The bed at its driest hour, in the first days: moist or dry, washed, birds. One question after the other. */
const props = defineProps<{ zones: { id: string; name: string }[]; busy: boolean }>()
const emit = defineEmits<{ save: [seen: NewSeen]; cancel: [] }>()
const context = useContextStore()
const { judged, errors } = useSend()
/** Sent again after a lost answer, it is the same note. */
const id = crypto.randomUUID()
const zoneId = ref(props.zones[0]?.id ?? '')
const moist = ref<boolean | null>(null)
const washed = ref(false)
const birds = ref(false)
const TOP = [
  { value: true, name: t('watch.moist') },
  { value: false, name: t('watch.dry') },
]
function save(): void {
  const told = judged(
    seenSchema,
    {
      id,
      kind: 'check',
      seenOn: context.today,
      zoneId: zoneId.value,
      moist: moist.value,
      washed: washed.value,
      birds: birds.value,
    },
    {},
  )
  if (told) emit('save', told)
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
