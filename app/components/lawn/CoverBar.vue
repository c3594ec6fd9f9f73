<script setup lang="ts">
/** Grass, weeds and bare soil as one bar that fills to 100. */
const props = defineProps<{ grass: string; weeds: string; bare: string }>()
const { parse } = useUnits()
const parts = computed(() => [['grass', props.grass], ['weeds', props.weeds], ['bare', props.bare]].map(([name, typed]) => {
  const parsed = parse('share', typed!)
  return { name: name!, share: parsed.ok && parsed.value >= 0 ? Math.min(1, parsed.value) : 0 }
}))
const total = computed(() => Math.round(parts.value.reduce((sum, { share }) => sum + share, 0) * 100))
</script>

<template>
  <div class="cover" role="img" :aria-label="`${parts.map((p) => `${p.name} ${Math.round(p.share * 100)}%`).join(', ')}; together ${total}%`">
    <div class="bar">
      <div v-for="part in parts" :key="part.name" :class="part.name" :style="{ width: `${(part.share * 100) / Math.max(1, total / 100)}%` }" />
    </div>
    <span class="small"><b class="grass-word">grass</b>, <b class="weed-word">weeds</b>, bare: {{ total }}%<template v-if="total !== 100"> of 100%</template></span>
  </div>
</template>

<style scoped>
.cover { display: flex; gap: 12px; align-items: center; margin-top: 9px; }
.bar { height: 15px; width: min(420px, 60%); border: 1.5px solid var(--ink); display: flex; background: var(--lime); }
.grass { background: repeating-linear-gradient(90deg, #3c6326 0 2px, #dce5c6 2px 6px); }
.weeds { background: repeating-linear-gradient(45deg, #9a3e1b 0 1.5px, transparent 1.5px 6px), repeating-linear-gradient(-45deg, #9a3e1b 0 1.5px, #f2dccb 1.5px 6px); }
.bare { background: radial-gradient(#172019 1px, #fbfbf5 1.2px) 0 0 / 5px 5px; }
.grass-word { color: var(--moss); }
.weed-word { color: var(--clay); }
</style>
