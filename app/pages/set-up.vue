<script setup lang="ts">
import { grassByCode } from '#core/grass/grasses'
import { figure } from '#core/measure/figure'
import { normalsFromFewFigures } from '#core/weather/fewFigures'

useHead({ title: 'Set up' })
const context = useContextStore()
const { text } = useUnits()
const { form, place, figures, climateKnown, errors, busy, message, lawn, save } = useSetUp()
useSillStore().hangers = []

/** Farther from the equator the contract takes no station: there is no lawn to sow. */
const MOST_LATITUDE = 66
/** What the firm does most: it only lights the year below. */
const does = ref<'cool' | 'warm'>('cool')
const grass = computed(() => grassByCode(does.value === 'cool' ? 'TF' : 'BER'))
const normals = computed(() => {
  try {
    return place.value && figures.value && normalsFromFewFigures(figures.value, place.value.latDeg)
  } catch {
    // Said at its field when it is saved.
    return undefined
  }
})
const year = useClimateYear(() =>
  normals.value && place.value && Math.abs(place.value.latDeg) <= MOST_LATITUDE
    ? {
        normals: normals.value,
        place: { latDeg: place.value.latDeg, coastal: form.coastal },
        grass: grass.value.code,
        year: Number(context.today.slice(0, 4)),
      }
    : undefined,
)
const { errors: lawnErrors, busy: lawnBusy } = lawn
const trouble = computed(() => message.value || lawn.message.value)
const keepWords = computed(() => (lawn.form.client.trim() ? `Survey ${lawn.form.client.trim()}` : 'Go to the lawns'))
</script>

<template>
  <form class="set-up" novalidate @submit.prevent="save">
    <header>
      <h1>{{ context.firm?.name }}: three things to begin with</h1>
      <p class="small">Skip what you do not know. All of it can be changed later, under Weather, Firm and Look.</p>
    </header>
    <div class="side">
      <section>
        <h2>1 Where you work</h2>
        <p v-if="climateKnown">Your home station is set up. <NuxtLink to="/weather" class="opens">Weather</NuxtLink></p>
        <PlaceField
          v-else
          v-model="form.place"
          v-model:coastal="form.coastal"
          :place
          :error="errors.place ?? errors.latDeg ?? errors.lonDeg"
        />
      </section>
      <section>
        <h2>3 Your first lawn</h2>
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
      <h2>2 The climate of your place</h2>
      <template v-if="!climateKnown">
        <ClimateKnown v-model="form" :errors :south="(place?.latDeg ?? 1) < 0" />
        <div class="does" role="group" aria-label="What you mostly sow">
          <span class="small">Shown for</span>
          <UButton
            v-for="one in ['cool', 'warm'] as const"
            :key="one"
            size="sm"
            :variant="does === one ? 'solid' : 'outline'"
            :aria-pressed="does === one"
            @click="does = one"
          >
            {{ grassByCode(one === 'cool' ? 'TF' : 'BER').name }}
          </UButton>
        </div>
        <YearPlot v-if="year" :year :grass-name="grass.name" />
        <p v-if="year" class="small">
          Soil at {{ text(figure('depthMm', 50)) }} through your year, and when {{ grass.name }} takes. From a few
          figures: good to a week or two. Every day of weather that you import under Weather sharpens it.
        </p>
        <p v-else class="small">
          {{ figures && !place ? 'With your place the year is drawn here.' : 'Your year is drawn here.' }} A file of
          days or monthly normals can be imported under
          <NuxtLink to="/weather" class="opens">Weather</NuxtLink> instead.
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
.does {
  display: flex;
  gap: 8px;
  align-items: center;
}
@media (max-width: 900px) {
  .set-up {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    display: contents;
  }
  .side section:last-child {
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
