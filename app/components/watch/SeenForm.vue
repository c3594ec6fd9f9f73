<script setup lang="ts">
/** Frame of a form in which something seen is written down: the zone it is of, what is asked, and saving or leaving it. */
const zoneId = defineModel<string>('zoneId', { required: true })
const props = defineProps<{ zones: { id: string; name: string }[]; save: string; busy: boolean }>()
const emit = defineEmits<{ submit: []; cancel: [] }>()
const ZONES = computed(() => props.zones.map(({ id, name }) => ({ value: id, label: name })))
</script>

<template>
  <form class="panel-open seen" @submit.prevent="emit('submit')">
    <UFormField v-if="zones.length > 1" :label="t('watch.zone')"
      ><USelect v-model="zoneId" :items="ZONES" :aria-label="t('watch.zone')"
    /></UFormField>
    <slot />
    <div class="actions">
      <UButton color="primary" type="submit" :loading="busy">{{ save }}</UButton>
      <UButton variant="ghost" @click="emit('cancel')">{{ t('watch.cancel') }}</UButton>
    </div>
  </form>
</template>

<style scoped>
.seen {
  padding: 14px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.actions {
  display: flex;
  gap: 10px;
}
</style>
