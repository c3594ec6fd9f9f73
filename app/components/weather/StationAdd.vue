<script setup lang="ts">
import { newStationSchema, type Station } from '#contract/station'

const emit = defineEmits<{ added: [station: Station] }>()
const { empty, readStation } = useTypedStation()
const form = ref(empty())
const { busy, message, errors, judged, send } = useSend()

async function add(): Promise<void> {
  const { station: typed, read } = readStation(form.value)
  const wanted = judged(newStationSchema, typed, read)
  let station: Station | undefined
  if (
    !wanted ||
    !(await send(async () => {
      station = await $fetch<Station>('/api/stations', { method: 'POST', body: wanted })
    }))
  )
    return
  emit('added', station!)
  form.value = empty()
}
</script>

<template>
  <form class="panel" novalidate @submit.prevent="add">
    <h2>{{ t('weather.addAStation') }}</h2>
    <StationFields v-model="form" :errors="errors" prefix="station" />
    <UButton type="submit" color="primary" :loading="busy">{{ t('weather.addTheStation') }}</UButton>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </form>
</template>

<style scoped>
form {
  padding: 14px 16px;
  display: grid;
  gap: 10px;
  justify-items: start;
}
</style>
