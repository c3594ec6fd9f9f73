<script setup lang="ts">
import { FEATURE_CODES, FEATURE_KINDS, KIND_WORDS, type FeatureKind } from '#core/site/sitePlan'
import { coveredM2 } from '#core/site/overlay'
import type { PointM } from '#core/site/geometry'
import { MARKS } from '~/utils/planShapes'

/** "Draw a bare patch by tape and turn, along 7 ft, turn left 90°": the strip is the key to the plan as well. */
const kind = defineModel<FeatureKind | null>('kind', { required: true })
const by = defineModel<'corners' | 'tape'>('by', { required: true })
const props = defineProps<{ taped: readonly PointM[]; sketchM: number | null }>()
const emit = defineEmits<{ tape: [alongM: number, turnDeg: number]; close: []; drop: []; back: [] }>()
const { parse, text } = useUnits()
const along = ref('')
const turn = ref('left 90')
const wrong = ref('')
const shape = computed(() => (kind.value ? FEATURE_KINDS[kind.value] : null))
const TURNS = ['left 90', 'right 90', 'straight on'] as const
/** "left 90", "right 45°", "straight on", "-30": degrees, left positive. */
function degrees(typed: string): number | undefined {
  const found = /^\s*(left|right|straight)?\s*(?:on)?\s*(-?\d+(?:\.\d+)?)?\s*°?\s*$/i.exec(typed)
  if (!found || (!found[1] && !found[2])) return undefined
  const size = found[1]?.toLowerCase() === 'straight' ? 0 : Number(found[2] ?? 90)
  return Math.abs(size) <= 180 ? (found[1]?.toLowerCase() === 'right' ? -size : size) : undefined
}
function lay(): void {
  const metres = parse('distanceM', along.value)
  const by = props.taped.length ? degrees(turn.value) : (degrees(turn.value) ?? 0)
  wrong.value = !metres.ok
    ? metres.message
    : metres.value <= 0 || metres.value > 500
      ? t('plan.betweenNothingAnd1')
      : by === undefined
        ? t('plan.aTurnSuchAs')
        : ''
  if (wrong.value || !metres.ok || by === undefined) return
  // The first side is laid from north round; 0 is straight up the plan.
  emit('tape', metres.value, props.taped.length ? by : -90)
  along.value = ''
}
const closes = computed(() => {
  const [first, last] = [props.taped[0], props.taped.at(-1)]
  if (!first || !last || props.taped.length < 3) return undefined
  return {
    sideM: Math.hypot(first[0] - last[0], first[1] - last[1]),
    areaM2: coveredM2([{ outer: props.taped, holes: [] }]),
  }
})
const choose = (code: FeatureKind) => {
  kind.value = kind.value === code ? null : code
}
</script>

<template>
  <div class="strip">
    <div class="row" role="group" :aria-label="t('plan.drawA')">
      <b>{{ t('plan.drawA') }}</b>
      <button
        v-for="code in FEATURE_CODES"
        :key="code"
        type="button"
        :aria-pressed="kind === code"
        @click="choose(code)"
      >
        <UIcon :name="MARKS[code]" />{{ tell(KIND_WORDS[code]) }}
      </button>
    </div>
    <div v-if="kind" class="row how">
      <b>{{ t('plan.by') }}</b>
      <button type="button" :aria-pressed="by === 'corners'" @click="by = 'corners'">
        {{ shape === 'point' ? t('plan.itsPlace') : t('plan.itsCorners') }}
      </button>
      <button v-if="shape !== 'point'" type="button" :aria-pressed="by === 'tape'" @click="by = 'tape'">
        {{ t('plan.tapeAndTurn') }}
      </button>
      <template v-if="by === 'tape' && shape !== 'point'">
        <label
          >{{ t('plan.along') }}
          <input
            v-model="along"
            class="field"
            size="7"
            :placeholder="t('plan.n7Ft')"
            :aria-label="t('plan.lengthOfTheNext')"
            @keydown.enter.prevent="lay"
        /></label>
        <label v-if="taped.length"
          >{{ t('plan.turn') }}
          <input
            v-model="turn"
            class="field"
            size="9"
            list="turns"
            :aria-label="t('plan.turnBeforeTheNext')"
            @keydown.enter.prevent="lay"
        /></label>
        <datalist id="turns"><option v-for="one in TURNS" :key="one" :value="one" /></datalist>
        <UButton size="sm" variant="outline" @click="lay">{{ t('plan.layIt') }}</UButton>
        <UButton v-if="taped.length > 1" size="sm" variant="outline" @click="emit('drop')">{{
          t('plan.drop')
        }}</UButton>
        <UButton v-if="taped.length >= (shape === 'area' ? 3 : 2)" size="sm" color="primary" @click="emit('close')">{{
          shape === 'area' ? t('plan.closeIt') : t('plan.done')
        }}</UButton>
        <span class="result" role="status">{{
          wrong ||
          (closes
            ? t('plan.sideClosesWith', {
                taped: taped.length,
                sideM: text({ quantity: 'distanceM', value: closes.sideM }),
                areaM2: text({ quantity: 'areaM2', value: closes.areaM2 }),
              })
            : taped.length
              ? t('plan.side', { taped: taped.length })
              : t('plan.theFirstSideRuns'))
        }}</span>
      </template>
      <span v-else class="result" role="status">{{
        sketchM === null
          ? shape === 'point'
            ? t('plan.clickItsPlace')
            : shape === 'area'
              ? t('plan.clickItsCornersThe')
              : t('plan.clickAlongItThe')
          : t('plan.thisSide', { sketchM: text({ quantity: 'distanceM', value: sketchM }) })
      }}</span>
      <UButton v-if="by === 'corners' && shape !== 'point'" size="sm" variant="outline" @click="emit('back')">{{
        t('plan.aPointBack')
      }}</UButton>
    </div>
  </div>
</template>

<style scoped>
.strip {
  border: 1px solid var(--rule-2);
  border-top: 0;
  background: var(--lime);
  padding: 6px 10px;
  display: grid;
  gap: 5px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 3px;
  align-items: center;
  font-size: 12.5px;
  font-stretch: 90%;
}
.row b {
  margin-right: 4px;
}
button[aria-pressed] {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  padding: 3px 7px;
  cursor: pointer;
  min-height: 28px;
}
button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--lime);
  font-weight: 600;
}
button[aria-pressed]:hover {
  text-decoration: underline;
}
.how {
  border-top: 1px solid var(--rule);
  padding-top: 5px;
  gap: 4px 8px;
}
.field {
  border: 1.5px solid var(--ink);
  background: var(--lime);
  padding: 2px 7px;
  min-height: 28px;
  font-weight: 600;
}
.result {
  margin-left: auto;
  font-weight: 600;
}
@media (max-width: 700px) {
  button[aria-pressed],
  .field {
    min-height: 48px;
  }
}
</style>
