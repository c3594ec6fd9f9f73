<script setup lang="ts">
/** Name and place of a station as they are typed. */
export interface TypedStation {
  name: string
  lat: string
  lon: string
  height: string
  coastal: boolean
}
const form = defineModel<TypedStation>({ required: true })
defineProps<{ errors: Record<string, string>; prefix: string }>()
const { unit } = useUnits()
</script>

<template>
  <div class="fields">
    <UFormField :label="t('weather.name')" :name="`${prefix}-name`" :error="errors.name"
      ><UInput :id="`field-${prefix}-name`" v-model="form.name" maxlength="80"
    /></UFormField>
    <div class="three">
      <UFormField
        :label="t('weather.latitude')"
        :name="`${prefix}-lat`"
        :error="errors.latDeg"
        :help="t('weather.southIsNegative')"
        ><UInput :id="`field-${prefix}-lat`" v-model="form.lat" inputmode="decimal"
      /></UFormField>
      <UFormField
        :label="t('weather.longitude')"
        :name="`${prefix}-lon`"
        :error="errors.lonDeg"
        :help="t('weather.westIsNegative')"
        ><UInput :id="`field-${prefix}-lon`" v-model="form.lon" inputmode="decimal"
      /></UFormField>
      <UFormField
        :label="t('weather.height', { distanceM: unit('distanceM') })"
        :name="`${prefix}-height`"
        :error="errors.heightM"
        :help="t('weather.aboveTheSea')"
        ><UInput :id="`field-${prefix}-height`" v-model="form.height" inputmode="decimal"
      /></UFormField>
    </div>
    <UCheckbox v-model="form.coastal" :label="t('weather.nearACoastMore')" />
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 10px;
  width: 100%;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 12px;
}
@media (max-width: 700px) {
  .three {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
