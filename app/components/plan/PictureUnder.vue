<script setup lang="ts">
import { scaledBy, turnedTo, type Underlay } from '#core/site/underlay'
import type { PointM } from '#core/site/geometry'

/** What is done to the picture under the plan: scaled by a known length, moved, turned, taken away. */
const picture = defineModel<Underlay>({ required: true })
/** Two points that were clicked for a length, until it is typed. */
const line = defineModel<[PointM, PointM] | null>('line', { required: true })
defineProps<{ missing: boolean; doing: string | null }>()
const emit = defineEmits<{ draw: [what: 'scale' | 'move']; away: [] }>()
const { text, parse } = useUnits()
const typed = ref('')
const wrong = ref('')
const length = useTemplateRef<{ inputRef?: HTMLInputElement }>('length')
watch(line, async (between) => {
  wrong.value = ''
  typed.value = ''
  if (!between) return
  await nextTick()
  length.value?.inputRef?.focus()
})
function scale(): void {
  if (!line.value) return
  const parsed = parse('distanceM', typed.value)
  if (!parsed.ok) {
    wrong.value = parsed.message
    return
  }
  try {
    picture.value = scaledBy(picture.value, ...line.value, parsed.value)
    line.value = null
  } catch (error) {
    wrong.value = saidBy(error)
  }
}
function turn(event: Event): void {
  const degrees = Number((event.target as HTMLInputElement).value)
  if (Number.isFinite(degrees)) picture.value = turnedTo(picture.value, degrees)
}
const across = computed(
  () =>
    `${text({ quantity: 'distanceM', value: picture.value.widthPx * picture.value.mPerPx, digits: 3 })} × ${text({ quantity: 'distanceM', value: picture.value.heightPx * picture.value.mPerPx, digits: 3 })}`,
)
</script>

<template>
  <div class="under" role="group" :aria-label="t('plan.pictureUnderThePlan')">
    <b>{{ t('plan.pictureUnderThePlan') }}</b>
    <span v-if="missing" class="wrong">{{ t('plan.isGoneOrCannot') }}</span>
    <span v-else class="small">{{ across }}</span>
    <template v-if="line">
      <label class="length"
        >{{ t('plan.thatIs') }}
        <UInput
          id="known-length"
          ref="length"
          v-model="typed"
          size="sm"
          maxlength="40"
          :placeholder="t('plan.n40Ft')"
          :aria-label="t('plan.lengthBetweenTheTwo')"
          @keydown.enter.prevent="scale"
      /></label>
      <UButton size="sm" color="primary" @click="scale">{{ t('plan.scaleIt') }}</UButton>
      <UButton size="sm" variant="outline" @click="line = null">{{ t('plan.leaveIt') }}</UButton>
    </template>
    <template v-else>
      <UButton size="sm" variant="outline" :aria-pressed="doing === 'scale'" @click="emit('draw', 'scale')">{{
        t('plan.scaleByAKnown')
      }}</UButton>
      <UButton size="sm" variant="outline" :aria-pressed="doing === 'move'" @click="emit('draw', 'move')">{{
        t('plan.move')
      }}</UButton>
      <label
        >{{ t('plan.turn') }}
        <input
          class="field"
          type="number"
          min="-180"
          max="180"
          step="0.5"
          :value="Math.round(picture.turnDeg * 10) / 10"
          :aria-label="t('plan.turnedClockwiseDegrees')"
          @change="turn"
        />
        °</label
      >
    </template>
    <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
    <UButton size="sm" variant="outline" class="away" @click="emit('away')">{{ t('plan.takeItAway') }}</UButton>
  </div>
</template>

<style scoped>
.under {
  border: 1px solid var(--rule-2);
  border-top: 0;
  background: var(--lime);
  padding: 6px 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  font-size: 12.5px;
}
.length {
  display: flex;
  gap: 6px;
  align-items: center;
}
.length :deep(input) {
  width: 110px;
}
.field {
  border: 1.5px solid var(--ink);
  background: var(--lime);
  padding: 2px 6px;
  min-height: 28px;
  width: 66px;
}
.wrong {
  color: var(--clay);
  font-weight: 600;
}
.away {
  margin-left: auto;
}
@media (max-width: 700px) {
  .field {
    min-height: 44px;
  }
}
</style>
