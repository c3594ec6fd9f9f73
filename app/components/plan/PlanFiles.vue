<script setup lang="ts">
import { planFile, type ReadThing } from '#contract/planFile'
import { KIND_WORDS } from '#core/site/sitePlan'
import { exportedFile, type PlanFormat } from '~/utils/planFiles'

/** Drawings in and out: GeoJSON, KML and GPX. What cannot be read is said; nothing that stands is touched before. */
const emit = defineEmits<{ things: [things: ReadThing[]] }>()
const { draft } = useSurveyHere()
const message = ref('')
const { busy, read: readFile, cancel } = useFileRead()
const MOST_BYTES = 4_000_000

async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  if (file.size > MOST_BYTES) {
    message.value = t('plan.thisFileIsLarger')
    return
  }
  const place = { latDeg: draft.latDeg, lonDeg: draft.lonDeg }
  const empty = !Object.keys(draft.features).length
  message.value = ''
  const plan = await readFile({
    kind: 'plan',
    name: file.name,
    text: await file.text(),
    place: empty ? undefined : place,
    near: place,
  })
  if (!plan.ok) {
    message.value = tell(plan.message)
    return
  }
  if (empty && (plan.place.latDeg !== place.latDeg || plan.place.lonDeg !== place.lonDeg))
    Object.assign(draft, plan.place)
  emit('things', plan.things)
  const kinds = plan.things.map(({ feature }) => tell(KIND_WORDS[feature.kind]))
  const counts = [...new Set(kinds)].map((kind) => `${kinds.filter((one) => one === kind).length} ${kind}`)
  message.value = t('plan.readFromLeftOut', {
    name: file.name,
    counts: counts.join(', '),
    count: plan.left.length,
    left: plan.left.slice(0, 3),
    more: Math.max(0, plan.left.length - 3),
  })
}
async function save(format: PlanFormat): Promise<void> {
  const names = Object.fromEntries(Object.entries(draft.zones).map(([id, { name }]) => [id, name]))
  const text = await exportedFile(format, planFile(draft.features, names, draft))
  saveFile(
    text,
    `${draft.client.replace(/[^\w-]+/g, '-').slice(0, 40) || 'lawn'}.${format}`,
    'application/octet-stream',
  )
}
</script>

<template>
  <div class="files small">
    <label
      >{{ t('plan.importADrawingOr') }}
      <input type="file" accept=".geojson,.json,.kml,.gpx" :aria-label="t('plan.drawingAsGeojsonKml')" @change="read"
    /></label>
    <span v-if="Object.keys(draft.features).length"
      >{{ t('plan.takeOutAs') }}
      <button
        v-for="format in ['geojson', 'kml', 'gpx'] as const"
        :key="format"
        type="button"
        class="opens"
        @click="save(format)"
      >
        {{ format === 'geojson' ? 'GeoJSON' : format.toUpperCase() }}
      </button></span
    >
    <span v-if="busy" role="status"
      >{{ t('plan.readingTheFile') }}
      <button type="button" class="opens" @click="cancel">{{ t('plan.cancel') }}</button></span
    >
    <p v-if="message" role="status">{{ message }}</p>
  </div>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: center;
  padding: 6px 2px;
}
.files input {
  max-width: 230px;
}
.files .opens {
  margin-left: 8px;
}
p {
  width: 100%;
  color: var(--ink);
  font-weight: 600;
}
@media (max-width: 700px) {
  .opens {
    min-height: 44px;
  }
}
</style>
