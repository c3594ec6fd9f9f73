<script setup lang="ts">
import type { Photo } from '#contract/photo'

/** Photos taken in a job that has ended; each opens whole. */
const props = defineProps<{ lawnId: string; jobId: string; zones: Record<string, { name: string }> }>()
const context = useContextStore()
const { photos, message, pictureOf } = usePhotos(props.lawnId)
const shown = computed(() => photos.value.filter(({ jobId }) => jobId === props.jobId))
const says = ({ zoneId, note, takenOn }: Photo) =>
  [note, zoneId && props.zones[zoneId]?.name, takenOn && shortDay(takenOn, context.today)].filter(Boolean).join(', ') ||
  t('job.noWords')
</script>

<template>
  <section v-if="shown.length || message" :aria-label="t('job.photosOfThisJob')">
    <h3>{{ t('job.photos') }}</h3>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <ul>
      <li v-for="photo in shown" :key="photo.id">
        <a :href="pictureOf(photo.id, 'whole')" target="_blank" rel="noopener">
          <PhotoPrint :photo="photo" :src="pictureOf(photo.id, 'small')" :says="says(photo)" />
        </a>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 6px;
}
li {
  width: 160px;
}
li :deep(img) {
  width: 100%;
  height: auto;
  border: 1px solid var(--ink);
}
</style>
