<script setup lang="ts">
import 'ol/ol.css'
import type { ReadThing } from '#contract/planFile'
import type { Day } from '#core/measure/calendar'
import { handSownBorderM } from '#core/site/drawn'
import type { FeatureKind } from '#core/site/sitePlan'
import { bringIn } from '~/utils/thingsBroughtIn'

/** The site plan: drawn, measured and shaded, in register with the ledger beside it. */
const zone = defineModel<string | null>('zone', { required: true })
const { draft } = useSurveyHere()
const context = useContextStore()
const { text } = useUnits()
const edit = usePlanEdit(zone)
const { selected, message, past, taped } = edit
const overlay = ref<PlanOverlay | null>('sun')
const kind = ref<FeatureKind | null>(null)
const by = ref<'corners' | 'tape'>('corners')
const between = ref<BetweenPoints | null>(null)
const target = useTemplateRef<HTMLElement>('target')

const sunDay = ref<Day>(useLawnsStore().byId(String(useRoute().params.id))?.plan.sowOn ?? context.today)
const sunOver = ref<'day' | 'year'>('day')
const sun = useSunMap(
  computed(() => overlay.value === 'sun'),
  sunDay,
  sunOver,
)
const { plan, picture, view, sketchM, mount } = useSitePlanMap({ zone, overlay, kind, by, between }, edit, sun)
onMounted(() => mount(target.value!))

watch(zone, (id) => {
  if (!id || draft.features[selected.value ?? '']?.zoneId === id) return
  selected.value = Object.entries(draft.features).find(([, { zoneId }]) => zoneId === id)?.[0] ?? null
})
function fileRead(things: ReadThing[]): void {
  bringIn(things, draft.zones, zone.value, edit)
  void nextTick(() => plan.fit())
}
/** The picture as it was before is one undo away. */
const underlay = computed({
  get: () => draft.underlay!,
  set: (placed) => {
    edit.remember()
    draft.underlay = placed
  },
})
function pictureAway(): void {
  edit.remember()
  draft.underlay = null
}
function drawOnPicture(what: BetweenPoints): void {
  kind.value = null
  between.value = between.value === what ? null : what
}
const BETWEEN = {
  cut: t('plan.clickTwoPointsThe'),
  scale: t('plan.clickTheTwoEnds'),
  move: t('plan.clickAPointOf'),
} as const

const empty = computed(() => !Object.keys(draft.features).length)
const border = computed(() => text({ quantity: 'distanceM', value: handSownBorderM(draft.features), digits: 3 }))
const sunWords = computed(() => {
  const shown = sun.map.value
  if (overlay.value !== 'sun' || !shown) return ''
  const dry = shown.zones.flatMap(({ neverShadedShare }, i) =>
    neverShadedShare > 0.05
      ? [`${draft.zones[sun.zoneIds.value[i]!]?.name ?? ''} ${Math.round(neverShadedShare * 100)}%`]
      : [],
  )
  const over =
    sunOver.value === 'year' ? t('plan.aDayOverThe') : t('plan.on', { sunDay: shortDay(sunDay.value, context.today) })
  const driest = dry.length ? t('plan.neverShadedSoFirst', { dry: dry.join(', ') }) : ''
  return t('plan.openGroundGetsH', { openHours: shown.openHours.toFixed(1), over, driest })
})

function keys(event: KeyboardEvent): void {
  if (event.key === 'Escape') {
    kind.value = null
    between.value = null
    taped.value = []
  }
  const removes = event.key === 'Delete' || event.key === 'Backspace'
  if (removes && selected.value && event.target === target.value) edit.remove(selected.value)
  if (event.key === 'z' && (event.ctrlKey || event.metaKey)) edit.undo()
}
</script>

<template>
  <section class="plan" :aria-label="t('plan.sitePlan')" @keydown="keys">
    <PlanHead v-model:overlay="overlay" v-model:sun-day="sunDay" v-model:sun-over="sunOver" :drawn="!empty" />
    <div class="frame">
      <div ref="target" class="map" tabindex="0" role="application" :aria-label="t('plan.planOfTheLawn')" />
      <span class="north" aria-hidden="true">
        <svg width="12" height="34">
          <path d="M6 34V4M6 2L2 10M6 2L10 10" stroke="#172019" stroke-width="1.6" fill="none" />
        </svg>
        {{ t('plan.north') }}
      </span>
      <PlanZoom :undoes="past.length > 0" @zoom="plan.zoom" @fit="plan.fit" @undo="edit.undo()" />
      <span v-if="sun.working.value" class="small working" role="status">{{ t('plan.workingOutTheSun') }}</span>
      <p v-if="empty && !kind" class="empty">
        {{ t('plan.nothingIsDrawnYet') }}
      </p>
    </div>
    <TapeScale v-bind="view" />
    <ThingFields
      v-if="selected && draft.features[selected]"
      :id="selected"
      :key="selected"
      @side="(side, metres) => edit.setSide(selected!, side, metres)"
      @remove="edit.remove(selected!)"
      @split="between = 'cut'"
      @join="(other) => edit.join(draft.features[selected!]!.zoneId!, other)"
    />
    <PictureUnder
      v-if="draft.underlay"
      v-model="underlay"
      v-model:line="picture.line.value"
      :missing="picture.missing.value"
      :doing="between"
      @draw="drawOnPicture"
      @away="pictureAway"
    />
    <DrawStrip
      v-model:kind="kind"
      v-model:by="by"
      :taped="taped"
      :sketch-m="sketchM"
      @tape="edit.tape"
      @close="kind && edit.closeTape(kind)"
      @drop="taped = []"
      @back="plan.undoPoint()"
    />
    <p v-if="message || between" class="small said" role="status">{{ between ? BETWEEN[between] : message }}</p>
    <p v-if="!empty" class="small said">
      {{ t('plan.edgesSownByHand') }} <b>{{ border }}</b>
      {{ t('plan.allRound', { sunWords, failed: sun.failed.value }) }}
    </p>
    <PlanFiles @things="fileRead" />
  </section>
</template>

<style scoped>
.frame {
  position: relative;
  border: 1px solid var(--rule-2);
  border-bottom: 0;
  background: var(--lime);
}
.map {
  height: clamp(300px, calc(100vh - 458px), 640px);
  touch-action: none;
}
.map:focus-visible {
  outline: 2.5px solid var(--frost);
  outline-offset: -3px;
}
.north {
  position: absolute;
  left: 12px;
  top: 12px;
  display: grid;
  justify-items: center;
  font-weight: 700;
  font-size: 12px;
  pointer-events: none;
}
.empty {
  pointer-events: none;
  position: absolute;
  inset: auto 60px 16px 60px;
  background: var(--lime);
  border: 1.5px dashed var(--ink);
  padding: 10px 14px;
}
.working {
  position: absolute;
  left: 10px;
  bottom: 6px;
  background: var(--lime);
  padding: 1px 6px;
  pointer-events: none;
}
.said {
  padding: 5px 2px 0;
}
@media (max-width: 700px) {
  .empty {
    inset: auto 12px 12px 12px;
  }
}
</style>
