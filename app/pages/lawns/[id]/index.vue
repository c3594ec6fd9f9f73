<script setup lang="ts">
const { id, lawn } = useLawn()
await navigateTo(`/lawns/${id}/${lawn.value?.job.endedOn ? 'jobs' : 'look'}`, { replace: true })
</script>

<template>
  <NuxtLink :to="`/lawns/${id}/look`">{{ t('shell.look') }}</NuxtLink>
</template>
