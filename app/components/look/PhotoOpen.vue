<script setup lang="ts">
import { photoWordsSchema, type Photo, type PhotoWords } from '#contract/photo'
import type { Look } from '#contract/look'

/** One photo, large, with what is said of it. */
const props = defineProps<{ photo: Photo; src: string; zones: Look['zones']; problem: string }>()
const emit = defineEmits<{ close: []; keep: [words: PhotoWords]; remove: []; under: [] }>()
const { judged, errors } = useSend()
const note = ref(props.photo.note)
const takenOn = ref<string>(props.photo.takenOn ?? '')
const zoneId = ref(props.photo.zoneId ?? 'lawn')
const choices = computed(() => [
  { value: 'lawn', label: 'the whole lawn' },
  ...Object.entries(props.zones).map(([value, { name }]) => ({ value, label: name })),
])
const asking = ref(false)
const missing = ref(false)
function keep(): void {
  const words = judged(photoWordsSchema, {
    note: note.value,
    takenOn: takenOn.value || null,
    zoneId: zoneId.value === 'lawn' ? null : zoneId.value,
  })
  if (words) emit('keep', words)
}
const degrees = (n: number) => n.toFixed(5)
</script>

<template>
  <UModal
    :open="true"
    :title="photo.note || 'A photo of the lawn'"
    :description="`Kept${photo.savedBy ? ` by ${photo.savedBy}` : ''}${photo.place ? `, taken at ${degrees(photo.place.latDeg)}, ${degrees(photo.place.lonDeg)}` : '. Where it was taken is not kept'}.`"
    :ui="{ content: 'max-w-3xl' }"
    @update:open="emit('close')"
  >
    <template #body>
      <img
        v-if="!missing"
        :src="src"
        :alt="photo.note || 'Photo of the lawn'"
        :width="photo.widthPx"
        :height="photo.heightPx"
        @error="missing = true"
      />
      <p v-else class="problem" role="alert">This picture cannot be fetched just now. What is said of it is here.</p>
      <form class="words" novalidate @submit.prevent="keep">
        <UFormField label="What it shows" name="photoNote" :error="errors.note"
          ><UInput v-model="note" maxlength="200" placeholder="thatch, plug by the plum"
        /></UFormField>
        <UFormField label="Taken on" name="photoTaken" :error="errors.takenOn"
          ><UInput v-model="takenOn" type="date"
        /></UFormField>
        <UFormField label="Of" name="photoZone" :error="errors.zoneId"
          ><USelect v-model="zoneId" :items="choices"
        /></UFormField>
      </form>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </template>
    <template #footer>
      <UButton color="primary" @click="keep">Keep the words</UButton>
      <UButton variant="outline" @click="emit('under')">Lay it under the plan</UButton>
      <span class="end">
        <template v-if="asking"
          ><span>Delete it for good?</span
          ><UButton color="error" variant="outline" @click="emit('remove')">Delete the photo</UButton
          ><UButton variant="outline" @click="asking = false">Keep it</UButton></template
        >
        <UButton v-else variant="outline" @click="asking = true">Delete</UButton>
      </span>
    </template>
  </UModal>
</template>

<style scoped>
img {
  display: block;
  max-height: 52vh;
  width: auto;
  height: auto;
  max-width: 100%;
  margin: 0 auto 12px;
  background: var(--chalk);
}
.words {
  display: grid;
  grid-template-columns: 1fr 150px 170px;
  gap: 12px;
}
.end {
  margin-left: auto;
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
@media (max-width: 700px) {
  .words {
    grid-template-columns: 1fr;
  }
  .end {
    margin: 0;
  }
}
</style>
