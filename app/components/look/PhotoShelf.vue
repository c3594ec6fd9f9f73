<script setup lang="ts">
import type { Photo, PhotoWords } from '#contract/photo'
import { MOST_PHOTOS } from '#contract/photo'

/**
 * Photos of the lawn as a row of prints; taken at a question, they are of its zone and say what they were taken for.
 */
const props = defineProps<{ zoneId: string | null; about?: string }>()
const emit = defineEmits<{ under: [photo: Photo] }>()
const { lawn, draft } = useSurveyHere()
const context = useContextStore()
const { photos, waiting, message, busy, add, again, describe, remove, pictureOf } = usePhotos(lawn.id)
const keepPlace = ref(false)
const open = ref<Photo>()
/** A photo can be of a zone that is saved; of one that is still being drawn it is of the lawn. */
const zoneOf = (id: string | null) => (id && id in lawn.zones ? id : null)
const shown = computed(() =>
  props.about
    ? photos.value.filter(({ zoneId, note }) => zoneId === zoneOf(props.zoneId) && note === props.about)
    : photos.value,
)
const says = ({ zoneId, note, takenOn }: Photo) =>
  [
    note,
    zoneId && Object.keys(draft.zones).length > 1 && draft.zones[zoneId]?.name,
    takenOn && shortDay(takenOn, context.today),
  ]
    .filter(Boolean)
    .join(', ') || t('look.noWordsYet')

async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])].slice(0, MOST_PHOTOS)
  input.value = ''
  await add(files, { zoneId: zoneOf(props.zoneId), note: props.about ?? '' }, keepPlace.value)
}
async function keep(words: PhotoWords): Promise<void> {
  if (open.value && (await describe(open.value.id, words))) open.value = undefined
}
async function drop(): Promise<void> {
  const id = open.value?.id
  if (!id || !(await remove(id))) return
  if (draft.underlay?.photoId === id) draft.underlay = null
  open.value = undefined
}
function lay(): void {
  if (!open.value) return
  emit('under', open.value)
  open.value = undefined
}
</script>

<template>
  <section class="shelf" :aria-label="t('look.photos')">
    <header>
      <h2 v-if="!about">
        {{ t('look.photos') }}
        <span class="small">{{ photos.length ? t('look.kept', { photos: photos.length }) : t('look.noneYet') }}</span>
      </h2>
      <label class="take" :class="{ reading: busy }"
        ><UIcon name="i-lucide-camera" />{{ busy || (about ? t('look.takeAPhotoOf') : t('look.addPhotos'))
        }}<input
          type="file"
          accept="image/*"
          multiple
          :aria-label="about ? t('look.takeAPhotoOf') : t('look.photosOfTheLawn')"
          :disabled="!!busy"
          @change="read"
      /></label>
      <UCheckbox v-if="!about" v-model="keepPlace" class="place" :label="t('look.keepWhereEachWas')" />
    </header>
    <ul v-if="shown.length">
      <li v-for="photo in shown" :key="photo.id">
        <button type="button" :aria-label="t('look.openThePhoto', { photo: says(photo) })" @click="open = photo">
          <PhotoPrint :photo="photo" :src="pictureOf(photo.id, 'small')" :says="says(photo)" />
        </button>
      </li>
    </ul>
    <p v-if="waiting.length && !busy" class="problem" role="alert">
      {{ t('look.aPhotoIsPhotos', { waiting: waiting.length, message }) }}
      <UButton size="sm" variant="outline" class="ml-2" @click="again">{{ t('look.tryAgain') }}</UButton>
    </p>
    <p v-else-if="message" class="problem" role="alert">{{ message }}</p>
    <PhotoOpen
      v-if="open"
      :photo="open"
      :src="pictureOf(open.id, 'whole')"
      :zones="lawn.zones"
      :problem="message"
      @close="open = undefined"
      @keep="keep"
      @remove="drop"
      @under="lay"
    />
  </section>
</template>

<style scoped>
header {
  display: flex;
  gap: 6px 16px;
  align-items: baseline;
  flex-wrap: wrap;
}
h2 {
  margin-right: auto;
}
.take {
  border: 1.5px solid var(--ink);
  background: var(--lime);
  padding: 5px 12px;
  min-height: 32px;
  display: inline-flex;
  gap: 8px;
  align-items: center;
  cursor: pointer;
  font-weight: 600;
  position: relative;
}
.take input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.take:focus-within {
  outline: 2.5px solid var(--frost);
  outline-offset: 2px;
}
.reading {
  background: var(--straw-tint);
}
.place {
  display: flex;
  gap: 6px;
  align-items: center;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: 10px;
  padding-top: 8px;
}
li button {
  display: grid;
  gap: 3px;
  text-align: left;
  width: 100%;
  cursor: pointer;
}
li :deep(img) {
  width: 100%;
  height: 92px;
  object-fit: cover;
  border: 1px solid var(--rule-2);
  background: var(--chalk);
}
li button:hover :deep(img) {
  border-color: var(--ink);
}
.problem {
  margin-top: 8px;
}
@media (max-width: 700px) {
  .take {
    min-height: 52px;
  }
  .place {
    min-height: 44px;
  }
  ul {
    grid-template-columns: repeat(3, 1fr);
  }
}
</style>
