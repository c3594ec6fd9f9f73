<script setup lang="ts">
/** Wanted grass, weeds, coarse weed grasses and bare soil as one bar that fills to 100. */
const props = defineProps<{
  zone: {
    desirableShare: number | null
    weedShare: number | null
    coarseShare?: number | null
    bareShare: number | null
  }
  wide?: boolean
  plain?: boolean
}>()
const parts = computed(() =>
  (
    [
      ['grass', props.zone.desirableShare],
      ['weeds', props.zone.weedShare],
      ['coarse', props.zone.coarseShare],
      ['bare', props.zone.bareShare],
    ] as const
  ).map(([name, share]) => ({ name, share: Math.max(0, Math.min(1, share ?? 0)) })),
)
const total = computed(() => Math.round(parts.value.reduce((sum, { share }) => sum + share, 0) * 100))
const percent = (share: number) => Math.round(share * 100)
</script>

<template>
  <div
    class="cover"
    :class="{ wide }"
    role="img"
    :aria-label="t('lawn.together', { parts: parts.map((p) => `${p.name} ${percent(p.share)}%`).join(', '), total })"
  >
    <div class="bar">
      <div
        v-for="part in parts"
        :key="part.name"
        :class="part.name"
        :style="{ width: `${(part.share * 100) / Math.max(1, total / 100)}%` }"
      />
    </div>
    <span v-if="wide" class="small"
      ><b class="grass-word">{{ t('lawn.grass') }}</b
      >, <b class="weed-word">{{ t('lawn.weeds') }}</b>, <b class="weed-word">{{ t('lawn.coarse') }}</b>{{
        t('lawn.bare', { total })
      }}<template v-if="total !== 100"> {{ t('lawn.of100') }}</template></span
    >
    <span v-else-if="!plain" class="numbers"
      ><i>{{ percent(parts[0]!.share) }}</i
      ><i>{{ percent(parts[1]!.share + parts[2]!.share) }}</i
      ><i>{{ percent(parts[3]!.share) }}</i></span
    >
  </div>
</template>

<style scoped>
.cover {
  display: grid;
  gap: 1px;
}
.cover.wide {
  display: flex;
  gap: 12px;
  align-items: center;
}
.bar {
  height: 13px;
  border: 1.5px solid var(--ink);
  display: flex;
  background: var(--lime);
}
.wide .bar {
  height: 15px;
  width: min(300px, 60%);
}
.numbers {
  display: flex;
  justify-content: space-between;
  font-size: 12px;
  font-weight: 600;
}
.numbers i {
  font-style: normal;
}
.grass {
  background: repeating-linear-gradient(90deg, #3c6326 0 2px, #dce5c6 2px 6px);
}
.weeds {
  background:
    repeating-linear-gradient(45deg, #9a3e1b 0 1.5px, transparent 1.5px 6px),
    repeating-linear-gradient(-45deg, #9a3e1b 0 1.5px, #f2dccb 1.5px 6px);
}
.coarse {
  background: repeating-linear-gradient(45deg, #9a3e1b 0 3px, #f2dccb 3px 6px);
}
.bare {
  background: radial-gradient(#172019 1px, #fbfbf5 1.2px) 0 0 / 5px 5px;
}
.grass-word {
  color: var(--moss);
}
.weed-word {
  color: var(--clay);
}
</style>
