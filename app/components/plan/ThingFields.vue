<script setup lang="ts">
import { FEATURE_KINDS, KIND_WORDS } from '#core/site/sitePlan'
import { sidesM } from '#core/site/geometry'

/** What is known of the thing that is chosen: name, height, sides by their lengths. */
const props = defineProps<{ id: string }>()
const emit = defineEmits<{ side: [side: number, metres: number]; remove: []; split: []; join: [other: string] }>()
const { draft } = useSurveyHere()
const { text, parse } = useUnits()
const thing = computed(() => draft.features[props.id]!)
const shape = computed(() => FEATURE_KINDS[thing.value.kind])
const sides = computed(() =>
  shape.value === 'area' && thing.value.points.length <= 12 ? sidesM(thing.value.points) : [],
)
const tall = computed(() => ['tree', 'building', 'fence'].includes(thing.value.kind))
const wide = computed(() => ['tree', 'head'].includes(thing.value.kind))
const others = computed(() =>
  Object.entries(draft.zones)
    .filter(([id]) => id !== thing.value.zoneId && Object.values(draft.features).some(({ zoneId }) => zoneId === id))
    .map(([value, { name }]) => ({ value, label: name })),
)
const wrong = ref('')
function setSide(i: number, typed: string): void {
  const parsed = parse('distanceM', typed)
  wrong.value = parsed.ok
    ? parsed.value > 0 && parsed.value < 500
      ? ''
      : t('plan.betweenNothingAnd1')
    : parsed.message
  if (!wrong.value && parsed.ok && Math.abs(parsed.value - sides.value[i]!) > 0.005) emit('side', i, parsed.value)
}
const value = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="thing" role="group" :aria-label="t('plan.theThatIsChosen', { kind: KIND_WORDS[thing.kind] })">
    <b>{{ capital(tell(KIND_WORDS[thing.kind])) }}</b>
    <label v-if="thing.kind !== 'zone'"
      >{{ t('plan.called') }}
      <input v-model="thing.name" class="field" size="10" maxlength="40" :aria-label="t('plan.nameOfIt')"
    /></label>
    <span v-else class="zone-name">{{ thing.zoneId ? draft.zones[thing.zoneId]?.name : '' }}</span>
    <span v-if="tall" class="measure"
      ><TypedInput
        v-model="thing.heightM"
        :label="t('plan.height')"
        quantity="distanceM"
        :path="`features.${id}.heightM`"
        :placeholder="t('plan.guessed')"
    /></span>
    <span v-if="wide" class="measure"
      ><TypedInput
        v-model="thing.radiusM"
        :label="thing.kind === 'tree' ? t('plan.crownHalfAcross') : t('plan.throw')"
        quantity="distanceM"
        :path="`features.${id}.radiusM`"
        :placeholder="t('plan.guessed')"
    /></span>
    <span v-if="thing.kind === 'hollow'" class="measure"
      ><TypedInput
        v-model="thing.depthMm"
        :label="t('plan.deepest')"
        quantity="depthMm"
        :path="`features.${id}.depthMm`"
    /></span>
    <UCheckbox v-if="thing.kind === 'buried'" v-model="thing.located" :label="t('plan.locatedAndMarked')" />
    <span v-if="sides.length" class="sides"
      ><span class="small">{{ t('plan.sides') }}</span
      ><input
        v-for="(metres, i) in sides"
        :key="`${i}-${metres.toFixed(3)}`"
        class="field"
        size="6"
        :value="text({ quantity: 'distanceM', value: metres })"
        :aria-label="t('plan.lengthOfSide', { i: i + 1 })"
        @change="setSide(i, value($event))"
        @keydown.enter.prevent="setSide(i, value($event))"
    /></span>
    <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
    <span class="verbs">
      <UButton v-if="thing.kind === 'zone'" size="sm" variant="outline" @click="emit('split')">{{
        t('plan.splitAlongALine')
      }}</UButton>
      <USelect
        v-if="thing.kind === 'zone' && others.length"
        :model-value="undefined"
        :items="others"
        size="sm"
        :placeholder="t('plan.joinWith')"
        :aria-label="t('plan.joinWithAnotherZone')"
        @update:model-value="(other) => emit('join', String(other))"
      />
      <UButton size="sm" variant="outline" @click="emit('remove')">{{ t('plan.takeItOut') }}</UButton>
    </span>
  </div>
</template>

<style scoped>
.thing {
  border: 1px solid var(--rule-2);
  border-top: 0;
  background: var(--straw-tint);
  padding: 6px 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: end;
  font-size: 12.5px;
}
.field {
  border: 1.5px solid var(--ink);
  background: var(--lime);
  padding: 2px 6px;
  min-height: 28px;
}
.measure {
  width: 116px;
}
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
}
.wrong {
  color: var(--clay);
  font-weight: 600;
}
.verbs {
  display: flex;
  gap: 6px;
  margin-left: auto;
  flex-wrap: wrap;
}
@media (max-width: 700px) {
  .field {
    min-height: 44px;
  }
}
</style>
