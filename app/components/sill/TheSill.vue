<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { figure } from '#core/measure/figure'
import type { Hanger } from '~/utils/sillScale'

/** The ledge that holds the season, over every page: whole, or in one line. */
defineProps<{ hangers: Hanger[]; slim: boolean }>()
const emit = defineEmits<{ slim: [slim: boolean] }>()
const sill = useSillStore()
const { text } = useUnits()
const narrow = useMediaQuery('(max-width: 700px)')
/** Soil of now, the week to come and the next window, for the ledge in one line. */
const oneLine = computed(() => {
  const of = sill.data
  if (!of) return sill.lacks ?? sill.problem?.message ?? t('sill.workingOutTheSeason')
  const { outlook } = of
  const now = outlook.soilC.median[outlook.todayIndex]!
  const [next] = outlook.windows
  return [
    t('sill.soilNow2', { place: of.place, now: text(figure('tempC', now, 3)) }),
    ...(next
      ? [t('sill.sowTo', { from: shortDay(next.from, outlook.today), to: shortDay(next.to, outlook.today) })]
      : []),
  ].join('; ')
})
</script>

<template>
  <header class="sill" :class="{ narrow, slim }">
    <button
      type="button"
      class="fold"
      :aria-expanded="!slim"
      :aria-label="slim ? t('sill.showTheWholeLedge') : t('sill.ledgeInOneLine')"
      aria-keyshortcuts="l"
      @click="emit('slim', !slim)"
    >
      <UIcon :name="slim ? 'i-lucide-chevron-down' : 'i-lucide-chevron-up'" class="size-4" />
    </button>
    <span v-if="sill.behind" class="behind">{{ t('sill.workedOutAnew') }}</span>
    <button v-if="slim" type="button" class="one-line" @click="emit('slim', false)">{{ oneLine }}</button>
    <SillPlot v-else :hangers />
  </header>
</template>

<style scoped>
.sill {
  position: sticky;
  top: 0;
  z-index: 15;
  background: linear-gradient(#211a12 124px, transparent 124px);
  height: 150px;
  color: #e9e0ce;
  flex: none;
}
/* What scrolls away under the ledge does not show between what hangs from it. */
.sill::after {
  content: '';
  position: absolute;
  inset: 124px 0 0 72px;
  background: var(--paper);
  z-index: -1;
}
.sill.slim {
  height: 60px;
  background: linear-gradient(#211a12 34px, transparent 34px);
}
.slim::after {
  inset: 34px 0 0 72px;
}
.one-line {
  height: 34px;
  padding: 0 44px 0 16px;
  font-size: 13px;
  font-weight: 600;
  color: #e9e0ce;
  cursor: pointer;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  max-width: 100%;
}
.behind {
  position: absolute;
  right: 40px;
  top: 6px;
  padding: 0 8px;
  border-radius: 2px;
  background: var(--straw-tint);
  color: var(--ink);
  font-size: 12px;
  font-weight: 600;
  line-height: 22px;
  z-index: 2;
}
.fold {
  position: absolute;
  right: 4px;
  top: 4px;
  width: 28px;
  height: 26px;
  display: grid;
  place-items: center;
  color: #bfb197;
  cursor: pointer;
  z-index: 2;
}
.sill.narrow {
  height: auto;
  background: none;
}
.narrow::after {
  display: none;
}
.sill.narrow:not(.slim) {
  position: relative;
}
.sill.narrow.slim {
  background: #211a12;
  height: 48px;
}
.narrow .one-line {
  height: 48px;
}
.narrow .fold {
  width: 48px;
  height: 48px;
  top: 0;
  right: 0;
}
.narrow:not(.slim) .fold {
  display: none;
}
@media print {
  .sill {
    display: none;
  }
}
</style>
