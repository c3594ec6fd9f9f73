<script setup lang="ts">
const PLACES = [
  { to: '/lawns', name: 'Lawns', icon: 'i-lucide-land-plot' },
  { to: '/weather', name: 'Weather', icon: 'i-lucide-cloud-sun-rain' },
] as const
const route = useRoute()
</script>

<template>
  <nav class="rail" aria-label="Places">
    <NuxtLink v-for="place in PLACES" :key="place.to" :to="place.to" class="place" :class="{ here: route.path.startsWith(place.to) }" :aria-current="route.path.startsWith(place.to) ? 'page' : undefined">
      <UIcon :name="place.icon" class="icon" aria-hidden="true" />
      {{ place.name }}
    </NuxtLink>
  </nav>
</template>

<style scoped>
.rail { width: 72px; background: var(--chalk); border-right: 1px solid var(--rule); padding-top: 0; flex: none; }
.place { display: flex; flex-direction: column; align-items: center; gap: 3px; padding: 10px 0 9px; font-size: 12.5px; font-weight: 600; color: var(--ink-2); }
.place:hover { background: var(--straw-tint); }
.here { background: var(--paper); border-left: 4px solid var(--moss); padding-right: 4px; color: var(--ink); }
.icon { width: 23px; height: 23px; }
@media (max-width: 700px) {
  .rail { position: fixed; bottom: 0; left: 0; right: 0; width: auto; display: flex; z-index: 20; border: 0; border-top: 1px solid var(--rule-2); }
  .place { flex: 1; min-height: 60px; font-size: 13px; }
  .here { border-left: 0; border-top: 4px solid var(--moss); padding-top: 6px; padding-right: 0; }
}
@media print { .rail { display: none; } }
</style>
