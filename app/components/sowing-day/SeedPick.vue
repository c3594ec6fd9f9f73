<script setup lang="ts">
import { BLENDS, blendFaults, blendWords, depthLimitOf, MOST_PARTS, type Blend } from '#core/seed/blends'
import { GRASSES, grassByCode, type GrassCode } from '#core/grass/grasses'
import { figure } from '#core/measure/figure'
import { planSchema } from '#contract/lawn'

/** What is sown: the zones' own grass, a mixture of the trade, or one typed by its shares of weight. */
const props = defineProps<{ blend: Blend; single: GrassCode; busy: boolean; locked: boolean }>()
const emit = defineEmits<{ choose: [blend: Blend] }>()
const { text, parse } = useUnits()
const [ALONE, OWN] = ['alone', 'own']
const open = ref(false)
const items = computed(() => [
  { label: t('sowingDay.aloneAsTheZones', { name: grassByCode(props.single).name }), value: ALONE! },
  ...BLENDS.map(({ code, name, parts }) => ({
    label: t('sowingDay.namedBlend', { name, blend: blendWords(parts) }),
    value: code,
  })),
  { label: t('sowingDay.aMixtureOfMy'), value: OWN! },
])
const known = computed(() => BLENDS.find(({ parts }) => JSON.stringify(parts) === JSON.stringify(props.blend))?.code)
const which = ref(ALONE!)
const rows = ref<{ grass: GrassCode; typed: string }[]>([])
const asRows = (parts: Blend) =>
  parts.map(({ grass, massShare }) => ({ grass, typed: String(Math.round(massShare * 1000) / 10) }))
function begin(): void {
  which.value = props.blend.length ? (known.value ?? OWN!) : ALONE!
  rows.value = asRows(props.blend.length ? props.blend : BLENDS[0]!.parts)
}
// By what it says: the same mixture read again does not take away what is typed.
watch(() => JSON.stringify([props.blend, open.value]), begin, { immediate: true })
const grassItems = GRASSES.map(({ code, name }) => ({ label: tell(name), value: code }))
const read = computed(() => rows.value.map(({ grass, typed }) => ({ grass, share: parse('share', typed) })))
const total = computed(() => read.value.reduce((sum, { share }) => sum + (share.ok ? share.value : 0), 0))
const chosen = computed<Blend>(() =>
  which.value === ALONE
    ? []
    : which.value === OWN
      ? read.value.map(({ grass, share }) => ({ grass, massShare: share.ok ? share.value : 0 }))
      : BLENDS.find(({ code }) => code === which.value)!.parts,
)
const wrong = computed(() => {
  if (which.value !== OWN) return ''
  const misread = read.value.find(({ share }) => !share.ok)
  if (misread && !misread.share.ok) return `${tell(grassByCode(misread.grass).name)}: ${misread.share.message}`
  const judged = planSchema.shape.blend.safeParse(chosen.value)
  return judged.success ? '' : heard(judged.error.issues[0]!.message)
})
const faults = computed(() => (wrong.value ? [] : blendFaults(chosen.value)))
const same = computed(() => JSON.stringify(chosen.value) === JSON.stringify(props.blend))
function add(): void {
  const free = GRASSES.find(({ code }) => !rows.value.some(({ grass }) => grass === code))
  if (free) rows.value.push({ grass: free.code, typed: '' })
}
</script>

<template>
  <details class="seed" :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>{{ t('sowingDay.seed', { blend: blend.length ? blendWords(blend) : grassByCode(single).name }) }}</summary>
    <div class="inside">
      <UFormField :label="t('sowingDay.whatIsSown')" name="seed"
        ><USelect
          id="field-seed"
          v-model="which"
          :items="items"
          :disabled="locked"
          :aria-label="t('sowingDay.whatIsSown')"
          class="w-full"
      /></UFormField>
      <template v-if="which === OWN">
        <div v-for="(row, i) in rows" :key="i" class="part">
          <USelect
            :id="`field-part-${i}`"
            v-model="row.grass"
            :items="grassItems"
            :aria-label="t('sowingDay.grass', { i: i + 1 })"
          />
          <UInput
            :id="`field-share-${i}`"
            v-model="row.typed"
            maxlength="12"
            inputmode="decimal"
            :aria-label="t('sowingDay.shareByWeightOf', { i: i + 1 })"
          />
          <button
            type="button"
            class="opens"
            :aria-label="t('sowingDay.takeOut', { name: grassByCode(row.grass).name })"
            :disabled="rows.length <= 2"
            @click="rows.splice(i, 1)"
          >
            {{ t('sowingDay.out') }}
          </button>
        </div>
        <p class="small">
          <button v-if="rows.length < MOST_PARTS" type="button" class="opens" @click="add">
            {{ t('sowingDay.addAGrass') }}
          </button>
          {{ t('sowingDay.sharesOfTheWeight') }} <b class="num">{{ text(figure('share', total)) }}</b>.
        </p>
      </template>
      <p v-if="wrong" class="problem">{{ wrong }}</p>
      <GateLine v-for="(fault, i) in faults" :key="i" :gate="fault" with-source />
      <p v-if="chosen.length && !wrong" class="small">
        {{ t('sowingDay.nothingOverItDeeper', { chosen: text(figure('depthMm', depthLimitOf(chosen))) }) }}
      </p>
      <UButton
        v-if="!same"
        color="primary"
        size="sm"
        :disabled="Boolean(wrong) || locked"
        :loading="busy"
        @click="emit('choose', chosen)"
        >{{ t('sowingDay.sowThis') }}</UButton
      >
    </div>
  </details>
</template>

<style scoped>
.seed {
  margin: 8px 0 0 40px;
  max-width: 560px;
}
.inside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  padding: 4px 0 8px;
  justify-items: start;
}
.inside > :first-child {
  width: 100%;
}
.part {
  display: grid;
  grid-template-columns: 1fr 76px auto;
  gap: 8px;
  align-items: center;
  width: 100%;
}
.part button:disabled {
  opacity: 0.4;
  cursor: default;
}
@media (max-width: 700px) {
  .seed {
    margin-left: 0;
  }
  .opens {
    min-height: 48px;
  }
}
</style>
