<script setup lang="ts">
import { figure } from '#core/measure/figure'
import { fahrenheit } from '#core/measure/units'
import { PROBE_DEPTH_M } from '#core/soil/soil'
import { addDays, daysBetween } from '#core/measure/calendar'
import { indexOf } from '#core/establishment/outlook'
import { soilWorking } from '#core/soil/soilWorking'

/** Mark, name, and the soil right now: the model's mean of today, as the probe has moved it. */
const sill = useSillStore()
const working = useWorkingStore()
const { shown, text, system } = useUnits()

const latest = computed(() => {
  const last = sill.data?.outlook.readings.at(-1)
  return last && last.at.slice(0, 10) >= addDays(sill.data!.outlook.today, -1) ? last : undefined
})
/** Mean of today, as the probe has moved it. */
const nowC = computed(() => sill.data?.outlook.soilC.median[sill.data.outlook.todayIndex])
const other = computed(() => {
  if (nowC.value === undefined) return ''
  return system.value === 'us' ? `${nowC.value.toFixed(1)} °C` : `${fahrenheit(nowC.value).toFixed(1)} °F`
})
const weekAhead = computed(() => {
  if (!sill.data || nowC.value === undefined) return ''
  const { outlook } = sill.data
  const change = outlook.soilC.median[indexOf(outlook, addDays(outlook.today, 7))]! - nowC.value
  if (Math.abs(change) < 0.3) return t('sill.steadyForAWeek')
  return t('sill.risesFallsInA', { changeOver: change > 0, change: text(figure('tempStepK', Math.abs(change), 2)) })
})

function openWorking(): void {
  if (!sill.data || nowC.value === undefined) return
  const { stationName, recordEnds, outlook } = sill.data
  working.show(
    soilWorking({
      nowC: nowC.value,
      correctionK: outlook.correctionK[outlook.todayIndex]!,
      stationName,
      recordEnds,
      ...(latest.value ? { reading: latest.value } : {}),
    }),
  )
}
const depth = computed(() => text(figure('depthMm', PROBE_DEPTH_M * 1000)))
const note = computed(() =>
  !latest.value
    ? t('sill.deepModelled', { depth: depth.value })
    : latest.value.used
      ? t('sill.probe', { at: latest.value.at.slice(11), tempC: text(figure('tempC', latest.value.tempC)) })
      : t('sill.probeLeftOut', { at: latest.value.at.slice(11) }),
)
/** Older than this, days, and today's soil is a guess. @source own */
const OLD_DAYS = 7
const age = computed(() => {
  const of = sill.data
  if (!of) return undefined
  if (!of.recordEnds) return { words: t('sill.noRecordYet'), old: true }
  const days = daysBetween(of.recordEnds, of.outlook.today)
  if (days <= 1) return { words: t('sill.recordUpToYesterday'), old: false }
  return { words: t('sill.recordEndsDaysAgo', { days }), old: days > OLD_DAYS }
})
</script>

<template>
  <div class="readout">
    <NuxtLink to="/lawns" class="mark" :aria-label="t('sill.upperSillLawns')">
      <svg width="42" height="44" viewBox="0 0 42 44" aria-hidden="true">
        <g stroke="#b4cc72" stroke-width="2.4" stroke-linecap="round">
          <path d="M8 24V17M14 24V11M20 24V7M26 24V12M32 24V9M37 24V18" />
        </g>
        <path d="M2 25.5H40" stroke="#e9e0ce" stroke-width="3" />
        <g stroke="#8c7c64" stroke-width="2" stroke-linecap="round"><path d="M12 31v5M21 31v10M30 31v6" /></g>
      </svg>
      <span>{{ t('sill.upper') }} <br />{{ t('sill.sill') }}</span>
    </NuxtLink>
    <div v-if="sill.data && nowC !== undefined" class="soil">
      <div class="place">{{ t('sill.soilNow', { place: sill.data.place }) }}</div>
      <NuxtLink v-if="age?.old" to="/weather" class="age old on-phone">{{ age.words }}</NuxtLink>
      <button
        class="now num"
        :aria-label="t('sill.soilNowOpenThe', { nowC: text(figure('tempC', nowC)) })"
        @click="openWorking"
      >
        {{ shown(figure('tempC', nowC)).value }}<span class="deg">{{ shown(figure('tempC', nowC)).unit }}</span>
      </button>
      <span class="other">{{ other }}</span>
      <div class="note">
        <b>{{ note }}</b><br />{{ weekAhead }}<br /><NuxtLink
          v-if="age"
          to="/weather"
          class="age"
          :class="{ old: age.old }"
          >{{ age.words }}</NuxtLink
        >
      </div>
    </div>
  </div>
</template>

<style scoped>
.readout {
  position: absolute;
  inset: 0 auto auto 0;
  height: 117px;
  display: flex;
  z-index: 1;
}
.mark {
  width: 72px;
  border-right: 1px solid #43382a;
  color: #e9e0ce;
  display: flex;
  flex-direction: column;
  align-items: center;
  padding-top: 18px;
  font:
    700 16px/1 'Besley Variable',
    serif;
  gap: 2px;
}
.on-phone {
  display: none;
}
.age.old {
  color: #f0c95c;
  font-weight: 650;
}
.soil {
  padding: 14px 0 0 16px;
  width: 176px;
  position: relative;
  border-right: 1px solid #43382a;
  margin: 8px 0;
  padding-top: 0;
}
.place {
  font-size: 12.5px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  padding-right: 6px;
}
.now {
  font-size: 38px;
  line-height: 1.12;
  color: #e9e0ce;
  cursor: pointer;
}
.deg {
  font:
    650 13px 'Archivo Variable',
    sans-serif;
  vertical-align: 15px;
}
.other {
  position: absolute;
  right: 10px;
  top: 42px;
  color: #bfb197;
  font-size: 12.5px;
}
.note {
  font-size: 11.5px;
  line-height: 1.32;
}
@media (max-width: 700px) {
  .readout {
    position: static;
    background: #211a12;
    height: 58px;
    align-items: center;
    justify-content: space-between;
  }
  .mark {
    flex-direction: row;
    width: auto;
    border: 0;
    padding: 6px 12px;
    gap: 8px;
  }
  .mark svg {
    width: 34px;
    height: 36px;
  }
  .mark br {
    display: none;
  }
  .mark span {
    font-size: 18px;
  }
  .soil {
    border: 0;
    margin: 0;
    width: auto;
    text-align: right;
    padding: 4px 14px 0;
  }
  .now {
    font-size: 26px;
  }
  .other,
  .note {
    display: none;
  }
  .on-phone {
    display: block;
    font-size: 12px;
    line-height: 28px;
  }
  .place {
    font-size: 13px;
    max-width: 190px;
    padding: 0;
  }
}
</style>
