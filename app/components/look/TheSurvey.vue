<script setup lang="ts">
import type { Lawn } from '#contract/lawn'
import type { Station } from '#contract/station'
import type { OpenQuestion } from '#core/site/questions'
import type { Photo } from '#contract/photo'
import { extentOf } from '#core/site/geometry'
import { layUnder } from '#core/site/underlay'
import { saving } from '~/utils/api'
import { fieldName, fieldText } from '~/utils/fieldWords'
import { lookFields } from '~/composables/useSurvey'

/** The whole survey: plan and ledger side by side, every question a click away. */
const props = defineProps<{ lawn: Lawn; stations: Station[] }>()
const route = useRoute()
const emit = defineEmits<{ walk: [] }>()
const store = useLawnsStore()
const context = useContextStore()
const survey = useSurvey(props.lawn)
const { dirty, message, busy, clash, missing, save, settled, forget } = survey
const zone = ref<string | null>(
  Object.keys(props.lawn.zones).length === 1 && missing.value.length ? Object.keys(props.lawn.zones)[0]! : null,
)
const section = ref<string | null>(null)
const confirming = ref(false)
const needed = computed(() => missing.value.filter((question) => question.needed))

async function answer({ zoneId, code }: OpenQuestion): Promise<void> {
  if (zoneId) zone.value = zoneId
  else section.value = code
  await nextTick()
  document.querySelector('.zones .open, .sections .open')?.scrollIntoView({ block: 'nearest' })
}
/** A field that was marked lies in a part that may be closed. */
watch(survey.errors, (errors) => {
  const path = Object.keys(errors)[0]
  if (!path) return
  const [first, id] = path.split('.')
  if (first === 'zones' && id) zone.value = id
  else
    section.value =
      first === 'applications'
        ? 'history'
        : first === 'soilTest'
          ? 'soil'
          : ['water', 'wishes', 'access'].includes(first!)
            ? first!
            : 'place'
})
async function goOn(): Promise<void> {
  if ((await save()) && !needed.value.length)
    await navigateTo({ path: `/lawns/${props.lawn.id}/decide`, query: route.query })
}
async function settle(takeTheirs: Set<string>): Promise<void> {
  if ((await settled(takeTheirs)) && !needed.value.length)
    await navigateTo({ path: `/lawns/${props.lawn.id}/decide`, query: route.query })
}
async function remove(): Promise<void> {
  const gone = await saving(() => store.remove(props.lawn.id))
  if (gone.ok) await navigateTo('/lawns')
  else message.value = gone.problem.message
}
function layPhoto(photo: Photo): void {
  survey.draft.underlay = layUnder(
    photo,
    extentOf(Object.values(survey.draft.features).flatMap(({ points }) => points)),
  )
  document.querySelector('.plan')?.scrollIntoView({ block: 'start' })
}
const label = (path: string) => fieldName(path, lookFields(props.lawn))
</script>

<template>
  <form class="survey" novalidate @submit.prevent="goOn">
    <EditClash
      v-if="clash"
      class="whole"
      :clash="clash"
      :label="label"
      :show="(path, value) => fieldText(path, value, context.units)"
      :busy="busy"
      @settle="settle"
    />
    <div class="left"><LazySitePlan v-model:zone="zone" /><PhotoShelf :zone-id="zone" @under="layPhoto" /></div>
    <div class="right">
      <ZoneLedger v-model="zone" />
      <LookSections v-model="section" :stations="stations" />
      <StillMissing @answer="answer" />
    </div>
    <div class="foot whole">
      <UButton type="submit" color="primary" :loading="busy" loading-icon="i-lucide-loader-circle">{{
        t('look.saveTheSurvey')
      }}</UButton>
      <UButton v-if="dirty" variant="outline" @click="forget">{{ t('look.undoWhatIsNot') }}</UButton>
      <UButton variant="outline" @click="emit('walk')">{{ t('look.oneQuestionAtA') }}</UButton>
      <span class="small">{{
        dirty ? t('look.notSavedYetIt') : needed.length ? t('look.saveWhatYouHave') : t('look.everythingThePlanNeeds')
      }}</span>
      <span class="delete">
        <template v-if="confirming">
          <span>{{ t('look.deleteWithItsPlan', { client: lawn.client }) }}</span>
          <UButton color="error" variant="outline" @click="remove">{{ t('look.deleteTheLawn') }}</UButton>
          <UButton variant="outline" @click="confirming = false">{{ t('look.keepIt') }}</UButton>
        </template>
        <UButton v-else variant="outline" @click="confirming = true">{{ t('look.deleteLawn') }}</UButton>
      </span>
    </div>
    <p v-if="message" class="problem whole" role="alert">{{ message }}</p>
  </form>
</template>

<style scoped>
.survey {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(440px, 1fr);
  gap: 12px 18px;
  align-items: start;
}
.whole {
  grid-column: 1 / -1;
}
.right {
  display: grid;
  gap: 14px;
}
.left {
  display: grid;
  gap: 16px;
}
.foot {
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
  position: sticky;
  bottom: 0;
  background: var(--paper);
  border-top: 1.5px solid var(--ink);
  padding: 8px 0;
  z-index: 5;
}
.delete {
  margin-left: auto;
  display: flex;
  gap: 10px;
  align-items: center;
}
@media (max-width: 1000px) {
  .survey {
    grid-template-columns: minmax(0, 1fr);
  }
  .left {
    order: 2;
  }
  .foot,
  .survey > .problem {
    order: 3;
  }
}
@media (max-width: 700px) {
  .foot {
    flex-direction: column;
    align-items: stretch;
    position: static;
  }
  .delete {
    margin: 0;
    flex-wrap: wrap;
  }
}
</style>
