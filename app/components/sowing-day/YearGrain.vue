<script setup lang="ts">
/** The years behind the counts: a line a year, a letter a day as `Outlook.grain` has them. */
const props = defineProps<{ grain: readonly string[]; left: number; perDay: number; width: number }>()
const LINE_PX = 5.4
const COLOURS: Record<string, string> = {
  g: '#3c6326',
  h: '#dfbfae',
  f: '#b3c8d3',
  c: '#c3cfd2',
  w: '#172019',
  d: '#e0c57c',
  n: '#d6cba9',
  v: '#c4ccd6',
}

/** A year's letters as runs, so that a season is a few rectangles. */
function runs(letters: string): { letter: string; from: number; length: number }[] {
  const out: { letter: string; from: number; length: number }[] = []
  for (const [i, letter] of [...letters].entries()) {
    const last = out.at(-1)
    if (last?.letter === letter) last.length++
    else out.push({ letter, from: i, length: 1 })
  }
  return out
}
/** As many as can be told apart; the counts are of all. */
const MOST_LINES = 30
const lines = computed(() => {
  const step = Math.max(1, props.grain.length / MOST_LINES)
  const shown = Math.min(MOST_LINES, props.grain.length)
  return Array.from({ length: shown }, (_, i) => runs(props.grain[Math.floor(i * step)]!))
})
</script>

<template>
  <div class="head small">
    <b>{{ t('sowingDay.theYearsBehindIt', { shown: lines.length, years: grain.length }) }}</b>
    {{ t('sowingDay.oneLineAYear') }}
  </div>
  <svg class="block" :width="width" :height="lines.length * LINE_PX" aria-hidden="true">
    <g v-for="(line, y) in lines" :key="y" :transform="`translate(${left} ${y * LINE_PX})`">
      <rect
        v-for="run in line"
        :key="run.from"
        :x="run.from * perDay"
        :y="run.letter === 'w' ? 2 : 0.4"
        :width="run.length * perDay"
        :height="run.letter === 'w' ? 1.2 : 4.4"
        :fill="COLOURS[run.letter]"
      />
    </g>
  </svg>
</template>

<style scoped>
.head {
  margin: 3px 0 3px 40px;
}
</style>
