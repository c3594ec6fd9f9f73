<script setup lang="ts">
import type { SeenNote } from '#contract/seen'
import { operationOf } from '#core/job/operations/registry'
import { figure } from '#core/measure/figure'
import { causeName, leafStageName } from '~/utils/watchWords'

/** What was written down, the latest first, each to be taken back. */
const props = defineProps<{ seen: SeenNote[]; names: Record<string, string>; busy: boolean }>()
const emit = defineEmits<{ forget: [id: string] }>()
const context = useContextStore()
const { text } = useUnits()
const zoneName = (zoneId: string | null) =>
  zoneId === null ? t('watch.allZones') : (props.names[zoneId] ?? t('watch.allZones'))
function wordsOf(note: SeenNote): string {
  const zone = zoneName(note.zoneId)
  if (note.kind === 'count')
    return t('watch.noteCount', {
      zone,
      counts: note.seedlings.join(', '),
      frame: text(figure('depthMm', note.frameMm)),
    })
  if (note.kind === 'height') return t('watch.noteHeight', { zone, height: text(figure('depthMm', note.heightMm)) })
  if (note.kind === 'check') return t('watch.noteCheck', { zone, moist: note.moist })
  if (note.kind === 'leaf') return t('watch.noteLeaf', { zone, stage: leafStageName(note.stage) })
  if (note.kind === 'cover')
    return t('watch.noteCover', { zone, percent: Math.round(note.coverShare * 100), from: note.from })
  if (note.kind === 'spot')
    return t('watch.noteSpot', { zone, areaM2: text(figure('areaM2', note.areaM2)), cause: causeName(note.cause) })
  if (note.kind === 'rain') return t('watch.noteRain', { rain: text(figure('waterMm', note.rainMm)) })
  if (note.kind === 'visit') {
    const operation = operationOf(note.task)
    const answers = (operation?.asks ?? []).flatMap(({ code, asks, figure: of }) => {
      const answer = note.answers[code]
      if (answer === undefined) return []
      const words =
        typeof answer === 'number'
          ? of && text(figure(of.quantity, answer, 2))
          : t(answer ? 'watch.visitYes' : 'watch.visitNo')
      return [t('watch.noteAnswer', { question: tell(asks), answer: words })]
    })
    return t('watch.noteVisit', { name: operation ? tell(operation.name) : '', answers: answers.join(' ') })
  }
  return t(note.given ? 'watch.noteWatered' : 'watch.noteMissed', { zone, hours: note.hours.map(hourWords).join(', ') })
}
const besides = (note: SeenNote) =>
  [
    note.kind === 'count' && note.moist !== null ? t(note.moist ? 'watch.moist' : 'watch.dry') : '',
    (note.kind === 'count' || note.kind === 'check') && note.washed ? t('watch.washed') : '',
    (note.kind === 'count' || note.kind === 'check') && note.birds ? t('watch.birds') : '',
    (note.kind === 'watering' || note.kind === 'rain') && note.by === 'client' ? t('watch.byClient') : '',
    note.note,
    note.savedBy ?? '',
  ]
    .filter(Boolean)
    .join('. ')
const notes = computed(() => [...props.seen].reverse())
</script>

<template>
  <section v-if="notes.length">
    <h2>{{ t('watch.seenNotes') }}</h2>
    <ul class="notes">
      <li v-for="note in notes" :key="note.id">
        <span class="num">{{ shortDay(note.seenOn, context.today) }}</span>
        <span
          >{{ wordsOf(note) }}<i class="small">{{ besides(note) }}</i></span
        >
        <button
          type="button"
          class="opens"
          :disabled="busy"
          :aria-label="t('watch.takeBackOf', { what: wordsOf(note) })"
          @click="emit('forget', note.id)"
        >
          {{ t('watch.takeBack') }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.notes li {
  display: grid;
  grid-template-columns: 70px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: start;
  border-bottom: 1px solid var(--rule);
  padding: 5px 0;
}
.notes i {
  display: block;
  font-style: normal;
}
@media (max-width: 700px) {
  .notes .opens {
    min-height: 48px;
  }
}
</style>
