<script setup lang="ts">
import { COVER_NAMES } from '#core/materials/covers'
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
    ? t('load.yd', { m3: cubicYards(m3).toFixed(1) })
    : `${Math.round(m3 * 1000).toLocaleString('en-US')} L`
})
const uncovered = computed(() => {
  if (covers.value) return t('load.noneThreeToSeven')
  return sows.value ? t('load.theSeedIsRaked') : t('load.beforeTheSoilGoes')
})
</script>

<template>
  <LoadCard :title="covers ? t('load.cover') : t('load.cut')">
    <template #stub>
      <template v-if="cover">
        <span class="hero">
          <WorkedNumber :worked="cover" bare /> <i class="unit">{{ shown(cover.working.result).unit }}</i>
        </span>
        <span class="small">
          {{ t('load.loose', { bulk, coverMaterial: COVER_NAMES[settings.coverMaterial] }) }}<br />
          {{
            t('load.over', {
              coverMm: text(figure('depthMm', settings.coverMm)),
              coveredM2: text(figure('areaM2', coveredM2)),
            })
          }}
        </span>
      </template>
      <span v-else class="small">{{ uncovered }}</span>
    </template>
    <UFormField v-if="covers" :label="t('load.coverWith')" name="material">
      <USelect id="field-material" v-model="form.material" :items="materials" :aria-label="t('load.coverWith')" />
    </UFormField>
    <UFormField
      v-if="covers"
      :label="t('load.depthOfCover')"
      name="cover"
      :error="errors.cover"
      :help="t('load.n0ForNone')"
    >
      <UInput id="field-cover" v-model="form.cover" />
    </UFormField>
    <UFormField v-if="sowsOrNothing" :label="t('load.rakeInTo')" name="rake" :error="errors.rake">
      <UInput id="field-rake" v-model="form.rake" />
    </UFormField>
    <UFormField :label="t('load.scalpDownTo')" name="scalp" :error="errors.scalp">
      <UInput id="field-scalp" v-model="form.scalp" />
    </UFormField>
    <template #load>
      <GateLine v-if="depth && sows" :gate="depth" with-source />
      <p v-if="coveredM2" class="caution">
        {{ t('load.dustOfPeatAnd') }}
      </p>
    </template>
  </LoadCard>
</template>
