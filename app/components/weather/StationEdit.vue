<script setup lang="ts">
import { stationEditSchema, type Station } from '#contract/station'
import type { Normals } from '#core/weather/normals'
import { MONTH_LETTERS, NORMAL_ROWS, pastedRow, readNormals, typedNormals } from '~/utils/normalsTyped'

/** A station's name, place and monthly normals. Saved by two at once, the second is shown what the first kept. */
const props = defineProps<{ station: Station }>()
const emit = defineEmits<{ saved: [station: Station]; removed: [] }>()
const context = useContextStore()
const { unit } = useUnits()
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
function paste(event: ClipboardEvent, key: keyof Normals, month: number): void {
  const cells = pastedRow(event.clipboardData?.getData('text') ?? '')
  if (!cells) return
  event.preventDefault()
  cells.forEach((cell, i) => {
    if (month + i < 12) normals.value[key][month + i] = cell
  })
}
const tableFault = computed(() => {
  const [at] = Object.entries(errors.value).filter(([path]) => path.startsWith('normals.'))
  if (!at) return ''
  const [, key, m] = at[0].split('.')
  return `${NORMAL_ROWS.find((row) => row.key === key)?.label ?? ''} of ${MONTH_LETTERS[Number(m)] ?? 'some month'}: ${at[1]}`
})
</script>

<template>
  <form novalidate @submit.prevent="save">
    <StationFields v-model="form" :errors="errors" prefix="edit" />
    <UCheckbox
      v-model="home"
      :disabled="station.home"
      label="The home station: what the ledge shows where no lawn is in view"
    />
    <div class="normals">
      <table class="ledger">
        <caption>
          Monthly normals, means of many years
          <span class="small"
            >{{ unit('tempC') }}, {{ unit('waterMm') }} a month, days with rain. All of them, or none. A copied row can
            be pasted.</span
          >
        </caption>
        <thead>
          <tr>
            <td />
            <th v-for="month in MONTH_LETTERS" :key="month" scope="col">{{ month }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in NORMAL_ROWS" :key="row.key">
            <th scope="row">{{ row.label }}</th>
            <td v-for="(month, m) in MONTH_LETTERS" :key="month">
              <input
                :id="`field-normal-${row.key}-${m}`"
                v-model="normals[row.key][m]"
                type="text"
                inputmode="decimal"
                maxlength="12"
                :aria-label="`${row.label}, ${month}`"
                :aria-invalid="Boolean(errors[`normals.${row.key}.${m}`])"
                @paste="paste($event, row.key, m)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="tableFault" class="problem">{{ tableFault }}</p>
    <div v-if="theirs" class="problem" role="alert">
      Somebody saved this station meanwhile, as “{{ theirs.name }}”. Nothing of yours is lost.
      <UButton size="sm" class="mx-2" @click="keepMine">Keep mine</UButton
      ><UButton size="sm" variant="outline" @click="takeTheirs">Show theirs</UButton>
    </div>
    <p v-else-if="message" class="problem" role="alert">{{ message }}</p>
    <div class="actions">
      <UButton type="submit" color="primary" :loading="busy">Save the station</UButton>
      <UButton v-if="!station.home && station.kind === 'imported'" variant="outline" :disabled="busy" @click="remove"
        >Remove it with its days</UButton
      >
    </div>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.normals {
  overflow-x: auto;
  max-width: 100%;
}
caption {
  text-align: left;
  font-weight: 650;
  padding-bottom: 4px;
}
.normals th,
.normals td {
  padding: 2px 3px;
  text-align: center;
}
.normals tbody th {
  text-align: left;
  color: var(--ink);
  white-space: nowrap;
  padding-right: 8px;
}
.normals input {
  width: 52px;
  height: 30px;
  border: 1px solid var(--rule-2);
  background: var(--lime);
  text-align: right;
  padding: 0 5px;
}
.normals input[aria-invalid='true'] {
  border: 2px solid var(--clay);
}
.actions {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
@media (max-width: 700px) {
  .normals input {
    height: 48px;
  }
}
</style>
