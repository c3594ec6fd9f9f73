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
  { value: 'lawn', label: t('look.theWholeLawn') },
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
const kept = computed(() => {
  const { savedBy, place } = props.photo
  const where = place
    ? t('look.takenAt', { latDeg: degrees(place.latDeg), lonDeg: degrees(place.lonDeg) })
    : t('look.placeNotKept')
  return `${savedBy ? t('look.keptBy', { savedBy }) : t('look.keptByNobody')} ${where}`
})
</script>

<template>
  <UModal
    :open="true"
    :title="photo.note || t('look.aPhotoOfThe')"
    :description="kept"
    :ui="{ content: 'max-w-3xl' }"
    @update:open="emit('close')"
  >
    <template #body>
      <img
        v-if="!missing"
        :src="src"
        :alt="photo.note || t('look.photoOfTheLawn')"
        :width="photo.widthPx"
        :height="photo.heightPx"
        @error="missing = true"
      />
      <p v-else class="problem" role="alert">{{ t('look.thisPictureCannotBe') }}</p>
      <form class="words" novalidate @submit.prevent="keep">
        <UFormField :label="t('look.whatItShows')" name="photoNote" :error="errors.note"
          ><UInput v-model="note" maxlength="200" :placeholder="t('look.thatchPlugByThe')"
        /></UFormField>
        <UFormField :label="t('look.takenOn')" name="photoTaken" :error="errors.takenOn"
          ><UInput v-model="takenOn" type="date"
        /></UFormField>
        <UFormField :label="t('look.of')" name="photoZone" :error="errors.zoneId"
          ><USelect v-model="zoneId" :items="choices"
        /></UFormField>
      </form>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </template>
    <template #footer>
      <UButton color="primary" @click="keep">{{ t('look.keepTheWords') }}</UButton>
      <UButton variant="outline" @click="emit('under')">{{ t('look.layItUnderThe') }}</UButton>
      <span class="end">
        <template v-if="asking"
          ><span>{{ t('look.deleteItForGood') }}</span
          ><UButton color="error" variant="outline" @click="emit('remove')">{{ t('look.deleteThePhoto') }}</UButton
          ><UButton variant="outline" @click="asking = false">{{ t('look.keepIt') }}</UButton></template
        >
        <UButton v-else variant="outline" @click="asking = true">{{ t('look.delete') }}</UButton>
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
