<script setup lang="ts">
import type { NuxtError } from '#app'

const props = defineProps<{ error: NuxtError }>()
const missing = computed(() => props.error.statusCode === 404)
</script>

<template>
  <main class="lost">
    <h1>{{ missing ? 'Nothing at this address' : 'This view could not be shown' }}</h1>
    <p>
      {{
        missing
          ? 'The lawn may have been deleted, or the link is mistyped.'
          : 'What was saved is safe. Go back to the lawns and try again.'
      }}
    </p>
    <UButton color="primary" @click="clearError({ redirect: '/lawns' })">Go to the lawns</UButton>
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
