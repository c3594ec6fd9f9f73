<script setup lang="ts">
import { grassByCode } from '#core/grass/grasses'
import { figure } from '#core/measure/figure'

useHead({ title: 'Set up' })
const context = useContextStore()
const { text } = useUnits()
const setUp = useSetUp()
const { form, way, place, normals, typedTable, files, basics, climateKnown, errors, busy, message, lawn, save } = setUp
useSillStore().hangers = []

/** Farther from the equator the contract takes no station: there is no lawn to sow. */
const MOST_LATITUDE = 66
const WAYS: Record<ClimateWay, string> = {
  know: 'What you know',
  files: 'Weather files',
  normals: 'Monthly normals',
}
const grass = computed(() => grassByCode(basics.form.grows === 'warm' ? 'BER' : 'TF'))
const drawnAt = computed(() => (way.value === 'files' ? (files.place.value ?? place.value) : place.value))
const year = useClimateYear(() =>
  normals.value && drawnAt.value && Math.abs(drawnAt.value.latDeg) <= MOST_LATITUDE
    ? {
        normals: normals.value,
        place: { latDeg: drawnAt.value.latDeg, coastal: form.coastal },
        grass: grass.value.code,
        year: Number(context.today.slice(0, 4)),
      }
    : undefined,
)
const sureness = computed(
  () =>
    ({
      know: 'From a few figures: good to a week or two. Every day of weather that you import sharpens it.',
      files: 'From the monthly means of your files.',
      normals: 'From your monthly normals. Every day of weather that you import sharpens it.',
    })[way.value],
)
const { errors: lawnErrors, busy: lawnBusy } = lawn
const trouble = computed(() => message.value || lawn.message.value || basics.message.value)
const keepWords = computed(() => (lawn.form.client.trim() ? `Survey ${lawn.form.client.trim()}` : 'Go to the lawns'))
</script>

<template>
  <form class="set-up" novalidate @submit.prevent="save">
    <header>
      <h1>{{ context.firm?.name }}: four things, and the first lawn</h1>
      <p class="small">
        Everything here is a best guess you can correct, now or later under Firm and Weather. Skip what you do not know.
      </p>
    </header>
    <div class="side">
      <section>
        <h2>1 Where you work</h2>
        <p v-if="climateKnown">Your home station is set up. <NuxtLink to="/weather" class="opens">Weather</NuxtLink></p>
        <PlaceField
          v-else
          v-model="form.place"
          v-model:coastal="form.coastal"
          v-model:height="form.height"
          :error="errors.place ?? errors.latDeg ?? errors.lonDeg"
          :height-error="errors.heightM"
        />
      </section>
      <section>
        <h2>2 How you count</h2>
        <FirmBasics v-if="context.isOwner" :basics part="counts" />
        <p v-else class="small">An owner of the firm sets units, time zone and money.</p>
      </section>
      <section v-if="context.isOwner">
        <h2>3 What you mostly do</h2>
        <FirmBasics :basics part="does" />
      </section>
      <section class="first">
        <h2>5 Your first lawn</h2>
        <div class="lawn">
          <UFormField label="Client or lawn" name="client" :error="lawnErrors.client">
            <UInput id="field-client" v-model="lawn.form.client" maxlength="80" autocomplete="off" />
          </UFormField>
          <UFormField label="Area" name="area" :error="lawnErrors.areaM2">
            <UInput id="field-area" v-model="lawn.form.area" placeholder="6,590 sq ft, 40x16 m" maxlength="80" />
          </UFormField>
          <UFormField label="Street or place" name="address" :error="lawnErrors.address">
            <UInput id="field-address" v-model="lawn.form.address" maxlength="160" autocomplete="off" />
          </UFormField>
          <UFormField label="Grows there now" name="growsNow" :error="lawnErrors.growsNow">
            <UInput id="field-growsNow" v-model="lawn.form.growsNow" placeholder="thin tall fescue" maxlength="120" />
          </UFormField>
        </div>
      </section>
    </div>
    <section class="climate">
      <h2>4 The climate of your place</h2>
      <template v-if="!climateKnown">
        <div class="ways" role="group" aria-label="How the climate is told">
          <UButton
            v-for="one in CLIMATE_WAYS"
            :key="one"
            size="sm"
            :variant="way === one ? 'solid' : 'outline'"
            :aria-pressed="way === one"
            @click="way = one"
            >{{ WAYS[one] }}</UButton
          >
        </div>
        <ClimateKnown v-if="way === 'know'" v-model="form" :errors :south="(place?.latDeg ?? 1) < 0" />
        <ClimateFiles v-else-if="way === 'files'" :files />
        <NormalsTable v-else v-model="typedTable" :errors />
        <YearPlot v-if="year" :year :grass-name="grass.name" />
        <p v-if="year" class="small">
          Soil at {{ text(figure('depthMm', 50)) }} through your year, and when {{ grass.name }} takes. {{ sureness }}
        </p>
        <p v-else class="small">
          {{ normals && !drawnAt ? 'With your place the year is drawn here.' : 'Your year is drawn here.' }}
        </p>
      </template>
      <p v-else>Known already: the ledge above shows it.</p>
    </section>
    <footer>
      <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
      <UButton type="submit" color="primary" :loading="busy || lawnBusy">{{ keepWords }}</UButton>
      <span class="small">What is filled in is saved.</span>
    </footer>
  </form>
</template>

<style scoped>
.set-up {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 14px 26px;
  align-items: start;
}
header {
  display: grid;
  gap: 4px;
}
header,
footer {
  grid-column: 1 / -1;
}
footer {
  display: flex;
  gap: 12px;
  align-items: center;
  border-top: 1.5px solid var(--ink);
  padding: 10px 0;
}
.side,
section {
  display: grid;
  gap: 10px;
  align-content: start;
}
.side {
  gap: 22px;
}
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
.lawn {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
}
.ways {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
}
@media (max-width: 900px) {
  .set-up {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    display: contents;
  }
  .first {
    order: 3;
  }
  .climate {
    order: 2;
  }
  footer {
    order: 4;
  }
}
</style>
