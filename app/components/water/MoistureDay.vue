<script setup lang="ts">
import { figure } from '#core/measure/figure'
import { DRY_BELOW } from '#core/water/topLayer'
import type { WetZone } from '#core/water/programme'
import { hourWords } from '~/utils/hourWords'

/** The seedbed that dries first, through a dry day: as planned, and with one watering left out. */
const props = defineProps<{ zone: WetZone }>()
const { text } = useUnits()
const [WIDTH, TOP, HEIGHT, LEFT] = [760, 26, 130, 44]
const x = (hour: number) => LEFT + (hour / 24) * (WIDTH - LEFT - 8)
const y = (left: number) => TOP + (1 - left) * HEIGHT
const lineOf = (left: ArrayLike<number>) =>
  Array.from(left, (share, hour) => `${hour ? 'L' : 'M'}${x(hour + 1).toFixed(1)} ${y(share).toFixed(1)}`).join('')
const HOURS = [0, 6, 12, 18, 24]
const ticks = computed(() => HOURS.map((hour) => ({ hour, words: hourWords(hour % 24) })))
const rows = computed(() =>
  Array.from(props.zone.day.leftShare, (left, hour) => ({
    hour: hourWords((hour + 1) % 24),
    left: Math.round(left * 100),
    without: props.zone.without ? Math.round(props.zone.without.day.leftShare[hour]! * 100) : null,
  })),
)
</script>

<template>
  <section>
    <h2>{{ t('water.moisture') }}</h2>
    <p class="small">{{ t('water.moistureOf', { zone: zone.name, depth: text(figure('depthMm', 6)) }) }}</p>
    <svg
      :viewBox="`0 0 ${WIDTH} ${TOP + HEIGHT + 24}`"
      class="drawn-chart"
      role="img"
      :aria-label="t('water.moisture')"
    >
      <rect :x="LEFT" :y="TOP" :width="WIDTH - LEFT - 8" :height="HEIGHT" class="ground" />
      <rect :x="LEFT" :y="y(DRY_BELOW)" :width="WIDTH - LEFT - 8" :height="HEIGHT * DRY_BELOW" class="dies" />
      <g
        v-for="[words, left] in [
          [t('water.full'), 1],
          [t('water.half'), 0.5],
          [t('water.dry'), 0],
        ] as const"
        :key="left"
      >
        <text :x="LEFT - 6" :y="y(left) + 4" text-anchor="end">{{ words }}</text>
        <path :d="`M${LEFT} ${y(left)}H${WIDTH - 8}`" class="rule" />
      </g>
      <g v-for="{ hour, words } in ticks" :key="hour">
        <text :x="x(hour)" :y="TOP + HEIGHT + 18" :text-anchor="hour === 24 ? 'end' : hour ? 'middle' : 'start'">
          {{ words }}
        </text>
      </g>
      <g v-for="cycle in zone.day.cycles" :key="cycle.hour">
        <path :d="`M${x(cycle.hour)} ${TOP}V${TOP + HEIGHT}`" class="turn" />
        <rect :x="x(cycle.hour) - 3" :y="TOP - 8" width="6" height="8" class="plate" />
        <text :x="x(cycle.hour)" :y="TOP - 12" text-anchor="middle" class="at">{{ hourWords(cycle.hour) }}</text>
      </g>
      <path v-if="zone.without" :d="lineOf(zone.without.day.leftShare)" class="line without" />
      <path :d="lineOf(zone.day.leftShare)" class="line" />
      <text :x="LEFT + 6" :y="y(DRY_BELOW) - 5" class="dies-words">{{ t('water.driesBelow') }}</text>
    </svg>
    <p class="small key">
      <i class="mark" />{{ t('water.asPlanned') }}
      <template v-if="zone.without"
        ><i class="mark left-out" />{{ t('water.without', { hour: hourWords(zone.without.hour) }) }}</template
      >
    </p>
    <details>
      <summary>{{ t('water.moistureTable') }}</summary>
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">{{ t('water.hour') }}</th>
            <th scope="col" class="right">{{ t('water.left') }}</th>
            <th v-if="zone.without" scope="col" class="right">
              {{ t('water.leftWithout', { hour: hourWords(zone.without.hour) }) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.hour">
            <td>{{ row.hour }}</td>
            <td class="right">{{ row.left }}%</td>
            <td v-if="row.without !== null" class="right">{{ row.without }}%</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>

<style scoped>
.dies {
  fill: #f2d9cb;
}
.dies-words {
  fill: var(--clay);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--chalk);
  stroke-width: 4px;
}
.turn {
  stroke: #2b5d87;
  stroke-dasharray: 2 3;
}
.plate {
  fill: #2b5d87;
}
.at {
  font-weight: 650;
}
.line {
  fill: none;
  stroke: #2b5d87;
  stroke-width: 2.4;
}
.line.without {
  stroke: var(--clay);
  stroke-width: 1.8;
  stroke-dasharray: 6 4;
}
.key {
  display: flex;
  gap: 8px;
  align-items: center;
}
.mark {
  width: 22px;
  border-top: 2.4px solid #2b5d87;
}
.left-out {
  border-top: 1.8px dashed var(--clay);
  margin-left: 10px;
}
</style>
