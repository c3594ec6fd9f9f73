<script setup lang="ts">
import type { SillData } from '#contract/context'
import type { SillScale } from '~/utils/sillScale'
import { sowingFields } from '~/utils/sillPlot'

/** The sowing windows as lit fields, and the temperatures that the seed sprouts between as two thin lines. */
const props = defineProps<{ data: SillData; scale: SillScale; lipY: number; wide: boolean }>()
const { number, unit } = useUnits()
const fields = computed(() => sowingFields(props.data, props.scale))
const band = computed(() => {
  const { lowC, highC } = props.data.outlook.band
  return [highC, lowC].map((tempC) => ({ y: props.scale.y(tempC), degrees: Math.round(number('tempC', tempC)) }))
})
const sprouts = computed(() => {
  const [high, low] = band.value
  return t('sill.sproutsTo', {
    grass: capital(tell(props.data.grassName)),
    degrees: low!.degrees,
    degrees2: high!.degrees,
    tempC: unit('tempC'),
  })
})
const TOP = 22
</script>

<template>
  <g>
    <g v-for="field in fields" :key="field.from">
      <rect :x="field.x" :y="TOP" :width="field.width" :height="lipY - TOP" fill="#e4bf52" opacity="0.3" />
      <path :d="`M${field.x} ${TOP}v${lipY - TOP}M${field.x + field.width} ${TOP}v${lipY - TOP}`" stroke="#e4bf52" />
    </g>
    <g v-for="edge in band" :key="edge.y">
      <line
        :x1="scale.left"
        :x2="scale.right"
        :y1="edge.y"
        :y2="edge.y"
        stroke="#bfb197"
        opacity="0.8"
        stroke-dasharray="2 3"
      />
      <text v-if="wide" :x="scale.right + 5" :y="edge.y + 4" class="faint">{{ edge.degrees }}</text>
    </g>
    <text v-if="wide" :x="scale.left + 6" :y="band[1]!.y - 5" class="halo faint">{{ sprouts }}</text>
  </g>
</template>
