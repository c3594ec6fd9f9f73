<script setup lang="ts">
const { id } = useLawn()
await navigateTo(`/lawns/${id}/look`, { replace: true })
</script>

<template>
  <NuxtLink :to="`/lawns/${id}/look`">Look</NuxtLink>
</template>
