<script setup lang="ts">
import { SWARD_ITEMS } from '~/utils/lookWords'

/** Several grasses that stand mixed, each with its share of the grass; the largest is what the zone is told as. */
const props = defineProps<{ id: string }>()
const { draft, errors } = useSurveyHere()
const zone = computed(() => draft.zones[props.id]!)
const MOST = 4
function begin(): void {
  const first = zone.value.sward ?? 'KBG'
  const other = SWARD_ITEMS.find(({ value }) => value !== first)!.value
  zone.value.swardMix = [
    { sward: first, share: 0.6 },
    { sward: other, share: 0.4 },
  ]
}
function add(): void {
  const used = zone.value.swardMix.map(({ sward }) => sward)
  const next = SWARD_ITEMS.find(({ value }) => !used.includes(value))
  if (next) zone.value.swardMix.push({ sward: next.value, share: 0 })
}
function remove(i: number): void {
  zone.value.swardMix.splice(i, 1)
  if (zone.value.swardMix.length < 2) zone.value.swardMix = []
}
// Rules read the grass that most of it is.
watch(
  () => zone.value.swardMix,
  (mix) => {
    const most = mix.reduce<(typeof mix)[number] | undefined>(
      (best, one) => (!best || one.share > best.share ? one : best),
      undefined,
    )
    if (most) zone.value.sward = most.sward
  },
  { deep: true },
)
const total = computed(() => Math.round(zone.value.swardMix.reduce((sum, { share }) => sum + share, 0) * 100))
</script>

<template>
  <div class="mix">
    <button v-if="!zone.swardMix.length" type="button" class="opens" @click="begin">
      {{ t('look.severalGrassesStandMixed') }}
    </button>
    <template v-else>
      <div v-for="(one, i) in zone.swardMix" :key="i" class="line">
        <USelect
          v-model="one.sward"
          :items="SWARD_ITEMS"
          :aria-label="t('look.grassOfTheMix', { i: i + 1 })"
          class="w-52"
        />
        <UInput
          :model-value="String(Math.round(one.share * 1000) / 10)"
          inputmode="decimal"
          maxlength="5"
          class="w-20"
          :aria-label="t('look.shareOfGrass', { i: i + 1 })"
          @update:model-value="
            (v) => {
              if (/^\d{1,3}([.,]\d)?$/.test(String(v))) one.share = Number(String(v).replace(',', '.')) / 100
            }
          "
        />
        <span>%</span>
        <UButton variant="outline" size="sm" :aria-label="t('look.removeGrass', { i: i + 1 })" @click="remove(i)">{{
          t('look.remove')
        }}</UButton>
      </div>
      <div class="line">
        <UButton v-if="zone.swardMix.length < MOST" variant="outline" size="sm" @click="add">{{
          t('look.addAGrass')
        }}</UButton>
        <span class="small" :class="{ wrong: total !== 100 }">{{ t('look.ofTheGrass', { total }) }}</span>
      </div>
      <p v-if="errors[`zones.${id}.swardMix`]" class="problem" role="alert">{{ errors[`zones.${id}.swardMix`] }}</p>
    </template>
  </div>
</template>

<style scoped>
.mix {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.wrong {
  color: var(--clay);
  font-weight: 650;
}
@media (max-width: 700px) {
  .opens {
    min-height: 48px;
  }
}
</style>
