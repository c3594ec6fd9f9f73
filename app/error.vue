<script setup lang="ts">
import type { NuxtError } from '#app'

const props = defineProps<{ error: NuxtError }>()
const missing = computed(() => props.error.statusCode === 404)
</script>

<template>
  <main class="lost">
    <h1>{{ missing ? t('shell.nothingAtThisAddress') : t('shell.thisViewCouldNot') }}</h1>
    <p>
      {{ missing ? t('shell.theLawnMayHave') : t('shell.whatWasSavedIs') }}
    </p>
    <UButton color="primary" @click="clearError({ redirect: '/lawns' })">{{ t('shell.goToTheLawns') }}</UButton>
  </main>
</template>

<style scoped>
.lost {
  padding: 80px;
  display: grid;
  gap: 16px;
  justify-items: start;
}
</style>
