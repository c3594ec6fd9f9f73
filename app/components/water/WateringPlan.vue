<script setup lang="ts">
import type { Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import type { Lawn } from '#contract/lawn'
import { capital } from '~/utils/capital'
import { hourWords } from '~/utils/hourWords'
import type { WateringProgramme } from '#core/water/programme'

/** How new seed is watered: what to do in a sentence, phases, a dry day hour by hour, zones, and the client's sheet. */
const props = defineProps<{ lawn: Lawn; watering: WateringProgramme; sowOn: Day }>()
const { text } = useUnits()
const context = useContextStore()
const { costOf, dayOf, endsOf, nameOf, oftenOf, phaseOn, wet, worst } = useWatering(() => props)

const phase = computed(() => phaseOn(context.today))
const verdict = computed(() => {
  if (phase.value.code !== 'wet')
    return t('water.verdictLater', { phase: nameOf(phase.value), often: oftenOf(phase.value) })
  const { timesADay, to } = wet.value
  const can = worst.value.day.cycles.length
  if (!timesADay) return t('water.verdictNobody')
  if (worst.value.wants > can) return t('water.verdictFew', { times: can, wants: worst.value.wants })
  return t('water.verdictTimes', { times: timesADay, until: dayOf(to!.middle) })
})
const of100 = (share: number) => Math.round(share * 100)
const reasons = computed(() => {
  if (phase.value.code !== 'wet') return [capital(`${endsOf(phase.value)}.`), t('water.rainSkip')]
  const { name, without, lostShare, lostWithout, hotDayExtra } = worst.value
  const more = of100(lostWithout) - of100(lostShare)
  return [
    of100(lostShare) > 0 ? t('water.verdictHolds', { zone: name, lost: of100(lostShare) }) : '',
    without && more > 0 ? t('water.verdictWithout', { zone: name, hour: hourWords(without.hour), lost: more }) : '',
    hotDayExtra > 0 ? t('water.hotDay', { extra: hotDayExtra, zone: name }) : '',
    t('water.rainSkip'),
  ].filter(Boolean)
})
/** What is asked of the client's tap before anything is mown; later phases stand in their table. */
const litres = computed(() =>
  props.watering.phases.reduce(
    (sum, { code, litres: of }) => sum + (code === 'wet' || code === 'seedling' ? of : 0),
    0,
  ),
)
function print(): void {
  window.print()
}
</script>

<template>
  <div class="watering">
    <section class="said">
      <p class="verdict">{{ verdict }}</p>
      <p class="small">{{ reasons.join(' ') }}</p>
      <p class="small">{{ t('water.practicesIn') }}</p>
      <p class="caution">{{ t('water.cautions') }}</p>
      <div class="actions">
        <UButton color="primary" icon="i-lucide-printer" @click="print">{{ t('water.print') }}</UButton>
        <span class="small">{{
          t('water.noRain', { litres: text(figure('waterL', litres)), cost: costOf(litres) })
        }}</span>
      </div>
    </section>
    <PhaseBar class="phases" :watering :sow-on="sowOn" />
    <MoistureDay class="day" :zone="worst" />
    <WaterSheet class="sheet" :lawn :watering :sow-on="sowOn" />
    <IrrigationZones class="zones" :lawn :watering />
  </div>
</template>

<style scoped>
.watering {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 330px;
  grid-template-areas: 'said phases phases' 'day day sheet' 'zones zones sheet';
  gap: 16px 26px;
  align-items: start;
}
.said {
  grid-area: said;
  display: grid;
  gap: 8px;
}
.actions {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
.phases {
  grid-area: phases;
}
.day {
  grid-area: day;
}
.sheet {
  grid-area: sheet;
}
.zones {
  grid-area: zones;
}
@media (max-width: 1000px) {
  .watering {
    grid-template-columns: minmax(0, 1fr);
    grid-template-areas: 'said' 'phases' 'day' 'zones' 'sheet';
  }
}
@media print {
  .watering {
    display: block;
  }
  .watering > :not(.sheet) {
    display: none;
  }
}
</style>
