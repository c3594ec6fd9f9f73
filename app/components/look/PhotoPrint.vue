<script setup lang="ts">
import type { Photo } from '#contract/photo'

/** A photo as a small print with its words. */
defineProps<{ photo: Photo; src: string; says: string }>()
</script>

<template>
  <img :src="src" :alt="says" loading="lazy" :width="photo.widthPx" :height="photo.heightPx" />
  <span class="small">{{ says }}</span>
</template>
