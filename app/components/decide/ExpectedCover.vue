<script setup lang="ts">
import type { Expectation } from '#core/job/decision/expectations'

/** What a programme is expected to leave: grass, weeds and bare ground at three times. */
defineProps<{ expect: readonly Expectation[] }>()
const percent = (share: number) => Math.round(share * 100)
const cover = ({ grass, weeds, bare }: Expectation) => ({
  desirableShare: grass.value,
  weedShare: weeds,
  coarseShare: 0,
  bareShare: bare,
})
</script>

<template>
  <div v-for="then in expect" :key="then.horizon" class="expect">
    <span class="small">{{ tell(then.when) }}</span><CoverBar :zone="cover(then)" plain /><span class="three"
      ><WorkedNumber :worked="then.grass" :words="String(percent(then.grass.value))" /><i>{{ percent(then.weeds) }}</i
      ><i>{{ percent(then.bare) }}</i></span
    >
  </div>
</template>

<style scoped>
.expect {
  display: grid;
  grid-template-columns: 62px 1fr 74px;
  gap: 6px;
  align-items: center;
}
.three {
  align-items: center;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  text-align: right;
}
.three i {
  font-style: normal;
}
.three :deep(.opens) {
  min-height: 24px;
  min-width: 24px;
  text-align: right;
}
</style>
