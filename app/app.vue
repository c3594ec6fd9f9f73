<script setup lang="ts">
useHead({ titleTemplate: (title) => (title ? `${title}, Upper Sill` : 'Upper Sill') })
</script>

<template>
  <UApp>
    <NuxtLayout>
      <NuxtPage />
    </NuxtLayout>
  </UApp>
</template>
