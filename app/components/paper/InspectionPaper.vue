<script setup lang="ts">
import type { Lawn } from '#contract/lawn'
import type { Inspection } from '#core/job/inspection'
import type { Photo } from '#contract/photo'

/** The final inspection as the client gets it: before and now by pictures that are chosen, then figures, work, and what is next. */
const props = defineProps<{
  inspection: Inspection
  lawn: Pick<Lawn, 'id' | 'clientReads'>
  jobId: string
  address: string
}>()
const context = useContextStore()
/** The page is told in English; its units and its English are the client's. */
const reader = useClientReader(() => {
  const { language, units } = props.lawn.clientReads
  return { clientReads: { language: language === 'es' ? null : language, units } }
})
const { photos, pictureOf } = usePhotos(props.lawn.id)
const dated = computed(() =>
  photos.value.filter(({ takenOn }) => takenOn).toSorted((a, b) => (a.takenOn! < b.takenOn! ? -1 : 1)),
)
const before = computed(() => dated.value.filter(({ takenOn }) => takenOn! <= props.inspection.sownOn))
const since = computed(() => dated.value.filter(({ takenOn }) => takenOn! > props.inspection.sownOn))
const chosen = reactive<{ before?: string; now?: string }>({})
/** The latest of each until another is chosen. */
const pick = (of: Photo[], id: string | undefined) =>
  id === 'none' ? undefined : (of.find((photo) => photo.id === id) ?? of.at(-1))
const says = ({ takenOn, note }: Photo) =>
  [reader.value.days.shortDay(takenOn!, context.today), note].filter(Boolean).join(', ')
const choices = (of: Photo[]) => [
  ...of.map((photo) => ({ value: photo.id, label: says(photo) })),
  { value: 'none', label: t('inspection.noPicture') },
]
const pictures = computed(() => {
  const [was, is] = [pick(before.value, chosen.before), pick(since.value, chosen.now)]
  const shown = (photo: Photo | undefined, words: string) =>
    photo ? [{ src: pictureOf(photo.id, 'whole'), says: words }] : []
  return [
    ...shown(was, was ? reader.value.t('inspection.pictureBefore', { day: says(was) }) : ''),
    ...shown(is, is ? reader.value.t('inspection.pictureNow', { day: says(is) }) : ''),
  ]
})
/** Asked where there is something to choose from. */
const asks = computed(() =>
  [
    { which: 'before' as const, some: before.value },
    { which: 'now' as const, some: since.value },
  ].filter(({ some }) => some.length > 1),
)
const paper = computed(() =>
  inspectionPaper(props.inspection, {
    address: props.address,
    firm: context.firm?.name ?? '',
    today: context.today,
    reader: reader.value,
    pictures: pictures.value,
  }),
)
</script>

<template>
  <div class="inspection">
    <div v-if="asks.length" class="screen-only pick">
      <UFormField v-for="{ which, some } in asks" :key="which" :label="t('inspection.pictureOf', { which })"
        ><USelect
          :model-value="pick(some, chosen[which])?.id ?? 'none'"
          :items="choices(some)"
          @update:model-value="chosen[which] = $event"
      /></UFormField>
    </div>
    <div class="screen-only"><ClientReads :lawn /></div>
    <p v-if="lawn.clientReads.language === 'es'" class="caution screen-only">{{ t('inspection.inEnglish') }}</p>
    <PaperPage :paper="paper" :name="`inspection-${jobId.slice(0, 8)}`"><slot /></PaperPage>
  </div>
</template>

<style scoped>
.inspection {
  display: grid;
  grid-template-columns: minmax(0, 860px);
  gap: 12px;
}
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
@media print {
  .screen-only {
    display: none;
  }
}
</style>
