<script setup lang="ts">
import { cubicYards, figure } from '#core/measure/figure'

/** What covers the seed, how deep it is raked in, and how low the turf is cut before. */
const { form, errors, materials, load } = useBring()
const { text, shown, system } = useUnits()
const { settings, parts, sows, cover, coveredM2, depth } = load

const covers = computed(() => coveredM2.value > 0 || !parts.value.length)
const sowsOrNothing = computed(() => sows.value || !parts.value.length)
const bulk = computed(() => {
  if (!cover.value) return ''
  const m3 = cover.value.value
  return system.value === 'us'
    ? `${cubicYards(m3).toFixed(1)} yd³`
    : `${Math.round(m3 * 1000).toLocaleString('en-US')} L`
})
const uncovered = computed(() => {
  if (covers.value) return 'none: three to seven waterings a day, and somebody there to give them'
  return sows.value ? 'the seed is raked in, not covered' : 'before the soil goes on'
})
</script>

<template>
  <LoadCard :title="covers ? 'Cover' : 'Cut'">
    <template #stub>
      <template v-if="cover">
        <span class="hero">
          <WorkedNumber :worked="cover" bare /> <i class="unit">{{ shown(cover.working.result).unit }}</i>
        </span>
        <span class="small">
          {{ bulk }} loose {{ settings.coverMaterial }}<br />
          {{ text(figure('depthMm', settings.coverMm)) }} over {{ text(figure('areaM2', coveredM2)) }}
        </span>
      </template>
      <span v-else class="small">{{ uncovered }}</span>
    </template>
    <UFormField v-if="covers" label="Cover with" name="material">
      <USelect id="field-material" v-model="form.material" :items="materials" aria-label="Cover with" />
    </UFormField>
    <UFormField v-if="covers" label="Depth of cover" name="cover" :error="errors.cover" help="0 for none">
      <UInput id="field-cover" v-model="form.cover" />
    </UFormField>
    <UFormField v-if="sowsOrNothing" label="Rake in to" name="rake" :error="errors.rake">
      <UInput id="field-rake" v-model="form.rake" />
    </UFormField>
    <UFormField label="Scalp down to" name="scalp" :error="errors.scalp">
      <UInput id="field-scalp" v-model="form.scalp" />
    </UFormField>
    <template #load>
      <GateLine v-if="depth && sows" :gate="depth" with-source />
      <p v-if="coveredM2" class="caution">
        Dust of peat and compost: mask and gloves, damp it down, wash hands. Bags over 25 kg want two people.
      </p>
    </template>
  </LoadCard>
</template>
