<script setup lang="ts">
import type { NewSeen } from '#contract/seen'
import { GERMINATION_CAUSES, type GerminationCause } from '#core/learning/cause'
import type { PointM } from '#core/site/geometry'
import type { Feature } from '#core/site/sitePlan'
import type { ThinSpot } from '#core/job/thinSpots'
import { causeName } from '~/utils/watchWords'

/** Ground that stays thin, walked round: where, how much, how thin, and what it is taken to come from. */
const props = defineProps<{
  zones: { id: string; name: string }[]
  features: Readonly<Record<string, Feature>>
  spots: readonly ThinSpot[]
  /** What the counts of a zone point to. */
  likely: Readonly<Record<string, GerminationCause | undefined>>
  busy: boolean
}>()
const emit = defineEmits<{ save: [seen: NewSeen]; cancel: [] }>()
const { parseArea } = useUnits()
const { zoneId, errors, noted } = useSeenForm(props.zones)
const typed = ref('')
/** Bare, half there, or somewhat thin. */
const MISSING = [
  { value: 1, name: t('watch.spotBare') },
  { value: 0.5, name: t('watch.spotHalf') },
  { value: 0.3, name: t('watch.spotThin') },
]
const missing = ref<number | null>(1)
const cause = ref<GerminationCause>(props.likely[zoneId.value] ?? 'unknown')
const at = ref<PointM | null>(null)
const CAUSES = GERMINATION_CAUSES.map((value) => ({ value, label: causeName(value) }))
const isDrawn = computed(() => Object.values(props.features).some(({ kind }) => kind === 'zone'))
watch(zoneId, (zone) => {
  cause.value = props.likely[zone] ?? cause.value
})
function save(): void {
  const areaM2 = parseArea(typed.value)
  const spot = { areaM2: orZero(areaM2), missingShare: missing.value, cause: cause.value, at: at.value }
  const seen = noted('spot', spot, { areaM2 })
  if (seen) emit('save', seen)
}
</script>

<template>
  <SeenForm
    v-model:zone-id="zoneId"
    class="spot"
    :zones="zones"
    :busy="busy"
    :save="t('watch.saveSpot')"
    @submit="save"
    @cancel="emit('cancel')"
  >
    <UFormField :label="t('watch.spotArea')" :help="t('watch.spotAreaHelp')" :error="errors.areaM2"
      ><UInput v-model="typed" maxlength="60"
    /></UFormField>
    <PickOne v-model="missing" :label="t('watch.spotHow')" :choices="MISSING" needed />
    <UFormField :label="t('watch.spotCause')"
      ><USelect v-model="cause" :items="CAUSES" :aria-label="t('watch.spotCause')"
    /></UFormField>
    <div v-if="isDrawn">
      <p class="small">{{ t('watch.planPick') }}</p>
      <WatchPlan v-model:at="at" :features :spots picking />
    </div>
  </SeenForm>
</template>
