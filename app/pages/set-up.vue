<script setup lang="ts">
import { grassByCode } from '#core/grass/grasses'
import { figure } from '#core/measure/figure'

useHead({ title: t('setUp.setUp') })
const context = useContextStore()
const { text } = useUnits()
const setUp = useSetUp()
const { form, way, place, normals, typedTable, files, basics, climateKnown, errors, busy, message, lawn, save } = setUp
useSillStore().hangers = []

/** Farther from the equator the contract takes no station: there is no lawn to sow. */
const MOST_LATITUDE = 66
const WAYS: Record<ClimateWay, string> = {
  know: t('setUp.whatYouKnow'),
  files: t('setUp.weatherFiles'),
  normals: t('setUp.monthlyNormals'),
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
      know: t('setUp.fromAFewFigures'),
      files: t('setUp.fromTheMonthlyMeans'),
      normals: t('setUp.fromYourMonthlyNormals'),
    })[way.value],
)
const { errors: lawnErrors, busy: lawnBusy } = lawn
const trouble = computed(() => message.value || lawn.message.value || basics.message.value)
const keepWords = computed(() =>
  lawn.form.client.trim() ? t('setUp.survey', { client: lawn.form.client.trim() }) : t('setUp.goToTheLawns'),
)
</script>

<template>
  <form class="set-up" novalidate @submit.prevent="save">
    <header>
      <h1>{{ t('setUp.fourThingsAndThe', { name: context.firm?.name }) }}</h1>
      <p class="small">
        {{ t('setUp.everythingHereIsA') }}
      </p>
    </header>
    <div class="side">
      <section>
        <h2>{{ t('setUp.n1WhereYouWork') }}</h2>
        <p v-if="climateKnown">
          {{ t('setUp.yourHomeStationIs') }} <NuxtLink to="/weather" class="opens">{{ t('setUp.weather') }}</NuxtLink>
        </p>
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
        <h2>{{ t('setUp.n2HowYouCount') }}</h2>
        <FirmBasics v-if="context.isOwner" :basics part="counts" />
        <p v-else class="small">{{ t('setUp.anOwnerOfThe') }}</p>
      </section>
      <section v-if="context.isOwner">
        <h2>{{ t('setUp.n3WhatYouMostly') }}</h2>
        <FirmBasics :basics part="does" />
      </section>
      <section class="first">
        <h2>{{ t('setUp.n5YourFirstLawn') }}</h2>
        <div class="lawn">
          <UFormField :label="t('setUp.clientOrLawn')" name="client" :error="lawnErrors.client">
            <UInput id="field-client" v-model="lawn.form.client" maxlength="80" autocomplete="off" />
          </UFormField>
          <UFormField :label="t('setUp.area')" name="area" :error="lawnErrors.areaM2">
            <UInput id="field-area" v-model="lawn.form.area" :placeholder="t('setUp.n6590SqFt')" maxlength="80" />
          </UFormField>
          <UFormField :label="t('setUp.streetOrPlace')" name="address" :error="lawnErrors.address">
            <UInput id="field-address" v-model="lawn.form.address" maxlength="160" autocomplete="off" />
          </UFormField>
          <UFormField :label="t('setUp.growsThereNow')" name="growsNow" :error="lawnErrors.growsNow">
            <UInput
              id="field-growsNow"
              v-model="lawn.form.growsNow"
              :placeholder="t('setUp.thinTallFescue')"
              maxlength="120"
            />
          </UFormField>
        </div>
      </section>
    </div>
    <section class="climate">
      <h2>{{ t('setUp.n4TheClimateOf') }}</h2>
      <template v-if="!climateKnown">
        <div class="ways" role="group" :aria-label="t('setUp.howTheClimateIs')">
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
        <YearPlot v-if="year" :year :grass-name="tell(grass.name)" />
        <p v-if="year" class="small">
          {{ t('setUp.soilAtThroughYour', { value: text(figure('depthMm', 50)), name: grass.name, sureness }) }}
        </p>
        <p v-else class="small">
          {{ normals && !drawnAt ? t('setUp.withYourPlaceThe') : t('setUp.yourYearIsDrawn') }}
        </p>
      </template>
      <p v-else>{{ t('setUp.knownAlreadyTheLedge') }}</p>
    </section>
    <footer>
      <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
      <UButton type="submit" color="primary" :loading="busy || lawnBusy">{{ keepWords }}</UButton>
      <span class="small">{{ t('setUp.whatIsFilledIn') }}</span>
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
