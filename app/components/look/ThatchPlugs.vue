<script setup lang="ts">
import { MM_PER_INCH } from '#core/measure/units'

/** Thatch read off a plug: drag the line to the soil, or step it; one tile a plug. */
const plugs = defineModel<number[]>({ required: true })
const { text, other, system } = useUnits()
const STEP = computed(() => (system.value === 'us' ? MM_PER_INCH / 8 : 2))
const SHOWN_MM = 50
const LIMIT_MM = 12
const at = ref(Math.min(plugs.value.length, 11))
const depth = ref(plugs.value[at.value] ?? 12.7)
const drawing = useTemplateRef<HTMLElement>('drawing')
const clamp = (mm: number) => Math.max(0, Math.min(150, mm))
function keep(): void {
  const next = [...plugs.value]
  next[at.value] = depth.value
  plugs.value = next
}
function choose(i: number): void {
  at.value = i
  depth.value = plugs.value[i] ?? 12.7
}
function step(by: number): void {
  depth.value = clamp(Math.round(depth.value / STEP.value + by) * STEP.value)
  keep()
}
function drag(event: PointerEvent): void {
  if (event.type === 'pointerdown') (event.target as Element).setPointerCapture(event.pointerId)
  if (event.type !== 'pointerdown' && !event.buttons) return
  const box = drawing.value!.getBoundingClientRect()
  depth.value = clamp(
    Math.round((((event.clientY - box.top) / box.height - 0.2) * SHOWN_MM) / 0.8 / STEP.value) * STEP.value,
  )
  keep()
}
const y = computed(() => 20 + (Math.min(depth.value, SHOWN_MM) / SHOWN_MM) * 80)
</script>

<template>
  <div class="thatch">
    <div class="tiles">
      <button v-for="(mm, i) in plugs" :key="i" type="button" :aria-pressed="i === at" @click="choose(i)">
        <i>{{ i + 1 }}</i> <b class="num">{{ text({ quantity: 'depthMm', value: mm }) }}</b>
        <span v-if="mm > LIMIT_MM" class="over">{{ t('look.over') }}</span>
      </button>
      <button v-if="plugs.length < 12" type="button" :aria-pressed="at === plugs.length" @click="choose(plugs.length)">
        <i>{{ plugs.length + 1 }}</i> {{ t('look.nextPlug') }}
      </button>
    </div>
    <div ref="drawing" class="drawing" aria-hidden="true" @pointerdown="drag" @pointermove="drag">
      <span class="green">{{ t('look.green') }}</span>
      <span class="brown" :style="{ height: `${y - 20}%` }">{{ t('look.thatchBrown') }}</span>
      <span class="soil" :style="{ top: `${y}%` }">{{ t('look.soil2') }}</span>
      <span class="line" :style="{ top: `${y}%` }"><i /></span>
      <span class="limit" :style="{ top: `${20 + (LIMIT_MM / SHOWN_MM) * 80}%` }">{{
        t('look.normalTo', { value: text({ quantity: 'depthMm', value: 12.7 }) })
      }}</span>
    </div>
    <div class="stepper" role="group" :aria-label="t('look.depthOfTheThatch')">
      <button type="button" :aria-label="t('look.less2')" @click="step(-1)">−</button>
      <output
        ><b class="num">{{ text({ quantity: 'depthMm', value: depth }) }}</b
        ><span class="small">{{ other({ quantity: 'depthMm', value: depth }) }}</span></output
      >
      <button type="button" :aria-label="t('look.more2')" class="more" @click="step(1)">+</button>
    </div>
  </div>
</template>

<style scoped>
.thatch {
  display: grid;
  gap: 10px;
}
.tiles {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.tiles button {
  border: 1px solid var(--rule-2);
  background: var(--lime);
  min-height: 52px;
  padding: 4px 12px;
  cursor: pointer;
}
.tiles button[aria-pressed='true'] {
  border: 2.5px solid var(--ink);
  background: var(--straw-tint);
}
.tiles i {
  font-style: normal;
  font-size: 12px;
  color: var(--ink-2);
  margin-right: 4px;
}
.tiles b {
  font-size: 18px;
}
.over {
  color: var(--clay);
  font-weight: 600;
}
.over::before {
  content: '▲ ';
  font-size: 11px;
}
.drawing {
  position: relative;
  height: 232px;
  border: 2px solid var(--ink);
  background: #5f503c;
  overflow: hidden;
  touch-action: none;
  cursor: ns-resize;
}
.drawing span {
  position: absolute;
  left: 0;
  right: 0;
  padding: 4px 10px;
  font-weight: 600;
}
.green {
  top: 0;
  height: 20%;
  background: repeating-linear-gradient(86deg, #3c6326 0 2px, #fbfbf5 2px 8px);
  text-shadow:
    0 0 4px #fff,
    0 0 4px #fff;
}
.brown {
  top: 20%;
  background: #c9ad7c;
  overflow: hidden;
}
.soil {
  color: #e9e0ce;
}
.line {
  height: 3px;
  padding: 0 !important;
  background: var(--ink);
  border-block: 1.5px solid #fbfbf5;
}
.line i {
  position: absolute;
  right: 12px;
  top: -28px;
  width: 80px;
  height: 56px;
  background: var(--ink);
  border: 2.5px solid #fbfbf5;
}
.line i::before,
.line i::after {
  content: '';
  position: absolute;
  left: 32px;
  border: 8px solid transparent;
}
.line i::before {
  top: 4px;
  border-bottom-color: var(--straw);
}
.line i::after {
  bottom: 4px;
  border-top-color: var(--straw);
}
.limit {
  font-weight: 400 !important;
  font-size: 12px;
  padding: 0 10px !important;
  width: 50%;
  border-top: 0;
  border-bottom: 1.5px dashed var(--ink);
  transform: translateY(-100%);
}
.stepper {
  display: grid;
  grid-template-columns: 92px 1fr 92px;
  border: 2px solid var(--ink);
  background: var(--lime);
  height: 76px;
}
.stepper button {
  font-size: 30px;
  cursor: pointer;
}
.stepper .more {
  background: var(--ink);
  color: var(--lime);
}
.stepper output {
  display: grid;
  place-content: center;
  text-align: center;
  border-inline: 2px solid var(--ink);
}
.stepper output b {
  font-size: 32px;
}
</style>
