<script setup lang="ts">
await navigateTo('/lawns', { replace: true })
</script>

<template>
  <NuxtLink to="/lawns">{{ t('shell.lawns') }}</NuxtLink>
</template>
