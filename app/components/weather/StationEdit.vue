<script setup lang="ts">
import { stationEditSchema, type Station } from '#contract/station'
import { readNormals, typedNormals } from '~/utils/normalsTyped'

/** A station's name, place and monthly normals. Saved by two at once, the second is shown what the first kept. */
const props = defineProps<{ station: Station }>()
const emit = defineEmits<{ saved: [station: Station]; removed: [] }>()
const context = useContextStore()
const { typedOf, readStation } = useTypedStation()
const { busy, message, errors, judged, send } = useSend()
const form = ref(typedOf(props.station))
const home = ref(props.station.home)
const normals = ref(typedNormals(props.station.normals, context.units))
/** What somebody else saved meanwhile: theirs is in the fields only where it is taken. */
const theirs = ref<Station>()
const version = ref(props.station.version)

async function save(): Promise<void> {
  const { station: typed, read } = readStation(form.value)
  const readTable = readNormals(normals.value, props.station.normals, context.units)
  const wanted = judged(
    stationEditSchema,
    {
      ...typed,
      version: version.value,
      home: home.value,
      normals: readTable.ok ? readTable.normals : null,
      // Figures that the normals were made of stay while nobody types other normals.
      fewFigures: readTable.ok && sameJson(readTable.normals, props.station.normals) ? props.station.fewFigures : null,
    },
    read,
  )
  if (!readTable.ok) errors.value = { ...errors.value, ...readTable.wrong }
  if (!wanted || !readTable.ok) return
  let station: Station | undefined
  const kept = await send(async () => {
    try {
      station = await $fetch<Station>(`/api/stations/${props.station.id}`, { method: 'PUT', body: wanted })
    } catch (error) {
      const { data } = error as { data?: { error?: { code: string; theirs?: Station } } }
      if (data?.error?.code === 'conflict') theirs.value = data.error.theirs
      throw error
    }
  })
  if (!kept) return
  version.value = station!.version
  emit('saved', station!)
}
/** Mine over theirs: saved again on top of what they kept. */
async function keepMine(): Promise<void> {
  version.value = theirs.value!.version
  theirs.value = undefined
  await save()
}
function takeTheirs(): void {
  form.value = typedOf(theirs.value!)
  home.value = theirs.value!.home
  normals.value = typedNormals(theirs.value!.normals, context.units)
  version.value = theirs.value!.version
  theirs.value = undefined
  message.value = ''
}
async function remove(): Promise<void> {
  if (await send(() => $fetch(`/api/stations/${props.station.id}`, { method: 'DELETE' }))) emit('removed')
}
</script>

<template>
  <form novalidate @submit.prevent="save">
    <StationFields v-model="form" :errors="errors" prefix="edit" />
    <UCheckbox v-model="home" :disabled="station.home" :label="t('weather.theHomeStationWhat')" />
    <NormalsTable v-model="normals" :errors />
    <div v-if="theirs" class="problem" role="alert">
      {{ t('weather.somebodySavedThisStation', { name: theirs.name }) }}
      <UButton size="sm" class="mx-2" @click="keepMine">{{ t('weather.keepMine') }}</UButton><UButton
        size="sm"
        variant="outline"
        @click="takeTheirs"
        >{{ t('weather.showTheirs') }}</UButton
      >
    </div>
    <p v-else-if="message" class="problem" role="alert">{{ message }}</p>
    <div class="actions">
      <UButton type="submit" color="primary" :loading="busy">{{ t('weather.saveTheStation') }}</UButton>
      <UButton v-if="!station.home && station.kind === 'imported'" variant="outline" :disabled="busy" @click="remove">{{
        t('weather.removeItWithIts')
      }}</UButton>
    </div>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.actions {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
</style>
