<script setup lang="ts">
const { lawn, shown } = useLawn()
</script>

<template>
  <BringLoad v-if="lawn && shown?.schedule" :key="lawn.plan.version" :lawn="lawn" />
  <NotYet v-else :title="t('load.nothingToLoadYet')" :text="t('load.seedStarterAndCover')" />
</template>
