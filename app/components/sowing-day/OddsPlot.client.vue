<script setup lang="ts">
import { use } from 'echarts/core'
import { LineChart } from 'echarts/charts'
import { AriaComponent, GridComponent, MarkPointComponent } from 'echarts/components'
import { SVGRenderer } from 'echarts/renderers'
import type { ECBasicOption } from 'echarts/types/dist/shared'
import VChart from 'vue-echarts'

use([LineChart, GridComponent, MarkPointComponent, AriaComponent, SVGRenderer])
defineProps<{ option: ECBasicOption }>()
</script>

<template>
  <VChart :option="option" autoresize aria-hidden="true" />
</template>
