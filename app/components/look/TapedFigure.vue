<script setup lang="ts">
import { outlineOfShape } from '~/utils/tapedFigure'
import type { TapedPart } from '#core/site/typedArea'

/** Each taped shape drawn as typed, to its own proportions, with its area; what is cut out is hatched away. */
const props = defineProps<{ parts: readonly TapedPart[] }>()
const { text } = useUnits()
const figures = computed(() =>
  props.parts.map((part) => ({
    ...outlineOfShape(part.shape),
    part,
    area: text({ quantity: 'areaM2', value: part.areaM2 }),
  })),
)
</script>

<template>
  <div class="figures">
    <figure v-for="(one, i) in figures" :key="i">
      <svg :viewBox="one.viewBox" :aria-label="`${one.part.shape.kind}, ${one.area}`" role="img">
        <path :d="one.path" fill-rule="evenodd" :class="{ out: one.part.cutOut }" vector-effect="non-scaling-stroke" />
        <path v-if="one.inner" :d="one.inner" class="inner" vector-effect="non-scaling-stroke" />
      </svg>
      <figcaption class="small">
        {{ one.part.cutOut ? t('look.less') : i ? t('look.and') : '' }} {{ one.part.shape.kind }}, <b>{{ one.area }}</b>
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
svg {
  width: 96px;
  height: 60px;
}
path {
  fill: #dce5c6;
  stroke: var(--ink);
  stroke-width: 1.6px;
}
.out {
  fill: none;
  stroke-dasharray: 4 3;
}
.inner {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1px;
}
</style>
