<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import type { Station } from '#contract/station'

const { lawn } = useLawn()
const { data: stations } = await useAsyncData('stations', () => $fetch<Station[]>('/api/stations').catch(() => []))
/** On a phone the survey begins with one question at a time; either way leads to the other. */
const narrow = useMediaQuery('(max-width: 700px)')
const wanted = ref<'walk' | 'all' | null>(null)
const walking = computed(() => (wanted.value ?? (narrow.value ? 'walk' : 'all')) === 'walk')
/** Saving draws the page anew: the walk goes on where it was. */
const at = ref('')
</script>

<template>
  <template v-if="lawn">
    <SurveyWalk
      v-if="walking"
      :key="`walk-${lawn.id}-${lawn.version}`"
      :lawn="lawn"
      :start="at"
      @at="
        (key) => {
          at = key
        }
      "
      @all="wanted = 'all'"
    />
    <TheSurvey
      v-else
      :key="`${lawn.id}-${lawn.version}`"
      :lawn="lawn"
      :stations="stations ?? []"
      @walk="wanted = 'walk'"
    />
  </template>
</template>
