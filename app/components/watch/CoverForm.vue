<script setup lang="ts">
import type { NewPhoto } from '#contract/photo'
import type { NewSeen } from '#contract/seen'
import { FRAMES_MM } from '#core/learning/germination'
import { figure } from '#core/measure/figure'
import { photoFrom, type PhotoFile } from '~/utils/photoFile'

/** Green cover of a frame, from a photo whose corners are put on it, or by eye; the picture is kept with the lawn. */
const props = defineProps<{ zones: { id: string; name: string }[]; busy: boolean }>()
const emit = defineEmits<{ save: [seen: NewSeen, photo: NewPhoto | null]; cancel: [] }>()
const context = useContextStore()
const { text, system } = useUnits()
const { found, message, busy: measuring, measure, correct } = useGreenCover()
const { zoneId, errors, noted } = useSeenForm(props.zones)

/** Sent again after a lost answer, it is the same picture. */
const photoId = crypto.randomUUID()
const frameMm = ref(FRAMES_MM[system.value].at(-1)!)
const SIDES = computed(() => FRAMES_MM[system.value].map((value) => ({ value, label: text(figure('depthMm', value)) })))
const INSET = 0.08
type Spot = [number, number]
const corners = ref<[Spot, Spot, Spot, Spot]>([
  [INSET, INSET],
  [1 - INSET, INSET],
  [1 - INSET, 1 - INSET],
  [INSET, 1 - INSET],
])
const file = shallowRef<File>()
const address = ref('')
const photo = shallowRef<PhotoFile>()
const problem = ref('')
const eye = ref('')

async function take(event: Event): Promise<void> {
  const [taken] = (event.target as HTMLInputElement).files ?? []
  if (!taken) return
  problem.value = ''
  found.value = undefined
  const read = await photoFrom(taken)
  if (!read.ok) {
    problem.value = read.message
    return
  }
  photo.value = read.photo
  file.value = taken
  // The copy without what the camera wrote is what is shown, so that corners lie as they are seen.
  address.value = `data:image/jpeg;base64,${read.photo.jpeg}`
}
const shelf = useTemplateRef<HTMLElement>('shelf')
const held = ref<number | null>(null)
const within = (value: number) => Math.max(0, Math.min(1, value))
function drag(event: PointerEvent): void {
  if (held.value === null || !shelf.value) return
  const { left, top, width, height } = shelf.value.getBoundingClientRect()
  corners.value[held.value] = [within((event.clientX - left) / width), within((event.clientY - top) / height)]
}
const STEP = 0.01
const MOVES: Record<string, Spot> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}
function nudge(event: KeyboardEvent, i: number): void {
  const by = MOVES[event.key]
  if (!by) return
  event.preventDefault()
  const [x, y] = corners.value[i]!
  corners.value[i] = [within(x + by[0]), within(y + by[1])]
}
const outline = computed(() => corners.value.map(([x, y]) => `${x * 100},${y * 100}`).join(' '))
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
watch([found, canvas], () => {
  if (!found.value || !canvas.value) return
  const { size, marked } = found.value
  canvas.value.width = canvas.value.height = size
  canvas.value.getContext('2d')?.putImageData(new ImageData(marked, size, size), 0, 0)
})
/** One press of "more" or "less". */
const BY = 0.02
const percent = (share: number) => Math.round(share * 100)
function save(): void {
  const typed = Number(eye.value.replace('%', '').replace(',', '.'))
  const byEye = !found.value
  const seen = noted('cover', {
    coverShare: byEye ? (eye.value.trim() ? typed / 100 : NaN) : found.value!.cover.share,
    from: byEye ? 'eye' : 'photo',
    photoId: photo.value ? photoId : null,
  })
  if (!seen) return
  const words = { takenOn: photo.value?.takenOn ?? context.today, zoneId: zoneId.value, note: '' }
  emit(
    'save',
    seen,
    photo.value ? { id: photoId, ...words, place: null, jpeg: photo.value.jpeg, small: photo.value.small } : null,
  )
}
</script>

<template>
  <SeenForm
    v-model:zone-id="zoneId"
    class="cover"
    :zones="zones"
    :busy="busy"
    :save="t('watch.coverKeep')"
    @submit="save"
    @cancel="emit('cancel')"
  >
    <p class="small">{{ t('watch.coverHelp') }}</p>
    <div class="field-row">
      <UFormField :label="t('watch.frame')"
        ><USelect v-model="frameMm" :items="SIDES" :aria-label="t('watch.frame')"
      /></UFormField>
      <label class="take"
        ><span>{{ t('watch.coverPhoto') }}</span>
        <input type="file" accept="image/*" capture="environment" class="file-input" @change="take"
      /></label>
    </div>
    <p v-if="problem || message" class="problem" role="alert">{{ problem || message }}</p>
    <template v-if="address">
      <div ref="shelf" class="shelf" @pointermove="drag" @pointerup="held = null" @pointercancel="held = null">
        <img :src="address" :alt="t('watch.coverPhoto')" draggable="false" />
        <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true"><polygon :points="outline" /></svg>
        <button
          v-for="([x, y], i) in corners"
          :key="i"
          type="button"
          class="corner"
          :style="{ left: `${x * 100}%`, top: `${y * 100}%` }"
          :aria-label="t('watch.coverCorner', { number: i + 1 })"
          @pointerdown.prevent="held = i"
          @keydown="nudge($event, i)"
        />
      </div>
      <UButton
        color="primary"
        class="justify-self-start"
        :loading="measuring"
        @click="measure(file!, corners, frameMm)"
        >{{ t('watch.coverMeasure') }}</UButton
      >
    </template>
    <div v-if="found" class="found" aria-live="polite">
      <canvas ref="canvas" role="img" :aria-label="t('watch.coverMarked')" />
      <div>
        <p class="verdict">{{ t('watch.coverFound', { percent: percent(found.cover.share) }) }}</p>
        <p v-if="found.cover.by === 'fixed'" class="small">{{ t('watch.coverByFixed') }}</p>
        <p v-if="found.cover.shadowShare + found.cover.blownShare > 0.02" class="small">
          {{ t('watch.coverShadow', { percent: percent(found.cover.shadowShare + found.cover.blownShare) }) }}
        </p>
        <p v-if="found.cover.share < 0.25" class="small">{{ t('watch.coverCount', { count: found.patches }) }}</p>
        <div class="row" role="group" :aria-label="t('watch.coverThreshold')">
          <UButton variant="outline" @click="correct(found.cover.threshold + BY, frameMm)">{{
            t('watch.coverLess')
          }}</UButton>
          <UButton variant="outline" @click="correct(found.cover.threshold - BY, frameMm)">{{
            t('watch.coverMore')
          }}</UButton>
        </div>
      </div>
    </div>
    <UFormField v-else :label="t('watch.coverEye')" :error="errors.coverShare"
      ><UInput v-model="eye" maxlength="6" inputmode="decimal"
    /></UFormField>
  </SeenForm>
</template>

<style scoped>
/* A file is named at length: it has a line of its own. */
.take {
  grid-column: 1 / -1;
  min-width: 0;
  display: grid;
  gap: 4px;
  font-weight: 500;
  font-size: 13px;
}
.shelf {
  position: relative;
  justify-self: start;
  max-width: 100%;
  touch-action: none;
}
.shelf img {
  display: block;
  max-width: 100%;
  max-height: 60vh;
}
.shelf svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
.shelf polygon {
  fill: none;
  stroke: #fff;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  filter: drop-shadow(0 0 1px #000);
}
.corner {
  position: absolute;
  width: 48px;
  height: 48px;
  margin: -24px 0 0 -24px;
  border: 3px solid #fff;
  outline: 1.5px solid #000;
  border-radius: 50%;
  background: #0003;
  cursor: grab;
  touch-action: none;
}
.found {
  display: grid;
  grid-template-columns: minmax(0, 256px) minmax(0, 1fr);
  gap: 14px;
}
.found canvas {
  width: 100%;
  aspect-ratio: 1;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media (max-width: 700px) {
  .found {
    grid-template-columns: minmax(0, 1fr);
  }
  .file-input {
    min-height: 48px;
    max-width: 100%;
  }
}
</style>
