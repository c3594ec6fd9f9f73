<script setup lang="ts">
import { readTaped, SHAPE_EXAMPLES } from '#core/site/typedArea'
import { ERROR_SHARES } from '#core/site/zone'

/** Area of a zone: one figure, taped shapes drawn as typed, or what is drawn on the plan. */
const props = defineProps<{ id: string }>()
const { draft, errors, unread, measured } = useSurveyHere()
const { text, parseArea, system } = useUnits()
const zone = computed(() => draft.zones[props.id]!)
const drawn = computed(() => Object.values(draft.features).some(({ zoneId }) => zoneId === props.id))
const path = `zones.${props.id}.tapedM2`
const typed = ref(
  zone.value.areaTyped ||
    (zone.value.tapedM2 === null ? '' : text({ quantity: 'areaM2', value: zone.value.tapedM2, digits: 5 })),
)
const taped = computed(() => readTaped(typed.value, system.value))
const wrong = ref('')
function read(): void {
  const parsed = parseArea(typed.value)
  wrong.value = !typed.value.trim() || parsed.ok ? '' : parsed.message
  if (wrong.value) unread.set(path, wrong.value)
  else unread.delete(path)
  if (!typed.value.trim()) zone.value.tapedM2 = null
  if (parsed.ok && typed.value.trim()) {
    zone.value.tapedM2 = parsed.value
    zone.value.areaTyped = typed.value.trim()
  }
}
onUnmounted(() => unread.delete(path))
const offsets = computed(() =>
  taped.value?.ok ? taped.value.parts.flatMap(({ shape }) => (shape.kind === 'offsets' ? [shape] : [])) : [],
)
const inForce = computed(() => measured.value[props.id]?.areaM2 ?? null)
const help = computed(() => {
  const parsed = parseArea(typed.value)
  if (!typed.value.trim() || !parsed.ok) return undefined
  return t('look.readAs', {
    area: text({ quantity: 'areaM2', value: parsed.value }),
    rule: offsets.value.map(({ sidesM }) => (sidesM.length % 2 ? t('look.bySimpson') : t('look.byTrapezoids')))[0],
  })
})
function example(kind: keyof typeof SHAPE_EXAMPLES): void {
  typed.value = typed.value.trim() ? `${typed.value.trim()} + ${SHAPE_EXAMPLES[kind]}` : SHAPE_EXAMPLES[kind]
  read()
}
const METHODS = [
  ['taped', ERROR_SHARES.tape],
  ['paced', ERROR_SHARES.paced],
  ['drawn', ERROR_SHARES.drawn],
  [t('look.walkedWithATrack'), ERROR_SHARES.walked],
] as const
</script>

<template>
  <div class="area">
    <UFormField :label="t('look.area')" :name="path" :error="wrong || errors[path]" :help="help">
      <UInput v-model="typed" maxlength="200" :placeholder="t('look.n6590SqFt')" @update:model-value="read" />
    </UFormField>
    <div class="shapes small">
      <span>{{ t('look.tapedAsA') }}</span><button
        v-for="(_, kind) in SHAPE_EXAMPLES"
        :key="kind"
        type="button"
        class="opens"
        :title="SHAPE_EXAMPLES[kind]"
        @click="example(kind)"
      >
        {{ kind }}
      </button>
    </div>
    <TapedFigure v-if="taped?.ok" :parts="taped.parts" />
    <div v-if="drawn" class="pick">
      <PickOne
        v-model="zone.areaFrom"
        :label="t('look.counts')"
        :choices="[
          { value: 'drawn', name: t('look.asDrawn') },
          { value: 'taped', name: t('look.asTaped') },
        ]"
        needed
      />
      <span class="small"
        >{{ t('look.inForce') }}
        <b>{{ inForce === null ? t('look.none') : text({ quantity: 'areaM2', value: inForce }) }}</b></span
      >
    </div>
    <UFormField
      :label="t('look.measuringMayBeOut')"
      :name="`zones.${id}.errorShare`"
      :error="errors[`zones.${id}.errorShare`]"
      :help="METHODS.map(([how, share]) => `${how} ${share * 100}%`).join(', ') + t('look.isUsual')"
    >
      <UInput
        :model-value="String(Math.round(zone.errorShare * 1000) / 10)"
        inputmode="decimal"
        @update:model-value="
          (v) => {
            const n = Number(v)
            if (v !== '' && Number.isFinite(n)) zone.errorShare = n / 100
          }
        "
      />
    </UFormField>
  </div>
</template>

<style scoped>
.area {
  display: grid;
  gap: 8px;
}
.shapes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
}
.pick {
  display: flex;
  gap: 12px;
  align-items: end;
  flex-wrap: wrap;
}
@media (max-width: 700px) {
  .shapes .opens {
    min-height: 40px;
  }
}
</style>
