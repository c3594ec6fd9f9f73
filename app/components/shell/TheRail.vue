<script setup lang="ts">
import { PLACES } from '~/utils/places'

const emit = defineEmits<{ keys: []; note: [] }>()
const route = useRoute()
</script>

<template>
  <nav class="rail" :aria-label="t('shell.places')">
    <NuxtLink
      v-for="place in PLACES"
      :key="place.to"
      :to="place.to"
      class="place"
      :class="{ here: route.path.startsWith(place.to) }"
      :aria-current="route.path.startsWith(place.to) ? 'page' : undefined"
      :aria-keyshortcuts="place.key"
    >
      <UIcon :name="place.icon" class="icon" aria-hidden="true" />
      {{ t(place.name) }}
    </NuxtLink>
    <span class="space" />
    <button type="button" class="place" aria-keyshortcuts="n" @click="emit('note')">
      <UIcon name="i-lucide-thermometer" class="icon" aria-hidden="true" />{{ t('shell.reading') }}
    </button>
    <button type="button" class="place keys" aria-keyshortcuts="?" @click="emit('keys')">
      <UIcon name="i-lucide-circle-question-mark" class="icon" aria-hidden="true" />{{ t('shell.help') }}
    </button>
  </nav>
</template>

<style scoped>
.rail {
  width: 72px;
  background: var(--chalk);
  border-right: 1px solid var(--rule);
  padding-top: 0;
  flex: none;
  display: flex;
  flex-direction: column;
}
@media (min-width: 701px) {
  .rail {
    position: sticky;
    top: var(--ledge);
    height: calc(100vh - var(--ledge));
    overflow-y: auto;
  }
}
.place {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 3px;
  padding: 10px 0 9px;
  font-size: 12.5px;
  font-weight: 600;
  color: var(--ink-2);
  cursor: pointer;
}
.place:hover {
  background: var(--straw-tint);
}
.here {
  background: var(--paper);
  border-left: 4px solid var(--moss);
  padding-right: 4px;
  color: var(--ink);
}
.icon {
  width: 23px;
  height: 23px;
}
.space {
  flex: 1;
  max-height: 40px;
}
@media (max-width: 700px) {
  .rail {
    position: fixed;
    bottom: 0;
    left: 0;
    right: 0;
    width: auto;
    flex-direction: row;
    z-index: 20;
    border: 0;
    border-top: 1px solid var(--rule-2);
  }
  .place {
    flex: 1;
    min-height: 60px;
    font-size: 13px;
  }
  .here {
    border-left: 0;
    border-top: 4px solid var(--moss);
    padding-top: 6px;
    padding-right: 0;
  }
  .space,
  .keys {
    display: none;
  }
}
@media print {
  .rail {
    display: none;
  }
}
</style>
