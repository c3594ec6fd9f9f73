<script setup lang="ts">
/** Where a firm works, with its height and whether a coast is near. */
defineProps<{ error: string | undefined; heightError: string | undefined }>()
const typed = defineModel<string>({ required: true })
const coastal = defineModel<boolean>('coastal', { required: true })
const height = defineModel<string>('height', { required: true })
const { unit } = useUnits()
</script>

<template>
  <PlacePick v-model="typed" :error>
    <UFormField
      :label="t('setUp.height', { distanceM: unit('distanceM') })"
      name="height"
      :error="heightError"
      class="height"
    >
      <UInput id="field-height" v-model="height" inputmode="decimal" maxlength="12" autocomplete="off" />
    </UFormField>
  </PlacePick>
  <UCheckbox v-model="coastal" :label="t('setUp.nearACoastMore')" />
</template>

<style scoped>
.height {
  width: 92px;
}
</style>
