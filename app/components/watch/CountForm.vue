<script setup lang="ts">
import { useSessionStorage } from '@vueuse/core'
import { MOST_FRAMES, MOST_SEEDLINGS, seenSchema, type NewSeen } from '#contract/seen'
import { figure } from '#core/measure/figure'
import { daysBetween, type Day } from '#core/measure/calendar'
import { expectedIn, frameFor, FRAMES_MM } from '#core/learning/germination'
import type { ZoneWatch } from '#core/job/watch'

/** Seedlings counted square by square, with what is expected beside what is entered; kept while the page is away. */
const props = defineProps<{ zones: ZoneWatch[]; sownOn: Day; jobId: string; busy: boolean }>()
const emit = defineEmits<{ save: [seen: NewSeen]; cancel: [] }>()
const context = useContextStore()
const { text, system } = useUnits()

interface Draft {
  id: string
  zoneId: string
  frameMm: number
  seedlings: number[]
  moist: boolean | null
  washed: boolean
  birds: boolean
  note: string
}
const sides = computed(() => FRAMES_MM[system.value])
const usualFrame = (zone: ZoneWatch | undefined) => frameFor(zone?.perCm2 ?? 0.6, sides.value)
const fresh = (zone = props.zones[0]): Draft => ({
  id: crypto.randomUUID(),
  zoneId: zone?.id ?? '',
  frameMm: zone?.counts.at(-1)?.frameMm ?? usualFrame(zone),
  seedlings: [],
  moist: null,
  washed: false,
  birds: false,
  note: '',
})
/**
 * A count that is begun outlives a closed page of this tab. Kept at once: one that is done is gone before the form is, or the next
 * count would go on with it.
 */
const draft = useSessionStorage<Draft>(`count-${props.jobId}`, fresh(), { flush: 'sync' })
const zone = computed(() => props.zones.find(({ id }) => id === draft.value.zoneId) ?? props.zones[0])
if (!props.zones.some(({ id }) => id === draft.value.zoneId)) draft.value = fresh()
const now = ref(0)
const ZONES = computed(() => props.zones.map(({ id, name }) => ({ value: id, label: name })))
const SIDES = computed(() => {
  const all = sides.value.includes(draft.value.frameMm) ? sides.value : [draft.value.frameMm, ...sides.value]
  return all.map((value) => ({ value, label: text(figure('depthMm', value)) }))
})
const expected = computed(() => {
  if (!zone.value) return undefined
  const { course, perCm2 } = zone.value
  return expectedIn(course, perCm2, draft.value.frameMm, daysBetween(props.sownOn, context.today))
})
const most = computed(() => Math.max(10, (expected.value?.high ?? 0) * 1.3, now.value, ...draft.value.seedlings))
const at = (count: number) => `${Math.min(100, (count / most.value) * 100)}%`
const isLow = (count: number) => expected.value !== undefined && count < expected.value.low
function change(by: number): void {
  now.value = Math.max(0, Math.min(MOST_SEEDLINGS, Math.round(Number(now.value) || 0) + by))
}
function keep(): void {
  change(0)
  if (draft.value.seedlings.length < MOST_FRAMES) draft.value.seedlings.push(now.value)
  now.value = 0
}
const MOIST = [
  { value: true, name: t('watch.moist') },
  { value: false, name: t('watch.dry') },
]
const problem = ref('')
/** A number that stands and was not kept yet is one more square. */
function save(): void {
  const { zoneId, ...told } = draft.value
  const seedlings =
    now.value || !told.seedlings.length ? [...told.seedlings, Math.round(Number(now.value) || 0)] : told.seedlings
  const parsed = seenSchema.safeParse({ ...told, kind: 'count', zoneId, seedlings, seenOn: context.today })
  problem.value = parsed.success ? '' : heard(parsed.error.issues[0]!.message)
  if (parsed.success) emit('save', parsed.data)
}
/** Told by who holds it, once it is on record. */
function done(): void {
  draft.value = fresh(zone.value)
  now.value = 0
}
defineExpose({ done })
const form = useTemplateRef<HTMLElement>('form')
onMounted(() => form.value?.scrollIntoView({ block: 'start' }))
</script>

<template>
  <form ref="form" class="panel-open count" @submit.prevent="keep">
    <header>
      <h2>{{ t('watch.squareOf', { number: draft.seedlings.length + 1, of: draft.seedlings.length }) }}</h2>
      <span v-if="expected && expected.middle >= 0.5">{{
        t('watch.expectNow', {
          expected: oneDecimal(expected.middle),
          low: oneDecimal(expected.low),
          high: oneDecimal(expected.high),
        })
      }}</span>
      <span v-else>{{ t('watch.expectNothing') }}</span>
    </header>
    <div class="field-row">
      <UFormField v-if="zones.length > 1" :label="t('watch.zone')"
        ><USelect
          v-model="draft.zoneId"
          :items="ZONES"
          :aria-label="t('watch.zone')"
          :disabled="draft.seedlings.length > 0"
      /></UFormField>
      <UFormField :label="t('watch.frame')"
        ><USelect
          v-model="draft.frameMm"
          :items="SIDES"
          :aria-label="t('watch.frame')"
          :disabled="draft.seedlings.length > 0"
      /></UFormField>
    </div>
    <ol v-if="draft.seedlings.length" class="squares">
      <li v-for="(count, i) in draft.seedlings" :key="i" :class="{ low: isLow(count) }">
        <button
          type="button"
          :aria-label="t('watch.removeSquare', { number: i + 1 })"
          @click="draft.seedlings.splice(i, 1)"
        >
          <span class="small">{{ i + 1 }}</span><b class="num">{{ count }}</b
          ><span class="small" aria-hidden="true">×</span>
        </button>
      </li>
    </ol>
    <div class="stepper">
      <button type="button" :aria-label="t('watch.fewer')" @click="change(-1)">−</button>
      <input
        v-model.number="now"
        type="number"
        inputmode="numeric"
        min="0"
        :max="MOST_SEEDLINGS"
        class="num"
        :aria-label="t('watch.seedlings')"
        @focus="($event.target as HTMLInputElement).select()"
      />
      <button type="button" class="more" :aria-label="t('watch.more')" @click="change(1)">+</button>
    </div>
    <div v-if="expected" class="rule" aria-hidden="true">
      <i class="fair" :style="{ left: at(expected.low), width: `calc(${at(expected.high)} - ${at(expected.low)})` }" />
      <i v-for="(count, i) in draft.seedlings" :key="i" class="mark" :style="{ left: at(count) }" />
      <i class="here" :style="{ left: at(now || 0) }" />
    </div>
    <UButton color="primary" size="lg" type="submit" class="next" :disabled="draft.seedlings.length >= MOST_FRAMES">{{
      t('watch.nextSquare')
    }}</UButton>
    <PickOne v-model="draft.moist" :label="t('watch.top')" :choices="MOIST" />
    <div class="seen">
      <UCheckbox v-model="draft.washed" :label="t('watch.washed')" />
      <UCheckbox v-model="draft.birds" :label="t('watch.birds')" />
    </div>
    <UFormField :label="t('watch.note')"><UInput v-model="draft.note" maxlength="300" class="w-full" /></UFormField>
    <p class="small">{{ t('watch.how') }}</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div class="actions">
      <UButton color="primary" size="lg" variant="outline" :loading="busy" @click="save">{{
        t('watch.saveCount')
      }}</UButton>
      <UButton size="lg" variant="ghost" @click="emit('cancel')">{{ t('watch.cancel') }}</UButton>
    </div>
  </form>
</template>

<style scoped>
.count {
  padding: 14px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 4px 12px;
}
.squares {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.squares button {
  display: grid;
  justify-items: center;
  min-width: 52px;
  min-height: 52px;
  padding: 3px 6px;
  border: 1px solid var(--rule-2);
  background: var(--lime);
  cursor: pointer;
}
.squares b {
  font-size: 20px;
}
.squares .low button {
  background: var(--color-clay-tint);
  border-color: var(--clay);
}
.stepper {
  display: grid;
  grid-template-columns: 1fr 1.6fr 1fr;
  border: 2px solid var(--ink);
  max-width: 420px;
}
.stepper button {
  font-size: 34px;
  min-height: 88px;
  cursor: pointer;
  background: var(--lime);
}
.stepper .more {
  background: var(--ink);
  color: var(--lime);
}
.stepper input {
  min-width: 0;
  text-align: center;
  font-size: 48px;
  border: solid var(--ink);
  border-width: 0 2px;
  background: var(--lime);
  appearance: textfield;
}
.stepper input::-webkit-inner-spin-button {
  display: none;
}
.rule {
  position: relative;
  height: 18px;
  border-bottom: 1.5px solid var(--ink);
  max-width: 420px;
}
.rule i {
  position: absolute;
  bottom: 0;
}
.fair {
  height: 12px;
  background: var(--color-moss-tint);
  border: solid var(--moss);
  border-width: 0 1.5px;
}
.mark {
  width: 7px;
  height: 7px;
  margin-left: -3.5px;
  border: 1.5px solid var(--ink);
  border-radius: 50%;
  background: var(--lime);
}
.here {
  width: 3px;
  height: 16px;
  margin-left: -1.5px;
  background: var(--ink);
}
.next {
  justify-self: start;
}
.seen,
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
}
@media (max-width: 700px) {
  .next {
    justify-self: stretch;
    max-width: 420px;
  }
  .next,
  .actions > :not(:last-child) {
    flex: 1 1 100%;
    justify-content: center;
    min-height: 56px;
  }
  .seen > * {
    min-height: 48px;
    align-items: center;
  }
}
</style>
