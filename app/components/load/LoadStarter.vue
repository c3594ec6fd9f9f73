<script setup lang="ts">
import { figure } from '#core/measure/figure'

/** Starter fertilizer: amount, analysis, and what it gives. */
const { form, errors, load } = useBring()
const { text, shown, other, system } = useUnits()
const { settings, feed, feedJudged, swapAnalysis } = load
const noPhosphorus = computed(() => feedJudged.value.some(({ code }) => code === 'phosphorus'))

const rate = (gPerM2: number) => shown(figure('rateGPerM2', gPerM2)).value
const gives = computed(() =>
  feed.value
    ? [
        ['N', rate(settings.value.starterNGPerM2)],
        [t('load.pOAsP'), `${rate(feed.value.p2o5GPerM2)}, ${rate(feed.value.pGPerM2)}`],
        [t('load.kOAsK'), `${rate(feed.value.k2oGPerM2)}, ${rate(feed.value.kGPerM2)}`],
      ]
    : [],
)
</script>

<template>
  <LoadCard :title="t('load.starter')">
    <template #stub>
      <span v-if="feed" class="hero">
        <WorkedNumber :worked="feed.product" bare /> <i class="unit">{{ shown(feed.product.working.result).unit }}</i>
      </span>
      <span v-if="feed" class="small">
        {{ t('load.of', { result: other(feed.product.working.result), starterAnalysis: settings.starterAnalysis })
        }}<br />
        {{ text(figure('rateGPerM2', feed.productRateGPerM2)) }}
      </span>
    </template>
    <UFormField :label="t('load.analysisNPK')" name="analysis" :error="errors.analysis">
      <UInput id="field-analysis" v-model="form.analysis" />
    </UFormField>
    <UFormField :label="t('load.nitrogenWanted')" name="nitrogen" :error="errors.nitrogen">
      <UInput id="field-nitrogen" v-model="form.nitrogen" />
    </UFormField>
    <UFormField :label="t('load.slowShare')" name="slow" :error="errors.slow">
      <UInput id="field-slow" v-model="form.slow" />
    </UFormField>
    <div v-if="feedJudged.length" class="wide">
      <GateLine v-for="gate in feedJudged" :key="gate.text.key" :gate="gate" with-source />
      <UButton v-if="noPhosphorus" variant="outline" size="sm" @click="form.analysis = swapAnalysis">{{
        t('load.swapAnalysis', { analysis: swapAnalysis })
      }}</UButton>
    </div>
    <p class="wide caution">
      {{ t('load.phosphorusAndPotassiumOnly') }}
    </p>
    <template v-if="feed" #load>
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">{{ t('load.gives') }}</th>
            <th scope="col" class="right">{{ system === 'us' ? t('load.lb1000Ft') : 'g/m²' }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[what, amount] in gives" :key="what">
            <td>{{ what }}</td>
            <td class="right num">{{ amount }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </LoadCard>
</template>
