<script setup lang="ts">
import { spoken } from '~/utils/words'

useHead({
  titleTemplate: (title) => (title ? t('shell.upperSill', { title }) : 'Upper Sill'),
  htmlAttrs: { lang: spoken },
})
</script>

<template>
  <UApp>
    <NuxtLayout :key="spoken">
      <NuxtPage />
    </NuxtLayout>
  </UApp>
</template>
